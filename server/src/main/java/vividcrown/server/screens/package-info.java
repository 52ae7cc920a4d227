/** Hands the screens out: files of the web module, and the start page for every address of theirs. */
@NullMarked
package vividcrown.server.screens;

import org.jspecify.annotations.NullMarked;

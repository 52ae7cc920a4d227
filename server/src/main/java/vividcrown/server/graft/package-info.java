/** Grafts and their cups. */
@NullMarked
package vividcrown.server.graft;

import org.jspecify.annotations.NullMarked;

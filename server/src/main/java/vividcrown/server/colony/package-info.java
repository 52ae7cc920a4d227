/** Production colonies: what was read in them, what it proves, what could be done. */
@NullMarked
package vividcrown.server.colony;

import org.jspecify.annotations.NullMarked;

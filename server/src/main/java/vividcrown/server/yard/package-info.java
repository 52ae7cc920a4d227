/** Yards: where hives stand. */
@NullMarked
package vividcrown.server.yard;

import org.jspecify.annotations.NullMarked;

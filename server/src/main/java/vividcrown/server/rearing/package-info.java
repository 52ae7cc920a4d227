/** Grafts, their cups, and the hives that bring them up. */
@NullMarked
package vividcrown.server.rearing;

import org.jspecify.annotations.NullMarked;

/** Yards, builders and mating nucs. */
@NullMarked
package vividcrown.server.yard;

import org.jspecify.annotations.NullMarked;

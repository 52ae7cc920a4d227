/** Splits, nucs, boosting, equalising, uniting: what the yard has, asked of core, told to people. */
@NullMarked
package vividcrown.server.split;

import org.jspecify.annotations.NullMarked;

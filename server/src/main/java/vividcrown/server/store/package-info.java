/** The store: boxes, combs, feeders, cages, feed, by what was counted, bought and used. */
@NullMarked
package vividcrown.server.store;

import org.jspecify.annotations.NullMarked;

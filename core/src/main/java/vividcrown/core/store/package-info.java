/** What lies in the store: boxes, combs, feeders, cages, feed. */
package vividcrown.core.store;

/** Mating yards: which hives wait for their queens, and how far each has come. */
@NullMarked
package vividcrown.server.mating;

import org.jspecify.annotations.NullMarked;

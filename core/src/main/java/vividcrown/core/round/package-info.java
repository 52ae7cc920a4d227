/**
 * What do I do today, in which order, carrying what? {@link vividcrown.core.round.Stop}s (one job at one box) are put into
 * walking order by {@link vividcrown.core.round.Round}, with the {@link vividcrown.core.round.Kit} for the whole round.
 */
package vividcrown.core.round;

/**
 * When do virgins fly? {@link vividcrown.core.mating.Afternoon} judges one afternoon's weather,
 * {@link vividcrown.core.mating.MatingHours} gives the clock hours at a place. Depends on {@code reason}.
 */
package vividcrown.core.mating;

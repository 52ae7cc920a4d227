/**
 * How many grafts, and when, for what was promised? {@link vividcrown.core.season.GraftsNeeded} counts forward through
 * the losses, {@link vividcrown.core.season.Backward} counts back from the day of delivery. Depends on {@code rearing},
 * {@code mating}, {@code odds}, {@code assumptions}, {@code time} and {@code reason}.
 */
package vividcrown.core.season;

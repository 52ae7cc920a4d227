/**
 * Giving a queen: is the colony without one ({@link vividcrown.core.introduction.Receiver}), by which way
 * ({@code method}, a file each), with which odds ({@link vividcrown.core.introduction.Acceptance}), what the bees at the cage say
 * ({@link vividcrown.core.introduction.CageReading}), who goes where ({@link vividcrown.core.introduction.Assignment}).
 */
package vividcrown.core.introduction;

/**
 * What does brood prove? From sights of eggs, larvae, sealed brood and queen cells back to the days on which a queen
 * laid, and forward to the day on which the next one can.
 *
 * <p>Read {@link vividcrown.core.brood.BroodProver} first; its answer is a {@link vividcrown.core.brood.BroodProof}.
 * Depends on {@code reading}, {@code assumptions}, {@code time} and {@code reason}.
 */
package vividcrown.core.brood;

/** How much comb, brood and bees? {@link vividcrown.core.colony.FrameFormat} and {@link vividcrown.core.colony.Strength}. */
package vividcrown.core.colony;

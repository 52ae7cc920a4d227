/**
 * How sure can one be? {@link vividcrown.core.odds.Rate} is a Beta belief that counts sharpen;
 * {@link vividcrown.core.odds.LossStep} has the trade's starting beliefs; {@link vividcrown.core.odds.LateOdds} judges a
 * late virgin. Distributions come from Hipparchus.
 */
package vividcrown.core.odds;

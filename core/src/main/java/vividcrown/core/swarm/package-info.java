/**
 * What to do about queen cells: the rung of the ladder, the steps with their gates, the days. Read
 * {@link vividcrown.core.swarm.SwarmPlanner} first. Depends on {@code judgement}, {@code mating}, {@code brood}, {@code reading},
 * {@code assumptions}, {@code time} and {@code reason}.
 */
package vividcrown.core.swarm;

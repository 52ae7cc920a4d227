/**
 * What is to be done next at a colony? {@link vividcrown.core.colony.ColonyWork} weighs what is under way: a swarm path, the
 * follow-ups of what was chosen, cells that want a decision, the weekly look.
 */
package vividcrown.core.colony;

/**
 * Making increase and moving strength: what can be split into what ({@link vividcrown.core.split.SplitPlanner}, with the recipes
 * in {@code recipe}, a file each), who gives what to whom ({@link vividcrown.core.split.Equaliser},
 * {@link vividcrown.core.split.Booster}), what is put together and how ({@link vividcrown.core.split.UnitePlanner}), and which
 * units are given up while it is still warm enough ({@link vividcrown.core.split.LateSeason}).
 */
package vividcrown.core.split;

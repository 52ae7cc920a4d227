/** The choice among recipes, by a solver, within limits that stand a file each; and what a plan comes to when it is changed by hand. */
package vividcrown.core.season.plan;

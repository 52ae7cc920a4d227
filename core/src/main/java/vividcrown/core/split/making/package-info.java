/** A split as it is made: the plan that is taken to the yard, what was really done, what follows at each unit. */
package vividcrown.core.split.making;

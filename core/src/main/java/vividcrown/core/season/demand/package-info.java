/** What is wanted of a season, what falls due together, and how far back its graft lies. */
package vividcrown.core.season.demand;

/** Ways to meet a demand: how many cups on which days, and how surely that holds. */
package vividcrown.core.season.recipe;

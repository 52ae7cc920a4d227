/** Where virgins mate: which yard takes the ripe cells of a batch, and how often one drives there. */
package vividcrown.core.season.mating;

/**
 * Who descends from whom: mothers and the three kinds of father ({@link vividcrown.core.lineage.Mating}), kinship that is exact for
 * bees ({@link vividcrown.core.lineage.Kinship}), the brood that shared sex alleles cost
 * ({@link vividcrown.core.lineage.BroodLoss}), what a mating would give, what becomes of a closed stock.
 */
package vividcrown.core.lineage;

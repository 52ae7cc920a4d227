package vividcrown.core.lineage;

import java.util.Map;
import org.hipparchus.distribution.discrete.BinomialDistribution;
import vividcrown.core.hive.Amount;
import vividcrown.core.journal.Faults;

/**
 * Brood lost to equal sex alleles: such an egg becomes a drone with two sets, and the bees eat it young. The comb looks shot
 * through with empty cells (Woyke 1976; Page &amp; Laidlaw 1988; from memory). All shares are of fertilised eggs, 0–1.
 *
 * @param share what is lost on average over queens mated so, and what one queen in twenty loses at least and at most
 * @param drones over which it is spread
 */
public record BroodLoss(Amount share, int drones) {

    /** Sex alleles in a population that nobody narrowed. Woyke 1976 and others since count 6–18; from memory. */
    public static final int USUAL_ALLELES = 12;
    private static final double TAIL = 0.05;
    private static final double MOST = 0.5;
    /** From here on the pattern looks spotty to whoever looks at it. Common practice: a tenth of the cells and more. */
    private static final double SEEN = 0.15;

    /**
     * From kinship: eggs with both alleles from one founder's are lost, of the others one in {@code alleles}, all being equally common:
     * viable is 1 − 1/n where nobody is akin. A queen has two different alleles, so she never loses more than half.
     *
     * @param inbreeding of her workers, 0–1
     * @param alleles in the founders, 2–100
     * @param drones that she mates with, 1–40
     */
    public static BroodLoss byKinship(double inbreeding, int alleles, int drones) {
        new Faults().within("inbreeding", inbreeding, 0, 1).within("alleles", alleles, 2, 100)
                .within("drones", drones, 1, 40).refuse();
        return spread(Math.min(MOST, inbreeding + (1 - inbreeding) / alleles), drones);
    }

    /**
     * From known alleles: of a drone that has one of hers, half of her eggs with him are lost; p of her mates cost p/2.
     *
     * @param hers her two alleles, by their names
     * @param mates shares of her mates by their allele; together 1
     * @throws IllegalArgumentException if her two are one: such a queen does not exist
     */
    public static BroodLoss known(String hers, String other, Map<String, Double> mates) {
        double all = mates.values().stream().mapToDouble(Double::doubleValue).sum();
        new Faults().unless(!hers.equals(other), "fault.sexAlleles", hers)
                .unless(Math.abs(all - 1) < 1e-6, "fault.droneShares", Math.round(100 * all)).refuse();
        double matched = mates.getOrDefault(hers, 0.0) + mates.getOrDefault(other, 0.0);
        return new BroodLoss(new Amount(matched / 2, matched / 2, matched / 2), mates.size());
    }

    /** Each drone has one of her alleles or not: half his eggs, or none. */
    private static BroodLoss spread(double mean, int drones) {
        BinomialDistribution matching = new BinomialDistribution(drones, Math.min(1, 2 * mean));
        double least = matching.inverseCumulativeProbability(TAIL) / (2.0 * drones);
        double most = matching.inverseCumulativeProbability(1 - TAIL) / (2.0 * drones);
        return new BroodLoss(new Amount(Math.min(least, mean), mean, Math.max(most, mean)), drones);
    }

    /** Of an egg laid, the chance that it is not lost so. */
    public double viable() {
        return 1 - share.likely();
    }

    /** Somebody who reads the comb sees it. */
    public boolean shows() {
        return share.likely() >= SEEN;
    }
}

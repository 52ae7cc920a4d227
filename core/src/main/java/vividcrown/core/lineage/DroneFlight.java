package vividcrown.core.lineage;

import java.util.LinkedHashMap;
import java.util.Map;
import vividcrown.core.journal.Faults;

/**
 * Whose drones a queen likely meets who mates in the open: own drone colonies, the nearer the more, and strangers. Most matings
 * happen within two or three kilometres, few beyond six (Jensen et al. 2005, Mol. Ecol. 14: mean 2.5 km; from memory).
 */
public final class DroneFlight {

    private static final double KILOMETRES = 2.5;
    /** Colonies of strangers within flight where nobody knows better. Common practice, from memory; broad. */
    public static final int USUAL_STRANGERS = 6;

    private DroneFlight() {
    }

    /**
     * @param kilometres from where she mates to each own drone colony, by its queen; 0–100
     * @param strangers colonies of others as near as hers, 0–500
     */
    public static Mating.Flying of(Map<String, Double> kilometres, int strangers, int drones) {
        Faults faults = new Faults().within("strangers", strangers, 0, 500);
        kilometres.values().forEach(far -> faults.within("kilometres", far, 0, 100_000));
        faults.refuse();
        Map<String, Double> reach = new LinkedHashMap<>();
        kilometres.forEach((queen, far) -> {
            double weight = Math.exp(-(far / KILOMETRES) * (far / KILOMETRES) / 2);
            if (weight > 1e-6) {
                reach.put(queen, weight);
            }
        });
        double all = strangers + reach.values().stream().mapToDouble(Double::doubleValue).sum();
        if (all > 0) {
            reach.replaceAll((_, weight) -> weight / all);
        }
        return new Mating.Flying(reach, drones);
    }
}

package vividcrown.core.lineage;

import java.util.LinkedHashMap;
import java.util.Map;
import vividcrown.core.journal.Faults;

/**
 * With whom a queen mated. A drone has no father: he is a copy of half of his mother, so a father is told by the queen whose
 * drone he was.
 */
public sealed interface Mating {

    /** Drones in a usual mating flight. Winston 1987 (12–15), from memory. */
    int USUAL_DRONES = 12;

    /** Nobody knows: strangers, so far as the record goes. */
    Mating UNKNOWN = new Flying(Map.of(), USUAL_DRONES);

    /** How many drones she mated with. */
    int drones();

    /**
     * Instrumental, with one drone: all her daughters have the same father.
     *
     * @param droneMother the queen he came from
     */
    record OneDrone(String droneMother) implements Mating {
        public OneDrone {
            new Faults().text("droneMother", droneMother, 1, 60).refuse();
        }

        @Override
        public int drones() {
            return 1;
        }
    }

    /**
     * At a mating station or drone yard: drones of sister queens that need not have records of their own (Brascamp &amp; Bijma 2014,
     * groups of drone-producing queens).
     *
     * @param mother of the sisters
     * @param sisters how many of them gave drones, 1–500
     * @param drones that she mated with, 1–40
     */
    record Sisters(String mother, int sisters, int drones) implements Mating {
        public Sisters {
            new Faults().text("mother", mother, 1, 60).within("sisters", sisters, 1, 500)
                    .within("drones", drones, 1, 40)
                    .refuse();
        }
    }

    /**
     * In the open, with what flies.
     *
     * @param shares of the drones by the queen they came from, together at most 1; the rest are strangers
     * @param drones that she mated with, 1–40
     */
    record Flying(Map<String, Double> shares, int drones) implements Mating {
        private static final double ROUNDING = 1e-9;

        public Flying {
            shares = Map.copyOf(new LinkedHashMap<>(shares));
            double all = shares.values().stream().mapToDouble(Double::doubleValue).sum();
            new Faults().within("drones", drones, 1, 40).within("droneMothers", shares.size(), 0, 200)
                    .unless(all <= 1 + ROUNDING && shares.values().stream().allMatch(share -> share >= 0 && share <= 1),
                            "fault.droneShares", Math.round(100 * all))
                    .refuse();
        }

        /** Drones of these queens in equal numbers, and no others. */
        public static Flying equally(Iterable<String> droneMothers, int drones) {
            Map<String, Double> shares = new LinkedHashMap<>();
            droneMothers.forEach(mother -> shares.put(mother, 1.0));
            shares.replaceAll((_, _) -> 1.0 / shares.size());
            return new Flying(shares, drones);
        }
    }
}

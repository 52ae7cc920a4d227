package vividcrown.core.judgement;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import vividcrown.core.judgement.Phase.Cells;
import vividcrown.core.judgement.Phase.Queen;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * How often each brood stage is seen in each phase. The days of the phase say which ages of brood are on the comb; given them,
 * stages are independent of each other, so no dependence between brood signs is left to correct for. Ages follow the
 * operation's own figures.
 */
final class BroodEvidence {

    /**
     * One stage: chance of seeing it where it is, where it is not, and the ages in days that it covers.
     *
     * @param worker flat caps: no drone brood is taken for it
     */
    record Look(Sign sign, double seenIfThere, double seenIfNot, int youngest, int oldest, boolean worker) {
    }

    private static final int YOUNG_LARVA_DAYS = 3;
    private static final int JUST_SEALED_DAYS = 2;
    /** A day's worth of brood at the edge of an age is a patch, and easily overlooked. */
    private static final double PATCH_SEEN = 0.72;
    /** A queen that fails after laying well leaves some worker brood among the drones; one never mated leaves none. */
    private static final double WORKER_BROOD_OF_A_FAILING_QUEEN = 0.55;
    /** Of a frame that was given nobody knows what was on it, and what they made of it. */
    private static final double GIFT_IS_THERE = 0.8;
    /** Before a swarm the queen slims and lays less. */
    private static final double EGGS_BEFORE_SWARM = 0.85;

    /** What share of a stage is on the comb in every phase does not depend on the colony: worked out once. */
    private record Asked(Look look, boolean gift) {
    }

    private static final Map<Clock, BroodEvidence> BY_CLOCK = new ConcurrentHashMap<>();
    /** So many operations with figures of their own; after that it begins anew. */
    private static final int MOST_KEPT = 50;

    private final Clock clock;
    private final List<Look> looks;
    private final Map<Asked, double[]> shares = new ConcurrentHashMap<>();

    /** Eggs are overlooked now and then, sealed brood hardly ever. Common practice. */
    private BroodEvidence(Clock clock) {
        this.clock = clock;
        int hatched = clock.hatchesAt();
        int old = hatched + YOUNG_LARVA_DAYS;
        int sealed = clock.workerSealedAt();
        int gone = clock.workerGoneAfter();
        this.looks = List.of(new Look(Sign.EGGS, 0.93, 0.012, 0, hatched, false),
                new Look(Sign.EGGS_STANDING, 0.6, 0.01, 0, 1, false),
                new Look(Sign.EGGS_LYING, 0.5, 0.01, 2, hatched, false),
                new Look(Sign.YOUNG_LARVAE, 0.94, 0.012, hatched, old, false),
                new Look(Sign.OLD_LARVAE, 0.96, 0.012, old, sealed, false),
                new Look(Sign.LARVAE, 0.97, 0.012, hatched, sealed, false),
                new Look(Sign.OPEN_BROOD, 0.97, 0.012, 0, sealed, false),
                new Look(Sign.SEALED_JUST, 0.5, 0.02, sealed, sealed + JUST_SEALED_DAYS, true),
                new Look(Sign.SEALED_WORKER, 0.98, 0.01, sealed, gone, true),
                new Look(Sign.EMERGING_WORKERS, 0.55, 0.012, gone - 2, gone, true),
                new Look(Sign.SEALED_BROOD, 0.98, 0.01, sealed, gone, false),
                new Look(Sign.BROOD, 0.985, 0.01, 0, gone, false));
    }

    static BroodEvidence by(Clock clock) {
        if (BY_CLOCK.size() > MOST_KEPT) {
            BY_CLOCK.clear();
        }
        return BY_CLOCK.computeIfAbsent(clock, BroodEvidence::new);
    }

    /** Brood stages that the reading tells something about, each with whether it was seen. */
    List<Look> told(Reading reading) {
        return looks.stream().filter(look -> isTold(look, reading)).toList();
    }

    private boolean isTold(Look look, Reading reading) {
        boolean seen = reading.saw(look.sign());
        if (!seen && !reading.missed(look.sign())) {
            return false;
        }
        // what is seen in particular says all that the general sign would; so does the general absence
        if (seen && (look.sign() == Sign.SEALED_BROOD || look.sign() == Sign.BROOD) && reading.saw(Sign.SEALED_DRONE)) {
            // domed caps outlast a queen, and need none
            return false;
        }
        if (seen) {
            return looks.stream().noneMatch(other -> reading.saw(other.sign()) && isAbove(look.sign(), other.sign()));
        }
        boolean implied = looks.stream()
                .anyMatch(other -> reading.missed(other.sign()) && isAbove(look.sign(), other.sign())
                        && isWhole(other.sign()));
        boolean particular = look.sign() == Sign.EGGS_STANDING || look.sign() == Sign.EGGS_LYING
                || look.sign() == Sign.SEALED_JUST || look.sign() == Sign.EMERGING_WORKERS;
        boolean parentMissed = look.sign().general().stream().anyMatch(reading::missed);
        return !implied && !(particular && parentMissed);
    }

    /** Eggs and larvae are all of the open brood, worker and drone caps all of the sealed: they say it for the general one. */
    private static boolean isWhole(Sign sign) {
        return sign == Sign.EGGS || sign == Sign.LARVAE || sign == Sign.SEALED_WORKER || sign == Sign.YOUNG_LARVAE
                || sign == Sign.OLD_LARVAE || sign == Sign.OPEN_BROOD || sign == Sign.SEALED_BROOD;
    }

    private static boolean isAbove(Sign general, Sign particular) {
        return particular != general && particular.upwards().contains(general);
    }

    /**
     * Chance of seeing one stage, or of not seeing it.
     *
     * @param gift a frame with brood was given within the last weeks
     */
    Likelihood chance(Look look, boolean seen, boolean gift) {
        double[] there = shares.computeIfAbsent(new Asked(look, gift), this::thereInAll);
        return (place, _) -> {
            double chance = there[place] * look.seenIfThere() + (1 - there[place]) * look.seenIfNot();
            return seen ? chance : 1 - chance;
        };
    }

    /** Chance of all that a reading says about these stages. */
    Likelihood chance(Reading reading) {
        List<Likelihood> all = told(reading).stream().map(look -> chance(look, reading.saw(look.sign()), false))
                .toList();
        return (place, phase) -> {
            double chance = 1;
            for (Likelihood one : all) {
                chance *= one.in(place, phase);
            }
            return chance;
        };
    }

    private double[] thereInAll(Asked asked) {
        return Phase.all().stream().mapToDouble(phase -> thereIn(phase, asked.look(), asked.gift())).toArray();
    }

    private double thereIn(Phase phase, Look look, boolean gift) {
        double own = ownBrood(phase, look);
        if (own >= 1) {
            return 1;
        }
        int ages = 0;
        for (int age = look.youngest(); age <= look.oldest(); age++) {
            ages += phase.hasWorkerBroodOfAge(age) ? 1 : 0;
        }
        double worker = ages == 0 ? 0 : ages == 1 && look.oldest() > look.youngest() ? PATCH_SEEN : 1;
        boolean hers = phase.queen() == Queen.LAYING || phase.queen() == Queen.TWO;
        if (worker > 0 && gift && !hers) {
            worker *= GIFT_IS_THERE;
        }
        if (worker > 0 && look.sign() == Sign.EGGS && phase.queen() == Queen.LAYING && phase.cells() == Cells.SWARM
                && phase.cellDays() >= clock.sealedAt() - 2) {
            worker *= EGGS_BEFORE_SWARM;
        }
        return Math.max(own, worker);
    }

    /** Drone brood in worker cells, of an unmated or failing queen and of workers. */
    private double ownBrood(Phase phase, Look look) {
        boolean drones = phase.queen() == Queen.UNMATED || phase.queen() == Queen.FAILING || phase.workersLay();
        if (!drones) {
            return 0;
        }
        if (look.worker()) {
            return phase.queen() == Queen.FAILING ? WORKER_BROOD_OF_A_FAILING_QUEEN : 0.02;
        }
        int youngest = look.sign() == Sign.SEALED_BROOD ? clock.droneSealedAt() : look.youngest();
        // few eggs at first, and scattered
        int days = phase.queen() == Queen.FAILING || phase.queen() == Queen.VIRGIN ? Phase.SETTLED : phase.days();
        return days > youngest + 1 ? 0.96 : days >= youngest ? 0.7 : 0;
    }
}

package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.List;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * How often each brood stage is seen in each phase. The days of the phase say which ages of worker brood are on the comb;
 * given them, stages are independent of each other, so no dependence between brood signs is left to correct for.
 */
final class BroodEvidence {

    /** One stage: chance of seeing it where it is, where it is not, and the ages in days that it covers. */
    record Look(Sign sign, double seenIfThere, double seenIfNot, int youngest, int oldest) {
    }

    /** Eggs are overlooked now and then, sealed brood hardly ever. Common practice. */
    private static final List<Look> LOOKS = List.of(new Look(Sign.EGGS, 0.94, 0.01, 0, 3),
            new Look(Sign.YOUNG_LARVAE, 0.95, 0.01, 3, 6), new Look(Sign.OLD_LARVAE, 0.97, 0.01, 6, 9),
            new Look(Sign.LARVAE, 0.98, 0.01, 3, 9), new Look(Sign.SEALED_WORKER, 0.985, 0.008, 9, 22),
            new Look(Sign.EMERGING_WORKERS, 0.6, 0.01, 20, 22));
    /** A queen that fails after laying well leaves some worker brood among the drones; one never mated leaves none. */
    private static final double WORKER_BROOD_OF_A_FAILING_QUEEN = 0.4;
    /** Under a queen that began to lay days ago older brood may be left from the one before. */
    private static final double BROOD_LEFT_BY_ANOTHER = 0.2;
    private static final int GIFT_SHOWS_FOR = 22;

    private BroodEvidence() {
    }

    /** Brood stages that the reading tells something about, each with whether it was seen. */
    static List<Look> told(Reading reading, List<ColonyEvent> events) {
        return LOOKS.stream().filter(look -> isTold(look, reading, events)).toList();
    }

    private static boolean isTold(Look look, Reading reading, List<ColonyEvent> events) {
        boolean seen = reading.saw(look.sign());
        boolean absent = reading.missed(look.sign());
        if (!seen && !absent) {
            return false;
        }
        boolean finerIsTold = look.sign() == Sign.LARVAE && (reading.saw(Sign.YOUNG_LARVAE)
                || reading.saw(Sign.OLD_LARVAE) || absent);
        return !finerIsTold && !(seen && mayBeAGift(look, reading.day(), events));
    }

    private static boolean mayBeAGift(Look look, LocalDate day, List<ColonyEvent> events) {
        return events.stream()
                .filter(event -> event.kind() == EventKind.BROOD_GIVEN || event.kind() == EventKind.UNITED)
                .anyMatch(event -> {
                    long days = day.toEpochDay() - event.day().toEpochDay();
                    return days > 0 && days <= GIFT_SHOWS_FOR && look.oldest() >= days;
                });
    }

    /**
     * @param layShare how much of the colonies with a laying queen have brood at this time of year, 0–1
     * @return chance of what the reading says about these stages
     */
    static double chance(Phase phase, Reading reading, List<Look> told, double layShare) {
        double withBrood = 1;
        double without = 1;
        for (Look look : told) {
            boolean seen = reading.saw(look.sign());
            double there = thereIn(phase, look);
            double chance = there * look.seenIfThere() + (1 - there) * look.seenIfNot();
            withBrood *= seen ? chance : 1 - chance;
            without *= seen ? look.seenIfNot() : 1 - look.seenIfNot();
        }
        boolean pauses = phase.status() == Status.LAYING_QUEEN || phase.status() == Status.TWO_QUEENS;
        return pauses ? layShare * withBrood + (1 - layShare) * without : withBrood;
    }

    private static double thereIn(Phase phase, Look look) {
        boolean dronesOnly = phase.status() == Status.DRONE_LAYER || phase.status() == Status.LAYING_WORKERS;
        if (dronesOnly) {
            boolean worker = look.sign() == Sign.SEALED_WORKER || look.sign() == Sign.EMERGING_WORKERS;
            if (worker) {
                boolean failing = phase.status() == Status.DRONE_LAYER && phase.days() == Phase.cap(Status.DRONE_LAYER);
                return failing ? WORKER_BROOD_OF_A_FAILING_QUEEN : 0.01;
            }
            return phase.days() >= look.youngest() ? 0.97 : 0.02;
        }
        for (int age = look.youngest(); age <= look.oldest(); age++) {
            if (phase.hasWorkerBroodOfAge(age)) {
                return 1;
            }
        }
        boolean queenright = phase.status() == Status.LAYING_QUEEN || phase.status() == Status.TWO_QUEENS;
        return queenright ? BROOD_LEFT_BY_ANOTHER : 0;
    }

    /** The stage that a sign shows; the sign must be one of a brood stage. */
    static Look look(Sign sign) {
        return LOOKS.stream().filter(look -> look.sign() == sign).findFirst().orElseThrow();
    }
}

package vividcrown.core.brood;

import java.util.EnumSet;
import java.util.Set;
import vividcrown.core.assumptions.DevelopmentClock;
import vividcrown.core.time.DaySpan;

/**
 * Which stages worker brood of a given age can be in. Age is counted as the trade counts: in whole days, the day of
 * laying is day 0, so brood laid on 1 June is nine days old on 10 June whatever the hour.
 *
 * <p>With the standard clock: egg 0–3, young larva 3–6, old larva 6–9, sealed 9–22, emerging 20–22, gone from 20.
 */
final class BroodAges {

    /** Larvae that bees still begin queen cells on are up to about three days past hatching. Common practice. */
    static final int YOUNG_LARVA_DAYS = 3;

    private final int hatches;
    private final int sealedEarliest;
    private final int sealedLatest;
    private final int emergesEarliest;
    private final int emergesLatest;

    BroodAges(DevelopmentClock clock) {
        hatches = clock.hatches().likelyDay();
        sealedEarliest = firstWholeDay(clock.sealed());
        sealedLatest = lastWholeDay(clock.sealed());
        emergesEarliest = firstWholeDay(clock.emerges());
        emergesLatest = lastWholeDay(clock.emerges());
    }

    /** Every stage that brood of this age can be in; never empty. */
    Set<BroodStage> at(int age) {
        Set<BroodStage> stages = EnumSet.noneOf(BroodStage.class);
        for (BroodStage stage : BroodStage.values()) {
            if (age >= youngest(stage) && age <= oldest(stage)) {
                stages.add(stage);
            }
        }
        return stages;
    }

    /** Age in days from which brood can be in this stage. */
    int youngest(BroodStage stage) {
        return switch (stage) {
            case EGG -> 0;
            case YOUNG_LARVA -> hatches;
            case OLD_LARVA -> hatches + YOUNG_LARVA_DAYS;
            case SEALED -> sealedEarliest;
            case EMERGING, GONE -> emergesEarliest;
        };
    }

    /** Age in days until which brood can be in this stage. */
    int oldest(BroodStage stage) {
        return switch (stage) {
            case EGG -> hatches;
            case YOUNG_LARVA -> hatches + YOUNG_LARVA_DAYS;
            case OLD_LARVA -> sealedLatest;
            case SEALED, EMERGING -> emergesLatest;
            case GONE -> Integer.MAX_VALUE;
        };
    }

    /** Older brood than this is gone for certain. */
    int oldestOnComb() {
        return emergesLatest;
    }

    /** "8.5–9.5 days" in whole days is day 9: at 8 it has not happened, at 10 it has. */
    private static int firstWholeDay(DaySpan span) {
        return -Math.floorDiv(-span.earliestHours(), 24);
    }

    private static int lastWholeDay(DaySpan span) {
        return Math.floorDiv(span.latestHours(), 24);
    }
}

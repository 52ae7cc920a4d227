package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vividcrown.core.reason.Reason;
import vividcrown.core.season.demand.Demand;

/**
 * What the plan makes of one demand.
 *
 * @param chance of having the whole number on the day, 0–1
 * @param delivery the day, if there is one
 * @param daysLate after the last day promised, 0 if in time
 * @param grafts cups for it and those it shares its batches with
 * @param reasons why it stands so
 */
public record Promise(Demand demand, State state, double chance, Optional<LocalDate> delivery, int daysLate, int grafts,
        List<Reason> reasons) {

    public Promise {
        reasons = List.copyOf(reasons);
    }

    /** Percentages are told whole, so half a point is no difference. */
    private static final double HALF_A_POINT = 0.005;

    /** Whether a chance is as good as the assurance wanted. */
    public static boolean holds(double chance, double assurance) {
        return chance >= assurance - HALF_A_POINT;
    }

    /** Below this nobody hopes: an assumption of this program. */
    private static final double HARDLY = 0.05;

    /** How a demand stands with what is on its way and planned, in time. */
    public static State standing(double chance, double assurance) {
        return holds(chance, assurance) ? State.HOLDS : chance >= HARDLY ? State.AT_RISK : State.UNMET;
    }

    /** How firmly it can be promised. */
    public enum State {
        /** In time, with the assurance wanted. */
        HOLDS,
        /** With the assurance wanted, but later. */
        LATE,
        /** With less than the assurance wanted. */
        AT_RISK,
        /** Not with what there is. */
        UNMET
    }
}

package vividcrown.core.season.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import vividcrown.core.season.demand.Demand;

/**
 * Who gains and who loses by another plan.
 *
 * @param gains demands that hold in it and did not before
 * @param loses demands that stood more firmly before
 * @param daysLate of those that gain, at most
 */
record Compared(List<String> gains, List<String> loses, int daysLate) {

    /** @param lateIsGood whether it is enough that they come later, as surely as wanted */
    static Compared of(Draft before, Draft then, boolean lateIsGood) {
        Map<Demand, Promise.State> were = before.states();
        List<String> gains = new ArrayList<>();
        List<String> loses = new ArrayList<>();
        int late = 0;
        for (Map.Entry<Demand, Promise.State> now : then.states().entrySet()) {
            Promise.State was = Objects.requireNonNull(were.get(now.getKey()));
            boolean gained = now.getValue() == Promise.State.HOLDS && was != Promise.State.HOLDS
                    || lateIsGood && now.getValue() == Promise.State.LATE && was.compareTo(Promise.State.LATE) > 0;
            if (gained) {
                gains.add(now.getKey().id());
                late = Math.max(late, then.daysLate(now.getKey()));
            } else if (now.getValue().compareTo(was) > 0) {
                loses.add(now.getKey().id());
            }
        }
        return new Compared(gains, loses, late);
    }
}

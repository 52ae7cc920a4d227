package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.demand.Demand;

/**
 * A season's calendar, and how far it holds.
 *
 * @param batches the grafts, by day
 * @param promises one for each demand, in the order of the days promised
 * @param changes against the plan before
 * @param waysOut what would help those that are not met, the cheapest first; empty if all hold
 * @param hours work that the plan takes
 * @param droneStarts colonies to be given drone comb, the earliest first
 * @param yards what it makes of each mating yard; empty if nobody asks where
 * @param search how it was found
 */
public record SeasonPlan(List<PlannedBatch> batches, List<Promise> promises, List<Change> changes,
        List<WayOut> waysOut, double hours, List<DroneStart> droneStarts,
        List<YardUse> yards, Search search) {

    public SeasonPlan {
        batches = List.copyOf(batches);
        promises = List.copyOf(promises);
        changes = List.copyOf(changes);
        waysOut = List.copyOf(waysOut);
        droneStarts = List.copyOf(droneStarts);
        yards = List.copyOf(yards);
    }

    /**
     * @param proven no plan is better
     * @param cost minutes of work with penalties
     * @param bound no plan costs less
     * @param firstSeconds until the first plan
     */
    public record Search(boolean proven, double cost, double bound, double firstSeconds, double seconds) {

        /** How far it may be from the best, 0 if proven. */
        public double gap() {
            return proven || cost <= 0 ? 0 : Math.max(0, (cost - bound) / cost);
        }
    }

    /** @param kind what became of a graft of the plan before */
    public record Change(Kind kind, LocalDate day, String builder, int cups, Optional<Integer> before) {
        /** Against the plan before. */
        public enum Kind {
            ADDED, DROPPED, RESIZED
        }
    }

    /**
     * What would make hold what does not, tried before it is told.
     *
     * @param amount how many nucs, builders, hours a day or places; days later; percent sure; how many promised or bought in; queens of the
     *        order said no to; 0 for days off
     * @param helps the demands that hold with it and do not without
     * @param loses the demands that stand more firmly without it
     * @param hours of work more, negative if fewer
     */
    public record WayOut(Relaxation kind, int amount, List<String> helps, List<String> loses, double hours,
            Sentence text, Reason reason) {

        private static final double WORTH_TELLING = 0.5;

        public WayOut {
            helps = List.copyOf(helps);
            loses = List.copyOf(loses);
        }

        /** @param what it is; who loses and what it takes is added to it */
        static WayOut of(Relaxation kind, int amount, List<String> helps, List<String> loses, double hours,
                Sentence what) {
            Sentence text = what;
            if (!loses.isEmpty() && kind != Relaxation.SAY_NO) {
                text = Sentence.of("plan.wayOut.loses", text, String.join(", ", loses));
            }
            if (Math.abs(hours) >= WORTH_TELLING) {
                text = Sentence.of(hours > 0 ? "plan.wayOut.more" : "plan.wayOut.less", text,
                        Math.round(Math.abs(hours)));
            }
            return new WayOut(kind, amount, helps, loses, hours, text,
                    new Reason(text, Source.derived("the plan asked again with it")));
        }
    }

    /** When each demand that can be met is handed over. */
    public Map<Demand, LocalDate> deliveries() {
        Map<Demand, LocalDate> days = new LinkedHashMap<>();
        promises.forEach(promise -> promise.delivery().ifPresent(day -> days.put(promise.demand(), day)));
        return days;
    }

    public boolean holds() {
        return promises.stream().allMatch(one -> one.state() == Promise.State.HOLDS);
    }
}

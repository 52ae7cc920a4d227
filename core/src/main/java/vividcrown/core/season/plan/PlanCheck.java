package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.supply.Outcome;
import vividcrown.core.season.supply.RunningShares;
import vividcrown.core.season.supply.Supply;

/**
 * What a plan comes to after somebody moved or resized grafts by hand, without a search: the odds of each demand, and
 * what breaks.
 *
 * @param chances chance of each demand's whole number, by its id
 * @param reasons what each demand's odds rest on, by its id
 * @param breaks what cannot be done, or will not be ready; empty if nothing
 * @param batches the grafts as they were given: those of which nobody had said where they mate, where they had better
 */
public record PlanCheck(Map<String, Double> chances, Map<String, List<Reason>> reasons, List<Sentence> breaks,
        List<PlannedBatch> batches) {

    public PlanCheck {
        chances = Map.copyOf(chances);
        reasons = Map.copyOf(reasons);
        breaks = List.copyOf(breaks);
        batches = List.copyOf(batches);
    }

    /**
     * @param batches the grafts as they would be, for whom they were planned; what was meant for somebody who asks no longer
     *        is for nobody yet
     * @param starts colonies that are given drone comb beside those of the season: virgins mate where drones fly
     */
    public static PlanCheck of(SeasonBrief brief, List<PlannedBatch> batches, List<DroneStart> starts) {
        Supply supply = new Supply(brief);
        List<PlannedBatch> placed = new YardPlan(brief, supply, starts).placedWhereOpen(batches);
        Set<String> asked = brief.demands().stream().map(Demand::id).collect(Collectors.toSet());
        return new Checking(brief, supply, placed.stream().map(batch -> batch.with(batch.cups(),
                batch.shares().stream().filter(share -> asked.contains(share.demand())).toList())).toList())
                .check(placed);
    }

    private static final class Checking {
        private final SeasonBrief brief;
        private final List<PlannedBatch> batches;
        private final Supply supply;
        private final List<Sentence> breaks = new ArrayList<>();

        Checking(SeasonBrief brief, Supply supply, List<PlannedBatch> batches) {
            this.brief = brief;
            this.supply = supply;
            this.batches = batches;
        }

        PlanCheck check(List<PlannedBatch> placed) {
            days();
            builders();
            yards();
            breaks.addAll(new Workload(brief, supply, batches).breaks());
            List<PromiseGroup> groups = PromiseGroup.of(brief.demands(), brief.today());
            Outcome outcome = Outcome.of(brief, supply, groups, new RunningShares(brief, groups, supply), batches);
            breaks.addAll(outcome.breaks());
            return new PlanCheck(outcome.chances(), outcome.reasons(), breaks, placed);
        }

        private void days() {
            for (PlannedBatch batch : batches) {
                if (batch.day().isBefore(brief.today())) {
                    breaks.add(Sentence.of("plan.breaks.past", batch.day(), batch.builder()));
                } else if (!brief.means().crew().works(batch.day())) {
                    breaks.add(Sentence.of("plan.breaks.dayOff", batch.day(), batch.builder()));
                } else if (!brief.means().crew().works(batch.day().plusDays(brief.ripeAfter()))) {
                    breaks.add(Sentence.of("plan.breaks.ripeOnDayOff", batch.day(), batch.builder(),
                            batch.day().plusDays(brief.ripeAfter())));
                }
            }
        }

        private void yards() {
            Set<String> known = brief.means().yards().stream().map(MatingYard::id)
                    .collect(Collectors.toCollection(TreeSet::new));
            for (PlannedBatch batch : batches) {
                batch.at().stream().map(PlannedBatch.At::yard).filter(yard -> !known.isEmpty() && !known.contains(yard))
                        .forEach(yard -> breaks.add(
                                Sentence.of("plan.breaks.noYard", batch.day(), yard, String.join(", ", known))));
            }
        }

        private void builders() {
            Map<String, TreeMap<LocalDate, Integer>> loads = new TreeMap<>();
            batches.forEach(batch -> loads.computeIfAbsent(batch.builder(), _ -> new TreeMap<>()).merge(batch.day(),
                    batch.cups(), Integer::sum));
            loads.forEach(
                    (id, byDay) -> brief.means().builders().stream().filter(one -> one.id().equals(id)).findFirst()
                            .ifPresentOrElse(builder -> builder(builder, byDay),
                                    () -> breaks.add(Sentence.of("plan.fault.lockBuilder", id))));
        }

        private void builder(CellBuilder builder, TreeMap<LocalDate, Integer> byDay) {
            BuilderRest rest = BuilderRest.of(builder.rhythm());
            TreeSet<LocalDate> days = new TreeSet<>(byDay.keySet());
            days.addAll(builder.grafts());
            byDay.forEach((day, cups) -> {
                if (cups > builder.load()) {
                    breaks.add(Sentence.of("plan.breaks.load", builder.id(), day, cups, builder.load()));
                }
                if (tooMany(days, rest.betweenLoads(), day)) {
                    breaks.add(Sentence.of("plan.breaks.tooSoon", builder.id(), days.lower(day), day,
                            rest.betweenLoads().days()));
                }
                if (tooMany(days, rest.beforeRest(), day)) {
                    breaks.add(Sentence.of("plan.breaks.noRest", builder.id(), day, rest.beforeRest().loads()));
                }
            });
        }

        private static boolean tooMany(TreeSet<LocalDate> loads, BuilderRest.Stretch stretch, LocalDate day) {
            return loads.subSet(stretch.begin(day), true, day, true).size() > stretch.loads();
        }
    }
}

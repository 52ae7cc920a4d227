package vividcrown.core.season;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import vividcrown.core.rearing.BuilderRhythm;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;

/**
 * What a plan comes to after somebody moved or resized grafts by hand, without a search: the odds of each demand, and
 * what breaks.
 *
 * @param chances chance of each demand's whole number, by its id
 * @param reasons what each demand's odds rest on, by its id
 * @param breaks what cannot be done, or will not be ready; empty if nothing
 */
public record PlanCheck(Map<String, Double> chances, Map<String, List<Reason>> reasons, List<Sentence> breaks) {

    public PlanCheck {
        chances = Map.copyOf(chances);
        reasons = Map.copyOf(reasons);
        breaks = List.copyOf(breaks);
    }

    /** @param batches the grafts as they would be, for whom they were planned */
    public static PlanCheck of(SeasonBrief brief, List<PlannedBatch> batches) {
        return new Checking(brief, batches).check();
    }

    private static final class Checking {
        private final SeasonBrief brief;
        private final List<PlannedBatch> batches;
        private final Supply supply;
        private final Map<String, Demand> demands;
        private final List<Sentence> breaks = new ArrayList<>();
        private final Map<String, List<Reason>> reasons = new HashMap<>();

        Checking(SeasonBrief brief, List<PlannedBatch> batches) {
            this.brief = brief;
            this.batches = batches;
            this.supply = new Supply(brief);
            this.demands = brief.demands().stream().collect(Collectors.toMap(Demand::id, one -> one));
        }

        PlanCheck check() {
            days();
            builders();
            nucsAndHours();
            Map<String, Double> chances = chances();
            return new PlanCheck(chances, reasons, breaks);
        }

        private void days() {
            for (PlannedBatch batch : batches) {
                if (batch.day().isBefore(brief.today())) {
                    breaks.add(Sentence.of("plan.breaks.past", batch.day(), batch.builder()));
                } else if (!brief.crew().works(batch.day())) {
                    breaks.add(Sentence.of("plan.breaks.dayOff", batch.day(), batch.builder()));
                } else if (!brief.crew().works(batch.day().plusDays(brief.ripeAfter()))) {
                    breaks.add(Sentence.of("plan.breaks.ripeOnDayOff", batch.day(), batch.builder(),
                            batch.day().plusDays(brief.ripeAfter())));
                }
            }
        }

        private void builders() {
            Map<String, TreeMap<LocalDate, Integer>> loads = new TreeMap<>();
            batches.forEach(batch -> loads.computeIfAbsent(batch.builder(), _ -> new TreeMap<>()).merge(batch.day(),
                    batch.cups(), Integer::sum));
            loads.forEach((id, byDay) -> brief.builders().stream().filter(one -> one.id().equals(id)).findFirst()
                    .ifPresentOrElse(builder -> builder(builder, byDay),
                            () -> breaks.add(Sentence.of("plan.fault.lockBuilder", id))));
        }

        private void builder(CellBuilder builder, TreeMap<LocalDate, Integer> byDay) {
            BuilderRhythm rhythm = builder.rhythm();
            TreeSet<LocalDate> days = new TreeSet<>(byDay.keySet());
            days.addAll(builder.grafts());
            byDay.forEach((day, cups) -> {
                if (cups > builder.load()) {
                    breaks.add(Sentence.of("plan.breaks.load", builder.id(), day, cups, builder.load()));
                }
                Optional<LocalDate> before = Optional.ofNullable(days.lower(day));
                before.filter(one -> ChronoUnit.DAYS.between(one, day) < rhythm.daysBetweenLoads()).ifPresent(
                        one -> breaks.add(Sentence.of("plan.breaks.tooSoon", builder.id(), one, day,
                                rhythm.daysBetweenLoads())));
                if (days.subSet(day.minusDays(rhythm.restStretchDays() - 1L), true, day, true).size() > rhythm
                        .loadsBeforeRest()) {
                    breaks.add(Sentence.of("plan.breaks.noRest", builder.id(), day, rhythm.loadsBeforeRest()));
                }
            });
        }

        private void nucsAndHours() {
            Map<LocalDate, Integer> nucs = new TreeMap<>();
            Map<LocalDate, Integer> minutes = new TreeMap<>();
            batches.stream().map(one -> Map.entry(one.builder(), one.day())).distinct()
                    .forEach(load -> minutes.merge(load.getValue(), WorkTime.LOAD / 2, Integer::sum));
            for (PlannedBatch batch : batches) {
                minutes.merge(batch.day(), batch.cups() * WorkTime.GRAFT_A_CUP, Integer::sum);
                LocalDate in = batch.day().plusDays(brief.ripeAfter());
                for (PlannedBatch.Share share : batch.shares()) {
                    SupplyBand.Kind kind = SupplyBand.Kind.of(demands.get(share.demand()).product());
                    int ripe = supply.ripe(batch.day(), share.cups());
                    if (kind != SupplyBand.Kind.CELLS) {
                        minutes.merge(in, ripe * WorkTime.PLACE_A_CELL, Integer::sum);
                    }
                    if (kind == SupplyBand.Kind.QUEENS && share.delivery().isAfter(in)) {
                        in.datesUntil(share.delivery()).forEach(day -> nucs.merge(day, ripe, Integer::sum));
                    }
                }
            }
            nucs.entrySet().stream().filter(one -> one.getValue() > brief.nucs() - brief.busyNucs().on(one.getKey()))
                    .max(Map.Entry.comparingByValue()).ifPresent(one -> breaks.add(Sentence.of("plan.breaks.nucs",
                            one.getKey(), one.getValue(), brief.nucs() - brief.busyNucs().on(one.getKey()))));
            minutes.forEach((day, used) -> {
                if (used > brief.crew().minutesADay()) {
                    breaks.add(Sentence.of("plan.breaks.hours", day, Math.ceilDiv(used, 60), brief.crew().hoursADay()));
                }
            });
        }

        private Map<String, Double> chances() {
            Map<String, Double> chances = new HashMap<>();
            List<PromiseGroup> groups = PromiseGroup.of(brief.demands(), brief.today());
            RunningShares running = new RunningShares(brief, groups, supply);
            for (PromiseGroup group : groups) {
                Yield yield = running.of(group);
                List<Reason> because = new ArrayList<>();
                running.shares(group).forEach(share -> because.add(SeasonPlanner.becauseOf(share)));
                Map<String, Integer> cups = new TreeMap<>();
                for (PlannedBatch batch : batches) {
                    for (PlannedBatch.Share share : batch.shares()) {
                        if (group.demands().stream().anyMatch(one -> one.id().equals(share.demand()))) {
                            cups.merge(batch.day() + " " + share.delivery(), share.cups(), Integer::sum);
                        }
                    }
                }
                for (Map.Entry<String, Integer> one : cups.entrySet()) {
                    LocalDate graft = LocalDate.parse(one.getKey().substring(0, 10));
                    LocalDate delivery = group.product() == Product.RIPE_CELLS
                            ? graft.plusDays(brief.ripeAfter())
                            : LocalDate.parse(one.getKey().substring(11));
                    because.addAll(SeasonPlanner.becauseOf(supply, group.product(), graft, one.getValue()));
                    yield = yield.plus(inTime(group, graft, delivery)
                            ? supply.yield(group.product(), graft, delivery, one.getValue())
                            : Yield.ofBatch(0, List.of()));
                }
                int upToHere = 0;
                for (Demand demand : group.demands()) {
                    upToHere += demand.count();
                    chances.put(demand.id(), yield.atLeast(upToHere));
                    reasons.put(demand.id(), List.copyOf(because));
                }
            }
            return chances;
        }

        private boolean inTime(PromiseGroup group, LocalDate graft, LocalDate delivery) {
            boolean cells = group.product() == Product.RIPE_CELLS;
            boolean ready = !delivery.isBefore(graft.plusDays(supply.soonest(group.product())));
            boolean wanted = !cells
                    || !delivery.isBefore(group.from()) && !delivery.isAfter(group.until().plusDays(14));
            boolean fresh = !delivery.isAfter(graft.plusDays(supply.longest(group.product())));
            if (!ready || !wanted || !fresh) {
                String names = group.demands().stream().map(Demand::id).collect(Collectors.joining(", "));
                breaks.add(ready
                        ? Sentence.of("plan.breaks.tooOld", graft, names, delivery)
                        : Sentence.of("plan.breaks.notReady", graft, names, delivery,
                                graft.plusDays(supply.soonest(group.product()))));
            }
            return ready && wanted && fresh;
        }
    }
}

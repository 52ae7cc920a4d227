package vividcrown.core.season;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import vividcrown.core.reason.Sentence;

/** What a plan's grafts take of nucs, cages and hours, day by day, and where that is more than there is. */
final class Workload {

    private final SeasonBrief brief;
    private final Supply supply;
    private final List<PlannedBatch> batches;
    private final Map<String, Demand> demands = new HashMap<>();
    private final Map<LocalDate, Double> nucs = new TreeMap<>();
    private final Map<LocalDate, Double> cages = new TreeMap<>();
    private final Map<LocalDate, Double> minutes = new TreeMap<>();
    private final Map<String, LocalDate> delivered = new TreeMap<>();
    private double nucDays;
    private double placed;

    Workload(SeasonBrief brief, Supply supply, List<PlannedBatch> batches) {
        this.brief = brief;
        this.supply = supply;
        this.batches = batches;
        brief.demands().forEach(one -> demands.put(one.id(), one));
        batches.stream().map(one -> Map.entry(one.builder(), one.day())).distinct()
                .forEach(load -> minutes.merge(load.getValue(), WorkTime.LOAD / 2.0, Double::sum));
        batches.forEach(this::add);
        delivered.forEach((demand, day) -> minutes.merge(day,
                (double) demands.get(demand).count() * WorkTime.CATCH_A_QUEEN, Double::sum));
    }

    private void add(PlannedBatch batch) {
        minutes.merge(batch.day(), (double) batch.cups() * WorkTime.GRAFT_A_CUP, Double::sum);
        LocalDate in = batch.day().plusDays(brief.ripeAfter());
        for (PlannedBatch.Share share : batch.shares()) {
            SupplyBand.Kind kind = SupplyBand.Kind.of(demands.get(share.demand()).product());
            double ripe = supply.ripeOnAverage(batch.day(), share.cups(), batch.around());
            delivered.merge(share.demand(), share.delivery(), (one, two) -> one.isAfter(two) ? one : two);
            if (kind != SupplyBand.Kind.CELLS) {
                minutes.merge(in, ripe * WorkTime.PLACE_A_CELL, Double::sum);
                Map<LocalDate, Double> places = kind == SupplyBand.Kind.QUEENS ? nucs : cages;
                LocalDate out = share.delivery().isAfter(in) ? share.delivery() : in.plusDays(1);
                in.datesUntil(out).forEach(day -> places.merge(day, ripe, Double::sum));
            }
            if (kind == SupplyBand.Kind.QUEENS) {
                placed += ripe;
                nucDays += ripe * ChronoUnit.DAYS.between(in, share.delivery());
            }
        }
    }

    List<Sentence> breaks() {
        List<Sentence> breaks = new ArrayList<>();
        nucs.entrySet().stream().filter(one -> whole(one.getValue()) > freeNucs(one.getKey()))
                .max(Map.Entry.comparingByValue()).ifPresent(one -> breaks.add(Sentence.of("plan.breaks.nucs",
                        one.getKey(), whole(one.getValue()), freeNucs(one.getKey()))));
        cages.entrySet().stream().filter(one -> whole(one.getValue()) > brief.cages())
                .max(Map.Entry.comparingByValue()).ifPresent(one -> breaks.add(Sentence.of("plan.breaks.cages",
                        one.getKey(), whole(one.getValue()), brief.cages())));
        minutes.forEach((day, used) -> {
            if (whole(used) > brief.crew().minutesADay()) {
                breaks.add(Sentence.of("plan.breaks.hours", day, Math.ceilDiv(whole(used), 60),
                        brief.crew().hoursADay()));
            }
        });
        return breaks;
    }

    /** Cells are whole, though on average they are not. */
    private static int whole(double average) {
        return (int) Math.floor(average + 1e-6);
    }

    private int freeNucs(LocalDate day) {
        return brief.nucs() - brief.busyNucs().on(day);
    }

    /** Work of all of it. */
    double hours() {
        // half of what a load takes falls on other days than the graft
        long loads = batches.stream().map(one -> Map.entry(one.builder(), one.day())).distinct().count();
        double all = minutes.values().stream().mapToDouble(Double::doubleValue).sum() + loads * WorkTime.LOAD / 2.0
                + placed * WorkTime.VISIT_A_NUC + nucDays * WorkTime.TEN_NUC_DAYS / 10;
        return all / 60;
    }
}

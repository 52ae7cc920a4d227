package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.ToIntFunction;
import vividcrown.core.demand.Product;
import vividcrown.core.reason.Sentence;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.mating.Trip;
import vividcrown.core.season.recipe.WorkTime;
import vividcrown.core.season.supply.Supply;

/** What a plan's grafts take of nucs, cages and hours, day by day, and where that is more than there is. */
final class Workload {

    /** Lots are whole cells, shares of them on average are not. */
    private static final int HALF_A_CELL_EACH_WAY = 1;

    private final SeasonBrief brief;
    private final Supply supply;
    private final List<PlannedBatch> batches;
    private final Map<String, Demand> demands = new HashMap<>();
    private final NucsAndCages places;
    private final Hours hours;
    private final Map<NucsAndCages.Place, Map<LocalDate, Double>> taken = new EnumMap<>(NucsAndCages.Place.class);
    private final Map<LocalDate, Double> minutes = new TreeMap<>();
    private final Map<String, LocalDate> delivered = new TreeMap<>();
    private final List<Trip> trips;
    /** Nucs taken by yard and day. */
    private final Map<String, Map<LocalDate, Double>> atYards = new TreeMap<>();
    private double nucDays;
    private double placed;

    Workload(SeasonBrief brief, Supply supply, List<PlannedBatch> batches) {
        this.brief = brief;
        this.supply = supply;
        this.batches = batches;
        this.places = new NucsAndCages(brief);
        this.hours = new Hours(brief);
        brief.demands().forEach(one -> demands.put(one.id(), one));
        batches.stream().map(one -> Map.entry(one.builder(), one.day())).distinct()
                .forEach(load -> add(hours.load(load.getValue())));
        batches.forEach(this::add);
        this.trips = Trip.of(brief, supply, batches);
        trips.forEach(trip -> add(new Hours.Work(trip.day(), trip.minutes())));
        delivered.forEach(
                (demand, day) -> add(hours.delivering(day, Objects.requireNonNull(demands.get(demand)).count())));
    }

    private void add(Hours.Work work) {
        minutes.merge(work.day(), work.minutes(), Double::sum);
    }

    private void add(PlannedBatch batch) {
        add(hours.grafting(batch.day(), batch.cups()));
        for (PlannedBatch.Share share : batch.shares()) {
            Product product = Objects.requireNonNull(demands.get(share.demand())).product();
            double ripe = supply.ripeOnAverage(batch.day(), share.cups(), batch.around());
            delivered.merge(share.demand(), share.delivery(), (one, two) -> one.isAfter(two) ? one : two);
            hours.placing(batch.day(), product, ripe).ifPresent(this::add);
            Optional<NucsAndCages.Place> place = NucsAndCages.placeOf(product);
            place.ifPresent(here -> places.days(batch.day(), share.delivery()).forEach(day -> taken
                    .computeIfAbsent(here, _ -> new TreeMap<>()).merge(day, ripe, Double::sum)));
            if (place.equals(Optional.of(NucsAndCages.Place.NUC))) {
                placed += ripe;
                batch.at().forEach(at -> places.days(batch.day(), share.delivery()).forEach(day -> atYards
                        .computeIfAbsent(at.yard(), _ -> new TreeMap<>())
                        .merge(day, ripe * batch.partAt(at.yard()), Double::sum)));
                nucDays += ripe * ChronoUnit.DAYS.between(batch.day().plusDays(brief.ripeAfter()), share.delivery());
            }
        }
    }

    List<Sentence> breaks() {
        List<Sentence> breaks = new ArrayList<>();
        taken.forEach((place, byDay) -> {
            NucsAndCages.Limit limit = new NucsAndCages.Limit(place, Set.of());
            byDay.entrySet().stream().filter(one -> whole(one.getValue()) > places.most(limit, one.getKey()))
                    .max(Map.Entry.comparingByValue())
                    .ifPresent(one -> breaks.add(Sentence.of(switch (place) {
                        case NUC -> "plan.breaks.nucs";
                        case CAGE -> "plan.breaks.cages";
                    }, one.getKey(), whole(one.getValue()), places.most(limit, one.getKey()))));
        });
        brief.means().yards().forEach(yard -> atYards.getOrDefault(yard.id(), Map.of()).entrySet().stream()
                .filter(one -> whole(one.getValue()) > yard.freeNucs(one.getKey()) + HALF_A_CELL_EACH_WAY)
                .max(Map.Entry.comparingByValue())
                .ifPresent(one -> breaks.add(Sentence.of("plan.breaks.yardNucs", one.getKey(), whole(one.getValue()),
                        yard.id(), yard.freeNucs(one.getKey())))));
        minutes.forEach((day, used) -> {
            if (whole(used) > hours.most()) {
                breaks.add(Sentence.of("plan.breaks.hours", day, Math.ceilDiv(whole(used), 60),
                        brief.means().crew().hoursADay()));
            }
        });
        return breaks;
    }

    /**
     * By how much, over all days, more is taken than there is: places, and minutes of work. Other than by hand nothing is planned that
     * needs more on average.
     */
    double beyond() {
        double beyond = 0;
        for (Map.Entry<NucsAndCages.Place, Map<LocalDate, Double>> place : taken.entrySet()) {
            NucsAndCages.Limit limit = new NucsAndCages.Limit(place.getKey(), Set.of());
            beyond += over(place.getValue(), day -> places.most(limit, day));
        }
        for (MatingYard yard : brief.means().yards()) {
            beyond += over(atYards.getOrDefault(yard.id(), Map.of()), day -> yard.freeNucs(day) + HALF_A_CELL_EACH_WAY);
        }
        return beyond + over(minutes, _ -> hours.most());
    }

    private static double over(Map<LocalDate, Double> used, ToIntFunction<LocalDate> most) {
        return used.entrySet().stream().mapToDouble(one -> Math.max(0, one.getValue() - most.applyAsInt(one.getKey())))
                .sum();
    }

    /** Cells are whole, though on average they are not. */
    private static int whole(double average) {
        return (int) Math.floor(average + 1e-6);
    }

    /** Ways to mating yards. */
    List<Trip> trips() {
        return trips;
    }

    /** The most nucs that are taken at a yard on one day. */
    int mostAt(String yard) {
        return whole(atYards.getOrDefault(yard, Map.of()).values().stream().mapToDouble(Double::doubleValue).max()
                .orElse(0));
    }

    /** Nucs times days in which what is grafted stands in them. */
    double nucDays() {
        return nucDays;
    }

    /** Work of all of it. */
    double hours() {
        // half of what a load takes falls on other days than the graft
        long loads = batches.stream().map(one -> Map.entry(one.builder(), one.day())).distinct().count();
        double all = minutes.values().stream().mapToDouble(Double::doubleValue).sum() + loads * WorkTime.LOAD / 2.0
                + placed * WorkTime.VISIT_A_NUC + nucDays * SeasonWorth.USUAL.nucDay();
        return all / 60;
    }
}

package vividcrown.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.demand.Product;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.reason.Sentence;

/**
 * Everything that a season is planned from.
 *
 * @param until the last day that is planned, at most {@link #LONGEST_DAYS} after today
 * @param nucs mating nucs that there are
 * @param busyNucs of these, how many are taken by what is running, by day; the rest of the days none
 * @param cages places in the incubator
 * @param drones none given: drones are taken to be there, and the plan says when their comb must be in
 * @param droneMothers colonies that could be given drone comb
 * @param before grafts of an earlier plan that are not made yet: they are kept where that costs little
 * @param locks grafts that stay as they are
 * @param how how it is grafted; its day is left out of account
 */
public record SeasonBrief(LocalDate today, LocalDate until, List<Demand> demands, List<BreederQueen> breeders,
        List<CellBuilder> builders, int nucs, NucsTaken busyNucs, int cages, List<DroneColony> drones,
        List<DroneMother> droneMothers, Crew crew,
        SeasonRates rates, MatingClimate climate, List<RunningBatch> running, List<BatchLock> before,
        List<BatchLock> locks, GraftPlan how, Assumptions assumptions) {

    public static final int LONGEST_DAYS = 220;

    /** How many nucs are taken on a day by what is running already. */
    @FunctionalInterface
    public interface NucsTaken {
        NucsTaken NONE = _ -> 0;

        int on(LocalDate day);
    }

    public SeasonBrief {
        demands = List.copyOf(demands);
        breeders = List.copyOf(breeders);
        builders = List.copyOf(builders);
        drones = List.copyOf(drones);
        droneMothers = List.copyOf(droneMothers);
        running = List.copyOf(running);
        before = List.copyOf(before);
        locks = List.copyOf(locks);
    }

    /** Whether a builder may take a graft on that day. */
    boolean isGraftDay(LocalDate day) {
        return !day.isBefore(today) && !day.isAfter(until) && crew.works(day)
                && crew.works(day.plusDays(ripeAfter()));
    }

    /** Days from the graft to ripe cells. */
    int ripeAfter() {
        return Backward.fromGraft(Product.RIPE_CELLS, how, assumptions).likelyDay();
    }

    /** Days from the graft to the first flights of its virgins. */
    int flightsAfter() {
        return Backward.fromGraft(Product.VIRGINS, how, assumptions).earliestDay()
                + assumptions.span(Figure.MATING_FLIGHTS).earliestDay();
    }

    SeasonBrief withCrew(Crew other) {
        return new SeasonBrief(today, until, demands, breeders, builders, nucs, busyNucs, cages, drones, droneMothers,
                other,
                rates,
                climate, running, before, locks, how, assumptions);
    }

    SeasonBrief withBuilders(List<CellBuilder> others) {
        return new SeasonBrief(today, until, demands, breeders, others, nucs, busyNucs, cages, drones, droneMothers,
                crew, rates,
                climate, running, before, locks, how, assumptions);
    }

    /**
     * What makes it senseless to plan at all, each with what to change; empty if there is nothing. An order that cannot
     * be met is not among it: the plan says so, and what would help.
     */
    public List<Sentence> faults() {
        List<Sentence> faults = new ArrayList<>();
        if (until.isBefore(today) || until.isAfter(today.plusDays(LONGEST_DAYS))) {
            faults.add(Sentence.of("plan.fault.horizon", today, today.plusDays(LONGEST_DAYS), until));
            return faults;
        }
        if (breeders.isEmpty()) {
            faults.add(Sentence.of("plan.fault.noBreeder"));
        }
        if (builders.isEmpty()) {
            faults.add(Sentence.of("plan.fault.noBuilder"));
        }
        if (today.datesUntil(until.plusDays(1)).noneMatch(this::isGraftDay)) {
            faults.add(Sentence.of("plan.fault.noWorkday", today, until));
        }
        Set<String> ids = new HashSet<>();
        demands.stream().map(Demand::id).filter(id -> !ids.add(id))
                .forEach(id -> faults.add(Sentence.of("plan.fault.twice", id)));
        for (BatchLock lock : locks) {
            lockFault(lock).ifPresent(faults::add);
        }
        return faults;
    }

    private Optional<Sentence> lockFault(BatchLock lock) {
        var builder = builders.stream().filter(one -> one.id().equals(lock.builder())).findFirst();
        if (builder.isEmpty()) {
            return Optional.of(Sentence.of("plan.fault.lockBuilder", lock.builder()));
        }
        CellBuilder there = builder.get();
        // whoever fixes a graft on a day off means to work that day
        if (lock.day().isBefore(today) || lock.day().isAfter(until) || lock.day().isBefore(there.readyFrom())) {
            return Optional.of(Sentence.of("plan.fault.lockDay", lock.builder(), lock.day()));
        }
        if (lock.cups() < 1 || lock.cups() > there.load()) {
            return Optional.of(Sentence.of("plan.fault.lockCups", lock.builder(), there.load(), lock.cups()));
        }
        if (lock.line().isPresent() && breeders.stream().noneMatch(one -> one.line().equals(lock.line().get()))) {
            return Optional.of(Sentence.of("plan.fault.lockLine", lock.builder(), lock.line().get()));
        }
        return locks.stream().filter(other -> other != lock && other.builder().equals(lock.builder()))
                .filter(other -> Math.abs(other.day().toEpochDay() - lock.day().toEpochDay()) < there.rhythm()
                        .daysBetweenLoads())
                .filter(other -> !other.day().isBefore(lock.day())).findFirst()
                .map(other -> Sentence.of("plan.fault.locksOverlap", lock.builder(), lock.day(), other.day(),
                        lock.day().plusDays(there.rhythm().daysBetweenLoads())));
    }
}

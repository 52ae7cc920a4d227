package vividcrown.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.demand.Product;
import vividcrown.core.reason.Sentence;
import vividcrown.core.season.demand.Backward;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;

/**
 * Everything that a season is planned from.
 *
 * @param until the last day that is planned, at most {@link #LONGEST_DAYS} after today
 */
public record SeasonBrief(LocalDate today, LocalDate until, List<Demand> demands, Means means, Drones drones,
        Underway underway, Expectation expected) {

    public static final int LONGEST_DAYS = 220;

    public SeasonBrief {
        demands = List.copyOf(demands);
    }

    /** Whether a builder may take a graft on that day. */
    public boolean isGraftDay(LocalDate day) {
        return !day.isBefore(today) && !day.isAfter(until) && means.crew().works(day)
                && means.crew().works(day.plusDays(ripeAfter()));
    }

    /** Days from the graft to ripe cells. */
    public int ripeAfter() {
        return Backward.fromGraft(Product.RIPE_CELLS, expected.how(), expected.assumptions()).likelyDay();
    }

    /** Days from the graft to the first flights of its virgins. */
    public int flightsAfter() {
        return Backward.fromGraft(Product.VIRGINS, expected.how(), expected.assumptions()).earliestDay()
                + expected.assumptions().span(Figure.MATING_FLIGHTS).earliestDay();
    }

    /** Of these, those for whoever wants mated queens. */
    public List<PlannedBatch.Share> forQueens(List<PlannedBatch.Share> shares) {
        return shares.stream().filter(share -> share.cups() > 0 && demands.stream().anyMatch(
                demand -> demand.id().equals(share.demand()) && SupplyKind.of(demand.product()) == SupplyKind.QUEENS))
                .toList();
    }

    public SeasonBrief with(Means others) {
        return new SeasonBrief(today, until, demands, others, drones, underway, expected);
    }

    public SeasonBrief with(SeasonWorth worth) {
        return new SeasonBrief(today, until, demands, means, drones, underway, expected.with(worth));
    }

    public SeasonBrief withDemands(List<Demand> others) {
        return new SeasonBrief(today, until, others, means, drones, underway, expected);
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
        if (means.breeders().isEmpty()) {
            faults.add(Sentence.of("plan.fault.noBreeder"));
        }
        if (means.builders().isEmpty()) {
            faults.add(Sentence.of("plan.fault.noBuilder"));
        }
        if (today.datesUntil(until.plusDays(1)).noneMatch(this::isGraftDay)) {
            faults.add(Sentence.of("plan.fault.noWorkday", today, until));
        }
        Set<String> ids = new HashSet<>();
        demands.stream().map(Demand::id).filter(id -> !ids.add(id))
                .forEach(id -> faults.add(Sentence.of("plan.fault.twice", id)));
        for (BatchLock lock : underway.locks()) {
            lockFault(lock).ifPresent(faults::add);
        }
        return faults;
    }

    /** @throws IllegalArgumentException with every one of the {@link #faults()} */
    public void refuse() {
        List<Sentence> faults = faults();
        if (!faults.isEmpty()) {
            throw new IllegalArgumentException(
                    faults.stream().map(Sentence::toString).collect(Collectors.joining(" ")));
        }
    }

    private Optional<Sentence> lockFault(BatchLock lock) {
        var builder = means.builders().stream().filter(one -> one.id().equals(lock.builder())).findFirst();
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
        if (lock.line().isPresent()
                && means.breeders().stream().noneMatch(one -> one.line().equals(lock.line().get()))) {
            return Optional.of(Sentence.of("plan.fault.lockLine", lock.builder(), lock.line().get()));
        }
        return underway.locks().stream().filter(other -> other != lock && other.builder().equals(lock.builder()))
                .filter(other -> Math.abs(other.day().toEpochDay() - lock.day().toEpochDay()) < there.rhythm()
                        .daysBetweenLoads())
                .filter(other -> !other.day().isBefore(lock.day())).findFirst()
                .map(other -> Sentence.of("plan.fault.locksOverlap", lock.builder(), lock.day(), other.day(),
                        lock.day().plusDays(there.rhythm().daysBetweenLoads())));
    }
}

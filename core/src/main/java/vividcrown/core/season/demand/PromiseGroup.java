package vividcrown.core.season.demand;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vividcrown.core.demand.Product;
import vividcrown.core.time.DatedSpan;

/**
 * Demands that fall due together and are served from the same batches: their luck is shared, so together they need less
 * than each for itself.
 *
 * @param demands in the order in which they are served
 * @param from the first day on which all of them may be had
 * @param until the last day on which all of them are in time
 */
public record PromiseGroup(List<Demand> demands, LocalDate from, LocalDate until) {

    /** More would tie too much to one batch's luck. */
    private static final int MOST_TOGETHER = 60;

    public PromiseGroup {
        demands = demands.stream().sorted(Comparator.comparingInt(Demand::priority).thenComparing(Demand::until)
                .thenComparing(Demand::id)).toList();
    }

    public Product product() {
        return demands.getFirst().product();
    }

    public Optional<String> line() {
        return demands.getFirst().line();
    }

    public int count() {
        return demands.stream().mapToInt(Demand::count).sum();
    }

    public double assurance() {
        return demands.stream().mapToDouble(Demand::assurance).max().orElseThrow();
    }

    public boolean wants(String demand) {
        return demands.stream().anyMatch(one -> one.id().equals(demand));
    }

    /** What is left of it without one of its demands; empty if that is all of it. */
    public Optional<PromiseGroup> without(String demand) {
        List<Demand> left = demands.stream().filter(one -> !one.id().equals(demand)).toList();
        return left.isEmpty() ? Optional.empty() : Optional.of(new PromiseGroup(left, from, until));
    }

    /** Of its demands, as the caller knows them. */
    public String names() {
        return demands.stream().map(Demand::id).collect(Collectors.joining(", "));
    }

    /** 1 first, 3 last. */
    public int priority() {
        return demands.stream().mapToInt(Demand::priority).min().orElseThrow();
    }

    /**
     * Puts together what is of one kind, one line and one wanted assurance and can be had on the same days.
     *
     * @param today what is overdue is due today
     */
    public static List<PromiseGroup> of(List<Demand> demands, LocalDate today) {
        List<PromiseGroup> groups = new ArrayList<>();
        List<Demand> sorted = demands.stream().sorted(Comparator.comparing(Demand::until).thenComparing(Demand::id))
                .toList();
        for (Demand demand : sorted) {
            int at = 0;
            LocalDate until = demand.until().isBefore(today) ? today : demand.until();
            PromiseGroup alone = new PromiseGroup(List.of(demand), demand.from(), until);
            while (at < groups.size() && !groups.get(at).takes(alone)) {
                at++;
            }
            if (at < groups.size()) {
                groups.set(at, groups.get(at).with(alone));
            } else {
                groups.add(alone);
            }
        }
        return groups;
    }

    private boolean takes(PromiseGroup other) {
        return other.product() == product() && other.line().equals(line()) && other.assurance() == assurance()
                && count() + other.count() <= MOST_TOGETHER
                && DatedSpan.ofClosed(from, until).overlaps(DatedSpan.ofClosed(other.from(), other.until()));
    }

    /** Each of its demands for itself, on its own days. */
    public Stream<PromiseGroup> apart(LocalDate today) {
        return demands.stream().flatMap(one -> of(List.of(one), today).stream());
    }

    /** The same with another demand in the place of the one of that name, if it is among them. */
    public PromiseGroup replacing(Demand other) {
        return new PromiseGroup(demands.stream().map(one -> one.id().equals(other.id()) ? other : one).toList(), from,
                until);
    }

    private PromiseGroup with(PromiseGroup other) {
        List<Demand> all = new ArrayList<>(demands);
        all.addAll(other.demands());
        return new PromiseGroup(all, other.from().isAfter(from) ? other.from() : from,
                other.until().isBefore(until) ? other.until() : until);
    }
}

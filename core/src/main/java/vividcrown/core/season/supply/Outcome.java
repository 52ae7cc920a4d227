package vividcrown.core.season.supply;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.demand.SupplyKind;

/**
 * What comes of grafts and of what is on its way, for each group of demands; what one has over is handed on to its heir.
 * Grafts of one day share its luck, whatever builder they are in.
 */
public final class Outcome {

    private final SeasonBrief brief;
    private final Supply supply;
    private final RunningShares running;
    private final Heirs heirs;
    private final Map<PromiseGroup, Served> served = new LinkedHashMap<>();
    private final List<Sentence> breaks = new ArrayList<>();

    /**
     * @param handed what its giver has over for it
     * @param all together with what is on its way and grafted for it
     * @param delivered the last day of delivery
     */
    public record Served(Yield handed, Yield all, LocalDate delivered, List<Reason> reasons) {
    }

    private record Delivery(LocalDate graft, LocalDate day) implements Comparable<Delivery> {
        @Override
        public int compareTo(Delivery other) {
            return Comparator.comparing(Delivery::graft).thenComparing(Delivery::day).compare(this, other);
        }
    }

    Outcome(SeasonBrief brief, Supply supply, RunningShares running, Heirs heirs) {
        this.brief = brief;
        this.supply = supply;
        this.running = running;
        this.heirs = heirs;
    }

    public static Outcome of(SeasonBrief brief, Supply supply, List<PromiseGroup> groups, RunningShares running,
            List<PlannedBatch> batches) {
        Outcome outcome = new Outcome(brief, supply, running, Heirs.of(groups));
        inOrder(groups).forEach(group -> outcome.serve(group, batches));
        return outcome;
    }

    /** Those that are due first, first: they hand on. */
    public static List<PromiseGroup> inOrder(List<PromiseGroup> groups) {
        return groups.stream().sorted(Comparator.comparing(PromiseGroup::until)).toList();
    }

    /** Serves a group, its giver before it; again, if it was served already. */
    public Served serve(PromiseGroup group, List<PlannedBatch> batches) {
        Map<Delivery, List<Supply.Part>> parts = parts(group, batches);
        LocalDate delivered = parts.keySet().stream().map(Delivery::day).max(LocalDate::compareTo)
                .orElse(group.until());
        List<Reason> reasons = new ArrayList<>();
        Yield handed = handed(group, delivered, reasons);
        Yield all = running.of(group).plus(handed);
        running.shares(group).forEach(share -> reasons.add(Reason.of(Source.derived(
                "what is on its way, by its own losses"), "plan.running", share.alive(), share.batch().id())));
        for (Map.Entry<Delivery, List<Supply.Part>> one : parts.entrySet()) {
            LocalDate graft = one.getKey().graft();
            reasons.addAll(becauseOf(group, graft, one.getValue()));
            if (isInTime(group, graft, one.getKey().day())) {
                all = all.plus(supply.yield(group.product(), graft, one.getKey().day(), one.getValue()));
            }
        }
        Served now = new Served(handed, all, delivered, reasons);
        served.put(group, now);
        return now;
    }

    private Yield handed(PromiseGroup heir, LocalDate delivered, List<Reason> reasons) {
        Optional<PromiseGroup> giver = heirs.giver(heir);
        Optional<Served> before = giver.map(served::get)
                .filter(one -> Heirs.areKept(one.delivered(), delivered));
        if (before.isEmpty()) {
            return Yield.NOTHING;
        }
        Yield over = before.get().all().over(giver.orElseThrow().count());
        if (over.mean() >= 0.5) {
            reasons.add(Reason.of(Source.derived("what is more than they want, by its distribution"), "plan.handedOn",
                    Math.round(over.mean()), giver.orElseThrow().names()));
        }
        return over;
    }

    private Map<Delivery, List<Supply.Part>> parts(PromiseGroup group, List<PlannedBatch> batches) {
        Map<Delivery, List<Supply.Part>> parts = new TreeMap<>();
        for (PlannedBatch batch : batches) {
            for (PlannedBatch.Share share : batch.shares()) {
                if (share.cups() > 0 && group.wants(share.demand())) {
                    LocalDate day = group.product() == Product.RIPE_CELLS
                            ? batch.day().plusDays(brief.ripeAfter())
                            : share.delivery();
                    parts.computeIfAbsent(new Delivery(batch.day(), day), _ -> new ArrayList<>())
                            .addAll(Supply.Part.of(batch, share.cups(), SupplyKind.of(group.product())));
                }
            }
        }
        return parts;
    }

    private List<Reason> becauseOf(PromiseGroup group, LocalDate graft, List<Supply.Part> parts) {
        int cups = parts.stream().mapToInt(Supply.Part::cups).sum();
        double weather = parts.stream()
                .mapToDouble(part -> part.cups() * part.around().get(Circumstance.YARD)
                        .map(yard -> supply.matingWeatherAt(yard, graft))
                        .orElseGet(() -> supply.matingWeather(graft, group.line())))
                .sum() / Math.max(1, cups);
        List<Reason> because = new ArrayList<>();
        because.add(Reason.of(Source.derived("the smallest number that does, by the exact distribution"), "plan.graft",
                cups, graft));
        if (group.product().losses().size() > 3) {
            because.add(Reason.of(Source.derived("chance of two fit afternoons, emergence + 5 to + 21"), "plan.weather",
                    Math.round(weather * 100) + " %"));
        }
        return because;
    }

    private boolean isInTime(PromiseGroup group, LocalDate graft, LocalDate delivery) {
        boolean cells = group.product() == Product.RIPE_CELLS;
        boolean ready = !delivery.isBefore(graft.plusDays(supply.soonest(group.product())));
        boolean wanted = !cells
                || !delivery.isBefore(group.from()) && !delivery.isAfter(group.until().plusDays(14));
        boolean fresh = !delivery.isAfter(graft.plusDays(supply.longest(group.product())));
        if (!ready || !wanted || !fresh) {
            breaks.add(ready
                    ? Sentence.of("plan.breaks.tooOld", graft, group.names(), delivery)
                    : Sentence.of("plan.breaks.notReady", graft, group.names(), delivery,
                            graft.plusDays(supply.soonest(group.product()))));
        }
        return ready && wanted && fresh;
    }

    public Served of(PromiseGroup group) {
        return Objects.requireNonNull(served.get(group));
    }

    /** What its giver has over for it, as things stand. */
    public Yield handedTo(PromiseGroup group) {
        return Objects.requireNonNull(served.get(group)).handed();
    }

    /** Chance of each demand's whole number, by its id. */
    public Map<String, Double> chances() {
        Map<String, Double> chances = new LinkedHashMap<>();
        served.forEach((group, one) -> {
            int upToHere = 0;
            for (Demand demand : group.demands()) {
                upToHere += demand.count();
                chances.put(demand.id(), one.all().atLeast(upToHere));
            }
        });
        return chances;
    }

    public Map<String, List<Reason>> reasons() {
        return served.entrySet().stream().flatMap(one -> one.getKey().demands().stream()
                .map(demand -> Map.entry(demand.id(), one.getValue().reasons())))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    /** Deliveries that come too early or too late for what they are. */
    public List<Sentence> breaks() {
        return List.copyOf(breaks);
    }
}

package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;
import vividcrown.core.season.BatchLock;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.supply.Outcome;
import vividcrown.core.season.supply.Supply;

/**
 * Fits the cups of a plan to what its builders, mothers and people give and to what earlier orders have over: takes away
 * what is too much, and adds, where boxes that are loaded anyway have room, what is wanting. Fixed grafts keep their
 * cups; those for nobody are spare.
 */
final class Fitting {

    /** A graft of the plan before is not made smaller for so few cups. */
    private static final int NOT_WORTH_A_CHANGE = 4;
    /** The same sum in another order. */
    private static final double A_TRIFLE = 1e-6;

    private final SeasonBrief brief;
    private final Supply supply;
    private final Outcome outcome;
    private final Map<String, CellBuilder> builders = new HashMap<>();
    private List<PlannedBatch> batches;

    private Fitting(SeasonBrief brief, Supply supply, Outcome outcome, List<PlannedBatch> batches) {
        this.brief = brief;
        this.supply = supply;
        this.outcome = outcome;
        this.batches = batches;
        brief.means().builders().forEach(one -> builders.put(one.id(), one));
    }

    /** @param aims chance that each group is to be met with; a group without one is left alone */
    static List<PlannedBatch> fit(SeasonBrief brief, Supply supply, Outcome outcome, Map<PromiseGroup, Double> aims,
            List<PlannedBatch> batches) {
        Fitting fitting = new Fitting(brief, supply, outcome, batches);
        Outcome.inOrder(List.copyOf(aims.keySet()))
                .forEach(group -> fitting.fit(group, Objects.requireNonNull(aims.get(group))));
        fitting.keepSizes();
        return fitting.batches.stream().filter(one -> one.cups() > 0).toList();
    }

    private void fit(PromiseGroup group, double aim) {
        if (chance(group, batches) >= aim) {
            batches = fewest(group, aim);
        } else {
            add(group, aim);
        }
        outcome.serve(group, batches);
    }

    private double chance(PromiseGroup group, List<PlannedBatch> with) {
        return outcome.serve(group, with).all().atLeast(group.count());
    }

    private List<PlannedBatch> fewest(PromiseGroup group, double aim) {
        int keeps = 0;
        int fails = batches.stream().mapToInt(one -> cupsFor(group, one)).sum() + 1;
        while (fails - keeps > 1) {
            int middle = (keeps + fails) / 2;
            if (chance(group, without(group, middle)) >= aim) {
                keeps = middle;
            } else {
                fails = middle;
            }
        }
        return without(group, keeps);
    }

    private static int cupsFor(PromiseGroup group, PlannedBatch batch) {
        return batch.shares().stream().filter(share -> group.wants(share.demand()))
                .mapToInt(PlannedBatch.Share::cups).sum();
    }

    /** So many cups fewer for the group, always from the day that has the most, and there from the batch that has the fewest. */
    private List<PlannedBatch> without(PromiseGroup group, int cups) {
        int[] left = batches.stream().mapToInt(one -> cupsFor(group, one)).toArray();
        Map<LocalDate, Integer> ofDay = new HashMap<>();
        for (int at = 0; at < left.length; at++) {
            ofDay.merge(batches.get(at).day(), left[at], Integer::sum);
        }
        List<PlannedBatch> fewer = new ArrayList<>(batches);
        for (int taken = 0; taken < cups; taken++) {
            int at = IntStream.range(0, left.length).filter(one -> left[one] > 0).boxed()
                    .max(Comparator
                            .comparing((Integer one) -> Objects.requireNonNull(ofDay.get(batches.get(one).day())))
                            .thenComparing(one -> -left[one]))
                    .orElseThrow();
            left[at]--;
            ofDay.merge(fewer.get(at).day(), -1, Integer::sum);
            fewer.set(at, resized(fewer.get(at), group, -1));
        }
        return fewer;
    }

    private static Optional<Integer> best(List<PlannedBatch> batches, PromiseGroup group,
            ToIntFunction<PlannedBatch> score) {
        List<Integer> indices = new ArrayList<>();
        for (int index = 0; index < batches.size(); index++) {
            if (cupsFor(group, batches.get(index)) > 0) {
                indices.add(index);
            }
        }
        return indices.stream().max(Comparator.comparingInt(index -> score.applyAsInt(batches.get(index))));
    }

    /** One cup more or fewer, taken from or given to the largest of the group's shares. */
    private static PlannedBatch resized(PlannedBatch batch, PromiseGroup group, int change) {
        List<PlannedBatch.Share> shares = new ArrayList<>(batch.shares());
        PlannedBatch.Share largest = shares.stream().filter(share -> group.wants(share.demand()))
                .max(Comparator.comparingInt(PlannedBatch.Share::cups)).orElseThrow();
        shares.remove(largest);
        if (largest.cups() + change > 0) {
            shares.add(new PlannedBatch.Share(largest.demand(), largest.cups() + change, largest.delivery()));
        }
        boolean fromSpare = change > 0 && batch.spare() > 0;
        return batch.with(batch.locked() || fromSpare ? batch.cups() : batch.cups() + change, shares);
    }

    /** As many cups more as are wanted, or as there is room for in boxes, nucs, cages and hours. */
    private void add(PromiseGroup group, double aim) {
        double beyond = new Workload(brief, supply, batches).beyond();
        List<PlannedBatch> enough = batches;
        List<List<PlannedBatch>> ways = new ArrayList<>();
        while (chance(group, enough) < aim) {
            List<PlannedBatch> now = enough;
            Optional<Integer> at = best(now, group, one -> room(one, now));
            if (at.isEmpty() || room(now.get(at.get()), now) <= 0) {
                break;
            }
            ways.add(now);
            enough = new ArrayList<>(now);
            enough.set(at.get(), resized(now.get(at.get()), group, 1));
        }
        while (!ways.isEmpty() && new Workload(brief, supply, enough).beyond() > beyond + A_TRIFLE) {
            enough = ways.removeLast();
        }
        batches = enough;
    }

    private int room(PlannedBatch batch, List<PlannedBatch> all) {
        if (batch.spare() > 0) {
            return batch.spare();
        }
        int loaded = all.stream().filter(one -> one.builder().equals(batch.builder()) && one.day().equals(batch.day()))
                .mapToInt(PlannedBatch::cups).sum();
        return batch.locked() ? 0 : Objects.requireNonNull(builders.get(batch.builder())).load() - loaded;
    }

    /** A few cups fewer than before are no reason to change what the crew has been told. */
    private void keepSizes() {
        for (int index = 0; index < batches.size(); index++) {
            PlannedBatch batch = batches.get(index);
            boolean alone = batches.stream().filter(one -> one.builder().equals(batch.builder())
                    && one.day().equals(batch.day())).count() == 1;
            Optional<BatchLock> before = brief.underway().before().stream()
                    .filter(one -> one.builder().equals(batch.builder())
                            && one.day().equals(batch.day()))
                    .findFirst();
            if (alone && batch.cups() > 0 && before.isPresent()) {
                int was = before.get().cups();
                boolean fits = was > batch.cups()
                        && was <= Objects.requireNonNull(builders.get(batch.builder())).load();
                if (fits && was - batch.cups() <= NOT_WORTH_A_CHANGE) {
                    batches = new ArrayList<>(batches);
                    batches.set(index, batch.with(was, batch.shares()));
                }
            }
        }
    }
}

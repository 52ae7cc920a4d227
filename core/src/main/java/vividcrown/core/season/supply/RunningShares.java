package vividcrown.core.season.supply;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;

/** Shares what is on its way out over the demands, those due first and of the first priority before the others. */
public final class RunningShares {

    private final Map<PromiseGroup, Yield> given = new HashMap<>();
    private final Map<PromiseGroup, List<Share>> shares = new HashMap<>();

    /** @param alive how many of the batch are set aside */
    public record Share(RunningBatch batch, int alive) {
    }

    public RunningShares(SeasonBrief brief, List<PromiseGroup> groups, Supply supply) {
        List<RunningBatch> batches = brief.underway().running();
        int[] left = batches.stream().mapToInt(RunningBatch::alive).toArray();
        Set<String> wantedLines = groups.stream().flatMap(group -> group.line().stream()).collect(Collectors.toSet());
        // who takes any line leaves those that others ask for by name to the last
        List<Integer> order = IntStream.range(0, batches.size()).boxed().sorted(
                Comparator.comparing(at -> batches.get(at).line().filter(wantedLines::contains).isPresent())).toList();
        groups.stream().sorted(Comparator.comparing(PromiseGroup::until).thenComparing(PromiseGroup::priority))
                .forEach(group -> serve(batches, order, group, supply, left));
    }

    private void serve(List<RunningBatch> batches, List<Integer> order, PromiseGroup group, Supply supply, int[] left) {
        Yield yield = Yield.NOTHING;
        List<Share> taken = new ArrayList<>();
        for (int at : order) {
            RunningBatch batch = batches.get(at);
            boolean ofLine = group.line().isEmpty() || group.line().equals(batch.line());
            Optional<LocalDate> day = supply.handOver(batch, group);
            if (!ofLine || day.isEmpty() || left[at] == 0 || yield.atLeast(group.count()) >= group.assurance()) {
                continue;
            }
            int alive = smallest(taken, batch, left[at], group, supply);
            taken.add(new Share(batch, alive));
            yield = supply.ofRunning(taken, group);
            left[at] -= alive;
        }
        given.put(group, yield);
        shares.put(group, taken);
    }

    /** As many as are needed, or all. */
    private static int smallest(List<Share> before, RunningBatch batch, int there, PromiseGroup group, Supply supply) {
        int tooFew = 0;
        int enough = there;
        while (enough - tooFew > 1) {
            int middle = (tooFew + enough) / 2;
            List<Share> with = new ArrayList<>(before);
            with.add(new Share(batch, middle));
            if (supply.ofRunning(with, group).atLeast(group.count()) >= group.assurance()) {
                enough = middle;
            } else {
                tooFew = middle;
            }
        }
        return enough;
    }

    public Yield of(PromiseGroup group) {
        return Objects.requireNonNull(given.get(group));
    }

    public List<Share> shares(PromiseGroup group) {
        return Objects.requireNonNull(shares.get(group));
    }
}

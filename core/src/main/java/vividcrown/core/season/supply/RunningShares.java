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
        Map<String, Integer> left = new HashMap<>();
        brief.underway().running().forEach(batch -> left.merge(batch.id(), batch.alive(), Integer::sum));
        Set<String> wantedLines = groups.stream().flatMap(group -> group.line().stream()).collect(Collectors.toSet());
        groups.stream().sorted(Comparator.comparing(PromiseGroup::until).thenComparing(PromiseGroup::priority))
                .forEach(group -> serve(brief, group, supply, left, wantedLines));
    }

    /** Who takes any line leaves those that others ask for by name to the last. */
    private void serve(SeasonBrief brief, PromiseGroup group, Supply supply, Map<String, Integer> left,
            Set<String> wantedLines) {
        List<RunningBatch> batches = brief.underway().running().stream()
                .sorted(Comparator.comparing(batch -> batch.line().filter(wantedLines::contains).isPresent())).toList();
        Yield yield = Yield.NOTHING;
        List<Share> taken = new ArrayList<>();
        for (RunningBatch batch : batches) {
            boolean ofLine = group.line().isEmpty() || group.line().equals(batch.line());
            Optional<LocalDate> day = supply.handOver(batch, group);
            int there = left.getOrDefault(batch.id(), 0);
            if (!ofLine || day.isEmpty() || there == 0 || yield.atLeast(group.count()) >= group.assurance()) {
                continue;
            }
            int alive = smallest(yield, batch, there, group, supply, day.get());
            yield = yield.plus(supply.ofRunning(batch, alive, group.product(), day.get()));
            taken.add(new Share(batch, alive));
            left.merge(batch.id(), -alive, Integer::sum);
        }
        given.put(group, yield);
        shares.put(group, taken);
    }

    /** As many as are needed, or all. */
    private static int smallest(Yield before, RunningBatch batch, int there, PromiseGroup group, Supply supply,
            LocalDate day) {
        int tooFew = 0;
        int enough = there;
        while (enough - tooFew > 1) {
            int middle = (tooFew + enough) / 2;
            Yield with = before.plus(supply.ofRunning(batch, middle, group.product(), day));
            if (with.atLeast(group.count()) >= group.assurance()) {
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

package vividcrown.core.season.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import vividcrown.core.season.BatchLock;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;

/** What a plan changes against the one before, so that the crew hears of no more than that. */
final class PlanChanges {

    private PlanChanges() {
    }

    /** @return by day; empty if there was no plan before */
    static List<SeasonPlan.Change> of(SeasonBrief brief, List<PlannedBatch> batches) {
        Map<String, Integer> before = new HashMap<>();
        brief.underway().before()
                .forEach(one -> before.merge(one.day() + " " + one.builder(), one.cups(), Integer::sum));
        Map<String, Integer> now = new LinkedHashMap<>();
        batches.forEach(one -> now.merge(one.day() + " " + one.builder(), one.cups(), Integer::sum));
        List<SeasonPlan.Change> changes = new ArrayList<>();
        if (brief.underway().before().isEmpty()) {
            return changes;
        }
        batches.stream().collect(Collectors.groupingBy(one -> one.day() + " " + one.builder(), LinkedHashMap::new,
                Collectors.toList())).forEach((key, all) -> {
                    PlannedBatch one = all.getFirst();
                    int cups = Objects.requireNonNull(now.get(key));
                    Optional<Integer> was = Optional.ofNullable(before.get(key));
                    if (was.isEmpty()) {
                        changes.add(new SeasonPlan.Change(SeasonPlan.Change.Kind.ADDED, one.day(), one.builder(), cups,
                                was));
                    } else if (was.get() != cups) {
                        changes.add(new SeasonPlan.Change(SeasonPlan.Change.Kind.RESIZED, one.day(), one.builder(),
                                cups, was));
                    }
                });
        Map<String, BatchLock> dropped = new LinkedHashMap<>();
        brief.underway().before().stream().filter(one -> !now.containsKey(one.day() + " " + one.builder()))
                .forEach(one -> dropped.put(one.day() + " " + one.builder(), one));
        dropped.forEach((key, one) -> {
            int cups = Objects.requireNonNull(before.get(key));
            changes.add(new SeasonPlan.Change(SeasonPlan.Change.Kind.DROPPED, one.day(), one.builder(), cups,
                    Optional.of(cups)));
        });
        changes.sort(Comparator.comparing(SeasonPlan.Change::day).thenComparing(SeasonPlan.Change::builder));
        return changes;
    }
}

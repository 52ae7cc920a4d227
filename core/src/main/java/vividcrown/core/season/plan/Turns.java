package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import vividcrown.core.season.CellBuilder;

/**
 * Who of builders that are alike takes which load: whoever took it in the plan before, so that one load more does not move all that come after
 * it to other builders; else whoever has rested longest.
 */
final class Turns {

    private final BuilderRest rest;
    private final Map<LocalDate, Set<String>> before;
    private final Map<String, TreeSet<LocalDate>> loaded = new HashMap<>();

    private Turns(BuilderClass alike, Map<LocalDate, Set<String>> before) {
        this.rest = BuilderRest.of(alike.rhythm());
        this.before = before;
        alike.builders().forEach(one -> loaded.put(one.id(), new TreeSet<>(alike.grafts())));
    }

    /**
     * @param days of the class's loads, one for each, rising; as a class they keep its rests
     * @param before by day, who was loaded in the plan before
     * @return for each load, its builder; each keeps its rests
     */
    static List<CellBuilder> of(BuilderClass alike, List<LocalDate> days, Map<LocalDate, Set<String>> before) {
        Turns turns = new Turns(alike, before);
        List<CellBuilder> taken = new ArrayList<>();
        for (LocalDate day : days) {
            alike.builders().stream().filter(one -> turns.mayTake(one, day))
                    .min(Comparator.comparing((CellBuilder one) -> !turns.wasLoaded(one, day))
                            .thenComparing(one -> turns.isLoadedSoon(one, day))
                            .thenComparing(one -> turns.lastLoad(one)))
                    .ifPresent(one -> {
                        turns.loadsOf(one).add(day);
                        taken.add(one);
                    });
        }
        if (taken.size() == days.size()) {
            return taken;
        }
        // whoever is kept where he was may leave nobody for a later load; in strict turn there always is one
        return IntStream.range(0, days.size()).mapToObj(load -> alike.builders().get(load % alike.count())).toList();
    }

    private TreeSet<LocalDate> loadsOf(CellBuilder builder) {
        return Objects.requireNonNull(loaded.get(builder.id()));
    }

    private boolean mayTake(CellBuilder builder, LocalDate day) {
        return rest.stretches().stream().allMatch(
                stretch -> loadsOf(builder).subSet(stretch.begin(day), true, day, true).size() < stretch.loads());
    }

    private boolean wasLoaded(CellBuilder builder, LocalDate day) {
        return before.getOrDefault(day, Set.of()).contains(builder.id());
    }

    /** In the plan before it is loaded before it could be loaded again. */
    private boolean isLoadedSoon(CellBuilder builder, LocalDate day) {
        return day.plusDays(1).datesUntil(day.plusDays(rest.betweenLoads().days()))
                .anyMatch(soon -> wasLoaded(builder, soon));
    }

    private LocalDate lastLoad(CellBuilder builder) {
        return loadsOf(builder).isEmpty() ? LocalDate.MIN : loadsOf(builder).last();
    }
}

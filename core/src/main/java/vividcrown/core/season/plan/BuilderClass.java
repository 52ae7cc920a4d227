package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToIntFunction;
import vividcrown.core.rearing.BuilderRhythm;
import vividcrown.core.season.CellBuilder;

/**
 * Builders that are alike: the plan decides how many of them are loaded on a day; who takes which is told by {@link Turns}. Taking them in
 * turn keeps each one's days between loads and its rest whenever the class as a whole keeps them: of m builders, every
 * m-th load falls to the same one, and no stretch holds more loads than m times what one may have.
 *
 * @param builders in the order of their turns; at least one
 * @param percent how many virgins a cup in them gives against the usual
 */
record BuilderClass(List<CellBuilder> builders, int percent) {

    private record Alike(Object school, int load, LocalDate ready, List<LocalDate> grafts, int percent, String alone) {
    }

    /**
     * @param alone ids of builders that stand for themselves, because a graft in them is fixed
     * @param percent of each builder, by its id
     */
    static List<BuilderClass> of(List<CellBuilder> builders, Set<String> alone, LocalDate today,
            ToIntFunction<String> percent) {
        Map<Alike, List<CellBuilder>> classes = new LinkedHashMap<>();
        builders.stream().sorted(Comparator.comparing(CellBuilder::id)).forEach(builder -> {
            LocalDate ready = builder.readyFrom().isBefore(today) ? today : builder.readyFrom();
            List<LocalDate> recent = builder.grafts().stream()
                    .filter(day -> day.isAfter(today.minusDays(builder.rhythm().restStretchDays()))).toList();
            classes.computeIfAbsent(
                    new Alike(builder.school(), builder.load(), ready, recent, percent.applyAsInt(builder.id()),
                            alone.contains(builder.id()) ? builder.id() : ""),
                    _ -> new ArrayList<>()).add(builder);
        });
        return classes.entrySet().stream().map(one -> new BuilderClass(one.getValue(), one.getKey().percent()))
                .toList();
    }

    int count() {
        return builders.size();
    }

    int load() {
        return builders.getFirst().load();
    }

    BuilderRhythm rhythm() {
        return builders.getFirst().rhythm();
    }

    LocalDate readyFrom() {
        return builders.getFirst().readyFrom();
    }

    /** Grafts of each of them so far that may still count towards its rest. */
    List<LocalDate> grafts() {
        return builders.getFirst().grafts();
    }

    boolean has(String builder) {
        return builders.stream().anyMatch(one -> one.id().equals(builder));
    }
}

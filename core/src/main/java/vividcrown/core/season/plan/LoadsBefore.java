package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import vividcrown.core.season.SeasonBrief;

/**
 * How many builders of each class the plan before loads on which day: a builder that is given larvae of two lines is loaded once.
 *
 * @param byDay by day and class
 */
record LoadsBefore(Map<LocalDate, Map<Integer, Integer>> byDay) {

    private record Loaded(LocalDate day, String builder) {
    }

    static LoadsBefore of(SeasonBrief brief, List<BuilderClass> classes) {
        Map<LocalDate, Map<Integer, Integer>> byDay = new TreeMap<>();
        brief.underway().before().stream().filter(one -> !one.day().isBefore(brief.today()))
                .map(one -> new Loaded(one.day(), one.builder())).distinct()
                .forEach(one -> IntStream.range(0, classes.size()).filter(at -> classes.get(at).has(one.builder()))
                        .findFirst().ifPresent(at -> byDay.computeIfAbsent(one.day(), _ -> new HashMap<>())
                                .merge(at, 1, Integer::sum)));
        return new LoadsBefore(byDay);
    }

    Map<Integer, Integer> on(LocalDate day) {
        return byDay.getOrDefault(day, Map.of());
    }

    /** What it costs that so many of them, by day and class, are not loaded any more. */
    double notMade(Map<LocalDate, int[]> loads) {
        int missing = 0;
        for (Map.Entry<LocalDate, Map<Integer, Integer>> day : byDay.entrySet()) {
            int[] made = loads.getOrDefault(day.getKey(), new int[0]);
            for (Map.Entry<Integer, Integer> one : day.getValue().entrySet()) {
                missing += Math.max(0, one.getValue() - (one.getKey() < made.length ? made[one.getKey()] : 0));
            }
        }
        return (double) missing * PlanCost.CHANGED_GRAFT;
    }
}

package vividcrown.core.merit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import vividcrown.core.journal.Faults;
import vividcrown.core.reason.Sentence;

/**
 * Which daughters stand in which yard, so that lines can be compared: every line in every yard as evenly as it goes, each yard filled
 * in proportion to its places. A line that stands alone in a yard says nothing.
 *
 * @param byYard how many daughters of each line stand in each yard
 */
public record TestGroups(Map<String, Map<String, Integer>> byYard, List<Sentence> warnings) {

    private static final int LEAST_OF_A_LINE = 3;

    public TestGroups {
        byYard = Map.copyOf(byYard);
        warnings = List.copyOf(warnings);
    }

    /**
     * @param daughters of each line, 0–10,000
     * @param places of each yard, 0–10,000
     * @throws IllegalArgumentException if there are more daughters than places
     */
    public static TestGroups of(Map<String, Integer> daughters, Map<String, Integer> places) {
        int all = daughters.values().stream().mapToInt(Integer::intValue).sum();
        int room = places.values().stream().mapToInt(Integer::intValue).sum();
        new Faults().unless(all <= room, "fault.testPlaces", all, room).unless(!places.isEmpty(), "fault.testYards")
                .refuse();
        Map<String, Integer> left = new TreeMap<>(places);
        Map<String, Map<String, Integer>> byYard = new LinkedHashMap<>();
        left.keySet().forEach(yard -> byYard.put(yard, new TreeMap<>()));
        // the smallest line first: it has the least choice
        List<Map.Entry<String, Integer>> lines = daughters.entrySet().stream().sorted(Map.Entry
                .<String, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey())).toList();
        for (Map.Entry<String, Integer> each : lines) {
            String line = each.getKey();
            for (int daughter = 0; daughter < each.getValue(); daughter++) {
                String yard = left.entrySet().stream().filter(one -> one.getValue() > 0)
                        .min(Comparator.<Map.Entry<String, Integer>>comparingInt(
                                one -> at(byYard, one.getKey()).getOrDefault(line, 0))
                                .thenComparing(one -> -one.getValue()).thenComparing(Map.Entry::getKey))
                        .orElseThrow().getKey();
                at(byYard, yard).merge(line, 1, Integer::sum);
                left.merge(yard, -1, Integer::sum);
            }
        }
        List<Sentence> warnings = new ArrayList<>();
        daughters.forEach((line, many) -> {
            if (many > 0 && many < LEAST_OF_A_LINE) {
                warnings.add(Sentence.of("testGroups.few", line, many, LEAST_OF_A_LINE));
            }
        });
        byYard.forEach((yard, stands) -> {
            if (stands.size() == 1) {
                warnings.add(Sentence.of("testGroups.alone", stands.keySet().iterator().next(), yard));
            }
        });
        return new TestGroups(byYard, warnings);
    }

    private static Map<String, Integer> at(Map<String, Map<String, Integer>> byYard, String yard) {
        return Objects.requireNonNull(byYard.get(yard));
    }
}

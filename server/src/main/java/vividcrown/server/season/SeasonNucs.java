package vividcrown.server.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.queen.Milestone;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.Means;
import vividcrown.server.hive.Hives;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.Queens;
import vividcrown.server.rearing.Graft;
import vividcrown.server.weather.Weathers;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Mating nucs of a season: where they stand, and what they are taken by. */
@Component
class SeasonNucs {

    /** A nuc given a cell is free again when its queen was seen laying at the last first look. */
    private static final int NUC_TAKEN_DAYS = 21;
    private static final int CATCH_WITHIN_DAYS = 7;

    private final Queens queens;
    private final Yards yards;
    private final Weathers weathers;

    SeasonNucs(Queens queens, Yards yards, Weathers weathers) {
        this.queens = queens;
        this.yards = yards;
        this.weathers = weathers;
    }

    /**
     * Nucs that are taken by what runs: cells still on their bars will take one too, but nobody knows yet where.
     *
     * @param atYards of these, those at each yard
     */
    record Taken(Means.NucsTaken all, Map<UUID, Means.NucsTaken> atYards) {
    }

    Taken taken(List<Graft> batches, List<Hives.Stand> stands, Assumptions assumptions, LocalDate day) {
        List<Queen> atWork = queens.atWork().stream().filter(queen -> queen.cage().isEmpty()).toList();
        Map<UUID, UUID> yardOf = stands.stream().collect(Collectors.toMap(Hives.Stand::hive, Hives.Stand::yard));
        Map<UUID, List<Queen>> at = new HashMap<>();
        atWork.forEach(queen -> queen.hiveId().map(yardOf::get)
                .ifPresent(yard -> at.computeIfAbsent(yard, _ -> new ArrayList<>()).add(queen)));
        Means.NucsTaken standing = held(atWork, day);
        Means.NucsTaken toCome = toCome(batches, assumptions);
        Map<UUID, Means.NucsTaken> atYards = new HashMap<>();
        at.forEach((yard, there) -> atYards.put(yard, held(there, day)));
        return new Taken(on -> standing.on(on) + toCome.on(on), atYards);
    }

    /** Nucs that somebody would add stand at the first yard. */
    List<MatingYard> yards(List<Hives.Stand> stands, Taken nucs, int more, LocalDate day) {
        Map<UUID, Long> standing = stands.stream()
                .collect(Collectors.groupingBy(Hives.Stand::yard, Collectors.counting()));
        Map<UUID, Yard> places = yards.byId();
        Map<UUID, String> names = yards.names();
        Optional<Yard> home = yards.home();
        List<MatingYard> all = new ArrayList<>();
        standing.keySet().stream().map(places::get).map(Objects::requireNonNull)
                .sorted(Comparator.comparingInt(Yard::walkOrder).thenComparing(Yard::name))
                .forEach(yard -> all.add(new MatingYard(Objects.requireNonNull(names.get(yard.id())),
                        Objects.requireNonNull(standing.get(yard.id())).intValue() + (all.isEmpty() ? more : 0),
                        nucs.atYards().getOrDefault(yard.id(), Means.NucsTaken.NONE),
                        Optional.of(weathers.at(yard, day.minusDays(SeasonBriefs.DAYS_OF_BATCHES)).asOf(day)),
                        yard.matingLines(),
                        yard.driveMinutesFrom(home.orElse(yard)))));
        return all;
    }

    /** A nuc is taken until its queen was seen laying and caught. */
    private static Means.NucsTaken held(List<Queen> atWork, LocalDate day) {
        TreeMap<LocalDate, Integer> freed = new TreeMap<>();
        for (Queen queen : atWork) {
            var life = queen.life();
            LocalDate free = life.has(Milestone.EGGS_SEEN)
                    ? day.plusDays(CATCH_WITHIN_DAYS)
                    : life.on(Milestone.PLACED_AS_CELL).or(() -> life.on(Milestone.PLACED_AS_VIRGIN)).orElse(day)
                            .plusDays(NUC_TAKEN_DAYS + (long) CATCH_WITHIN_DAYS);
            freed.merge(free.isAfter(day) ? free : day.plusDays(CATCH_WITHIN_DAYS), 1, Integer::sum);
        }
        return on -> atWork.size() - freed.headMap(on, true).values().stream().mapToInt(Integer::intValue).sum();
    }

    private Means.NucsTaken toCome(List<Graft> batches, Assumptions assumptions) {
        int ripe = assumptions.queen().emerges().likelyDay() - 6;
        Map<LocalDate, Integer> toCome = new HashMap<>();
        List<UUID> ids = batches.stream().filter(Graft::grafted).map(Graft::id).toList();
        Map<UUID, Long> onBars = queens.onTheBar(ids).stream()
                .collect(Collectors.groupingBy(queen -> queen.graftId().orElseThrow(), Collectors.counting()));
        batches.stream().filter(graft -> onBars.containsKey(graft.id()))
                .forEach(graft -> toCome.merge(graft.graftDay().plusDays(ripe),
                        Objects.requireNonNull(onBars.get(graft.id())).intValue(),
                        Integer::sum));
        return on -> toCome.entrySet().stream().filter(one -> !on.isBefore(one.getKey())
                && on.isBefore(one.getKey().plusDays(NUC_TAKEN_DAYS + (long) CATCH_WITHIN_DAYS)))
                .mapToInt(Map.Entry::getValue).sum();
    }
}

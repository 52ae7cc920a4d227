package vividcrown.server.lineage;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.Purpose;
import vividcrown.core.lineage.DroneFlight;
import vividcrown.core.lineage.Kinship;
import vividcrown.core.lineage.LineageDeed;
import vividcrown.core.lineage.Mating;
import vividcrown.core.lineage.Pedigree;
import vividcrown.core.queen.Stage;
import vividcrown.core.queen.YearColour;
import vividcrown.core.reason.Sentence;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** The operation's queens by descent: everybody who came out of her cell, and their mothers. */
@Component
class Stocks {

    private static final int MOST_GENERATIONS = 200;

    private final JdbcClient jdbc;
    private final MatingTable matings;
    private final Hives hives;
    private final Yards yards;

    Stocks(JdbcClient jdbc, MatingTable matings, Hives hives, Yards yards) {
        this.jdbc = jdbc;
        this.matings = matings;
        this.hives = hives;
        this.yards = yards;
    }

    /**
     * One queen.
     *
     * @param line effective: her own, or that of the nearest mother who has one
     * @param born year; 0 if nobody knows
     * @param wears the mark she came with
     * @param matingHive the hive from which she mated, as far as is known
     */
    record Bee(UUID id, String code, String name, String line, @Nullable UUID mother, Stage stage, boolean alive,
            boolean breeder, int born, @Nullable YearColour wears, @Nullable UUID hive, @Nullable UUID matingHive) {
        String said() {
            return name.isEmpty() ? code : name;
        }

        Optional<UUID> motherId() {
            return Optional.ofNullable(mother);
        }
    }

    /** As the table has her. */
    private record Row(UUID id, String code, String name, @Nullable String line, @Nullable UUID motherId, String stage,
            boolean alive, boolean breeder, int born, @Nullable YearColour wears, @Nullable UUID hiveId,
            @Nullable UUID matingHiveId) {
    }

    /**
     * @param bees by id
     * @param matings with whom each mated, where it is known or likely
     * @param flags what was put right, or is not known
     */
    record Stock(Map<UUID, Bee> bees, Map<UUID, Mating> matings, Kinship kinship, List<Sentence> flags) {
        Bee bee(UUID id) {
            return Objects.requireNonNull(bees.get(id));
        }

        boolean knows(UUID id) {
            return bees.containsKey(id);
        }
    }

    Stock stock(LocalDate today) {
        Map<UUID, Row> rows = new LinkedHashMap<>();
        jdbc.sql("""
                select id, code, name, line, mother_id, stage, alive, breeder, wears, hive_id, mating_hive_id, born
                  from queen q where stage not in ('GRAFTED', 'TAKEN', 'SEALED', 'NOT_TAKEN', 'CULLED', 'DUD')
                 order by code""").query(Row.class).list().forEach(row -> rows.put(row.id(), row));
        Map<UUID, Bee> bees = new LinkedHashMap<>();
        rows.values().forEach(row -> bees.put(row.id(), bee(row, rows)));
        Map<UUID, Mating> known = matings(bees, today);
        List<Sentence> flags = new ArrayList<>();
        List<Pedigree.Descent> descents = new ArrayList<>();
        bees.values().forEach(bee -> descents.add(new Pedigree.Descent(bee.id().toString(),
                bee.motherId().filter(bees::containsKey).map(UUID::toString),
                Objects.requireNonNull(known.getOrDefault(bee.id(), Mating.UNKNOWN)), born(bee, bees, flags))));
        return new Stock(bees, known, new Kinship(pedigree(descents, known, flags)), flags);
    }

    /**
     * What people stated of one queen after another can contradict itself, however each of them was checked: then the matings are left
     * out, and if that is not enough the mothers, so that somebody sees it and can mend it.
     */
    private static Pedigree pedigree(List<Pedigree.Descent> descents, Map<UUID, Mating> matings, List<Sentence> flags) {
        try {
            return Pedigree.of(descents);
        } catch (IllegalArgumentException contradicts) {
            flags.add(Sentence.of("lineage.flag.contradicts", String.valueOf(contradicts.getMessage())));
            matings.clear();
        }
        try {
            return Pedigree.of(descents.stream().map(one -> one.mated(Mating.UNKNOWN)).toList());
        } catch (IllegalArgumentException contradicts) {
            return Pedigree.of(descents.stream().map(one -> Pedigree.Descent.founder(one.id())).toList());
        }
    }

    /** A year that cannot be is left out rather than have nobody's descent told. */
    private static int born(Bee bee, Map<UUID, Bee> bees, List<Sentence> flags) {
        Optional<Bee> mother = bee.motherId().map(bees::get);
        if (mother.filter(one -> one.born() != 0 && bee.born() != 0 && bee.born() < one.born()).isPresent()) {
            flags.add(Sentence.of("lineage.flag.older", bee.said(), String.valueOf(bee.born()),
                    mother.get().said(), String.valueOf(mother.get().born())));
            return 0;
        }
        return bee.born();
    }

    private static Bee bee(Row row, Map<UUID, Row> rows) {
        Row line = row;
        Set<UUID> seen = new HashSet<>();
        while (line.line() == null && line.motherId() != null && seen.size() < MOST_GENERATIONS
                && seen.add(line.id())) {
            Row mother = rows.get(line.motherId());
            if (mother == null) {
                break;
            }
            line = mother;
        }
        String said = line.line();
        return new Bee(row.id(), row.code(), row.name(),
                said != null ? said : line.name().isEmpty() ? line.code() : line.name(), row.motherId(),
                Stage.valueOf(row.stage()), row.alive(), row.breeder(), row.born(), row.wears(), row.hiveId(),
                row.matingHiveId());
    }

    /** What was said, and for queens of this season that flew what the own drone colonies around make likely. */
    private Map<UUID, Mating> matings(Map<UUID, Bee> bees, LocalDate today) {
        Map<UUID, MatingRow> said = new HashMap<>();
        matings.findAll().forEach(row -> said.put(row.queenId(), row));
        Map<UUID, Mating.Flying> fromYard = flights(bees, today);
        Map<UUID, UUID> yardOf = new HashMap<>();
        hives.findAllById(bees.values().stream().filter(bee -> bee.born() == today.getYear())
                .flatMap(bee -> Optional.ofNullable(bee.matingHive()).stream()).distinct().toList())
                .forEach(hive -> yardOf.put(hive.id(), hive.yardId()));
        Map<UUID, Mating> all = new HashMap<>();
        bees.values().forEach(bee -> {
            MatingRow row = said.get(bee.id());
            if (row != null && row.how() != LineageDeed.How.OPEN && !bees.containsKey(row.droneMother())) {
                return;
            }
            if (row != null && row.how() != LineageDeed.How.OPEN) {
                all.put(bee.id(), row.mating());
            } else if (bee.born() == today.getYear() && bee.matingHive() != null) {
                Mating.Flying flies = fromYard.get(yardOf.get(bee.matingHive()));
                if (flies != null) {
                    all.put(bee.id(), flies);
                }
            }
        });
        return all;
    }

    /** By the yard in which she mates. Only queens of earlier years give drones that mate with this year's. */
    private Map<UUID, Mating.Flying> flights(Map<UUID, Bee> bees, LocalDate today) {
        Map<UUID, Yard> places = yards.byId();
        List<Hive> drones = hives.keptFor(Purpose.DRONE_COLONY);
        Map<UUID, Mating.Flying> all = new HashMap<>();
        places.values().forEach(place -> {
            Map<String, Double> far = new LinkedHashMap<>();
            drones.forEach(hive -> hive.queenId().filter(queen -> isOlder(bees.get(queen), today)).ifPresent(
                    queen -> far.merge(queen.toString(),
                            place.kilometresTo(Objects.requireNonNull(places.get(hive.yardId()))), Math::min)));
            all.put(place.id(), DroneFlight.of(far, DroneFlight.USUAL_STRANGERS, Mating.USUAL_DRONES));
        });
        return all;
    }

    private static boolean isOlder(@Nullable Bee bee, LocalDate today) {
        return bee != null && (bee.born() != 0 ? bee.born() < today.getYear() : bee.mother() == null);
    }
}

package vividcrown.server.files;

import com.fasterxml.uuid.Generators;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import vividcrown.core.hive.Purpose;
import vividcrown.server.csv.CsvRow;
import vividcrown.server.hive.Hive;
import vividcrown.server.queen.Queen;
import vividcrown.server.yard.Yard;

/**
 * What the operation has already, and what the rows of one file bring: yards by name, hives and queens by code. Ids of what is
 * brought follow from the import's and the name, so that the same file sent twice brings it once.
 */
final class ApiaryKnown {

    /** Which kind of thing a row is about. */
    enum Kind {
        YARD, HIVE, QUEEN;

        /** A file without the column is one of queens and nucs. */
        static Optional<Kind> of(CsvRow row) {
            return row.cell("row").isEmpty()
                    ? Optional.of(row.cell("code").isEmpty() ? HIVE : QUEEN)
                    : row.choice("row", values());
        }

        /** The column that names the thing. */
        String named() {
            return switch (this) {
                case YARD -> "yard";
                case HIVE -> "hive";
                case QUEEN -> "code";
            };
        }
    }

    private final UUID importId;
    private final Map<String, Yard> yards;
    private final Map<String, Hive> hives;
    private final Map<String, Queen> queens;
    private final Map<UUID, Integer> lastPosition = new HashMap<>();
    private final Map<Kind, Map<String, Long>> brought = new HashMap<>();

    ApiaryKnown(UUID importId, List<Yard> yards, List<Hive> hives, List<Queen> queens) {
        this.importId = importId;
        this.yards = yards.stream().filter(yard -> yard.closedOn().isEmpty())
                .collect(Collectors.toMap(yard -> lower(yard.name()), yard -> yard, (one, _) -> one));
        this.hives = hives.stream()
                .collect(Collectors.toMap(hive -> lower(hive.code()), hive -> hive, (one, _) -> one));
        this.queens = queens.stream()
                .collect(Collectors.toMap(queen -> lower(queen.code()), queen -> queen, (one, _) -> one));
        hives.forEach(hive -> lastPosition.merge(hive.yardId(), hive.position(), Math::max));
    }

    void bring(Kind kind, String name, long line) {
        brought.computeIfAbsent(kind, _ -> new HashMap<>()).put(lower(name), line);
    }

    /** The line of the file that brings it. */
    Optional<Long> lineOf(Kind kind, String name) {
        return Optional.ofNullable(brought.getOrDefault(kind, Map.of()).get(lower(name)));
    }

    boolean isBrought(Kind kind, String name) {
        return lineOf(kind, name).isPresent();
    }

    boolean isHere(Kind kind, String name) {
        return switch (kind) {
            case YARD -> yards.containsKey(lower(name));
            case HIVE -> hives.containsKey(lower(name));
            case QUEEN -> queens.containsKey(lower(name));
        };
    }

    /** Of what is here, or else of what the file brings. */
    UUID idOf(Kind kind, String name) {
        UUID fresh = id(kind.named() + " " + lower(name));
        return switch (kind) {
            case YARD -> Optional.ofNullable(yards.get(lower(name))).map(Yard::id).orElse(fresh);
            case HIVE -> Optional.ofNullable(hives.get(lower(name))).map(Hive::id).orElse(fresh);
            case QUEEN -> Optional.ofNullable(queens.get(lower(name))).map(Queen::id).orElse(fresh);
        };
    }

    /** Of something that belongs to this import. */
    UUID id(String name) {
        return Generators.nameBasedGenerator(importId).generate(name);
    }

    Optional<LocalDate> setUpOn(String hive) {
        return Optional.ofNullable(hives.get(lower(hive))).map(Hive::setUpOn);
    }

    Optional<Purpose> purposeOf(String hive) {
        return Optional.ofNullable(hives.get(lower(hive))).map(Hive::purpose);
    }

    boolean holdsQueen(String hive) {
        return Optional.ofNullable(hives.get(lower(hive))).flatMap(Hive::queenId).isPresent();
    }

    int nextPosition(UUID yard) {
        return lastPosition.merge(yard, 1, Integer::sum);
    }

    int nextInWalk() {
        return yards.values().stream().mapToInt(Yard::walkOrder).max().orElse(0) + 1;
    }

    String yardNames() {
        return yards.values().stream().map(Yard::name).sorted().collect(Collectors.joining(", "));
    }

    /** Names are the same in capitals and in small letters. */
    static String lower(String text) {
        return text.toLowerCase(Locale.ROOT);
    }
}

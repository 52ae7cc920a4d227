package vividcrown.server.files;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import vividcrown.core.queen.Milestone;
import vividcrown.server.csv.CsvTable;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.QueenView;

/** Cells and queens as CSV (RFC 4180): one row each, days in ISO form, empty where nothing is known. */
final class QueenSheet {

    static final List<String> COLUMNS = List.of("code", "name", "mother", "stage", "hive", "cage", "emergence_year",
            "mark", "grafted_on", "placed_on", "emerged_on", "eggs_seen_on", "sealed_brood_on", "marked_on", "ended_on",
            "cull_reason");

    private QueenSheet() {
    }

    static String write(List<Queen> rows, List<QueenView> views) {
        return CsvTable.write(COLUMNS, IntStream.range(0, rows.size())
                .mapToObj(index -> cells(rows.get(index), views.get(index))).toList());
    }

    private static List<Object> cells(Queen queen, QueenView view) {
        return List.of(queen.code(), queen.name(), or(view.mother()), queen.stage(), or(view.hive()), or(view.cage()),
                view.emergenceYear() == 0 ? "" : view.emergenceYear(), view.mark(), day(queen, Milestone.GRAFTED),
                queen.life().on(Milestone.PLACED_AS_CELL).or(() -> queen.life().on(Milestone.PLACED_AS_VIRGIN))
                        .map(LocalDate::toString).orElse(""),
                day(queen, Milestone.EMERGED_SEEN), day(queen, Milestone.EGGS_SEEN),
                day(queen, Milestone.SEALED_BROOD_SEEN), day(queen, Milestone.MARKED), day(queen, Milestone.ENDED),
                queen.cullReason().map(Enum::name).orElse(""));
    }

    private static Object or(@Nullable Object value) {
        return value == null ? "" : value;
    }

    private static String day(Queen queen, Milestone milestone) {
        return queen.life().on(milestone).map(LocalDate::toString).orElse("");
    }
}

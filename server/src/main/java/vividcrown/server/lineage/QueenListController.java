package vividcrown.server.lineage;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.merit.Merit;
import vividcrown.core.queen.Stage;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;

/** All queens as a list that is narrowed: tens of thousands of them. */
@RestController
class QueenListController {

    private static final int AT_ONCE = 200;
    private static final String LINE = "coalesce(q.line, case when q.mother_id is null"
            + " then coalesce(nullif(q.name, ''), q.code) else coalesce(m.line, nullif(m.name, ''), m.code) end)";

    private static final String MOTHER = " left join queen m on m.id = q.mother_id";
    private static final String HIVE = " left join hive h on h.id = q.hive_id";
    private static final String OUT_OF_HER_CELL = " where q.stage not in ('GRAFTED', 'TAKEN', 'SEALED', 'NOT_TAKEN', 'CULLED', 'DUD')";
    private static final String FOR_SALE = " and q.alive and q.stage = 'JUDGED' and not q.breeder and (q.whereabouts = 'INCUBATOR'"
            + " or h.purpose in ('MATING_NUC', 'MINI_NUC'))"
            + " and not exists (select 1 from order_queen p where p.queen_id = q.id)";

    /** Who is asked for. */
    enum Kept {
        /** Living queens and virgins. */
        LIVING,
        /** Judged sound, in a mating hive or a cage, promised to nobody. */
        FOR_SALE,
        /** Looked at, late, or with drone brood only. */
        LATE, BREEDERS,
        /** Those that are no more, too. */
        ALL
    }

    /**
     * One line of the list.
     *
     * @param born year, left out if nobody knows
     * @param mark colour or number she wears, empty if none
     * @param hive code of the hive she is in, or was last
     * @param mother her mother's code or name
     * @param merit over all traits, in marks; only if it was asked for, and is known
     * @param reliability of it, 0–1
     */
    record ListedQueen(UUID id, String code, String name, String line, String stageText, boolean alive, boolean breeder,
            @Nullable Integer born, String mark, @Nullable String hive, @Nullable String yard, @Nullable Integer cage,
            @Nullable String mother, @Nullable Double merit, @Nullable Double reliability) {
    }

    /**
     * @param queens at most 200 of them, by code
     * @param all how many there are in all that are asked for
     * @param from how many come before these
     */
    record QueenList(List<ListedQueen> queens, int all, int from) {
    }

    /** @param lines that have living queens @param years in which they came out, the newest first */
    record QueenChoices(List<String> lines, List<Integer> years) {
    }

    private record Row(UUID id, String code, String name, String line, String stage, boolean alive, boolean breeder,
            int born, String mark, @Nullable String hive, @Nullable String yard, @Nullable Integer cage,
            @Nullable String mother, int matching) {
    }

    private final JdbcClient jdbc;
    private final Lineages lineages;
    private final Today today;

    QueenListController(JdbcClient jdbc, Lineages lineages, Today today) {
        this.jdbc = jdbc;
        this.lineages = lineages;
        this.today = today;
    }

    @GetMapping("/api/v1/queens/list")
    @Operation(operationId = "queenList", summary = "All queens, narrowed by what is asked, by their codes")
    @Transactional(readOnly = true)
    public QueenList list(@RequestParam(defaultValue = "LIVING") Kept kept,
            @RequestParam(required = false) @Nullable @Size(max = 60) String line,
            @RequestParam(required = false) @Nullable UUID yard,
            @RequestParam(required = false) @Nullable Integer year,
            @RequestParam(required = false) @Nullable UUID mother,
            @RequestParam(required = false) @Nullable Stage stage,
            @RequestParam(required = false) @Nullable @Size(max = 60) String search,
            @RequestParam(required = false) @Nullable @DecimalMin("-5") @DecimalMax("5") Double merit,
            @RequestParam(defaultValue = "false") boolean merits,
            @RequestParam(defaultValue = "0") @Min(0) @Max(1_000_000) int from) {
        StringBuilder where = new StringBuilder(OUT_OF_HER_CELL);
        List<Object> asked = new ArrayList<>();
        where.append(switch (kept) {
            case LIVING -> " and q.alive";
            case FOR_SALE -> FOR_SALE;
            case LATE -> " and q.alive and (q.stage = 'DRONE_LAYER' or exists (select 1 from queen_agenda a"
                    + " where a.queen_id = q.id and a.kind = 'LATE' and ? between a.holds_from and a.holds_until))";
            case BREEDERS -> " and q.alive and q.breeder";
            case ALL -> "";
        });
        if (kept == Kept.LATE) {
            asked.add(today.day());
        }
        narrow(where, asked, " and " + LINE + " = ?", line);
        narrow(where, asked, " and h.yard_id = ? and q.whereabouts = 'HIVE'", yard);
        narrow(where, asked, " and q.born = ?", year);
        narrow(where, asked, " and q.mother_id = ?", mother);
        narrow(where, asked, " and q.stage = ?", stage == null ? null : stage.name());
        narrow(where, asked, " and lower(q.code || ' ' || q.name) like ?", search == null || search.isBlank()
                ? null
                : "%" + search.strip().toLowerCase(Locale.ROOT).replace("%", "").replace("_", "") + "%");
        Optional<Lineages.Known> known = merits || merit != null
                ? Optional.of(lineages.known(today.day()))
                : Optional.empty();
        if (merit != null) {
            where.append(" and q.id = any (?)");
            asked.add(known.orElseThrow().atLeast(merit).toArray(UUID[]::new));
        }
        // only those that are shown are joined with what is told of them
        String found = " from queen q" + (line == null ? "" : MOTHER)
                + (yard == null && kept != Kept.FOR_SALE ? "" : HIVE) + where;
        List<Row> rows = jdbc.sql("select q.id, q.code, q.name, " + LINE + " as line, q.stage, q.alive, q.breeder,"
                + " q.born, q.mark, h.code as hive, y.name as yard, q.cage,"
                + " coalesce(nullif(m.name, ''), m.code) as mother, f.matching from (select q.id, count(*) over () as"
                + " matching" + found + " order by q.code, q.id limit " + AT_ONCE + " offset " + from
                + ") f join queen q on q.id = f.id" + MOTHER + HIVE
                + " left join yard y on y.id = h.yard_id order by q.code, q.id").params(asked).query(Row.class).list();
        int all = rows.isEmpty() && from > 0
                ? jdbc.sql("select count(*)" + found).params(asked).query(Integer.class).single()
                : rows.stream().findFirst().map(Row::matching).orElse(0);
        return new QueenList(rows.stream().map(row -> line(row, known)).toList(), all, from);
    }

    private static void narrow(StringBuilder where, List<Object> asked, String condition, @Nullable Object value) {
        if (value != null) {
            where.append(condition);
            asked.add(value);
        }
    }

    private static ListedQueen line(Row row, Optional<Lineages.Known> known) {
        Optional<Merit.Estimate> merit = known.flatMap(one -> one.together(row.id()));
        return new ListedQueen(row.id(), row.code(), row.name(), row.line(),
                Sentence.of("stage." + row.stage()).toString(), row.alive(), row.breeder(),
                row.born() == 0 ? null : row.born(), row.mark(), row.hive(), row.yard(), row.cage(), row.mother(),
                merit.map(one -> LineageViews.thousandth(one.value())).orElse(null),
                merit.map(one -> LineageViews.thousandth(one.reliability())).orElse(null));
    }

    /** Judged queens at hand that are promised to nobody. */
    int atHand() {
        return jdbc.sql("select count(*) from queen q" + HIVE + OUT_OF_HER_CELL + FOR_SALE).query(Integer.class)
                .single();
    }

    @GetMapping("/api/v1/queens/choices")
    @Operation(operationId = "queenChoices", summary = "By which lines and years the list can be narrowed")
    @Transactional(readOnly = true)
    public QueenChoices choices() {
        String living = " from queen q left join queen m on m.id = q.mother_id where q.alive"
                + " and q.stage not in ('GRAFTED', 'TAKEN', 'SEALED')";
        return new QueenChoices(
                jdbc.sql("select distinct " + LINE + " as line" + living + " order by line").query(String.class).list(),
                jdbc.sql("select distinct q.born" + living + " order by q.born desc").query(Integer.class)
                        .list().stream().filter(year -> year > 0).toList());
    }
}

package vividcrown.journeys;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.zip.GZIPOutputStream;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.brood.BroodProver;
import vividcrown.core.judgement.Judge;
import vividcrown.core.judgement.Season;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Measures, prints, asserts nothing: {@code ./crown bench}. */
@ExtendWith({Application.class, Browser.class})
@EnabledIfSystemProperty(named = "crown.bench", matches = "true")
class Bench {

    private static final int RUNS = 30;

    /** Ten past seasons of 4,000 queens with ten entries each, all ended. */
    private static final String SEASONS = """
            insert into queen (id, operation_id, code, name, graft_id, bar, cup, mother_id, stage, alive, breeder,
                whereabouts, placed_sequence, emergence_year, mark, grafted_on, take_counted_on, placed_as_cell_on,
                emerged_seen_on, eggs_seen_on, sealed_brood_seen_on, ended_on)
            select gen_random_uuid(), g.operation_id, 'old-' || s || '-' || n, '', g.id, 1, 1, g.mother_id, 'TAKEN_OUT',
                false, false, 'ELSEWHERE', 0, 2015 + s, 'WHITE', d, d + 1, d + 10, d + 13, d + 24, d + 33, d + 40
            from generate_series(1, 10) s, generate_series(1, 4000) n,
                lateral (select date '2016-05-01' + (s - 1) * 365 + n % 90 as d) days,
                (select * from graft where operation_id = :operation and code = '26-02') g
            """;
    private static final String ENTRIES = """
            insert into journal_entry (id, operation_id, happened_at, happened_on, zone, recorded_at, recorded_by,
                subject_kind, subject_id, kind, detail)
            select gen_random_uuid(), q.operation_id, q.grafted_on, q.grafted_on, 'Europe/Zurich', q.grafted_on,
                (select id from person where operation_id = :operation limit 1), 'QUEEN', q.id, 'NOTE', '{"text": "."}'
            from queen q, generate_series(1, 10) where q.operation_id = :operation and q.code like 'old-%'
            """;
    private static final String NUCS = """
            insert into nuc (id, operation_id, yard_id, code, position, set_up_on, queen_id, rounds)
            select gen_random_uuid(), :operation, :yard, 'B ' || n, 100 + n, date '2026-05-01', gen_random_uuid(), 1
            from generate_series(1, 400) n
            """;
    private static final String QUEENS = """
            insert into queen (id, operation_id, code, name, graft_id, bar, cup, mother_id, stage, alive, breeder,
                whereabouts, nuc_id, placed_sequence, emergence_year, mark, grafted_on, take_counted_on,
                placed_as_cell_on, emerged_seen_on, eggs_seen_on)
            select n.queen_id, g.operation_id, 'big-' || n.code, '', g.id, 1, 1, g.mother_id,
                case when n.position % 2 = 0 then 'VIRGIN' else 'LAYING' end, true, false, 'NUC', n.id, n.position, 2026,
                '', g.graft_day, g.graft_day + 1, g.graft_day + 10, g.graft_day + 13,
                case when n.position % 2 = 1 then g.graft_day + 25 end
            from nuc n, graft g where n.yard_id = :yard and n.code like 'B %' and g.operation_id = :operation
                and g.code = '26-02'
            """;

    private final Application.Running application;
    private final Browser.Running browser;

    Bench(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @Test
    void measures() {
        Application.Demo demo = application.demo();
        Client owner = application.signedIn(demo.ownerEmail());
        UUID yard = UUID.fromString(owner.get("/api/v1/yards").json().get(2).path("id").asString());
        JdbcClient database = JdbcClient.create(application.context().getBean("ownerDataSource", DataSource.class));
        for (String fill : List.of(SEASONS, ENTRIES, NUCS, QUEENS)) {
            database.sql(fill).param("operation", demo.operation()).param("yard", yard).update();
        }
        database.sql("analyze").update();

        double round = milliseconds(() -> owner.get("/api/v1/round"));
        double roundRows = milliseconds(() -> database.sql("""
                select * from queen where operation_id = :operation and alive and whereabouts in ('NUC', 'INCUBATOR')
                """).param("operation", demo.operation()).query().listOfRows());
        double page = milliseconds(() -> owner.get("/api/v1/yards/" + yard));
        double pageRows = milliseconds(() -> database.sql("""
                select * from nuc n left join queen q on q.id = n.queen_id where n.yard_id = :yard order by n.position
                """).param("yard", yard).query().listOfRows());
        print("database", "%d queens, %d entries", count(database, "queen", demo),
                count(database, "journal_entry", demo));
        print("the round over HTTP", "%.1f ms, its rows by bare SQL %.1f ms, ratio %.1f", round, roundRows,
                round / roundRows);
        print("a yard of 432 nucs over HTTP", "%.1f ms, its rows by bare SQL %.1f ms, ratio %.1f", page, pageRows,
                page / pageRows);
        firstLoad(application.demo());
        reckoning();
    }

    /** One core: the work runs on this thread alone. */
    private static void reckoning() {
        LocalDate day = LocalDate.of(2026, 6, 10);
        List<Reading> readings = List.of(Reading.of(day.minusDays(30), Sign.EGGS),
                Reading.of(day.minusDays(14), Sign.SEALED_WORKER).without(Sign.EGGS),
                Reading.of(day).without(Sign.BROOD, Sign.QUEEN_CELLS));
        Judge judge = new Judge(Assumptions.standard(), Season.NORTHERN);
        int times = 2_000;
        double proof = milliseconds(() -> {
            for (int time = 0; time < times; time++) {
                BroodProver.prove(readings, List.of(), day, Assumptions.standard());
            }
            return readings;
        }) / times;
        double verdict = milliseconds(() -> {
            for (int time = 0; time < times / 20; time++) {
                judge.judge(readings, List.of(), day);
            }
            return readings;
        }) / (times / 20.0);
        print("brood proofs on one core", "%.0f a second, target 10,000, ratio %.1f", 1000 / proof,
                1000 / proof / 10_000);
        print("a judgement over 30 days with three readings", "%.2f ms, target 1 ms", verdict);
    }

    private void firstLoad(Application.Demo demo) {
        Page page = browser.desk();
        List<byte[]> scripts = new ArrayList<>();
        Consumer<Response> counting = response -> {
            if (response.url().endsWith(".js")) {
                scripts.add(response.body());
            }
        };
        page.onResponse(counting);
        Notebook owner = new Notebook(page, application.address()).opensAndSignsIn(demo.ownerEmail());
        owner.stops("CHECK_EMERGENCE").first().waitFor();
        page.waitForTimeout(500);
        page.offResponse(counting);
        int bytes = scripts.stream().mapToInt(Bench::zipped).sum();
        print("scripts of the first load", "%d kB gzip, target 250 kB, ratio %.2f", bytes / 1000, bytes / 250_000.0);
        double usable = milliseconds(() -> {
            page.reload();
            owner.stops("CHECK_EMERGENCE").first().waitFor();
            return page;
        });
        print("reload to a usable round", "%.0f ms", usable);
    }

    /** Median of the runs after three to warm up. */
    private static double milliseconds(Supplier<?> work) {
        List<Long> nanoseconds = new ArrayList<>();
        for (int run = -3; run < RUNS; run++) {
            long start = System.nanoTime();
            work.get();
            if (run >= 0) {
                nanoseconds.add(System.nanoTime() - start);
            }
        }
        return nanoseconds.stream().sorted().skip(RUNS / 2).findFirst().orElseThrow() / 1e6;
    }

    private static int count(JdbcClient database, String table, Application.Demo demo) {
        return database.sql("select count(*) from " + table + " where operation_id = :operation")
                .param("operation", demo.operation()).query(Integer.class).single();
    }

    private static int zipped(byte[] script) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (GZIPOutputStream zip = new GZIPOutputStream(out)) {
            zip.write(script);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.size();
    }

    private static void print(String what, String format, Object... values) {
        System.out.println(what + ": " + String.format(Locale.ROOT, format, values));
    }
}

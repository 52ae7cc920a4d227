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
import vividcrown.server.journal.Deeds;
import vividcrown.server.journal.Rebuild;
import vividcrown.server.journal.TenSeasons;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.Cluster;

/** Measures, prints, asserts nothing: {@code ./crown bench}. */
@ExtendWith({Application.class, Browser.class})
@EnabledIfSystemProperty(named = "crown.bench", matches = "true")
class Bench {

    private static final int RUNS = 20;
    /** A server that has run for a while: what is called often was compiled. What the very first costs is printed beside. */
    private static final int WARMING_UP = 100;

    private final Application.Running application;
    private final Browser.Running browser;

    Bench(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    /** Ten seasons of a large operation: 200,000 queens, 2,000,000 entries, 500 colonies. */
    @Test
    void ten_seasons() {
        Application.Demo demo = application.demo();
        Client owner = application.signedIn(demo.ownerEmail());
        DataSource asOwner = application.context().getBean("ownerDataSource", DataSource.class);
        JdbcClient database = JdbcClient.create(asOwner);
        UUID person = database.sql("select id from person where operation_id = ? order by role desc limit 1")
                .param(demo.operation()).query(UUID.class).single();
        TenSeasons seasons = new TenSeasons(application.context().getBean(Deeds.class), asOwner, demo.operation(),
                person, LocalDate.of(2026, 6, 9));
        double writing = seconds(seasons::write);
        database.sql("analyze").update();
        double rebuild = seconds(() -> {
            application.rebuild(demo.operation());
            return demo;
        });
        database.sql("analyze").update();
        print("ten seasons", "%,d queens, %,d alive, %,d entries; written in %.0f s", count(database, "queen", demo),
                database.sql("select count(*) from queen where operation_id = ? and alive").param(demo.operation())
                        .query(Integer.class).single(),
                count(database, "journal_entry", demo), writing);
        print("rebuild", "%.0f s, target 600 s", rebuild);
        beside("the round", () -> owner.load("/api/v1/round"), () -> database.sql("""
                select * from queen_agenda a join queen q on q.id = a.queen_id left join hive h on h.id = q.hive_id
                where a.operation_id = ? and a.holds_from <= date '2026-06-09' and a.holds_until >= date '2026-06-09'
                    and (a.earliest is null or a.earliest <= date '2026-06-09')""")
                .param(demo.operation()).query().listOfRows());
        beside("a yard of 400 nucs", () -> owner.load("/api/v1/yards/" + seasons.matingYard()), () -> database.sql("""
                select * from hive h left join queen q on q.id = h.queen_id where h.yard_id = ? order by h.position
                """).param(seasons.matingYard()).query().listOfRows());
        beside("queens called X24-1", () -> owner.load("/api/v1/queens?search=X24-1"), () -> database.sql("""
                select * from queen where operation_id = ? and code like 'X24-1%' limit 100""")
                .param(demo.operation()).query().listOfRows());
        beside("the list of queens by three filters",
                () -> owner.load("/api/v1/queens/list?kept=ALL&stage=JUDGED&year=2024&search=X24"),
                () -> database.sql("""
                        select count(*) over (), q.* from queen q where operation_id = ? and stage = 'JUDGED'
                            and extract(year from grafted_on) = 2024 and lower(code || ' ' || name) like '%x24%'
                        order by code limit 200""").param(demo.operation()).query().listOfRows());
        print("lines and mothers", "%.1f ms", milliseconds(() -> owner.load("/api/v1/lines")));
        print("requeening", "%.1f ms", milliseconds(() -> owner.load("/api/v1/requeening")));
        beside("colonies", () -> owner.load("/api/v1/colonies"), () -> database.sql("""
                select * from hive h join colony_day d on d.hive_id = h.id where h.operation_id = ?""")
                .param(demo.operation()).query().listOfRows());
        String colony = owner.get("/api/v1/hives").json().get(0).path("id").asString();
        print("the season", "%.1f ms", milliseconds(() -> owner.load("/api/v1/season")));
        print("a colony's page", "%.1f ms", milliseconds(() -> owner.load("/api/v1/colonies/" + colony)));
        print("grafts", "%.1f ms", milliseconds(() -> owner.load("/api/v1/grafts")));
    }

    private static void beside(String what, Supplier<?> overHttp, Supplier<?> bare) {
        double first = seconds(overHttp) * 1000;
        double http = milliseconds(overHttp);
        double rows = milliseconds(bare);
        print(what, "first %.1f ms, then %.1f ms; its rows by bare SQL %.1f ms, ratio %.1f, target 5", first, http,
                rows,
                http / rows);
    }

    @Test
    void start_up() throws Exception {
        int port = Cluster.freePort();
        long begun = System.nanoTime();
        Process server = Server.start(application.databaseUrl(), port);
        print("start-up to the first answer", "%.1f s", (System.nanoTime() - begun) / 1e9);
        server.destroyForcibly().waitFor();
    }

    @Test
    void first_load() {
        Application.Demo demo = application.demo();
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

    /** One core: the work runs on this thread alone. */
    @Test
    void reckoning() {
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

    private static double seconds(Supplier<?> work) {
        long start = System.nanoTime();
        work.get();
        return (System.nanoTime() - start) / 1e9;
    }

    /** Median of the runs after those to warm up. */
    static double milliseconds(Supplier<?> work) {
        List<Double> all = new ArrayList<>();
        for (int run = -WARMING_UP; run < RUNS; run++) {
            double took = seconds(work);
            if (run >= 0) {
                all.add(took);
            }
        }
        return all.stream().sorted().skip(RUNS / 2).findFirst().orElseThrow() * 1000;
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

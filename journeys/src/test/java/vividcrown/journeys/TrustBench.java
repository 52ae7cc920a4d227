package vividcrown.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.springframework.jdbc.core.simple.JdbcClient;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.Cluster;

/** Measures how it bears many people and many operations: {@code ./crown bench trust}. Prints, asserts only that all was answered. */
@EnabledIfSystemProperty(named = "crown.bench", matches = "true")
class TrustBench {

    private static final int PEOPLE = 50;
    private static final int NUCS = 400;
    private static final int ACTS = 40;
    private static final int SECONDS_BETWEEN = 3;
    private static final int OPERATIONS = Integer.getInteger("crown.operations", 1_000);
    /** How often the record of each operation is there, under ids of its own. */
    private static final int TIMES = Integer.getInteger("crown.times", 25);
    private static final int MOST_ENTRIES = 100_000;
    private static final int AT_ONCE = 50;
    private static final LocalDate DAY = LocalDate.of(2026, 6, 9);
    private static final List<String> HURRY = List.of("max_wal_size = '8GB'", "full_page_writes = off", "fsync = off",
            "autovacuum = off");
    private static final Set<String> NOT_COPIED = Set.of("spring_session", "sign_in_try", "invitation", "known_device",
            "access_event", "season_search", "apiary_import", "archive_upload", "archive_part", "long_job", "training",
            "training_shown");

    private static void print(String words, Object... values) {
        System.out.printf(Locale.ROOT, words + "%n", values);
    }

    /** Each looks at the yard, taps what is seen, and walks on to the next nuc, every few seconds. */
    @Test
    void fifty_people_in_a_yard_of_four_hundred_nucs() throws InterruptedException {
        try (Application.Running application = Application.another()) {
            Application.Demo demo = application.demo();
            Client owner = application.signedIn(demo.ownerEmail());
            StringBuilder csv = new StringBuilder("code,name,yard,hive,stage,year,mark\n");
            for (int nuc = 1; nuc <= NUCS; nuc++) {
                csv.append("N-%d,,High Alp,NA %d,laying,2026,%n".formatted(nuc, nuc));
            }
            String address = "/api/v1/imports/apiary/" + UUID.randomUUID();
            UUID yard = UUID.randomUUID();
            assertThat(owner.tell(DAY, "YARD_OPENED", "yard", yard, "name", "High Alp", "prefix", "NA", "walkOrder", 9,
                    "latitude", 46.4, "longitude", 9.1, "elevationMetres", 1_640, "caution", "").status())
                    .isEqualTo(200);
            owner.put(address, Map.of("csv", csv.toString(), "skipBadRows", false));
            while (!owner.get(address).json().path("ended").asBoolean()) {
                Thread.sleep(200);
            }
            List<UUID> queens = new ArrayList<>();
            owner.get("/api/v1/yards/" + yard).json().path("hives").forEach(hive -> queens
                    .add(UUID.fromString(hive.path("queen").path("id").asString(hive.path("queenId").asString()))));
            assertThat(queens).hasSize(NUCS);
            Queue<Long> looks = new ConcurrentLinkedQueue<>();
            Queue<Long> taps = new ConcurrentLinkedQueue<>();
            Queue<Integer> failed = new ConcurrentLinkedQueue<>();
            List<Thread> people = new ArrayList<>();
            for (int person = 0; person < PEOPLE; person++) {
                Client client = application.signedIn(person % 5 == 0 ? demo.ownerEmail() : demo.crewEmail());
                Random random = new Random(person);
                people.add(Thread.ofVirtual().start(() -> {
                    for (int act = 0; act < ACTS; act++) {
                        Client.pause(random.nextInt(2 * SECONDS_BETWEEN * 1000));
                        boolean look = act % 4 == 0;
                        long begun = System.nanoTime();
                        int status = look
                                ? client.get("/api/v1/yards/" + yard).status()
                                : client.record(Client.sight(queens.get(random.nextInt(NUCS)), DAY, "EGGS")).status();
                        (look ? looks : taps).add(System.nanoTime() - begun);
                        if (status != 200) {
                            failed.add(status);
                        }
                    }
                }));
            }
            for (Thread person : people) {
                person.join();
            }
            print("%d people in a yard of %d nucs, an act every %d s each: looking p50 %.0f ms, p95 %.0f ms; tapping p50 %.0f ms, "
                    + "p95 %.0f ms, at most %.0f ms; target p95 500 ms; %s failed", PEOPLE, NUCS, SECONDS_BETWEEN,
                    part(looks, 0.5),
                    part(looks, 0.95), part(taps, 0.5), part(taps, 0.95), part(taps, 1), failed);
            assertThat(failed).isEmpty();
        }
    }

    private static double part(Queue<Long> times, double part) {
        List<Long> sorted = times.stream().sorted().toList();
        return sorted.get((int) Math.min(sorted.size() - 1, part * sorted.size())) / 1e6;
    }

    /** One database, a thousand operations: what it costs each of them that the others are there. */
    @Test
    void a_thousand_operations_in_one_database() throws IOException, InterruptedException {
        try (Cluster cluster = Cluster.fresh(); Application.Running application = Application.on(cluster.address())) {
            // what is written here in an hour comes in over years; nothing of it need outlive the machine
            for (String hurry : HURRY) {
                cluster.sql("postgres", "alter system set " + hurry);
            }
            cluster.sql("postgres", "select pg_reload_conf()");
            Application.Demo demo = application.demo();
            Client owner = application.signedIn(demo.ownerEmail());
            JdbcClient database = JdbcClient.create(application.context().getBean("ownerDataSource", DataSource.class));
            database.sql("analyze").update();
            double round = Bench.milliseconds(() -> owner.load("/api/v1/round"));
            double tap = Bench
                    .milliseconds(() -> owner.tell(DAY, "HIVE_NOTED", "hive", owner.freeHive(0), "text", "x"));
            long begun = System.nanoTime();
            copies(database, demo.operation());
            double writing = (System.nanoTime() - begun) / 1e9;
            cluster.sql("postgres", "alter system reset all");
            cluster.sql("postgres", "select pg_reload_conf()");
            begun = System.nanoTime();
            database.sql("vacuum analyze").update();
            double vacuum = (System.nanoTime() - begun) / 1e9;
            print("%,d operations, %,d entries, %s; written in %.0f s, vacuumed in %.0f s",
                    database.sql("select count(*) from operation").query(Integer.class).single(),
                    database.sql("select count(*) from journal_entry").query(Long.class).single(),
                    database.sql("select pg_size_pretty(pg_database_size(current_database()))").query(String.class)
                            .single(),
                    writing, vacuum);
            double then = Bench.milliseconds(() -> owner.load("/api/v1/round"));
            double tapThen = Bench
                    .milliseconds(() -> owner.tell(DAY, "HIVE_NOTED", "hive", owner.freeHive(0), "text", "x"));
            print("the round of one: alone %.1f ms, among all %.1f ms, ratio %.2f, target 1.2", round, then,
                    then / round);
            print("a note taken down: alone %.1f ms, among all %.1f ms, ratio %.2f", tap, tapThen, tapThen / tap);
            begun = System.nanoTime();
            Path backup = Files.createTempDirectory("crown-backup").resolve("all.dump");
            CrownScript.Said said = CrownScript.with(cluster.address(), "backup", backup.toString());
            assertThat(said.exit()).as(said.text()).isZero();
            print("the daily backup of all: %.0f s, %,d MB", (System.nanoTime() - begun) / 1e9,
                    Files.size(backup) >> 20);
            Files.delete(backup);
        }
    }

    /** Every row of one operation for each of the others, under ids made of the old ones; the record several times over. */
    private static void copies(JdbcClient database, UUID template) {
        database.sql(
                "insert into operation (id, name, zone, demo_today) select md5(id::text || n)::uuid, name || n, zone, "
                        + "demo_today from operation, generate_series(1, :most) n where id = :one")
                .param("most", OPERATIONS - 1)
                .param("one", template).update();
        List<String> tables = database.sql("""
                select c.table_name from information_schema.columns c join information_schema.tables t
                    on t.table_schema = c.table_schema and t.table_name = c.table_name and t.table_type = 'BASE TABLE'
                where c.table_schema = 'public' and c.column_name = 'operation_id'""").query(String.class).list();
        for (int from = 1; from < OPERATIONS; from += AT_ONCE) {
            int until = Math.min(OPERATIONS - 1, from + AT_ONCE - 1);
            for (String table : tables) {
                if (!NOT_COPIED.contains(table)) {
                    int times = table.startsWith("journal_") ? TIMES : 1;
                    database.sql("set session_replication_role = replica; "
                            + copy(database, table, template, from, until, times)
                            + "; set session_replication_role = default").update();
                }
            }
        }
    }

    private static String copy(JdbcClient database, String table, UUID template, int from, int until, int times) {
        record Column(String name, String type, String generated) {
        }
        List<Column> columns = database.sql("""
                select column_name, data_type, is_generated from information_schema.columns
                where table_schema = 'public' and table_name = ? order by ordinal_position""").param(table)
                .query((row, _) -> new Column(row.getString(1), row.getString(2), row.getString(3))).list().stream()
                .filter(column -> column.generated().equals("NEVER")).toList();
        String names = columns.stream().map(Column::name).collect(Collectors.joining(", "));
        String values = columns.stream().map(column -> switch (column.name()) {
            case "operation_id" -> "md5('%s' || n)::uuid".formatted(template);
            case "email" -> "n || email";
            case "sequence" -> "sequence + (n * %d + k) * %d::bigint".formatted(times, MOST_ENTRIES);
            case "coded_sequence", "calendar_key" -> column.name();
            // entries have ids of their own each time; things are the same ones
            case "entry_id", "corrects" -> "md5(%s::text || n || '-' || k)::uuid".formatted(column.name());
            case "id" -> table.equals("journal_entry")
                    ? "md5(id::text || n || '-' || k)::uuid"
                    : "md5(id::text || n)::uuid";
            default ->
                column.type().equals("uuid") ? "md5(%s::text || n)::uuid".formatted(column.name()) : column.name();
        }).collect(Collectors.joining(", "));
        return "insert into %s (%s) select %s from %s, generate_series(%d, %d) n, generate_series(0, %d) k where operation_id = '%s'"
                .formatted(table, names, values, table, from, until, times - 1, template);
    }
}

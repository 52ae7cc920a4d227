package vividcrown.server.operation;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.Cluster;
import vividcrown.server.support.ComputedRows;

/**
 * Two servers before a PostgreSQL that has a synchronous standby (chapters 27.2.8 and 20.6.2 of its manual). What the primary
 * acknowledged, the standby has.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class SeveralNodesTest {

    private static final LocalDate DAY = LocalDate.of(2026, 6, 9);

    private Cluster primary;
    private Cluster standby;
    private Application.Running one;
    private Application.Running other;
    private Application.Demo demo;

    @BeforeAll
    void start() {
        primary = Cluster.fresh();
        standby = primary.standby();
        one = Application.on(primary.addressWith(standby));
        other = Application.on(primary.addressWith(standby));
        demo = one.demo();
    }

    @AfterAll
    void stop() {
        other.close();
        one.close();
        standby.close();
        primary.close();
    }

    private static Map<String, Object> note(UUID hive, String text) {
        return Client.entry(DAY, Client.deed("HIVE_NOTED", "hive", hive, "text", text));
    }

    @Test
    void sessions_searches_settings_and_jobs_are_the_same_at_both() throws InterruptedException {
        Client owner = one.signedIn(demo.ownerEmail());
        UUID hive = owner.freeHive(0);
        assertThat(owner.at(other.address()).get("/api/v1/session").json().path("name").asString())
                .isEqualTo("Ilva Torrenz");

        Map<String, Object> entry = note(hive, "sent to one, and again to the other");
        assertThat(owner.record(entry).status()).isEqualTo(200);
        assertThat(owner.at(one.address()).record(entry).json().path("known")).hasSize(1);

        String search = owner.post("/api/v1/season/searches", Map.of("seconds", 2)).json().path("id").asString();
        owner.at(other.address());
        JsonNode progress = owner.get("/api/v1/season/searches/" + search).json();
        for (int attempt = 0; attempt < 200 && !progress.path("state").asString().equals("DONE"); attempt++) {
            Thread.sleep(200);
            progress = owner.get("/api/v1/season/searches/" + search).json();
        }
        assertThat(progress.path("plan").path("batches").isEmpty()).as(progress.toString()).isFalse();

        String csv = "code,name,yard,hive,stage,year,mark\nZ-1,,,,laying,2025,\n";
        String address = "/api/v1/imports/apiary/" + UUID.randomUUID();
        assertThat(owner.put(address, Map.of("csv", csv, "skipBadRows", false)).status()).isEqualTo(200);
        owner.at(one.address());
        for (int attempt = 0; attempt < 200 && !owner.get(address).json().path("ended").asBoolean(); attempt++) {
            Thread.sleep(100);
        }
        assertThat(owner.list("/api/v1/queens?search=Z-1")).hasSize(1);

        assertThat(owner.delete("/api/v1/session").status()).isEqualTo(204);
        assertThat(owner.at(other.address()).get("/api/v1/session").status()).as("signed out at both").isEqualTo(401);
    }

    /** Two owners with the codes of two servers, on the first day: a second operation would be a record torn in two. */
    @Test
    void of_two_servers_one_founds() throws Exception {
        String database = Application.freshDatabase();
        try (Application.Running first = Application.unfounded(database);
                Application.Running second = Application.unfounded(database)) {
            List<Callable<Boolean>> both = Stream.of(first, second).<Callable<Boolean>>map(
                    server -> () -> server.context().getBean(Founding.class).foundFirst(UUID.randomUUID(),
                            "Sallow Ridge",
                            "Europe/Zurich", new Founding.Newcomer(UUID.randomUUID(), "Mira",
                                    "mira@%d.invalid".formatted(server.port()), "a long enough one", "OWNER")))
                    .toList();
            List<Boolean> founded = new ArrayList<>();
            try (ExecutorService hands = Executors.newFixedThreadPool(2)) {
                for (Future<Boolean> one : hands.invokeAll(both)) {
                    founded.add(one.get());
                }
            }
            assertThat(founded).containsExactlyInAnyOrder(true, false);
            assertThat(first.context().getBean(Founding.class).operations()).hasSize(1);
        }
    }

    /** Four people record while the primary dies; the standby is promoted, and the servers find it by themselves. */
    @Test
    void what_was_acknowledged_outlives_the_primary() throws InterruptedException {
        UUID hive = one.signedIn(demo.ownerEmail()).freeHive(1);
        Queue<UUID> acknowledged = new ConcurrentLinkedQueue<>();
        Queue<String> odd = new ConcurrentLinkedQueue<>();
        AtomicBoolean over = new AtomicBoolean();
        List<Thread> people = new ArrayList<>();
        for (int person = 0; person < 4; person++) {
            Application.Running first = person % 2 == 0 ? one : other;
            Application.Running second = person % 2 == 0 ? other : one;
            Client client = first.signedIn(person < 2 ? demo.ownerEmail() : demo.crewEmail());
            people.add(Thread.ofPlatform().start(() -> {
                while (!over.get()) {
                    Map<String, Object> entry = note(hive, "on and on");
                    for (int attempt = 0; attempt < 400; attempt++) {
                        int status = client.at(attempt % 2 == 0 ? first.address() : second.address())
                                .recordOverPoorLine(entry, false).status();
                        if (status == 200) {
                            acknowledged.add((UUID) entry.get("id"));
                            break;
                        }
                        if (status != 503) {
                            odd.add("answered with " + status);
                        }
                        Client.pause(100);
                    }
                }
            }));
        }
        waitUntilMoreThan(20, acknowledged);
        primary.kill();
        int before = acknowledged.size();
        standby.promote();
        waitUntilMoreThan(before + 20, acknowledged);
        over.set(true);
        for (Thread person : people) {
            person.join();
        }
        assertThat(odd).isEmpty();
        List<UUID> kept = standby.sql("crown", "select id from journal_entry").stream().map(UUID::fromString).toList();
        assertThat(kept).containsAll(acknowledged).doesNotHaveDuplicates();
        Map<String, List<String>> rows = ComputedRows.of(one, demo.operation());
        assertThat(rows.get("hive")).isNotEmpty();
        assertThat(ComputedRows.of(other, demo.operation())).isEqualTo(rows);
    }

    private static void waitUntilMoreThan(int count, Queue<?> acknowledged) throws InterruptedException {
        for (int attempt = 0; attempt < 1_200 && acknowledged.size() <= count; attempt++) {
            Thread.sleep(50);
        }
        assertThat(acknowledged).hasSizeGreaterThan(count);
    }
}

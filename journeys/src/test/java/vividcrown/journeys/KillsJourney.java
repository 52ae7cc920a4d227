package vividcrown.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import vividcrown.server.journal.Rebuild;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.Cluster;
import vividcrown.server.support.ComputedRows;

/**
 * The application and its database are killed again and again while eight people record. What was acknowledged is there, once, and
 * the rows are those that a rebuild gives. {@code ./crown bench trust} does it two hundred times.
 */
class KillsJourney {

    private static final int KILLS = Integer.getInteger("crown.kills", 4);
    private static final int PEOPLE = 8;
    private static final LocalDate DAY = LocalDate.of(2026, 6, 9);

    private final Random random = new Random(Long.getLong("crown.seed", 1));
    private final Queue<UUID> acknowledged = new ConcurrentLinkedQueue<>();
    private final Queue<String> odd = new ConcurrentLinkedQueue<>();
    private final AtomicBoolean over = new AtomicBoolean();

    @Test
    void nothing_acknowledged_is_lost_or_doubled() throws Exception {
        try (Cluster cluster = Cluster.fresh()) {
            int port = Cluster.freePort();
            Application.Demo demo;
            List<UUID> hives = new ArrayList<>();
            List<UUID> queens = new ArrayList<>();
            List<Client> clients = new ArrayList<>();
            try (Application.Running first = Application.on(cluster.address())) {
                demo = first.demo();
                Client owner = first.signedIn(demo.ownerEmail());
                owner.get("/api/v1/hives").json()
                        .forEach(hive -> hives.add(UUID.fromString(hive.path("id").asString())));
                owner.list("/api/v1/queens?search=26-0")
                        .forEach(queen -> queens.add(UUID.fromString(queen.path("id").asString())));
                for (int person = 0; person < PEOPLE; person++) {
                    clients.add(first.signedIn(person % 2 == 0 ? demo.ownerEmail() : demo.crewEmail()));
                }
            }
            Process server = Server.start(cluster.address(), port, window());
            List<Thread> people = clients.stream()
                    .map(client -> records(client.at("http://127.0.0.1:" + port), hives, queens))
                    .toList();
            for (int kill = 0; kill < KILLS; kill++) {
                Thread.sleep(300 + random.nextInt(1_500));
                int before = acknowledged.size();
                if (kill % 4 != 1) {
                    cluster.kill();
                    cluster.start();
                } else {
                    server.destroyForcibly().waitFor();
                    server = Server.start(cluster.address(), port, window());
                }
                for (int attempt = 0; attempt < 1_200 && acknowledged.size() <= before + PEOPLE; attempt++) {
                    Thread.sleep(50);
                }
                assertThat(acknowledged.size()).as("they go on after kill %d", kill).isGreaterThan(before + PEOPLE);
            }
            over.set(true);
            for (Thread person : people) {
                person.join();
            }
            server.destroyForcibly().waitFor();
            look(cluster, demo);
        }
    }

    /** What the servers say is kept: it tells why, if an answer was odd. */
    private static ProcessBuilder.Redirect window() {
        return ProcessBuilder.Redirect.appendTo(Path.of("target/kills.log").toFile());
    }

    private void look(Cluster cluster, Application.Demo demo) {
        assertThat(odd).as("journeys/target/kills.log has what the servers said").isEmpty();
        List<UUID> kept = cluster.sql("crown", "select id from journal_entry").stream().map(UUID::fromString).toList();
        assertThat(kept).doesNotHaveDuplicates().containsAll(acknowledged);
        try (Application.Running last = Application.on(cluster.address())) {
            ComputedRows.areThoseOfARebuild(last, demo.operation());
        }
        System.out.printf(
                "%d kills while %d people recorded: %,d entries acknowledged, 0 lost, 0 doubled, 0 rows different%n",
                KILLS, PEOPLE, acknowledged.size());
    }

    /** Notes of hives, and what is seen of queens; each entry is sent until it is answered, as a phone does. */
    private Thread records(Client client, List<UUID> hives, List<UUID> queens) {
        Random mine = new Random(random.nextLong());
        return Thread.ofPlatform().start(() -> {
            while (!over.get()) {
                Map<String, Object> entry = mine.nextInt(3) == 0
                        ? Client.sight(queens.get(mine.nextInt(queens.size())), DAY,
                                mine.nextBoolean() ? "EGGS" : "SEALED_WORKER_BROOD")
                        : Client.entry(DAY,
                                Client.deed("HIVE_NOTED", "hive", hives.get(mine.nextInt(hives.size())), "text",
                                        "note " + mine.nextInt()));
                sentUntilAnswered(client, entry);
            }
        });
    }

    private void sentUntilAnswered(Client client, Map<String, Object> entry) {
        for (int attempt = 0; attempt < 3_000; attempt++) {
            int status = client.recordOverPoorLine(entry, true).status();
            if (status == 200) {
                acknowledged.add((UUID) entry.get("id"));
                return;
            }
            if (status == 422) {
                return;
            }
            if (status != 503) {
                odd.add("answered with " + status);
                return;
            }
            Client.pause(100);
        }
        odd.add("an entry never came through");
    }
}

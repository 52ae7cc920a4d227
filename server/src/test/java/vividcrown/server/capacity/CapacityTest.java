package vividcrown.server.capacity;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Strangers cannot burn the machine. */
@ExtendWith(Application.class)
@Isolated("it fills the whole queue, and measures")
class CapacityTest {

    private static final long PATIENCE_MILLISECONDS = 60_000;

    private final Application.Running application;
    private final FairQueue queue;

    CapacityTest(Application.Running application) {
        this.application = application;
        this.queue = application.context().getBean(FairQueue.class);
    }

    /** Orders enough that the search uses up its ten seconds. */
    private static String longSearch() {
        List<String> demands = new ArrayList<>();
        for (int demand = 0; demand < 40; demand++) {
            demands.add("""
                    {"id": "order %d", "product": "MATED_QUEENS", "count": %d, "until": "2026-%02d-%02d"}"""
                    .formatted(demand, 7 + demand % 11, 6 + demand % 3, 3 + demand % 25));
        }
        return """
                {"today": "2026-05-01", "nucs": 150, "breeders": [{"id": "Runa"}, {"id": "Selva"}], "seconds": 10,
                "builders": [{"id": "B 1", "load": 45}, {"id": "B 2", "load": 45}, {"id": "B 3", "load": 30}],
                "demands": [%s]}""".formatted(String.join(",", demands));
    }

    private Socket asking(String body) throws IOException {
        Socket socket = new Socket("127.0.0.1", application.port());
        byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
        OutputStream out = socket.getOutputStream();
        out.write("""
                POST /api/v1/reckon/season-plan HTTP/1.1\r
                Host: 127.0.0.1\r
                Content-Type: application/json\r
                Content-Length: %d\r
                \r
                """.formatted(bytes.length).getBytes(StandardCharsets.UTF_8));
        out.write(bytes);
        out.flush();
        return socket;
    }

    private boolean waitFor(int size) throws InterruptedException {
        long until = System.currentTimeMillis() + PATIENCE_MILLISECONDS;
        while (queue.size() != size && System.currentTimeMillis() < until) {
            Thread.sleep(20);
        }
        return queue.size() == size;
    }

    private double secondsUntilFree(Socket asker, boolean leaves) throws Exception {
        assertThat(waitFor(1)).isTrue();
        long begun = System.nanoTime();
        Thread.sleep(500);
        if (leaves) {
            asker.close();
        }
        assertThat(waitFor(0)).isTrue();
        asker.close();
        return (System.nanoTime() - begun) / 1e9;
    }

    @Test
    void who_leaves_takes_the_reckoning_along() throws Exception {
        assertThat(waitFor(0)).isTrue();
        double waited = secondsUntilFree(asking(longSearch()), false);
        // the same machine, the same search: how fast they are does not matter, only that it was left
        assertThat(secondsUntilFree(asking(longSearch()), true)).as("of %.1f seconds of who waits", waited)
                .isLessThan(0.7 * waited);
        Client.Answer next = new Client(application.address()).post("/api/v1/reckon/season-plan",
                Map.of("today", "2026-05-01", "nucs", 100, "seconds", 1, "breeders", List.of(Map.of("id", "R")),
                        "builders", List.of(Map.of("id", "B 1", "load", 45)), "demands", List.of(Map.of("id", "one",
                                "product", "MATED_QUEENS", "count", 4, "until", "2026-06-20"))));
        assertThat(next.status()).as("what he left is whole: %s", next.text()).isEqualTo(200);
    }

    @Test
    void a_full_queue_refuses_politely_and_the_round_goes_on() throws Exception {
        assertThat(waitFor(0)).isTrue();
        Client owner = application.signedIn(application.demo().ownerEmail());
        List<Socket> askers = new ArrayList<>();
        for (int time = 0; time < FairQueue.MOST_OF_ONE; time++) {
            askers.add(asking(longSearch()));
        }
        assertThat(waitFor(FairQueue.MOST_OF_ONE)).isTrue();
        Client.Answer busy = new Client(application.address()).post("/api/v1/reckon/grafts-needed",
                Map.of("product", "MATED_QUEENS", "wanted", 10));
        assertThat(busy.status()).isEqualTo(503);
        assertThat(busy.findings()).containsExactly("Too much is asked at the moment. Wait a little, then ask again.");
        assertThat(owner.get("/api/v1/round").status()).isEqualTo(200);
        for (Socket asker : askers) {
            asker.close();
        }
        assertThat(waitFor(0)).isTrue();
    }

    /** A single field must not take all memory: 330 million living cells did. */
    @Test
    void every_number_has_a_bound() {
        Client anybody = new Client(application.address());
        Map<String, Object> season = Map.of("today", "2026-05-01", "nucs", 100, "breeders", List.of(Map.of("id", "R")),
                "builders", List.of(Map.of("id", "B 1", "load", 45)), "demands", List.of(), "running",
                List.of(Map.of("id", "26-01", "graftDay", "2026-04-20", "alive", 330_000_000)));
        Client.Answer answer = anybody.post("/api/v1/reckon/season-plan", season);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.findings())
                .containsExactly("running[0].alive must be less than or equal to 1000.");
        Client.Answer faraway = anybody.post("/api/v1/reckon/season-plan", Map.of("today", "2026-05-01", "nucs", 100,
                "breeders", List.of(Map.of("id", "R")), "builders", List.of(Map.of("id", "B 1", "load", 45)), "demands",
                List.of(Map.of("id", "one", "product", "MATED_QUEENS", "count", 4, "until", "9999-06-01"))));
        assertThat(faraway.findings()).containsExactly("9999-06-01 lies more than 2 years from today (2026-05-01). "
                + "Check the year, or leave it out.");
        Client.Answer many = anybody.post("/api/v1/reckon/brood", Map.of("readings",
                Collections.nCopies(201, Map.of("day", "2026-05-01", "seen", List.of("EGGS")))));
        assertThat(many.status()).isEqualTo(422);
    }

    @Test
    void what_is_too_large_is_refused_before_it_is_read() {
        Client anybody = new Client(application.address());
        Client.Answer answer = anybody.post("/api/v1/reckon/brood", Map.of("today", "x".repeat(1_100_000)));
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.findings().getFirst()).contains("1,100 kB are more than the 1,000 kB");
        Client owner = application.signedIn(application.demo().ownerEmail());
        assertThat(owner
                .post("/api/v1/journal", Map.of("entries", List.of(), "id", UUID.randomUUID() + "x".repeat(4_100_000)))
                .status()).isEqualTo(413);
    }
}

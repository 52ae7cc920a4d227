package vividcrown.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.Cluster;

/** A server killed in the middle of the work: what was answered is there, sessions go on. */
@ExtendWith(Application.class)
class KilledServerJourney {

    private final Application.Running application;

    KilledServerJourney(Application.Running application) {
        this.application = application;
    }

    @Test
    void after_a_kill_the_entries_are_there_and_nobody_is_signed_out() throws Exception {
        Application.Demo demo = application.demo();
        int port = Cluster.freePort();
        Process first = Server.start(application.databaseUrl(), port);
        Client owner = new Client("http://127.0.0.1:" + port).signIn(demo.ownerEmail(), "upland valley");
        UUID queen = owner.queenId("26-02-110");
        assertThat(
                owner.tell("QUEEN_NOTED", "queen", queen, "text", "before the kill").status())
                .isEqualTo(200);
        first.destroyForcibly().waitFor(10, TimeUnit.SECONDS);

        Process second = Server.start(application.databaseUrl(), port);
        try {
            assertThat(owner.get("/api/v1/journal?subject=" + queen).text()).contains("before the kill");
        } finally {
            second.destroyForcibly();
        }
    }

    @Test
    void an_import_that_was_cut_short_is_brought_to_its_end() throws Exception {
        Application.Demo demo = application.demo();
        StringBuilder csv = new StringBuilder("code,name,yard,hive,stage,year,mark\n");
        for (int row = 1; row <= 2_000; row++) {
            csv.append("K-").append(row).append(",,,,laying,2025,\n");
        }
        int port = Cluster.freePort();
        Process first = Server.start(application.databaseUrl(), port);
        Client owner = new Client("http://127.0.0.1:" + port).signIn(demo.ownerEmail(), "upland valley");
        String address = "/api/v1/imports/apiary/" + UUID.randomUUID();
        assertThat(owner.put(address, Map.of("csv", csv.toString(), "skipBadRows", false)).json().path("total").asInt())
                .isEqualTo(2_000);
        while (owner.get(address).json().path("done").asInt() == 0) {
            Thread.sleep(20);
        }
        first.destroyForcibly().waitFor(10, TimeUnit.SECONDS);

        Process second = Server.start(application.databaseUrl(), port);
        try {
            JsonNode progress = owner.get(address).json();
            for (int attempt = 0; attempt < 600 && !progress.path("ended").asBoolean(); attempt++) {
                Thread.sleep(200);
                progress = owner.get(address).json();
            }
            assertThat(progress.path("ended").asBoolean()).isTrue();
            assertThat(owner.list("/api/v1/queens?search=K-2000")).hasSize(1);
            assertThat(owner.get("/api/v1/exports/queens.csv").text().lines().filter(line -> line.startsWith("K-")))
                    .hasSize(2_000);
        } finally {
            second.destroyForcibly();
        }
    }
}

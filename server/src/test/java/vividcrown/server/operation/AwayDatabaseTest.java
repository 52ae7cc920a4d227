package vividcrown.server.operation;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.Cluster;

/** The database is stopped, killed and comes back while people are signed in. */
class AwayDatabaseTest {

    @Test
    void while_it_is_away_screens_open_and_nothing_is_lost_and_it_comes_back_by_itself() throws InterruptedException {
        try (Cluster cluster = Cluster.fresh(); Application.Running application = Application.on(cluster.address())) {
            Application.Demo demo = application.demo();
            Client owner = application.signedIn(demo.ownerEmail());
            UUID hive = owner.freeHive(0);
            Map<String, Object> entry = Client.entry(LocalDate.of(2026, 6, 9),
                    Client.deed("HIVE_NOTED", "hive", hive, "text", "kept on the phone meanwhile"));

            assertThat(application.signedIn(demo.ownerEmail()).get("/health/ready").json().path("status").asString())
                    .isEqualTo("UP");

            cluster.stop();
            assertThat(owner.get("/health/live").status()).as("nobody is to start it anew for this").isEqualTo(200);
            assertThat(owner.get("/health/ready").status()).as("a proxy is to send nobody here").isEqualTo(503);
            assertThat(owner.get("/").status()).as("the start page, by somebody signed in").isEqualTo(200);
            assertThat(new Client(application.address()).get("/").status()).isEqualTo(200);
            for (Client.Answer answer : new Client.Answer[]{owner.get("/api/v1/round"), owner.record(entry),
                    owner.get("/api/v1/session"),
                    new Client(application.address()).triesToSignIn(demo.ownerEmail(), "upland valley")}) {
                assertThat(answer.status()).as(answer.text()).isEqualTo(503);
                assertThat(answer.header("Content-Type")).startsWith("application/problem+json");
                assertThat(answer.header("Retry-After")).isEqualTo("5");
                assertThat(answer.json().path("type").asString()).isEqualTo("urn:vividcrown:unavailable");
            }

            cluster.start();
            assertThat(sentUntilTaken(owner, entry)).isEqualTo(200);
            assertThat(owner.get("/health/ready").status()).isEqualTo(200);
            cluster.kill();
            cluster.start();
            assertThat(sentUntilTaken(owner, entry)).as("the same once more").isEqualTo(200);
            assertThat(owner.get("/api/v1/journal?subject=" + hive).text())
                    .containsOnlyOnce("kept on the phone meanwhile");
        }
    }

    private static int sentUntilTaken(Client owner, Map<String, Object> entry) throws InterruptedException {
        Client.Answer answer = owner.record(entry);
        for (int attempt = 0; attempt < 100 && answer.status() == 503; attempt++) {
            Thread.sleep(100);
            answer = owner.record(entry);
        }
        return answer.status();
    }
}

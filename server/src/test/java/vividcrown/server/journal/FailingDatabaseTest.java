package vividcrown.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.server.support.Client.deed;
import static vividcrown.server.support.Client.entry;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import org.springframework.jdbc.core.simple.JdbcClient;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Connections are cut again and again while somebody records. */
@ExtendWith(Application.class)
@Isolated("it cuts the connections of all")
class FailingDatabaseTest {

    private static final int ENTRIES = 20;
    private static final String CUT = """
            select count(pg_terminate_backend(pid)) from pg_stat_activity
            where datname = current_database() and pid <> pg_backend_pid()
            """;

    @Test
    void what_is_sent_until_it_is_answered_is_recorded_once(Application.Running application)
            throws InterruptedException {
        Application.Demo demo = application.demo();
        Client owner = application.signedIn(demo.ownerEmail());
        UUID hive = owner.freeHive(0);
        JdbcClient database = JdbcClient.create(application.context().getBean("ownerDataSource", DataSource.class));
        AtomicBoolean over = new AtomicBoolean();
        Thread cutting = Thread.ofPlatform().start(() -> {
            while (!over.get()) {
                database.sql(CUT).query(Long.class).single();
                Client.pause(400);
            }
        });
        TreeSet<Integer> answers = new TreeSet<>();
        List<UUID> ids = new ArrayList<>();
        try {
            for (int index = 0; index < ENTRIES || !answers.contains(503); index++) {
                Map<String, Object> entry = entry(LocalDate.of(2026, 6, 9),
                        deed("HIVE_NOTED", "hive", hive, "text", "note " + index));
                ids.add((UUID) entry.get("id"));
                int status = 0;
                for (int tries = 0; status != 200; tries++) {
                    assertThat(tries).as("it comes through at last").isLessThan(100);
                    status = sent(owner, entry);
                    answers.add(status);
                }
            }
        } finally {
            over.set(true);
            cutting.join();
        }
        assertThat(answers).as("some of them did fail").containsExactly(200, 503);
        assertThat(database.sql("select id from journal_entry where id in (:ids)").param("ids", ids).query(UUID.class)
                .list()).containsExactlyInAnyOrderElementsOf(ids);
    }

    private static int sent(Client owner, Map<String, Object> entry) {
        Client.Answer answer = owner.recordOverPoorLine(entry, false);
        assertThat(answer.status()).as(answer.text()).isIn(200, 503);
        if (!answer.text().isEmpty() && answer.status() == 503) {
            assertThat(answer.json().path("type").asString()).isEqualTo("urn:vividcrown:unavailable");
            Client.pause(15);
        }
        return answer.status();
    }
}

package vividcrown.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static vividcrown.server.support.Client.deed;
import static vividcrown.server.support.Client.entry;
import static vividcrown.server.support.Client.sight;
import static vividcrown.server.support.Client.withdrawal;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.ComputedRows;

@ExtendWith(Application.class)
class JournalTest {

    private static final LocalDate JUN_9 = LocalDate.of(2026, 6, 9);

    private final Application.Running application;
    private Application.Demo demo;
    private Client owner;

    JournalTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void foundAnOperation() {
        demo = application.demo();
        owner = application.signedIn(demo.ownerEmail());
    }

    private UUID unchecked() {
        for (JsonNode queen : owner.list("/api/v1/queens?search=26-04")) {
            if (queen.path("stage").asString().equals("TAKEN") && queen.path("hive").isString()) {
                return UUID.fromString(queen.path("id").asString());
            }
        }
        throw new IllegalStateException("the demo has cells that nobody looked at");
    }

    private String stage(UUID queen) {
        return owner.get("/api/v1/queens/" + queen).json().path("queen").path("stage").asString();
    }

    @Test
    void the_same_entry_sent_twice_is_recorded_once() {
        UUID queen = unchecked();
        Map<String, Object> entry = sight(queen, JUN_9, "EMERGED");
        assertThat(owner.record(entry).json().path("recorded")).hasSize(1);
        assertThat(owner.record(entry).json().path("recorded")).isEmpty();
        assertThat(stage(queen)).isEqualTo("VIRGIN");
        assertThat(lines(queen, "EMERGED")).hasSize(1);
    }

    @Test
    void a_correction_takes_the_place_and_the_first_entry_stays_readable() {
        UUID queen = unchecked();
        Map<String, Object> wrong = sight(queen, JUN_9, "DUD");
        owner.record(wrong);
        assertThat(stage(queen)).isEqualTo("DUD");
        Map<String, Object> right = new HashMap<>(sight(queen, JUN_9, "EMERGED"));
        right.put("corrects", wrong.get("id"));
        assertThat(owner.record(right).status()).isEqualTo(200);
        assertThat(stage(queen)).isEqualTo("VIRGIN");
        assertThat(lines(queen, "DUD")).singleElement()
                .satisfies(line -> assertThat(line.path("stands").asBoolean()).isFalse());
    }

    @Test
    void a_withdrawal_puts_back_what_was_before() {
        UUID queen = unchecked();
        Map<String, Object> entry = sight(queen, JUN_9, "EMERGED");
        owner.record(entry);
        Map<String, Object> undo = withdrawal(entry, JUN_9);
        owner.record(undo);
        assertThat(stage(queen)).isEqualTo("TAKEN");
    }

    @Test
    void what_lies_ahead_is_refused_with_what_to_change() {
        Client.Answer answer = owner.record(sight(unchecked(), JUN_9.plusDays(1), "EMERGED"));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.findings())
                .containsExactly("2026-06-10 lies ahead; today is 2026-06-09. Change the day to one that has been.");
    }

    @Test
    void everything_wrong_is_said_at_once_and_nothing_is_kept() {
        UUID queen = unchecked();
        Client.Answer answer = owner.record(List.of(sight(queen, JUN_9, "EMERGED"),
                sight(UUID.randomUUID(), JUN_9, "EMERGED"), entry(JUN_9, deed("CELL_CULLED", "queen", queen))), false);
        assertThat(answer.findings()).singleElement().asString().startsWith("reason: ");
        answer = owner.record(List.of(sight(queen, JUN_9.plusDays(1), "EMERGED"),
                sight(UUID.randomUUID(), JUN_9, "EMERGED")), false);
        assertThat(answer.findings()).hasSize(2).anyMatch(text -> text.startsWith("There is no queen with the id"))
                .anyMatch(text -> text.contains("lies ahead"));
        assertThat(stage(queen)).isEqualTo("TAKEN");
    }

    @Test
    void emergence_before_it_can_be_is_refused_first_and_kept_flagged_on_request() {
        UUID queen = unchecked();
        Map<String, Object> early = sight(queen, LocalDate.of(2026, 6, 4), "EMERGED");
        Client.Answer refused = owner.record(early);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.findings())
                .containsExactly("Emerged on Thu 4 June cannot be: the graft was on Mon 25 May, so "
                        + "virgins emerge 5–7 June. Change the day, or correct the graft.");
        assertThat(stage(queen)).isEqualTo("TAKEN");
        assertThat(owner.record(List.of(early), true).status()).isEqualTo(200);
        assertThat(stage(queen)).isEqualTo("VIRGIN");
        assertThat(lines(queen, "EMERGED").getFirst().path("clash").asString()).startsWith("Emerged on Thu 4 June");
    }

    @Test
    void a_hive_that_is_held_takes_no_second_cell_and_a_cell_no_second_hive() {
        UUID hive = owner.freeHive(0);
        UUID first = ripe(0);
        UUID second = ripe(1);
        assertThat(owner.record(placed(first, hive)).status()).isEqualTo(200);
        Client.Answer held = owner.record(placed(second, hive));
        assertThat(held.status()).isEqualTo(409);
        assertThat(held.findings().getFirst()).contains("already holds").contains("Choose a free hive");
        Client.Answer twice = owner.record(placed(first, owner.freeHive(0)));
        assertThat(twice.findings()).containsExactly(
                "This cell is already in another hive. Choose another cell, or correct the earlier placing.");
    }

    @Test
    void a_cup_that_is_not_there_is_refused() {
        assertThat(owner.record(
                entry(JUN_9, deed("TAKE_COUNTED", "graft", UUID.randomUUID(), "took", List.of(UUID.randomUUID()))))
                .status()).isEqualTo(422);
    }

    @Test
    void two_people_at_one_nuc_at_the_same_time_are_both_recorded() {
        UUID queen = unchecked();
        Client crew = application.signedIn(demo.crewEmail());
        CompletableFuture<Client.Answer> one = CompletableFuture
                .supplyAsync(() -> owner.record(sight(queen, JUN_9, "EMERGED")));
        CompletableFuture<Client.Answer> other = CompletableFuture
                .supplyAsync(() -> crew.record(sight(queen, JUN_9, "DUD")));
        List<Integer> answers = List.of(one.join().status(), other.join().status());
        // Whoever comes second is told; one of the two is in, none is lost without a word.
        assertThat(answers).containsExactlyInAnyOrder(200, 409);
    }

    @Test
    void the_journal_refuses_to_be_changed_even_by_the_owner_of_the_database() {
        JdbcClient database = application.context().getBean(JdbcClient.class);
        CurrentOperation.in(demo.operation(), () -> {
            assertThatThrownBy(() -> database.sql("update journal_entry set kind = 'DEAD'").update())
                    .rootCause().hasMessageContaining("permission denied");
            return demo;
        });
        JdbcClient ownerOfDatabase = JdbcClient
                .create(application.context().getBean("ownerDataSource", DataSource.class));
        assertThatThrownBy(() -> ownerOfDatabase.sql("delete from journal_entry").update())
                .rootCause().hasMessageContaining("The journal is append only");
    }

    @Test
    void a_rebuild_makes_the_very_same_rows() {
        UUID hive = owner.freeHive(0);
        owner.record(placed(ripe(0), hive));
        owner.record(List.of(placed(ripe(0), hive)), true);
        owner.record(List.of(sight(unchecked(), LocalDate.of(2026, 6, 4), "EMERGED")), true);
        promisesAQueen();
        Map<String, List<String>> before = ComputedRows.of(application, demo.operation());
        assertThat(before.get("contradiction")).hasSize(2);
        application.rebuild(demo.operation());
        Map<String, List<String>> after = ComputedRows.of(application, demo.operation());
        before.forEach((table, rows) -> assertThat(after.get(table)).as(table).containsExactlyElementsOf(rows));
    }

    private void promisesAQueen() {
        String order = owner.list("/api/v1/orders").get(0).path("id").asString();
        String queen = owner.get("/api/v1/orders/free-queens").json().get(0).path("id").asString();
        assertThat(owner.tell("QUEENS_PROMISED", "order", order, "promised", List.of(queen)).status()).isEqualTo(200);
    }

    /** A ripe cell of graft 26-05 that still hangs on its bar. */
    private UUID ripe(int index) {
        UUID graft = null;
        for (JsonNode line : owner.list("/api/v1/grafts")) {
            if (line.path("code").asString().equals("26-05")) {
                graft = UUID.fromString(line.path("id").asString());
            }
        }
        List<UUID> cells = new ArrayList<>();
        for (JsonNode cup : owner.get("/api/v1/grafts/" + graft).json().path("cups")) {
            if (cup.path("stage").asString().equals("TAKEN") && !cup.path("hive").isString()) {
                cells.add(UUID.fromString(cup.path("id").asString()));
            }
        }
        return cells.get(index);
    }

    private static Map<String, Object> placed(UUID cell, UUID hive) {
        return entry(JUN_9, deed("QUEEN_PLACED", "queen", cell, "hive", hive, "given", "CELL", "besideAnother", false));
    }

    private List<JsonNode> lines(UUID queen, String sight) {
        List<JsonNode> lines = new ArrayList<>();
        for (JsonNode line : owner.list("/api/v1/journal?subject=" + queen)) {
            if (line.path("deed").path("sight").asString().equals(sight)) {
                lines.add(line);
            }
        }
        return lines;
    }
}

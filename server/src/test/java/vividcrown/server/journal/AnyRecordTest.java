package vividcrown.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.server.support.Client.deed;
import static vividcrown.server.support.Client.entry;
import static vividcrown.server.support.Client.sight;
import static vividcrown.server.support.Client.withdrawal;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.ComputedRows;
import vividcrown.server.support.RandomDeeds;

/** Whatever is in the record and however it came there: the rows follow from it alone, and nothing is lost. */
@ExtendWith(Application.class)
class AnyRecordTest {

    private static final int ENTRIES = 400;

    private final Application.Running application;
    private final Deeds deeds;

    AnyRecordTest(Application.Running application) {
        this.application = application;
        this.deeds = application.context().getBean(Deeds.class);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void deeds_of_every_kind_in_any_order_give_the_rows_that_a_rebuild_gives(long seed) {
        Application.Demo demo = application.demo();
        Client owner = application.signedIn(demo.ownerEmail());
        RandomDeeds any = new RandomDeeds(application, demo.operation(), seed);
        List<DeedKind<?>> kinds = deeds.kinds().stream().filter(kind -> !kind.name().equals(Deeds.WITHDRAWN)).toList();
        List<Map<String, Object>> kept = new ArrayList<>();
        TreeSet<String> ofKinds = new TreeSet<>();
        for (int index = 0; index < ENTRIES; index++) {
            DeedKind<?> kind = kinds.get(index % kinds.size());
            Map<String, Object> entry = kept.isEmpty() || index % 7 != 0
                    ? entry(any.day(), any.deed(kind.name(), kind.type()))
                    : withdrawal(any.any(kept), any.day());
            Client.Answer answer = owner.record(List.of(entry), true);
            assertThat(answer.status()).as("%s: %s", entry, answer.text()).isIn(200, 403, 422);
            if (answer.status() == 200) {
                kept.add(entry);
                ofKinds.add(String.valueOf(((Map<?, ?>) entry.get("deed")).get("kind")));
            }
        }
        assertThat(ofKinds).as("most kinds went in").hasSizeGreaterThan(25);
        ComputedRows.areThoseOfARebuild(application, demo.operation());
        assertThat(owner.get("/api/v1/round").status()).isEqualTo(200);
        assertThat(owner.get("/api/v1/colonies").status()).isEqualTo(200);
        assertThat(owner.get("/api/v1/season").status()).isEqualTo(200);
        assertThat(journal(demo)).as("nothing is lost").containsAll(kept.stream()
                .map(entry -> (UUID) entry.get("id")).toList());
    }

    private List<UUID> journal(Application.Demo demo) {
        JdbcClient database = application.context().getBean(JdbcClient.class);
        return CurrentOperation.in(demo.operation(),
                () -> database.sql("select id from journal_entry").query(UUID.class).list());
    }

    /** Two phones that were out of reach: what they bring is the same, whichever comes back first. */
    @Test
    void two_phones_in_any_order_leave_the_same_queens_and_the_same_contradictions() {
        List<Map<String, String>> ends = new ArrayList<>();
        for (int way = 0; way < 4; way++) {
            Application.Demo demo = application.demo();
            Client ilva = application.signedIn(demo.ownerEmail());
            Client jory = application.signedIn(demo.crewEmail());
            List<UUID> cells = ripe(ilva);
            UUID hive = ilva.freeHive(0);
            UUID other = ilva.freeHive(1);
            LocalDate day = LocalDate.of(2026, 6, 6);
            List<Map<String, Object>> first = List.of(placed(cells.get(0), hive, day),
                    sight(cells.get(0), day.plusDays(2), "DUD"), placed(cells.get(2), other, day.plusDays(1)));
            List<Map<String, Object>> second = List.of(placed(cells.get(1), hive, day.plusDays(1)),
                    sight(cells.get(0), day.plusDays(1), "EMERGED"), placed(cells.get(0), other, day.plusDays(3)));
            List<Map<String, Object>> all = Stream.concat(first.stream(), second.stream()).toList();
            switch (way) {
                case 0 -> {
                    send(ilva, first);
                    send(jory, second);
                }
                case 1 -> {
                    send(jory, second);
                    send(ilva, first);
                }
                case 2 -> {
                    for (int index = 0; index < first.size(); index++) {
                        send(jory, List.of(second.get(index)));
                        send(ilva, List.of(first.get(index)));
                    }
                }
                default -> CompletableFuture.allOf(CompletableFuture.runAsync(() -> send(ilva, first)),
                        CompletableFuture.runAsync(() -> send(jory, second))).join();
            }
            assertThat(journal(demo)).containsAll(all.stream().map(entry -> (UUID) entry.get("id")).toList());
            ends.add(end(ilva, cells, demo));
        }
        assertThat(ends.getFirst().get("contradictions")).isNotEqualTo("0");
        assertThat(ends).allSatisfy(end -> assertThat(end).isEqualTo(ends.getFirst()));
    }

    private static void send(Client phone, List<Map<String, Object>> entries) {
        Client.Answer answer = phone.record(entries, true);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    private Map<String, String> end(Client owner, List<UUID> cells, Application.Demo demo) {
        Map<String, String> end = new TreeMap<>();
        for (int index = 0; index < 3; index++) {
            JsonNode queen = owner.get("/api/v1/queens/" + cells.get(index)).json().path("queen");
            end.put("cell " + index, queen.path("stage").asString() + " " + queen.path("hiveCode").asString("")
                    + queen.path("place").asString(""));
        }
        end.put("contradictions",
                String.valueOf(ComputedRows.of(application, demo.operation()).get("contradiction").size()));
        return end;
    }

    private static Map<String, Object> placed(UUID cell, UUID hive, LocalDate day) {
        return entry(day, deed("QUEEN_PLACED", "queen", cell, "hive", hive, "given", "CELL", "besideAnother", false));
    }

    /** Ripe cells of graft 26-05 that still hang on their bar. */
    private static List<UUID> ripe(Client owner) {
        String graft = owner.list("/api/v1/grafts").valueStream()
                .filter(line -> line.path("code").asString().equals("26-05")).findFirst().orElseThrow().path("id")
                .asString();
        return owner.get("/api/v1/grafts/" + graft).json().path("cups").valueStream()
                .filter(cup -> cup.path("stage").asString().equals("TAKEN") && !cup.path("hive").isString())
                .map(cup -> UUID.fromString(cup.path("id").asString())).toList();
    }
}

package vividcrown.server.demand;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
class OrderTest {

    private final Application.Running application;
    private Application.Demo demo;
    private Client owner;

    OrderTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = application.signedIn(demo.ownerEmail());
    }

    private static Map<String, Object> order(int count, String from, String until) {
        return new HashMap<>(
                Map.of("customer", "Fell Side", "ownNeed", false, "product", "MATED_QUEENS", "count", count,
                        "from", from, "until", until, "priority", 2));
    }

    private JsonNode line(String id) {
        for (JsonNode line : owner.list("/api/v1/orders")) {
            if (line.path("id").asString().equals(id)) {
                return line;
            }
        }
        throw new AssertionError("no order " + id);
    }

    private String takes(int count) {
        UUID id = UUID.randomUUID();
        Client.Answer taken = takes(owner, id, order(count, "2026-06-20", "2026-06-25"));
        assertThat(taken.status()).as(taken.text()).isEqualTo(200);
        return id.toString();
    }

    private static Client.Answer takes(Client client, UUID id, Map<String, Object> terms) {
        return client.tell("ORDER_TAKEN", "order", id, "code", "", "terms", terms);
    }

    private List<String> free(int count) {
        List<String> ids = new ArrayList<>();
        owner.get("/api/v1/orders/free-queens").json().forEach(one -> ids.add(one.path("id").asString()));
        return ids.subList(0, count);
    }

    @Test
    void an_order_goes_from_asked_to_delivered_and_its_queens_leave_their_nucs() {
        String id = takes(2);
        assertThat(line(id).path("state").asString()).isEqualTo("ASKED");
        assertThat(line(id).path("code").asString()).startsWith("Q26-");
        owner.tell("ORDER_MOVED_ON", "order", id, "state", "PROMISED");
        List<String> two = free(2);
        assertThat(owner.tell("QUEENS_PROMISED", "order", id, "promised", two).status()).isEqualTo(200);
        assertThat(line(id).path("promised")).hasSize(2);
        assertThat(line(id).path("left").asInt()).isZero();
        assertThat(free(1)).doesNotContainAnyElementsOf(two);
        assertThat(owner.tell("ORDER_DELIVERED", "order", id, "queens", two, "count", 2, "complete", false).status())
                .isEqualTo(200);
        assertThat(line(id).path("state").asString()).isEqualTo("DELIVERED");
        JsonNode queen = owner.get("/api/v1/queens/" + two.getFirst()).json().path("queen");
        assertThat(queen.path("stage").asString()).isEqualTo("TAKEN_OUT");
    }

    @Test
    void a_queen_whose_brood_was_not_judged_is_not_handed_over_as_judged() {
        UUID id = UUID.randomUUID();
        Map<String, Object> terms = order(1, "2026-06-09", "2026-06-25");
        terms.put("product", "JUDGED_QUEENS");
        assertThat(takes(owner, id, terms).status()).isEqualTo(200);
        String unjudged = owner.get("/api/v1/orders/free-queens").json().valueStream()
                .filter(one -> one.path("stage").asString().equals("LAYING")).findFirst().orElseThrow().path("id")
                .asString();
        owner.tell("ORDER_MOVED_ON", "order", id, "state", "PROMISED");
        assertThat(
                owner.tell("QUEENS_PROMISED", "order", id, "promised", List.of(unjudged), "letGo", List.of()).status())
                .isEqualTo(200);
        Client.Answer handed = owner.tell("ORDER_DELIVERED", "order", id, "count", 1, "queens", List.of(unjudged),
                "complete", false);
        assertThat(handed.status()).isEqualTo(422);
        assertThat(handed.text()).contains("is not judged");
    }

    @Test
    void a_queen_is_promised_to_one_only_and_can_be_let_go() {
        String one = takes(3);
        String two = takes(3);
        List<String> queen = free(1);
        owner.tell("QUEENS_PROMISED", "order", one, "promised", queen);
        assertThat(owner.tell("QUEENS_PROMISED", "order", two, "promised", queen).findings())
                .singleElement().asString().contains("is promised to " + line(one).path("code").asString());
        owner.tell("QUEENS_PROMISED", "order", one, "letGo", queen);
        assertThat(owner.tell("QUEENS_PROMISED", "order", two, "promised", queen).status()).isEqualTo(200);
    }

    @Test
    void declining_lets_its_queens_go() {
        String id = takes(1);
        List<String> queen = free(1);
        owner.tell("QUEENS_PROMISED", "order", id, "promised", queen);
        owner.tell("ORDER_MOVED_ON", "order", id, "state", "DECLINED");
        assertThat(free(1)).isEqualTo(queen);
        assertThat(owner.tell("QUEENS_PROMISED", "order", id, "promised", queen).findings()).singleElement()
                .asString().contains("declined");
    }

    @Test
    void cells_are_handed_over_by_number_and_in_parts() {
        String id = UUID.randomUUID().toString();
        Map<String, Object> cells = order(20, "2026-06-20", "2026-06-25");
        cells.put("product", "RIPE_CELLS");
        takes(owner, UUID.fromString(id), cells);
        assertThat(owner.tell("ORDER_DELIVERED", "order", id, "count", 12, "complete", false).status()).isEqualTo(200);
        assertThat(line(id).path("delivered").asInt()).isEqualTo(12);
        assertThat(line(id).path("state").asString()).isEqualTo("ASKED");
        assertThat(owner.tell("ORDER_DELIVERED", "order", id, "count", 9, "complete", false).findings()).singleElement()
                .asString().contains("at most 8");
        owner.tell("ORDER_DELIVERED", "order", id, "count", 8, "complete", false);
        assertThat(line(id).path("state").asString()).isEqualTo("DELIVERED");
    }

    @Test
    void what_cannot_be_is_refused_with_what_to_change_all_at_once() {
        Map<String, Object> wrong = order(5, "2026-06-08", "2026-06-01");
        wrong.put("sharePercent", 10);
        assertThat(takes(owner, UUID.randomUUID(), wrong).findings()).hasSize(2)
                .anySatisfy(text -> assertThat(text).contains("exchange the days"))
                .anySatisfy(text -> assertThat(text).contains("sharePercent is for own needs only"));
        assertThat(takes(owner, UUID.randomUUID(), order(5, "2026-05-20", "2026-06-01")).findings()).singleElement()
                .asString().contains("Choose a day to come");
        assertThat(takes(owner, UUID.randomUUID(), order(5, "2026-06-20", "9999-12-31")).findings()).singleElement()
                .asString().contains("more than two years after");
        assertThat(takes(owner, UUID.randomUUID(), order(0, "2026-06-20", "2026-06-25")).status())
                .isEqualTo(422);
        String id = takes(1);
        assertThat(owner.tell("QUEENS_PROMISED", "order", id, "promised", free(2)).findings())
                .singleElement().asString().contains("asks for 1, but 2");
        assertThat(takes(application.signedIn(demo.crewEmail()), UUID.randomUUID(),
                order(1, "2026-06-20", "2026-06-25")).status())
                .isEqualTo(403);
    }

    @Test
    void handing_over_sent_twice_counts_once_and_taken_back_not_at_all() {
        String id = takes(2);
        List<String> one = free(1);
        owner.tell("QUEENS_PROMISED", "order", id, "promised", one);
        Map<String, Object> handed = Client.entry(LocalDate.of(2026, 6, 9),
                Client.deed("ORDER_DELIVERED", "order", id, "queens", one, "count", 1, "complete", false));
        owner.record(handed);
        assertThat(owner.record(handed).json().path("known")).hasSize(1);
        assertThat(line(id).path("delivered").asInt()).isEqualTo(1);
        owner.record(Client.withdrawal(handed, LocalDate.of(2026, 6, 9)));
        assertThat(line(id).path("delivered").asInt()).isZero();
        assertThat(owner.get("/api/v1/queens/" + one.getFirst()).json().path("queen").path("alive").asBoolean())
                .as("she never left").isTrue();
    }

    @Test
    void another_operation_sees_none_of_it() {
        String id = takes(1);
        Client stranger = application.signedIn(application.demo().ownerEmail());
        assertThat(stranger.get("/api/v1/orders").text()).doesNotContain(id);
        assertThat(stranger.tell("ORDER_MOVED_ON", "order", id, "state", "DECLINED").status()).isEqualTo(422);
    }

    @Test
    void a_share_follows_what_the_others_ask_for_and_can_be_handed_over_in_full() {
        JsonNode spares = StreamSupport.stream(owner.list("/api/v1/orders").spliterator(), false)
                .filter(line -> !line.path("order").path("sharePercent").isMissingNode()
                        && !line.path("order").path("sharePercent").isNull())
                .findFirst().orElseThrow();
        int before = spares.path("asked").asInt();
        int share = spares.path("order").path("sharePercent").asInt();
        takes(100);
        JsonNode after = line(spares.path("id").asString());
        assertThat(after.path("asked").asInt() - before).isBetween(share - 1, share + 1);
        assertThat(after.path("left").asInt()).isEqualTo(after.path("asked").asInt());
    }

    // --- files -------------------------------------------------------------------------------------------------------

    private static final String PREVIEW = "/api/v1/imports/orders/preview";

    @Test
    void orders_go_out_as_csv_and_come_in_again_once() {
        String csv = owner.get("/api/v1/exports/orders.csv").text();
        assertThat(csv.lines().findFirst().orElseThrow()).startsWith("for,own_need,product,count");
        int before = owner.list("/api/v1/orders").size();
        JsonNode looked = owner.post(PREVIEW, Map.of("csv", csv)).json();
        assertThat(looked.path("bad").asInt()).as(looked.toString()).isZero();
        assertThat(looked.path("good").asInt()).isEqualTo(before);
        assertThat(owner.list("/api/v1/orders")).as("looking keeps nothing").hasSize(before);
        String once = "/api/v1/imports/orders/" + UUID.randomUUID();
        assertThat(owner.put(once, Map.of("csv", csv, "skipBadRows", false)).json().path("orders").asInt())
                .isEqualTo(before);
        assertThat(owner.put(once, Map.of("csv", csv, "skipBadRows", false)).json().path("alreadyImported")
                .asBoolean()).isTrue();
        JsonNode all = owner.list("/api/v1/orders");
        assertThat(all).as("orders that are known are changed, not taken again").hasSize(before);
        assertThat(all.findValuesAsString("code")).doesNotHaveDuplicates();
    }

    @Test
    void rows_that_cannot_be_say_what_to_change_and_the_good_ones_can_be_taken() {
        String csv = """
                for,product,count,until,priority,from
                Fell Side,mated queens,12,2026-07-04,,
                Nobody,golden queens,many,someday,,
                Late,VIRGINS,3,2026-05-01,,
                Too many,RIPE_CELLS,4000,2026-07-04,7,2026-07-05
                """;
        JsonNode looked = owner.post(PREVIEW, Map.of("csv", csv)).json();
        assertThat(looked.path("good").asInt()).isOne();
        assertThat(looked.path("rows").get(1).path("problems").toString()).contains("golden queens", "not known",
                "a whole number", "a day like 2026-06-12");
        assertThat(looked.path("rows").get(2).path("problems").toString()).contains("has passed");
        assertThat(looked.path("rows").get(3).path("problems").toString()).contains("count", "priority",
                "exchange the days");
        Map<String, Object> all = Map.of("csv", csv, "skipBadRows", false);
        assertThat(owner.put("/api/v1/imports/orders/" + UUID.randomUUID(), all).findings()).hasSize(3);
        assertThat(owner.put("/api/v1/imports/orders/" + UUID.randomUUID(), Map.of("csv", csv, "skipBadRows", true))
                .json().path("orders").asInt()).isOne();
        assertThat(owner.post(PREVIEW, Map.of("csv", "name,what\n1,2")).findings().toString())
                .contains("is missing. Add it");
        Client crew = application.signedIn(demo.crewEmail());
        assertThat(crew.post(PREVIEW, Map.of("csv", csv)).status()).isEqualTo(403);
        assertThat(crew.get("/api/v1/exports/orders.csv").status()).isEqualTo(403);
    }

    /** A list from another operation has codes of its own; read twice, its orders are there once, and nobody else's are changed. */
    @Test
    void orders_of_another_operation_come_in_once_however_often_they_are_read() {
        String csv = """
                for,product,count,until,code
                Moss End,LAYING_QUEENS,3,2026-07-14,Q99-77
                """;
        int before = owner.list("/api/v1/orders").size();
        for (int time = 0; time < 3; time++) {
            assertThat(
                    owner.put("/api/v1/imports/orders/" + UUID.randomUUID(), Map.of("csv", csv, "skipBadRows", false))
                            .status())
                    .isEqualTo(200);
        }
        assertThat(owner.list("/api/v1/orders")).hasSize(before + 1);
        String known = owner.list("/api/v1/orders").get(0).path("code").asString();
        Client.Answer clash = owner.put("/api/v1/imports/orders/" + UUID.randomUUID(),
                Map.of("csv", csv.replace("Q99-77", known), "skipBadRows", false));
        assertThat(clash.status()).isEqualTo(422);
        assertThat(clash.findings()).singleElement().asString().contains("the order of somebody else here");
    }

    /** OWASP, CSV injection: a sheet reckons what begins like a formula. */
    @Test
    void what_looks_like_a_formula_goes_out_as_text_and_comes_in_as_it_was() {
        UUID id = UUID.randomUUID();
        Map<String, Object> terms = order(2, "2026-06-20", "2026-06-25");
        terms.put("customer", "=HYPERLINK(\"http://evil.invalid\")");
        terms.put("note", "-2 if late");
        assertThat(takes(owner, id, terms).status()).isEqualTo(200);
        String csv = owner.get("/api/v1/exports/orders.csv").text();
        assertThat(csv).contains("\"'=HYPERLINK(").contains("'-2 if late").doesNotContain("\n=HYPERLINK")
                .doesNotContain("\n\"=HYPERLINK");
        owner.put("/api/v1/imports/orders/" + UUID.randomUUID(), Map.of("csv", csv, "skipBadRows", false));
        assertThat(line(id.toString()).path("order").path("customer").asString()).startsWith("=HYPERLINK(");
        assertThat(line(id.toString()).path("order").path("note").asString()).isEqualTo("-2 if late");
    }

    @Test
    void crew_see_what_is_to_be_handed_over_and_neither_money_nor_remarks_nor_what_is_closed() {
        UUID id = UUID.randomUUID();
        Map<String, Object> terms = order(2, "2026-06-20", "2026-06-25");
        terms.put("deposit", 120);
        terms.put("note", "pays late");
        takes(owner, id, terms);
        String declined = takes(1);
        owner.tell("ORDER_MOVED_ON", "order", declined, "state", "DECLINED");
        Client crew = application.signedIn(demo.crewEmail());
        JsonNode seen = crew.list("/api/v1/orders");
        assertThat(seen.valueStream().map(one -> one.path("id").asString())).contains(id.toString())
                .doesNotContain(declined);
        assertThat(seen.toString()).contains("Fell Side").doesNotContain("pays late").doesNotContain("\"deposit\"");
        assertThat(crew.get("/api/v1/journal?subject=" + id).text()).contains("Fell Side").doesNotContain("pays late");
        assertThat(owner.get("/api/v1/journal?subject=" + id).text()).contains("pays late");
        assertThat(line(id.toString()).path("order").path("deposit").asInt()).isEqualTo(120);
    }

    @Test
    void crew_do_not_take_away_what_an_owner_recorded() {
        Client crew = application.signedIn(demo.crewEmail());
        UUID hive = owner.freeHive(0);
        LocalDate day = LocalDate.of(2026, 6, 9);
        Map<String, Object> ofOwner = Client.entry(day, Client.deed("HIVE_NOTED", "hive", hive, "text", "heavy"));
        Map<String, Object> ofCrew = Client.entry(day, Client.deed("HIVE_NOTED", "hive", hive, "text", "light"));
        owner.record(ofOwner);
        crew.record(ofCrew);
        Client.Answer refused = crew.record(Client.withdrawal(ofOwner, day));
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.findings()).singleElement().asString().contains("An owner recorded this");
        assertThat(crew.record(Client.withdrawal(ofCrew, day)).status()).isEqualTo(200);
        Map<String, Object> corrected = Client.entry(day, Client.deed("HIVE_NOTED", "hive", hive, "text", "middling"));
        corrected.put("corrects", ofOwner.get("id"));
        assertThat(crew.record(corrected).status()).isEqualTo(200);
    }
}

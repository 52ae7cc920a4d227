package vividcrown.server.introduction;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.server.support.Client.deed;
import static vividcrown.server.support.Client.entry;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** A queen from the cage into a colony, over the API: gates, the board, the round, the record (common practice). */
@ExtendWith(Application.class)
class IntroductionTest {

    private static final String BOARD = "/api/v1/introductions";

    private final Application.Running application;
    private Client owner;
    private LocalDate today;

    IntroductionTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        owner = application.signedIn(application.demo().ownerEmail());
        today = LocalDate.parse(owner.get("/api/v1/session").json().path("today").asString());
    }

    private Client.Answer tell(LocalDate day, Object... deeds) {
        List<Map<String, Object>> entries = new ArrayList<>();
        for (Object deed : deeds) {
            @SuppressWarnings("unchecked")
            Map<String, Object> one = deed instanceof JsonNode node
                    ? JsonMapper.shared().convertValue(node, Map.class)
                    : (Map<String, Object>) deed;
            entries.add(entry(day, one));
        }
        return owner.post("/api/v1/journal", Map.of("entries", entries));
    }

    private void told(LocalDate day, Object... deeds) {
        Client.Answer answer = tell(day, deeds);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    private String hive(String code) {
        return owner.get("/api/v1/hives").json().valueStream().filter(one -> one.path("code").asString().equals(code))
                .findFirst().orElseThrow().path("id").asString();
    }

    private String caged(String code) {
        return owner.get("/api/v1/bank").json().valueStream().filter(one -> one.path("code").asString().equals(code))
                .findFirst().orElseThrow().path("id").asString();
    }

    private JsonNode inK4() {
        return owner.get(BOARD).json().path("open").valueStream()
                .filter(one -> one.path("hiveCode").asString().equals("K 4")).findFirst().orElseThrow();
    }

    private static List<String> tasks(JsonNode introduction) {
        return introduction.path("next").valueStream().map(one -> one.path("task").asString()).toList();
    }

    private static JsonNode choice(JsonNode introduction, String key) {
        return introduction.path("next").valueStream().flatMap(one -> one.path("choices").valueStream())
                .filter(one -> one.path("key").asString().equals(key)).findFirst().orElseThrow();
    }

    private static Object[] deeds(JsonNode choice) {
        return choice.path("deeds").valueStream().toArray();
    }

    private static Map<String, Object> read(JsonNode introduction, String... seen) {
        return deed("CAGE_READ", "introduction", introduction.path("id").asString(), "seen", List.of(seen), "minutes",
                5);
    }

    @Test
    void a_cage_is_read_looked_through_opened_and_her_eggs_end_it_all_of_it_on_the_round() {
        assertThat(tasks(inK4())).containsExactly("READ_BEES");
        assertThat(owner.get("/api/v1/round").text()).contains("INTRODUCTION_READ_BEES");
        told(today, read(inK4(), "FEEDING", "LOOSE"));
        assertThat(tasks(inK4())).containsExactly("SECOND_LOOK");
        told(today, deeds(choice(inK4(), "NOTHING_THERE")));
        assertThat(tasks(inK4())).containsExactly("OPEN_CAGE");
        told(today, deeds(choice(inK4(), "OPENED")));
        assertThat(tasks(inK4())).containsExactly("EGGS");
        told(today, deeds(choice(inK4(), "KEPT")));
        JsonNode closed = owner.get(BOARD).json().path("closed").get(0);
        assertThat(closed.path("outcome").asString()).isEqualTo("KEPT");
        assertThat(owner.get("/api/v1/round").text()).doesNotContain("INTRODUCTION_EGGS", "INTRODUCTION_READ_BEES");
        // her first result raises what is believed of the way
        JsonNode plan = owner.get(BOARD + "/plan?code=x&hive=" + hive("H 6")).json();
        assertThat(plan.path("counted").valueStream().map(JsonNode::asInt)).contains(1);
    }

    @Test
    void a_cage_opened_before_its_gate_is_refused_first_and_kept_with_a_flag() {
        Map<String, Object> early = deed("QUEEN_FREED", "introduction", inK4().path("id").asString(), "how", "BY_HAND");
        Client.Answer refused = tell(today, early);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.text()).contains("not to be opened yet");
        assertThat(tasks(inK4())).as("nothing was opened").containsExactly("READ_BEES");
        Client.Answer kept = owner.post("/api/v1/journal",
                Map.of("entries", List.of(entry(today, early)), "keepContradictions", true));
        assertThat(kept.status()).isEqualTo(200);
        assertThat(tasks(inK4())).containsExactly("EGGS");
    }

    @Test
    void balled_she_is_taken_out_and_lies_in_a_cage_again() {
        JsonNode before = inK4();
        told(today, read(before, "BALLING"));
        assertThat(tasks(inK4())).containsExactly("TAKE_HER_OUT");
        assertThat(inK4().path("next").get(0).path("urgent").asBoolean()).isTrue();
        told(today, deeds(choice(inK4(), "TAKEN_BACK")));
        assertThat(owner.get(BOARD).json().path("closed").get(0).path("outcome").asString()).isEqualTo("TAKEN_BACK");
    }

    @Test
    void a_hive_that_ends_meanwhile_asks_what_became_of_her() {
        String k4 = hive("K 4");
        List<String> boxes = owner.get("/api/v1/colonies/" + k4).json().path("stack").valueStream()
                .map(box -> box.path("id").asString()).toList();
        told(today, deed("HIVE_ENDED", "hive", k4, "why", "DIED_OUT", "boxes", boxes, "store", "store"));
        JsonNode orphan = owner.get(BOARD).json().path("open").get(0);
        assertThat(orphan.path("next").get(0).path("text").asString()).contains("no more");
        told(today, deeds(choice(orphan, "LOST_UNKNOWN")));
        assertThat(owner.get(BOARD).json().path("open")).isEmpty();
    }

    /** H 10 lost its queen days ago; eggs were seen once more: nobody is given before it is searched. */
    @Test
    void a_colony_that_may_have_a_queen_gets_none_before_it_is_searched() {
        JsonNode plan = owner.get(BOARD + "/plan?code=x&hive=" + hive("H 10")).json();
        assertThat(plan.path("verdict").asString()).isEqualTo("DO_NOT");
        assertThat(plan.path("begins")).isEmpty();
        assertThat(plan.path("search").asString()).isEqualTo("NOT");
    }

    @Test
    void searched_twice_after_its_queen_was_taken_it_takes_a_bought_one_and_the_second_cut_is_dated() {
        String k1 = hive("K 1");
        told(today, deed("HAPPENED", "hive", k1, "event", "QUEEN_REMOVED"));
        assertThat(owner.get(BOARD + "/plan?code=x&hive=" + k1).json().path("verdict").asString()).isEqualTo("FIRST");
        told(today, deed("HIVE_READ", "hive", k1, "notes", Map.of("seen", List.of("EGGS_SINGLE"), "absent",
                List.of("QUEEN", "VIRGIN", "QUEEN_CELLS"), "search",
                Map.of("minutes", 30, "passes", 2, "muchSmoke", false))));
        JsonNode plan = owner.get(BOARD + "/plan?hive=%s&queen=%s".formatted(k1, caged("25-61"))).json();
        assertThat(plan.path("verdict").asString()).isEqualTo("GIVE");
        assertThat(plan.path("search").asString()).isEqualTo("TWICE");
        List<String> methods = plan.path("ways").valueStream().map(way -> way.path("method").asString()).toList();
        // candy opens by itself, while the bees can begin a cell on what was left
        assertThat(plan.path("begins").get(methods.indexOf("CAGE_CANDY")).path("deeds")).isEmpty();
        assertThat(tell(today, begun(k1, caged("25-61"), "CAGE_CANDY", today.plusDays(7).toString())).findings())
                .singleElement().asString().contains("hang it in from that day on");
        told(today, deeds(plan.path("begins").get(methods.indexOf("CAGE_BY_HAND"))));
        assertThat(owner.get("/api/v1/bank").json().valueStream().map(one -> one.path("code").asString()))
                .doesNotContain("25-61");
        JsonNode in = owner.get(BOARD).json().path("open").valueStream()
                .filter(one -> one.path("hiveCode").asString().equals("K 1")).findFirst().orElseThrow();
        assertThat(tasks(in)).containsExactly("READ_BEES", "SECOND_CUT");
        assertThat(in.path("opens").asString()).isGreaterThanOrEqualTo(today.plusDays(5).toString());
    }

    /** What was searched while the old queen was still in there, and found her, says nothing of who is left. */
    @Test
    void a_search_that_found_the_queen_opens_no_gate() {
        String k1 = hive("K 1");
        Map<String, Object> search = Map.of("minutes", 30, "passes", 2, "muchSmoke", false);
        told(today.minusDays(1), deed("HIVE_READ", "hive", k1, "notes",
                Map.of("absent", List.of("QUEEN_CELLS"), "search", search)));
        told(today, deed("HIVE_READ", "hive", k1, "notes",
                Map.of("seen", List.of("QUEEN_MARKED"), "search", search)));
        told(today, deed("HAPPENED", "hive", k1, "event", "QUEEN_REMOVED"));
        JsonNode plan = owner.get(BOARD + "/plan?code=x&hive=" + k1).json();
        assertThat(plan.path("search").asString()).isIn("NOT", "IN_PART");
        assertThat(plan.path("verdict").asString()).isNotEqualTo("GIVE");
    }

    @Test
    void what_puts_a_queen_at_risk_is_refused_with_the_way_out() {
        String queen = caged("25-61");
        Map<String, Object> intoLaying = begun(hive("H 11"), queen);
        told(today, deed("HIVE_READ", "hive", hive("H 11"), "notes", Map.of("seen", List.of("EGGS_SINGLE"))));
        assertThat(tell(today, intoLaying).findings()).singleElement().asString().contains("killed");
        assertThat(tell(today, begun(hive("H 12"), queen)).findings()).singleElement().asString().contains("disease");
        assertThat(tell(today, begun(hive("K 4"), queen)).findings()).singleElement().asString()
                .contains("on her way into K 4 already");
        told(today, begun(hive("H 6"), queen));
        assertThat(tell(today, begun(hive("H 5"), queen)).findings()).singleElement().asString()
                .contains("on her way into another colony");
        // hers was taken out since: then what stands are her last eggs
        told(today, deed("HAPPENED", "hive", hive("H 11"), "event", "QUEEN_REMOVED"));
        assertThat(tell(today, begun(hive("H 11"), caged("25-62"))).status()).isEqualTo(200);
    }

    private Map<String, Object> begun(String hive, String queen) {
        return begun(hive, queen, "CAGE_BY_HAND", today.toString());
    }

    private Map<String, Object> begun(String hive, String queen, String method, String noNewCellsFrom) {
        return deed("INTRODUCTION_BEGUN", "introduction", UUID.randomUUID(), "hive", hive, "queen", queen, "code",
                "25-61", "method", method, "opens", today.plusDays(3).toString(), "noNewCellsFrom", noNewCellsFrom,
                "sprayed", false, "cost", 25);
    }

    @Test
    void the_bank_says_since_when_and_until_when_and_what_to_mind() {
        String queen = caged("25-61");
        told(today, deed("CELL_CAGED", "queen", queen, "cage", 21, "bank", hive("H 8"), "attendants", 5));
        JsonNode line = owner.get("/api/v1/bank").json().valueStream()
                .filter(one -> one.path("id").asString().equals(queen)).findFirst().orElseThrow();
        assertThat(line.path("bank").asString()).isEqualTo("H 8");
        assertThat(line.path("latest").asString()).isEqualTo(today.plusDays(28).toString());
        assertThat(line.path("caution").asString()).contains("take them out");
    }

    /** A nuc that lost its queen is a colony in need like any other. */
    @Test
    void a_nuc_without_its_queen_gets_one_of_those_at_hand() {
        String k1 = hive("K 1");
        told(today, deed("HAPPENED", "hive", k1, "event", "QUEEN_REMOVED"));
        told(today, deed("HIVE_READ", "hive", k1, "notes", Map.of("seen", List.of("EGGS_SINGLE"), "absent",
                List.of("QUEEN", "VIRGIN", "QUEEN_CELLS"), "search",
                Map.of("minutes", 30, "passes", 2, "muchSmoke", false))));
        JsonNode page = owner.get(BOARD + "/at-hand").json();
        assertThat(page.path("pairs")).singleElement()
                .satisfies(pair -> assertThat(pair.path("hiveCode").asString()).isEqualTo("K 1"));
        // one caged queen is not given to two
        assertThat(page.path("left")).hasSize(1);
    }

    @Test
    void who_goes_where_leaves_nobody_out_without_a_word() {
        JsonNode page = owner.get(BOARD + "/at-hand").json();
        assertThat(page.path("proven").asBoolean()).isTrue();
        assertThat(page.path("pairs").size() + page.path("left").size()).isEqualTo(page.path("queens").size());
        assertThat(page.path("pairs").size() + page.path("waiting").size()).isEqualTo(page.path("colonies").size());
        // where workers lay a single queen is thrown away
        assertThat(page.path("waiting").valueStream().map(one -> one.path("code").asString())).contains("H 5");
    }

    @Test
    void the_board_and_the_bank_are_there_on_paper() {
        for (String sheet : List.of(BOARD + "/sheet.pdf", "/api/v1/bank/sheet.pdf?paper=LETTER")) {
            Client.Answer answer = owner.get(sheet);
            assertThat(answer.status()).as(sheet).isEqualTo(200);
            assertThat(answer.text()).startsWith("%PDF");
        }
    }

    @Test
    void a_queen_given_to_a_colony_opens_days_without_sealed_brood_where_the_last_egg_is_known() {
        String hive = hive("H 6");
        told(today, deed("HAPPENED", "hive", hive, "event", "QUEEN_REMOVED"));
        told(today, deed("HIVE_READ", "hive", hive, "notes", Map.of("seen", List.of("EGGS_SINGLE"), "absent",
                List.of("QUEEN", "VIRGIN", "QUEEN_CELLS"), "search",
                Map.of("minutes", 30, "passes", 2, "muchSmoke", false))));
        JsonNode ways = owner.get(BOARD + "/plan?code=x&hive=" + hive).json().path("ways");
        assertThat(ways.valueStream().toList()).isNotEmpty()
                .allMatch(way -> way.path("broodBreak").path("worker").has("likelyFrom"));
    }

    /** Two people, one queen in one cage: the second is told that she is on her way already. */
    @Test
    void two_people_who_give_the_same_queen_at_once_give_her_once() throws Exception {
        String queen = caged("25-61");
        Map<String, Object> one = begun(hive("H 6"), queen);
        Map<String, Object> other = begun(hive("H 4"), queen);
        List<Integer> statuses;
        try (ExecutorService two = Executors.newFixedThreadPool(2)) {
            Future<Integer> first = two.submit(() -> tell(today, one).status());
            Future<Integer> second = two.submit(() -> tell(today, other).status());
            statuses = List.of(first.get(), second.get());
        }
        assertThat(statuses).containsOnlyOnce(200);
        assertThat(owner.get(BOARD).json().path("open").valueStream()
                .filter(open -> open.path("queen").asString("").equals(queen))).hasSize(1);
    }
}

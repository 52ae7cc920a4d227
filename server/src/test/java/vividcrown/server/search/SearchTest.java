package vividcrown.server.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Searching for the queen: at a hive of the record, and by a stranger who keeps nothing. What is expected is common practice. */
@ExtendWith(Application.class)
class SearchTest {

    private static final String DAY = "2026-06-12";
    private final Application.Running application;
    private final Client stranger;
    private Application.Demo demo;
    private Client owner;

    SearchTest(Application.Running application) {
        this.application = application;
        this.stranger = new Client(application.address());
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = application.signedIn(demo.ownerEmail());
    }

    private String id(String code) {
        for (JsonNode line : owner.get("/api/v1/colonies").json()) {
            if (line.path("code").asString().equals(code)) {
                return line.path("id").asString();
            }
        }
        throw new AssertionError("no colony " + code);
    }

    private JsonNode searched(String code, Map<String, Object> asked) {
        return owner.post("/api/v1/colonies/" + id(code) + "/search", asked).json();
    }

    private static Map<String, Object> act(int slot, String side, String shows) {
        return Map.of("place", Map.of("slot", slot, "side", side), "shows", shows);
    }

    private static Map<String, Object> look(int slot, String side, String shows, boolean found) {
        return Map.of("at", "COMB", "box", 1, "slot", slot, "side", side, "shows", shows, "found", found, "minutes",
                0.4);
    }

    private Client.Answer record(String code, List<Map<String, Object>> looks, Object... more) {
        List<Object> fields = new ArrayList<>(List.of("hive", id(code), "why", "SHOW", "traits", List.of(), "muchSmoke",
                false, "poorLight", false, "beginner", false, "looks", looks));
        fields.addAll(List.of(more));
        return owner.tell(LocalDate.parse("2026-06-09"), "QUEEN_SEARCHED", fields.toArray());
    }

    private double laying(String code) {
        for (JsonNode odds : owner.get("/api/v1/colonies/" + id(code)).json().path("verdict").path("odds")) {
            if (odds.path("state").asString().equals("LAYING_QUEEN")) {
                return odds.path("chance").asDouble();
            }
        }
        throw new AssertionError("no odds of a laying queen");
    }

    private static List<Map<String, Object>> passes(JsonNode box, int times) {
        List<Map<String, Object>> looks = new ArrayList<>();
        for (int pass = 0; pass < times; pass++) {
            for (JsonNode slot : box.path("combs")) {
                for (String side : List.of("NEAR", "FAR")) {
                    looks.add(look(slot.asInt(), side, "NOTHING", false));
                }
            }
        }
        return looks;
    }

    @Test
    void at_a_hive_of_the_record_the_guide_begins_with_what_was_read() {
        JsonNode begun = searched("H 1", Map.of("why", "MARK"));
        assertThat(begun.path("search").path("stop").asString()).isEqualTo("GO_ON");
        assertThat(begun.path("search").path("say").asString()).isNotBlank();
        assertThat(begun.path("boxes")).isNotEmpty();
        double all = begun.path("search").path("notHere").asDouble();
        assertThat(all).isBetween(0.0001, 0.5);
        assertThat(begun.path("search").path("reasons")).isNotEmpty();
        assertThat(searched("H 1", Map.of("acts", List.of(act(1, "NEAR", "FOOD")))).path("search").path("passes")
                .asDouble()).isPositive();
    }

    @Test
    void a_search_in_vain_moves_the_judgement_by_what_it_was() {
        double before = laying("H 3");
        JsonNode box = searched("H 3", Map.of()).path("boxes").get(0);
        assertThat(record("H 3", List.of(look(1, "NEAR", "NOTHING", false))).status()).isEqualTo(200);
        double aGlance = laying("H 3");
        assertThat(record("H 3", passes(box, 3)).status()).isEqualTo(200);
        double threePasses = laying("H 3");
        assertThat(before - aGlance).isCloseTo(0, within(0.02));
        assertThat(threePasses).isLessThan(aGlance);
    }

    /** What takes a colony apart, or its queen away, begins with finding her: unless there is hardly one. Common practice. */
    @Test
    void what_would_destroy_her_hive_begins_with_finding_her() {
        Map<String, String> first = Map.of("REQUEEN", "TAKE_OUT", "UNITE", "TAKE_OUT", "REMOVE_CELLS", "CAGE",
                "ARTIFICIAL_SWARM", "KEEP_SAFE", "BREAK_UP", "KEEP_SAFE", "SHAKE_OUT", "KEEP_SAFE",
                "SHAKE_OUT_FOR_A_NUC", "KEEP_SAFE", "MARK_BOTH", "MARK");
        int asked = 0;
        int spared = 0;
        for (JsonNode line : owner.get("/api/v1/colonies").json()) {
            JsonNode verdict = owner.get("/api/v1/colonies/" + line.path("id").asString()).json().path("verdict");
            boolean hardly = verdict.path("contents").path("queen").path("NONE").asDouble() >= 0.9;
            for (JsonNode option : verdict.path("options")) {
                String why = first.get(option.path("action").asString());
                if (why == null || hardly) {
                    assertThat(option.has("findFirst")).as(option.path("action").asString()).isFalse();
                    spared += why == null ? 0 : 1;
                } else {
                    assertThat(option.path("findFirst").asString()).isEqualTo(why);
                    asked++;
                }
            }
        }
        assertThat(asked).isPositive();
        assertThat(spared).as("a colony without a queen has none to find").isPositive();
    }

    private double on(String code, int slot) {
        for (JsonNode comb : searched(code, Map.of()).path("search").path("combs")) {
            if (comb.path("box").asInt() == 1 && comb.path("slot").asInt() == slot) {
                return comb.path("chance").asDouble();
            }
        }
        throw new AssertionError("no comb " + slot);
    }

    /** What a search saw is known the next time, and a comb that was hung elsewhere since is known where it hangs. */
    @Test
    void the_next_search_begins_with_what_the_last_one_saw_and_where_the_combs_hang_now() {
        JsonNode slots = searched("H 6", Map.of()).path("boxes").get(0).path("combs");
        List<Map<String, Object>> looks = new ArrayList<>();
        for (JsonNode slot : slots) {
            String shows = slot.asInt() == 7 ? "MANY_EGGS" : slot.asInt() == 6 || slot.asInt() == 8 ? "SEALED" : "FOOD";
            looks.add(look(slot.asInt(), "NEAR", shows, false));
            looks.add(look(slot.asInt(), "FAR", shows, false));
        }
        assertThat(record("H 6", looks).status()).isEqualTo(200);
        assertThat(on("H 6", 7)).isGreaterThan(3 * on("H 6", 2)).isGreaterThan(0.2);

        JsonNode box = owner.get("/api/v1/hives/" + id("H 6") + "/stack").json().get(0);
        List<Map<String, Object>> moves = new ArrayList<>();
        for (JsonNode frame : box.path("frames")) {
            int slot = frame.path("slot").asInt();
            int to = slot == 7 ? 2 : slot == 2 ? 7 : slot;
            if (to != slot) {
                moves.add(Map.of("frame", frame.path("id").asString(), "from", spot("H 6", box, slot), "to",
                        spot("H 6", box, to)));
            }
        }
        Client.Answer moved = owner.tell(LocalDate.parse("2026-06-09"), "FRAMES_MOVED", "moves", moves);
        assertThat(moved.status()).as(moved.text()).isEqualTo(200);
        assertThat(on("H 6", 2)).isGreaterThan(on("H 6", 7));
    }

    private Map<String, Object> spot(String code, JsonNode box, int slot) {
        return Map.of("at", "HIVE", "hive", id(code), "box", box.path("id").asString(), "slot", slot);
    }

    @Test
    void a_search_that_found_her_says_that_she_is_there() {
        double before = laying("H 5");
        assertThat(record("H 5", List.of(look(2, "FAR", "EGGS", true)), "held", "CATCHER").status()).isEqualTo(200);
        assertThat(laying("H 5")).isGreaterThan(before + 0.05);
        assertThat(record("H 5", List.of(look(2, "FAR", "EGGS", false)), "held", "CATCHER").status()).isEqualTo(422);
    }

    @Test
    void whoever_shut_her_in_or_took_her_out_has_told_the_judgement_so() {
        assertThat(record("H 11", List.of(look(5, "NEAR", "EGGS", true)), "held", "CAGE").status()).isEqualTo(200);
        JsonNode queen = owner.get("/api/v1/colonies/" + id("H 11")).json().path("verdict").path("contents")
                .path("queen");
        assertThat(queen.path("KEPT_FROM_LAYING").asDouble()).isGreaterThan(0.5);
        JsonNode again = searched("H 11", Map.of());
        assertThat(again.path("search").path("reasons").toString()).contains("last seen today");
        assertThat(again.path("search").path("cautions").toString()).contains("look into the cage first");
        assertThat(owner.tell(LocalDate.parse("2026-06-09"), "QUEEN_SEARCHED", "hive", id("H 1"), "why", "TAKE_OUT",
                "traits", List.of("MARKED"), "muchSmoke", false, "poorLight", false, "beginner", false, "looks",
                List.of(look(5, "NEAR", "EGGS", true)), "held", "CATCHER").status()).isEqualTo(200);
        assertThat(laying("H 1")).isLessThan(0.2);
    }

    @Test
    void a_glance_at_the_lid_answers_no_look_that_is_due() {
        String before = owner.get("/api/v1/colonies/" + id("H 7")).json().path("colony").path("lastRead").asString();
        Map<String, Object> lid = Map.of("at", "LID", "box", 1, "slot", 0, "shows", "NOTHING", "found", false,
                "minutes", 0.1);
        assertThat(record("H 7", List.of(lid)).status()).isEqualTo(200);
        assertThat(owner.get("/api/v1/colonies/" + id("H 7")).json().path("colony").path("lastRead").asString())
                .isEqualTo(before);
    }

    @Test
    void a_look_at_a_comb_that_is_not_there_is_refused_with_what_is_wrong() {
        Client.Answer answer = record("H 1", List.of(look(23, "NEAR", "EGGS", false)));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.json().toString()).contains("no such place");
        assertThat(owner.post("/api/v1/colonies/" + id("H 1") + "/search",
                Map.of("acts", List.of(act(23, "NEAR", "EGGS")))).status()).isEqualTo(422);
    }

    /** She was found, wherever the record thinks that combs hang: an entry is not lost for that. */
    @Test
    void who_found_her_on_a_comb_that_the_record_does_not_know_is_believed() {
        double before = laying("H 5");
        assertThat(record("H 5", List.of(look(23, "NEAR", "EGGS", true))).status()).isEqualTo(200);
        assertThat(laying("H 5")).isGreaterThan(before + 0.05);
    }

    /** Whoever overlooks queens again and again: a look of theirs is worth less, to them alone, and as long as they stand in the record. */
    @Test
    void ones_own_searches_tell_what_a_look_of_ones_own_is_worth() {
        Client crew = application.signedIn(demo.crewEmail());
        Map<String, Object> once = Map.of("acts", List.of(act(4, "NEAR", "NOTHING"), act(4, "FAR", "NOTHING"),
                act(5, "NEAR", "NOTHING"), act(5, "FAR", "NOTHING")));
        double before = searched("H 8", once).path("search").path("missed").asDouble();
        List<Map<String, Object>> told = new ArrayList<>();
        for (String code : List.of("H 1", "H 3", "H 5", "H 6", "H 7", "H 11")) {
            JsonNode box = searched(code, Map.of()).path("boxes").get(0);
            Map<String, Object> entry = Client.entry(LocalDate.parse("2026-06-09"),
                    Client.deed("QUEEN_SEARCHED", "hive", id(code), "why", "SHOW", "traits", List.of(), "muchSmoke",
                            false, "poorLight", false, "beginner", false, "looks", passes(box, 2)));
            assertThat(owner.record(entry).status()).isEqualTo(200);
            told.add(entry);
        }
        JsonNode after = searched("H 8", once).path("search");
        assertThat(1 - after.path("missed").asDouble()).isLessThan(0.9 * (1 - before));
        assertThat(after.path("reasons").toString()).contains("By your own searches you saw her 0 times");
        JsonNode theirs = crew.post("/api/v1/colonies/" + id("H 8") + "/search", once).json().path("search");
        assertThat(theirs.path("missed").asDouble()).isEqualTo(before);
        assertThat(theirs.path("reasons").toString()).doesNotContain("By your own searches");
        told.forEach(entry -> owner.record(Client.withdrawal(entry, LocalDate.parse("2026-06-09"))));
        assertThat(searched("H 8", once).path("search").path("missed").asDouble()).isEqualTo(before);
    }

    /** What was told wrongly first is no search more. */
    @Test
    void a_search_that_is_corrected_to_the_same_counts_once() {
        JsonNode box = searched("H 8", Map.of()).path("boxes").get(0);
        Supplier<Map<String, Object>> again = () -> Client.entry(LocalDate.parse("2026-06-09"),
                Client.deed("QUEEN_SEARCHED", "hive", id("H 8"), "why", "SHOW", "traits", List.of(), "muchSmoke", false,
                        "poorLight", false, "beginner", false, "looks", passes(box, 1)));
        Map<String, Object> first = again.get();
        double unsearched = laying("H 8");
        assertThat(owner.record(first).status()).isEqualTo(200);
        double searched = laying("H 8");
        Map<String, Object> corrected = again.get();
        corrected.put("corrects", first.get("id"));
        assertThat(owner.record(corrected).status()).isEqualTo(200);
        assertThat(searched).isLessThan(unsearched);
        assertThat(laying("H 8")).isEqualTo(searched);
    }

    /** Queens that were found are written down, searches in vain are not: not seeing her must not weigh much more for that. */
    @Test
    void a_record_of_nothing_but_finds_hardly_sharpens_an_eye() {
        Map<String, Object> pass = Map.of("acts", List.of(act(4, "NEAR", "NOTHING"), act(4, "FAR", "NOTHING"),
                act(5, "NEAR", "NOTHING"), act(5, "FAR", "NOTHING"), act(6, "NEAR", "NOTHING")));
        double before = searched("H 8", pass).path("search").path("missed").asDouble();
        for (int search = 0; search < 30; search++) {
            assertThat(record("H 11", List.of(look(5, "NEAR", "EGGS", true))).status()).isEqualTo(200);
        }
        double after = searched("H 8", pass).path("search").path("missed").asDouble();
        assertThat(1 - after).isBetween(1 - before, 1.25 * (1 - before));
    }

    /** What was known of a hive is the server's to say: whoever could tell it could make an eye, or a search, of any worth. */
    @Test
    void what_was_known_of_a_hive_cannot_be_told_from_outside() {
        UUID bare = UUID.randomUUID();
        assertThat(owner.tell(LocalDate.parse("2026-06-09"), "HIVE_SET_UP", "hive", bare, "code", "Bare 1", "yard",
                owner.get("/api/v1/yards").json().get(0).path("id").asString(), "position", 90, "purpose", "PRODUCTION",
                "stack", List.of(Map.of("id", UUID.randomUUID(), "kind", "BROOD", "format", "Dadant", "slots", 10,
                        "frames", 0)))
                .text()).contains("recorded");
        Client.Answer told = owner.tell(LocalDate.parse("2026-06-09"), "QUEEN_SEARCHED", "hive", bare, "why", "SHOW",
                "traits", List.of(), "muchSmoke", false, "poorLight", false, "beginner", false, "looks",
                List.of(look(1, "NEAR", "EGGS", false)), "known",
                Map.of("boxes", List.of(), "readDays", 1, "laying", 1, "chance", 0.9, "tells",
                        Map.of("expected", 900, "seen", 0)));
        assertThat(told.status()).as(told.text()).isEqualTo(200);
        String reasons = searched("H 8", Map.of()).path("search").path("reasons").toString();
        assertThat(reasons).contains("to be expected").doesNotContain("900");
    }

    // --- a stranger asks ---------------------------------------------------------------------------------------------

    private JsonNode asked(Object... fields) {
        Map<String, Object> all = new HashMap<>(
                Map.of("day", DAY, "boxes", List.of(Map.of("frames", 10, "slots", 11))));
        for (int at = 0; at < fields.length; at += 2) {
            all.put((String) fields[at], fields[at + 1]);
        }
        return stranger.post("/api/v1/reckon/search", all).json();
    }

    @Test
    void a_record_of_more_queens_seen_than_looked_for_is_refused() {
        assertThat(stranger.post("/api/v1/reckon/search", Map.of("day", DAY, "boxes",
                List.of(Map.of("frames", 10, "slots", 11)), "search", Map.of("seen", 3))).status()).isEqualTo(422);
    }

    private String stop(Object... fields) {
        return asked(fields).path("search").path("stop").asString();
    }

    @Test
    void a_stranger_is_told_the_next_lift_with_its_reasons() {
        JsonNode answer = asked();
        assertThat(answer.path("search").path("next").path("slot").asInt()).isBetween(4, 7);
        assertThat(answer.path("search").path("combs")).hasSize(10);
        assertThat(answer.path("assumed").toString()).contains("upland");
    }

    /** Brood comes out within three weeks (Winston 1987, from memory): what stood on a comb last autumn leads nobody to her in June. */
    @Test
    void combs_of_last_autumn_tell_next_to_nothing() {
        List<Map<String, Object>> combs = new ArrayList<>();
        for (int slot = 1; slot <= 10; slot++) {
            List<String> side = List.of(slot == 2 ? "SEALED_WORKER" : slot == 8 ? "EGGS" : "LARVAE");
            combs.add(Map.of("slot", slot, "near", side, "far", side));
        }
        List<Map<String, Object>> boxes = List.of(Map.of("combs", combs, "slots", 11));
        assertThat(on(9, asked("boxes", boxes, "readOn", "2025-10-01")))
                .isCloseTo(on(9, asked("boxes", boxes, "readOn", "2025-08-01")), within(0.01));
        assertThat(Math.abs(on(9, asked("boxes", boxes, "readOn", "2025-10-01")) - on(9, asked())))
                .isLessThan(0.3 * Math.abs(on(9, asked("boxes", boxes, "readOn", "2026-06-11")) - on(9, asked())));
    }

    private static double on(int slot, JsonNode answer) {
        return answer.path("search").path("combs").valueStream().filter(one -> one.path("slot").asInt() == slot)
                .findFirst().orElseThrow().path("chance").asDouble();
    }

    @Test
    void situations_that_must_not_cost_a_queen() {
        assertThat(stop("virginOutOn", "2026-06-03")).as("a virgin of nine days may be out").isEqualTo("LEAVE_SHUT");
        assertThat(stop("queenGivenOn", "2026-06-10")).as("given two days ago").isEqualTo("LEAVE_SHUT");
        assertThat(stop("search", Map.of("celsius", 7))).isEqualTo("LEAVE_SHUT");
        assertThat(stop("search", Map.of("robbing", true))).isEqualTo("LEAVE_SHUT");
        JsonNode unmarked = asked("search", Map.of("acts",
                List.of(act(5, "NEAR", "MANY_EGGS"), act(5, "FAR", "NOTHING")), "leaving",
                List.of(Map.of("slot", 5), Map.of("slot", 1)))).path("search").path("leaving");
        assertThat(unmarked.get(0).path("level").asString()).as("it was thick with eggs").isEqualTo("NOT_SAFE");
        assertThat(unmarked.get(0).path("chance").asDouble()).isGreaterThan(0.1);
        assertThat(unmarked.get(1).path("level").asString()).isEqualTo("NOT_SAFE");
        JsonNode stale = asked("search", Map.of("acts",
                List.of(Map.of("kind", "FOUND", "place", Map.of("slot", 5, "side", "NEAR"))), "held", "NOTED",
                "verifiedMinutesAgo", 30, "leaving", List.of(Map.of("slot", 4)))).path("search");
        assertThat(stale.path("stop").asString()).isEqualTo("FOUND");
        assertThat(stale.path("leaving").get(0).path("level").asString()).as("noted half an hour ago")
                .isEqualTo("NOT_SAFE");
    }

    @Test
    void autumn_the_south_and_a_tiny_unit() {
        // eggs seen at the edge lead to her in June, hardly in December; south of the equator the other way round
        Map<String, Object> eggs = Map.of("acts", List.of(act(2, "NEAR", "MANY_EGGS"), act(3, "NEAR", "NOTHING")));
        double june = onComb(asked("search", eggs), 2);
        double december = onComb(asked("day", "2026-12-12", "search", eggs), 2);
        double south = onComb(asked("day", "2026-12-12", "place", Map.of("latitude", -36), "search", eggs), 2);
        assertThat(december).isLessThan(june * 0.75);
        assertThat(south).isGreaterThan(december);
        JsonNode tiny = asked("boxes", List.of(Map.of("frames", 3, "slots", 3)), "search",
                Map.of("traits", List.of("VIRGIN")));
        assertThat(tiny.path("search").path("cautions").toString()).contains("lid");
    }

    private static double onComb(JsonNode answer, int slot) {
        return answer.path("search").path("combs").get(slot - 1).path("chance").asDouble();
    }

    @Test
    void what_cannot_be_is_a_sentence_with_a_way_out() {
        Map<String, Object> found = Map.of("kind", "FOUND", "place", Map.of("slot", 3, "side", "FAR"));
        Map<String, Object> foundElsewhere = Map.of("kind", "FOUND", "place", Map.of("kind", "LID"));
        assertThat(asked("search", Map.of("acts", List.of(found, foundElsewhere))).toString())
                .contains("Take one back");
        assertThat(asked("search", Map.of("acts", List.of(Map.of("kind", "CLOSED"), act(3, "NEAR", "EGGS"))))
                .toString()).contains("Open it again first");
        assertThat(asked("search", Map.of("acts", List.of(act(12, "NEAR", "EGGS")))).toString())
                .contains("no such place");
        assertThat(asked("search", Map.of("acts", List.of(Map.of("place", Map.of("slot", 3))))).toString())
                .contains("Which side");
        assertThat(asked("search", Map.of("acts", List.of(Map.of("kind", "FOUND")))).toString()).contains("Where");
        assertThat(asked("boxes", List.of(Map.of("slots", 5))).toString()).contains("without combs");
        assertThat(asked("readOn", "2026-07-01").toString()).contains("after the day of the search");
        assertThat(asked("search", Map.of("traits", List.of("VIRGIN", "OLD"))).toString()).contains("Leave one out");
        assertThat(asked("search", Map.of("leaving", List.of(Map.of("slot", 24)))).toString())
                .contains("no comb in box 1");
    }
}

package vividcrown.server.lineage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static vividcrown.server.support.Client.deed;
import static vividcrown.server.support.Client.entry;

import java.io.StringReader;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jgrapht.Graph;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.DirectedMultigraph;
import org.jgrapht.nio.dot.DOTImporter;
import org.jgrapht.nio.graphml.GraphMLImporter;
import org.jgrapht.util.SupplierUtil;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Descent, marks, breeders and requeening of an operation's own queens, over the API. */
@ExtendWith(Application.class)
class LineageTest {

    private final Application.Running application;
    private Client owner;
    private LocalDate today;

    LineageTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        owner = application.signedIn(application.demo().ownerEmail());
        today = LocalDate.parse(owner.get("/api/v1/session").json().path("today").asString());
    }

    @SafeVarargs
    private Client.Answer tell(Map<String, Object>... deeds) {
        List<Map<String, Object>> entries = new ArrayList<>();
        for (Map<String, Object> deed : deeds) {
            entries.add(entry(today, deed));
        }
        return owner.post("/api/v1/journal", Map.of("entries", entries));
    }

    @SafeVarargs
    private void told(Map<String, Object>... deeds) {
        Client.Answer answer = tell(deeds);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    private String queen(String search) {
        return owner.get("/api/v1/queens/list?kept=ALL&search=" + search).json().path("queens").get(0).path("id")
                .asString();
    }

    private String known(String code, String mother, int year) {
        String id = UUID.randomUUID().toString();
        Map<String, Object> deed = new HashMap<>(deed("QUEEN_KNOWN", "queen", id, "code", code, "name", "", "breeder",
                false, "stage", "JUDGED", "emergenceYear", year, "line", ""));
        if (!mother.isEmpty()) {
            deed.put("mother", mother);
        }
        told(deed);
        return id;
    }

    private JsonNode pedigree(String id) {
        return owner.get("/api/v1/queens/" + id + "/pedigree").json();
    }

    @Test
    void the_list_is_narrowed_by_line_year_mother_and_what_she_is_kept_for() {
        JsonNode breeders = owner.get("/api/v1/queens/list?kept=BREEDERS").json();
        assertThat(breeders.path("all").asInt()).isEqualTo(owner.get("/api/v1/queens/breeders").json().size());
        String runa = queen("runa");
        JsonNode daughters = owner.get("/api/v1/queens/list?kept=ALL&mother=" + runa).json();
        assertThat(daughters.path("all").asInt()).isPositive();
        assertThat(daughters.path("queens").valueStream()).allMatch(one -> one.path("line").asString().equals("Larch"));
        JsonNode living = owner.get("/api/v1/queens/list").json();
        assertThat(living.path("queens").valueStream()).allMatch(one -> one.path("alive").asBoolean());
        JsonNode choices = owner.get("/api/v1/queens/choices").json();
        int sum = choices.path("lines").valueStream()
                .mapToInt(line -> owner.get("/api/v1/queens/list?line=" + line.asString().replace(" ", "%20")).json()
                        .path("all").asInt())
                .sum();
        assertThat(sum).isEqualTo(living.path("all").asInt());
        assertThat(owner.get("/api/v1/queens/list?kept=LATE").status()).isEqualTo(200);
        assertThat(owner.get("/api/v1/queens/list?kept=FOR_SALE").status()).isEqualTo(200);
        assertThat(owner.get("/api/v1/queens/list?search=%25%27%3B").json().path("all").asInt())
                .as("nobody is called so, and the question does no harm").isZero();
    }

    @Test
    void the_list_is_narrowed_by_merit_and_shows_it_only_with_how_sure_it_is() {
        JsonNode good = owner.get("/api/v1/queens/list?kept=ALL&merit=0.05").json();
        assertThat(good.path("all").asInt()).isBetween(1,
                owner.get("/api/v1/queens/list?kept=ALL").json().path("all").asInt() - 1);
        assertThat(good.path("queens").valueStream()).allMatch(
                one -> one.path("merit").asDouble() >= 0.049 && one.path("reliability").asDouble() > 0);
        assertThat(owner.get("/api/v1/queens/list?kept=ALL&merit=99").status()).isEqualTo(400);
        assertThat(owner.get("/api/v1/queens/list?stage=JUDGED").json().path("queens").valueStream())
                .allMatch(one -> one.path("stageText").asString().contains("judged"));
    }

    /** The stock is put together once and kept until something is recorded: nobody is told what was true before, or of others. */
    @Test
    void what_is_kept_of_the_stock_is_renewed_by_every_entry_and_is_nobody_elses() {
        double before = merit(owner);
        assertThat(merit(owner)).as("asked again").isEqualTo(before);
        String runa = queen("runa");
        for (String trait : List.of("CROP", "TEMPER", "BUILD_UP", "WINTERING")) {
            told(deed("QUEEN_SCORED", "queen", runa, "trait", trait, "value", 4));
        }
        double after = merit(owner);
        assertThat(after).isGreaterThan(before);
        JsonNode line = owner.get("/api/v1/requeening").json().path("colonies").valueStream()
                .filter(one -> one.path("queen").asString("").equals(runa)).findFirst().orElseThrow();
        assertThat(line.path("merit").asDouble()).as("the same on the other page").isEqualTo(after);
        Client other = application.signedIn(application.demo().ownerEmail());
        assertThat(merit(other)).isEqualTo(before);
        assertThat(merit(owner)).as("after another operation asked").isEqualTo(after);
    }

    private static double merit(Client asking) {
        return asking.get("/api/v1/queens/list?kept=ALL&search=runa&merits=true").json().path("queens").get(0)
                .path("merit").asDouble();
    }

    /** A colony is judged once a day and after each entry: what was seen since decides at once whether its queen is changed. */
    @Test
    void requeening_goes_by_what_was_seen_last() {
        JsonNode keeps = owner.get("/api/v1/requeening").json().path("colonies").valueStream()
                .filter(one -> !one.path("requeening").path("action").asString().equals("STOP"))
                .findFirst().orElseThrow();
        String hive = keeps.path("hive").asString();
        told(deed("HIVE_READ", "hive", hive, "notes",
                Map.of("seen", List.of("CAPS_SUNKEN", "FOUL_SMELL"))));
        JsonNode now = owner.get("/api/v1/requeening").json().path("colonies").valueStream()
                .filter(one -> one.path("hive").asString().equals(hive)).findFirst().orElseThrow();
        assertThat(now.path("requeening").path("action").asString()).as("suspicion of disease").isEqualTo("STOP");
    }

    @Test
    void a_mother_chosen_for_many_daughters_is_so_in_the_season_and_drones_come_from_others() {
        JsonNode page = owner.get("/api/v1/lines/breeders?daughters=40&kinship=0.3&lines=2").json();
        JsonNode first = page.path("found").path("chosen").get(0);
        told(deed("QUEEN_BREEDER_SAID", "queen", first.path("queen").asString(), "breeder", true, "daughters",
                first.path("daughters").asInt()));
        assertThat(tell(deed("QUEEN_BREEDER_SAID", "queen", first.path("queen").asString(), "breeder", false,
                "daughters", 3)).status()).isEqualTo(422);
        Set<String> mothers = page.path("found").path("chosen").valueStream().map(one -> one.path("queen").asString())
                .collect(Collectors.toSet());
        JsonNode drones = page.path("drones").path("chosen");
        assertThat(drones.size()).isPositive();
        assertThat(drones.valueStream()).noneMatch(one -> mothers.contains(one.path("queen").asString()));
        int year = today.getYear();
        drones.valueStream().forEach(one -> assertThat(owner.get("/api/v1/queens/" + one.path("queen").asString())
                .json().path("queen").path("emergenceYear").asInt()).as("a virgin of this year has no drones yet")
                .isNotEqualTo(year));
    }

    /** Every mother in every yard: balanced (common practice of testing). */
    @Test
    void daughters_are_shared_out_over_yards_and_too_few_places_are_told() {
        List<JsonNode> breeders = owner.get("/api/v1/queens/breeders").json().valueStream().limit(2).toList();
        List<JsonNode> yards = owner.get("/api/v1/yards").json().valueStream().limit(2).toList();
        List<Map<String, Object>> mothers = breeders.stream()
                .map(one -> Map.<String, Object>of("queen", one.path("id").asString(), "daughters", 6)).toList();
        JsonNode page = owner.post("/api/v1/lines/test-groups", Map.of("mothers", mothers, "yards",
                yards.stream().map(one -> Map.of("yard", one.path("id").asString(), "places", 6)).toList())).json();
        assertThat(page.path("yards").size()).isEqualTo(2);
        page.path("yards").forEach(yard -> breeders.forEach(one -> assertThat(
                yard.path("daughters").path(one.path("id").asString()).asInt()).isEqualTo(3)));
        Client.Answer full = owner.post("/api/v1/lines/test-groups", Map.of("mothers", mothers, "yards",
                List.of(Map.of("yard", yards.getFirst().path("id").asString(), "places", 5))));
        assertThat(full.status()).isEqualTo(422);
        assertThat(full.text()).contains("12").contains("5");
        assertThat(owner.post("/api/v1/lines/test-groups", Map.of("mothers",
                List.of(Map.of("queen", UUID.randomUUID().toString(), "daughters", 6)), "yards",
                List.of(Map.of("yard", yards.getFirst().path("id").asString(), "places", 50)))).status())
                .isEqualTo(404);
    }

    @Test
    void a_queen_from_an_emergency_cell_stands_beside_the_old_one_with_her_own_record() {
        JsonNode headed = owner.get("/api/v1/hives").json().valueStream()
                .filter(one -> one.path("code").asString().equals("H 1")).findFirst().orElseThrow();
        String hive = headed.path("id").asString();
        String young = UUID.randomUUID().toString();
        Map<String, Object> known = new HashMap<>(deed("QUEEN_KNOWN", "queen", young, "code", "S-1", "name", "",
                "breeder", false, "stage", "LAYING", "emergenceYear", 0, "line", "", "origin",
                Map.of("kind", "SUPERSEDURE_CELL", "from", "", "hive", hive), "wears", "GREEN"));
        told(known);
        JsonNode colony = owner.get("/api/v1/colonies/" + hive).json();
        int before = colony.path("queens").size();
        told(deed("QUEEN_PLACED", "queen", young, "hive", hive, "given", "LAYING_QUEEN", "besideAnother", true));
        assertThat(owner.get("/api/v1/colonies/" + hive).json().path("queens").size()).isEqualTo(before + 1);
        JsonNode page = owner.get("/api/v1/queens/" + young).json();
        assertThat(page.path("originHive").asString()).isEqualTo("H 1");
        assertThat(page.path("queen").path("mark").asString()).isEqualTo("GREEN");
        told(deed("QUEEN_SEEN", "queen", young, "sight", "SEALED_WORKER_BROOD"));
        told(deed("QUEEN_SEEN", "queen", young, "sight", "MARK_WORN"));
        told(deed("QUEEN_SEEN", "queen", young, "sight", "CLIPPED"));
        JsonNode worn = owner.get("/api/v1/queens/" + young).json();
        assertThat(worn.path("marks").size()).isEqualTo(2);
        assertThat(worn.path("queen").path("due").path("work").asString()).isEqualTo("MARK");
        told(deed("QUEEN_MARKED", "queen", young, "colour", "GREEN", "number", "12"));
        assertThat(owner.get("/api/v1/queens/" + young).json().path("marks").size()).isEqualTo(1);
        known.put("origin", Map.of("kind", "BOUGHT", "from", "", "hive", hive));
        assertThat(tell(known).status()).as("bought, and from a hive of one's own").isEqualTo(422);
    }

    /** From the record of a winter and a summer, in a yard of the north (how they become marks: common practice). */
    @Test
    void honey_taken_and_winters_are_marks_without_anybody_giving_them() {
        LocalDate autumn = today.minusYears(1).withMonth(9).withDayOfMonth(20);
        LocalDate spring = today.withMonth(4).withDayOfMonth(1);
        String yard = owner.get("/api/v1/yards").json().get(0).path("id").asString();
        for (int number = 1; number <= 3; number++) {
            String hive = UUID.randomUUID().toString();
            String queen = UUID.randomUUID().toString();
            String box = UUID.randomUUID().toString();
            toldOn(autumn.minusDays(90), deed("HIVE_SET_UP", "hive", hive, "code", "W " + number, "yard", yard,
                    "position", 200 + number, "purpose", "PRODUCTION", "stack", List.of(Map.of("id", box,
                            "kind", "BROOD", "slots", 10, "format", "Dadant", "frames",
                            10))));
            toldOn(autumn.minusDays(90), deed("QUEEN_KNOWN", "queen", queen, "code", "W-" + number, "name", "",
                    "breeder", false, "stage", "JUDGED", "emergenceYear", today.getYear() - 1, "line", ""));
            toldOn(autumn.minusDays(89), deed("QUEEN_PLACED", "queen", queen, "hive", hive, "given", "LAYING_QUEEN",
                    "besideAnother", false));
            toldOn(autumn, read(hive, 10));
            if (number == 3) {
                toldOn(spring, deed("QUEEN_SEEN", "queen", queen, "sight", "DEAD"),
                        deed("HIVE_ENDED", "hive", hive, "why", "DIED_OUT", "boxes", List.of(box), "store", "shed"));
            } else {
                toldOn(spring, read(hive, number == 1 ? 8 : 4));
                told(deed("HIVE_HARVESTED", "hive", hive, "kilograms", number == 1 ? 30 : 10));
            }
        }
        String scores = owner.get("/api/v1/exports/scores.csv").text();
        assertThat(scores).contains("W-1,WINTERING,4", "W-2,WINTERING,2", "W-3,WINTERING,1", "W-1,CROP,4",
                "W-2,CROP,1");
        assertThat(tell(deed("HIVE_HARVESTED", "hive", UUID.randomUUID().toString(), "kilograms", 0)).status())
                .isEqualTo(422);
    }

    private static Map<String, Object> read(String hive, double frames) {
        return deed("HIVE_READ", "hive", hive, "notes", Map.of("seen", List.of(), "absent", List.of(), "cells",
                List.of(), "sides", List.of(), "boxes", List.of(), "framesOfBees", frames));
    }

    @SafeVarargs
    private void toldOn(LocalDate day, Map<String, Object>... deeds) {
        Client.Answer answer = owner.post("/api/v1/journal", Map.of("entries",
                Stream.of(deeds).map(deed -> entry(day, deed)).toList()));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    @Test
    void marks_on_a_scale_of_ones_own_keep_their_meaning() {
        String runa = queen("runa");
        told(deed("QUEEN_SCORED", "queen", runa, "trait", "BUILD_UP", "value", 8, "scale",
                Map.of("least", 1, "most", 10, "step", 1)));
        assertThat(pedigree(runa).path("marks").valueStream()
                .filter(one -> one.path("trait").asString().equals("BUILD_UP")).findFirst().orElseThrow().path("value")
                .asDouble()).isCloseTo(1 + 3 * 7 / 9.0, within(1e-9));
        assertThat(tell(deed("QUEEN_SCORED", "queen", runa, "trait", "BUILD_UP", "value", 8)).status())
                .isEqualTo(422);
    }

    @Test
    void cage_labels_are_for_the_queens_as_the_list_is_narrowed() {
        assertThat(owner.get("/api/v1/queens/labels.pdf?kept=BREEDERS&show=LINE,MOTHER,BORN,MARK&paper=LETTER").text())
                .startsWith("%PDF");
    }

    /** Daughter of a queen inseminated with her own drone: F = 1/2 (Crow &amp; Roberts 1950, from memory). */
    @Test
    void what_is_said_of_a_mating_decides_what_her_daughters_are() {
        String dam = known("P-1", "", 2024);
        String daughter = known("P-2", dam, 2025);
        assertThat(pedigree(daughter).path("inbreeding").asDouble()).isZero();
        told(deed("QUEEN_MATED", "queen", dam, "how", "ONE_DRONE", "droneMother", dam, "sisters", 1, "drones", 1));
        JsonNode page = pedigree(daughter);
        assertThat(page.path("inbreeding").asDouble()).isEqualTo(0.5);
        assertThat(page.path("ancestors").findValuesAsString("path")).contains("M", "D");
        assertThat(page.path("ancestors").get(1).path("again").asBoolean()).isTrue();
        JsonNode mother = pedigree(dam);
        assertThat(mother.path("mated").path("how").asString()).isEqualTo("ONE_DRONE");
        assertThat(mother.path("brood").path("advice").asString()).isEqualTo("APART");
        assertThat(mother.path("allDaughters").asInt()).isEqualTo(1);
        // said anew, and the last word holds
        told(deed("QUEEN_MATED", "queen", dam, "how", "OPEN", "sisters", 1, "drones", 14));
        assertThat(pedigree(daughter).path("inbreeding").asDouble()).isZero();
    }

    @Test
    void what_contradicts_itself_only_together_is_told_and_stops_nothing() {
        String dam = known("P-7", "", 2024);
        String other = known("P-8", "", 2025);
        told(deed("QUEEN_MATED", "queen", dam, "how", "ONE_DRONE", "droneMother", other, "sisters", 1, "drones", 1));
        told(deed("QUEEN_KNOWN", "queen", other, "code", "P-8", "name", "", "breeder", false, "mother", dam, "stage",
                "JUDGED", "emergenceYear", 2025, "line", ""));
        JsonNode lines = owner.get("/api/v1/lines").json();
        assertThat(lines.path("flags").toString()).contains("contradicts itself").contains("own ancestor");
        assertThat(pedigree(other).path("ancestors").size()).isEqualTo(1);
    }

    @Test
    void a_mating_that_cannot_be_is_refused() {
        String dam = known("P-3", "", 2024);
        String daughter = known("P-4", dam, 2025);
        assertThat(tell(deed("QUEEN_MATED", "queen", dam, "how", "ONE_DRONE", "droneMother", daughter, "sisters", 1,
                "drones", 1)).findings()).singleElement().asString().contains("own descendants");
        assertThat(
                tell(deed("QUEEN_MATED", "queen", dam, "how", "OPEN", "droneMother", daughter, "sisters", 1, "drones",
                        12)).findings())
                .singleElement().asString().contains("whose drones");
        assertThat(tell(deed("QUEEN_SCORED", "queen", dam, "trait", "TEMPER", "value", 4.5)).status()).isIn(400, 422);
        assertThat(tell(deed("QUEEN_SCORED", "queen", dam, "trait", "TEMPER", "value", 2.2)).findings()).singleElement()
                .asString().contains("nearest is 2");
        assertThat(
                tell(deed("QUEEN_KNOWN", "queen", dam, "code", "P-3", "name", "", "breeder", false, "mother", daughter,
                        "stage", "JUDGED", "emergenceYear", 2024, "line", "")).status())
                .as("her own ancestor").isIn(409, 422);
        assertThat(tell(deed("QUEEN_KNOWN", "queen", UUID.randomUUID().toString(), "code", "P-9", "name", "", "breeder",
                false, "mother", daughter, "stage", "JUDGED", "emergenceYear", 2023, "line", "")).findings())
                .singleElement().asString().contains("P-4").contains("2025");
        assertThat(pedigree(daughter).path("ancestors").size()).isEqualTo(1);
    }

    @Test
    void marks_stand_with_their_day_and_merit_comes_only_with_how_sure_it_is() {
        String dam = known("P-5", "", 2024);
        told(deed("QUEEN_SCORED", "queen", dam, "trait", "CROP", "value", 3.5));
        JsonNode alone = pedigree(dam);
        assertThat(alone.path("marks").get(0).path("value").asDouble()).isEqualTo(3.5);
        assertThat(alone.path("merit").valueStream().filter(one -> one.path("trait").asString().equals("CROP")))
                .as("one mark is no merit").isEmpty();
        String other = known("P-6", "", 2024);
        for (int sister = 0; sister < 5; sister++) {
            String good = known("P-5-" + sister, dam, 2025);
            String plain = known("P-6-" + sister, other, 2025);
            told(deed("QUEEN_SCORED", "queen", good, "trait", "CROP", "value", 4),
                    deed("QUEEN_SCORED", "queen", plain, "trait", "CROP", "value", 2));
        }
        JsonNode crop = pedigree(dam).path("merit").valueStream()
                .filter(one -> one.path("trait").asString().equals("CROP")).findFirst().orElseThrow();
        assertThat(crop.path("value").asDouble()).isPositive();
        assertThat(crop.path("daughters").asInt()).isEqualTo(5);
        assertThat(crop.path("reliability").asDouble()).isBetween(0.1, 0.8);
        JsonNode lines = owner.get("/api/v1/lines").json();
        List<String> mothers = lines.path("mothers").findValuesAsString("code");
        assertThat(mothers).contains("P-5", "P-6");
        assertThat(lines.path("ways").toString()).contains("crop");
        // a mark that is taken back does not count any more
        JsonNode marked = owner.get("/api/v1/journal?subject=" + dam).json().path("items").valueStream()
                .filter(one -> one.path("deed").path("kind").asString().equals("QUEEN_SCORED")).findFirst()
                .orElseThrow();
        Client.Answer back = owner.post("/api/v1/journal", Map.of("entries",
                List.of(Client.withdrawal(Map.of("id", marked.path("id").asString()), today))));
        assertThat(back.status()).as(back.text()).isEqualTo(200);
        assertThat(pedigree(dam).path("marks")).isEmpty();
    }

    @Test
    void the_stock_says_how_broad_it_is_and_who_is_grafted_from_next() {
        JsonNode lines = owner.get("/api/v1/lines").json();
        assertThat(lines.path("effectiveLines").asDouble()).isBetween(1.0, (double) lines.path("lines").size());
        assertThat(lines.path("strangers").asDouble()).isBetween(0.0, 1.0);
        JsonNode chosen = owner.get("/api/v1/lines/breeders?daughters=60&kinship=0.3&lines=2").json();
        assertThat(
                chosen.path("found").path("chosen").valueStream().mapToInt(one -> one.path("daughters").asInt()).sum())
                .isEqualTo(60);
        assertThat(chosen.path("names").size()).isPositive();
        assertThat(owner.get("/api/v1/lines/breeders?daughters=60&kinship=0.01&lines=2").json().path("why").asString())
                .contains("allow more kinship");
        String runa = queen("runa");
        JsonNode close = owner.get("/api/v1/lines/mating?mother=%s&how=STATION&droneMother=%s".formatted(runa, runa))
                .json();
        assertThat(close.path("mating").path("inbreeding").asDouble()).isGreaterThan(0.1);
        assertThat(owner.get("/api/v1/lines/mating?mother=%s&how=STATION".formatted(runa)).findings()).singleElement()
                .asString().contains("whose drones");
    }

    @Test
    void requeening_goes_by_the_house_rule_and_never_takes_a_mother_one_grafts_from() {
        JsonNode rule = owner.get("/api/v1/requeening").json();
        assertThat(rule.path("policy").asString()).isEqualTo("AT_TWO_YEARS");
        JsonNode every = owner.get("/api/v1/requeening?policy=EVERY_YEAR").json();
        assertThat(every.path("toChange").asInt()).isGreaterThanOrEqualTo(rule.path("toChange").asInt());
        List<String> breeders = owner.get("/api/v1/queens/breeders").json().findValuesAsString("id");
        every.path("colonies").valueStream().filter(one -> breeders.contains(one.path("queen").asString("")))
                .forEach(one -> assertThat(one.path("requeening").path("action").asString()).as(one.toString())
                        .isIn("KEEP", "WATCH", "JUDGE_FIRST", "STOP"));
        JsonNode suspect = every.path("colonies").valueStream()
                .filter(one -> one.path("code").asString().equals("H 12")).findFirst().orElseThrow();
        assertThat(suspect.path("requeening").path("action").asString()).isEqualTo("STOP");
        assertThat(every.path("wanted").asInt())
                .isEqualTo(every.path("toChange").asInt() + every.path("spares").asInt());
        @SuppressWarnings("unchecked")
        Map<String, Object> settings = new HashMap<>(JsonMapper.shared()
                .convertValue(owner.get("/api/v1/settings").json().path("settings"), Map.class));
        settings.put("requeening", "BY_MERIT");
        settings.put("spares", 0.5);
        told(deed("SETTINGS_CHANGED", "operation", owner.get("/api/v1/store").json().path("operation").asString(),
                "settings", settings));
        JsonNode merit = owner.get("/api/v1/requeening").json();
        assertThat(merit.path("policy").asString()).isEqualTo("BY_MERIT");
        assertThat(merit.path("spares").asInt()).isEqualTo((int) Math.ceil(merit.path("colonies").size() * 0.5));
    }

    /** Both formats are read back by a library that knows nothing of this one. */
    @Test
    void the_pedigree_leaves_in_open_formats_and_can_be_read_back() {
        int queens = owner.get("/api/v1/queens/list?kept=ALL").json().path("all").asInt();
        String graphMl = owner.get("/api/v1/exports/pedigree").text();
        Graph<String, DefaultEdge> fromGraphMl = new DirectedMultigraph<>(SupplierUtil.createStringSupplier(),
                SupplierUtil.createDefaultEdgeSupplier(), false);
        GraphMLImporter<String, DefaultEdge> reader = new GraphMLImporter<>();
        reader.setVertexFactory(id -> id);
        reader.importGraph(fromGraphMl, new StringReader(graphMl));
        assertThat(fromGraphMl.vertexSet()).hasSize(queens);
        assertThat(fromGraphMl.edgeSet()).isNotEmpty();
        Graph<String, DefaultEdge> fromDot = new DirectedMultigraph<>(SupplierUtil.createStringSupplier(),
                SupplierUtil.createDefaultEdgeSupplier(), false);
        DOTImporter<String, DefaultEdge> dot = new DOTImporter<>();
        dot.setVertexFactory(id -> id);
        dot.importGraph(fromDot, new StringReader(owner.get("/api/v1/exports/pedigree?format=DOT").text()));
        assertThat(fromDot.vertexSet()).hasSize(queens);
        assertThat(fromDot.edgeSet()).hasSameSizeAs(fromGraphMl.edgeSet());
        String csv = owner.get("/api/v1/exports/pedigree.csv").text();
        assertThat(csv.lines().count()).isEqualTo(queens + 1L);
        assertThat(csv.lines().findFirst().orElseThrow()).startsWith("queen,name,line,born,mother,mated,drone_mother");
        assertThat(owner.get("/api/v1/exports/scores.csv").text().lines().findFirst().orElseThrow())
                .isEqualTo("queen,trait,value,yard,year");
        JsonNode yards = owner.get("/api/v1/exports/yards.geojson").json();
        JsonNode circle = yards.path("features").valueStream()
                .filter(one -> one.path("geometry").path("type").asString().equals("Polygon")).findFirst().orElseThrow()
                .path("geometry").path("coordinates").get(0);
        assertThat(circle.get(0)).as("closed, as RFC 7946 wants it").isEqualTo(circle.get(circle.size() - 1));
        assertThat(circle.get(0).get(0).asDouble()).isCloseTo(circle.get(circle.size() - 1).get(0).asDouble(),
                within(1e-12));
        Client.Answer paper = owner.get("/api/v1/queens/" + queen("runa") + "/certificate.pdf?show=DESCENT,MERIT");
        assertThat(paper.text()).startsWith("%PDF");
    }

    /** A mark lost is a query, not a lost queen: her record stays until somebody says what became of her. */
    @Test
    void an_unmarked_queen_where_a_marked_one_was_is_a_question_and_closes_no_record() {
        String runa = queen("runa");
        JsonNode asked = owner.get("/api/v1/queens/" + runa + "/unmarked").json();
        assertThat(asked.path("ask").asString()).contains("what became of her");
        assertThat(asked.path("odds").valueStream().mapToDouble(one -> one.path("chance").asDouble()).sum())
                .isCloseTo(1, within(0.03));
        assertThat(asked.path("settles").size()).isEqualTo(3);
        assertThat(owner.get("/api/v1/queens/" + runa).json().path("queen").path("alive").asBoolean()).isTrue();
        assertThat(owner.get("/api/v1/queens/" + UUID.randomUUID() + "/unmarked").status()).isEqualTo(404);
    }

    /** What one operation writes another reads; a daughter may stand above her mother in the file. */
    @Test
    void a_pedigree_and_marks_come_in_from_files_once_with_every_gap_told() {
        String csv = """
                queen,name,line,born,mother,mated,drone_mother,alive
                Z-3,,Fern,2025,Z-2,,,yes
                Z-2,,Fern,2024,Z-1,station,Z-1,
                Z-1,Zinnia,Fern,2022,,open,,
                """;
        JsonNode seen = owner.post("/api/v1/imports/pedigree/preview", Map.of("csv", csv)).json();
        assertThat(seen.path("good").asInt()).as(seen.toString()).isEqualTo(3);
        String id = UUID.randomUUID().toString();
        for (int sent = 0; sent < 2; sent++) {
            Client.Answer taken = owner.put("/api/v1/imports/pedigree/" + id, Map.of("csv", csv, "skipBadRows", false));
            assertThat(taken.status()).as(taken.text()).isEqualTo(200);
        }
        assertThat(owner.get("/api/v1/queens/list?kept=ALL&search=Z-").json().path("all").asInt()).isEqualTo(3);
        assertThat(owner.get("/api/v1/queens/list?search=Z-").json().path("all").asInt()).isEqualTo(1);
        JsonNode youngest = pedigree(queen("Z-3"));
        assertThat(youngest.path("ancestors").findValuesAsString("path")).contains("M", "MM", "D");
        assertThat(youngest.path("inbreeding").asDouble()).as("her mother mated with her own aunts' drones")
                .isGreaterThan(0.1);
        String marks = "queen,trait,value,year\nZ-3,temper,3.5,2026\nZ-2,crop,4.2,2024\nZ-9,crop,4,2024\nZ-1,crop,3,2023\n";
        JsonNode bad = owner.post("/api/v1/imports/scores/preview", Map.of("csv", marks)).json();
        assertThat(bad.path("bad").asInt()).isEqualTo(2);
        assertThat(bad.toString()).contains("nearest is 4").contains("Z-9");
        assertThat(owner.put("/api/v1/imports/scores/" + UUID.randomUUID(), Map.of("csv", marks, "skipBadRows", true))
                .json().path("taken").asInt()).isEqualTo(2);
        assertThat(pedigree(queen("Z-1")).path("marks").get(0).path("day").asString()).startsWith("2023");
        JsonNode round = owner.post("/api/v1/imports/pedigree/preview", Map.of("csv",
                "queen,mother\nY-1,Y-2\nY-2,Y-1\nY-3,nobody\n")).json();
        assertThat(round.path("bad").asInt()).isEqualTo(3);
        assertThat(round.toString()).contains("own ancestor").contains("neither in the record nor in this file");
    }
}

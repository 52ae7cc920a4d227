package vividcrown.server.hive;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.server.support.Client.deed;
import static vividcrown.server.support.Client.entry;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** What may not be done with hives, boxes and frames is asked about first, and kept with its flag on request. */
@ExtendWith(Application.class)
class HiveTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 6, 9);

    private final Application.Running application;
    private Client owner;

    HiveTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void foundAnOperation() {
        owner = application.signedIn(application.demo().ownerEmail());
    }

    private UUID hive(String code) {
        for (JsonNode hive : owner.get("/api/v1/hives").json()) {
            if (hive.path("code").asString().equals(code)) {
                return UUID.fromString(hive.path("id").asString());
            }
        }
        throw new IllegalStateException("the demo has a hive " + code);
    }

    private JsonNode box(UUID hive) {
        return owner.get("/api/v1/hives/" + hive + "/stack").json().get(0);
    }

    private Map<String, Object> at(UUID hive, int slot) {
        return Map.of("at", "HIVE", "hive", hive, "box", box(hive).path("id").asString(), "slot", slot);
    }

    private Map<String, Object> moved(JsonNode frame, UUID from, UUID to, int slot) {
        return entry(TODAY, deed("FRAMES_MOVED", "moves", List.of(Map.of("frame", frame.path("id").asString(), "from",
                at(from, frame.path("slot").asInt()), "to", at(to, slot), "signs", List.of()))));
    }

    private UUID emptyNuc() {
        return emptyNucCalled("N 90");
    }

    private UUID emptyNucCalled(String code) {
        UUID nuc = UUID.randomUUID();
        String yard = owner.get("/api/v1/hives").json().get(0).path("yardId").asString();
        assertThat(owner.tell("HIVE_SET_UP", "hive", nuc, "yard", yard, "code", code, "position", 9, "purpose", "NUC",
                "stack", List.of(Map.of("id", UUID.randomUUID(), "kind", "BROOD", "format", "Dadant", "slots", 5,
                        "frames", 2)))
                .status()).isEqualTo(200);
        return nuc;
    }

    private void refusedFirstAndKeptFlagged(Map<String, Object> entry, String why) {
        Client.Answer refused = owner.record(entry);
        assertThat(refused.status()).as(refused.text()).isEqualTo(409);
        assertThat(refused.findings()).singleElement().asString().contains(why);
        assertThat(owner.record(List.of(entry), true).status()).isEqualTo(200);
    }

    /** Common practice: combs of a colony with signs of disease stay where they are. */
    @Test
    void no_comb_leaves_the_hive_with_signs_of_disease() {
        UUID suspect = hive("H 12");
        UUID nuc = emptyNuc();
        JsonNode frame = box(suspect).path("frames").get(2);
        refusedFirstAndKeptFlagged(moved(frame, suspect, nuc, 4), "Signs of disease were seen in H 12");
        assertThat(box(nuc).path("frames")).as("kept: it was done").hasSize(3);
        refusedFirstAndKeptFlagged(entry(TODAY, deed("HIVE_ENDED", "hive", suspect, "why", "UNITED", "boxes",
                List.of(box(suspect).path("id").asString()), "store", "barn")), "Signs of disease were seen in H 12");
    }

    @Test
    void a_frame_hangs_in_a_slot_that_there_is() {
        UUID giver = hive("H 11");
        UUID nuc = emptyNuc();
        refusedFirstAndKeptFlagged(moved(box(giver).path("frames").get(2), giver, nuc, 6),
                "This box has 5 slots, but a frame would hang in slot 6");
    }

    @Test
    void nothing_is_read_before_the_hive_was_there_nor_after_its_end() {
        UUID nuc = emptyNuc();
        Map<String, Object> notes = Map.of("seen", List.of("EGGS"), "absent", List.of(), "cells", List.of(), "sides",
                List.of(), "boxes", List.of());
        refusedFirstAndKeptFlagged(entry(TODAY.minusDays(3), deed("HIVE_READ", "hive", nuc, "notes", notes)),
                "was set up on Tue 9 June only");
        List<String> boxes = new ArrayList<>();
        owner.get("/api/v1/hives/" + nuc + "/stack").json().forEach(box -> boxes.add(box.path("id").asString()));
        assertThat(owner.tell("HIVE_ENDED", "hive", nuc, "why", "EMPTIED", "boxes", boxes, "store", "barn").status())
                .isEqualTo(200);
        refusedFirstAndKeptFlagged(entry(TODAY, deed("HIVE_READ", "hive", nuc, "notes", notes)), "came to its end");
    }

    /** A virgin tears down every cell she finds. Common practice. */
    @Test
    void a_nuc_with_a_virgin_in_it_is_made_no_builder() {
        UUID nuc = owner.freeHive(0);
        assertThat(owner.tell("QUEEN_PLACED", "queen", cell(), "hive", nuc, "given", "CELL", "besideAnother", false)
                .status()).isEqualTo(200);
        assertThat(owner.tell("HIVE_REPURPOSED", "hive", nuc, "purpose", "NUC").status()).isEqualTo(200);
        refusedFirstAndKeptFlagged(entry(TODAY, deed("HIVE_REPURPOSED", "hive", nuc, "purpose", "BUILDER")),
                "is loose in it by the record");
    }

    /** A hive that is requeened by a cell is a common thing; only where cells or caged queens are kept she is not to be. */
    @Test
    void a_cell_goes_into_a_hive_of_any_purpose_but_builders_and_banks() {
        UUID giver = hive("H 11");
        assertThat(owner.tell("HIVE_REPURPOSED", "hive", giver, "purpose", "BANK").status())
                .as("a laying queen below is no virgin").isEqualTo(200);
        UUID nuc = emptyNuc();
        Map<String, Object> placed = deed("QUEEN_PLACED", "queen", cell(), "hive", nuc, "given", "CELL",
                "besideAnother",
                false);
        assertThat(owner.tell("HIVE_REPURPOSED", "hive", nuc, "purpose", "BUILDER").status()).isEqualTo(200);
        refusedFirstAndKeptFlagged(entry(TODAY, placed), "is kept as a cell builder");
        assertThat(owner.tell("HIVE_REPURPOSED", "hive", nuc, "purpose", "PRODUCTION").status())
                .as("the cure that the flag names").isEqualTo(200);
    }

    /** Two phones without signal say the same frame went to two hives: both are kept, the second is asked about. */
    @Test
    void a_frame_cannot_go_to_two_hives() {
        UUID giver = hive("H 11");
        UUID nuc = emptyNuc();
        JsonNode frame = box(giver).path("frames").get(2);
        assertThat(owner.record(moved(frame, giver, nuc, 4)).status()).isEqualTo(200);
        refusedFirstAndKeptFlagged(moved(frame, giver, hive("H 1"), 1), "By the record this frame was in slot 4");
    }

    /** A box that stands on a hive cannot be put onto another; from the store it can. */
    @Test
    void a_box_from_the_store_makes_up_a_nuc_and_one_in_use_does_not() {
        UUID first = emptyNuc();
        JsonNode box = box(first);
        Map<String, Object> asItIs = Map.of("id", box.path("id").asString(), "kind", "BROOD", "format", "Dadant",
                "slots", 5,
                "frames", 2);
        UUID giver = hive("H 11");
        refusedFirstAndKeptFlagged(entry(TODAY, deed("BOX_PUT_ON", "hive", giver, "box", asItIs, "level", 2)),
                "this box stands on another hive");
        UUID second = emptyNucCalled("N 91");
        JsonNode stored = box(second);
        assertThat(owner.tell("HIVE_ENDED", "hive", second, "why", "EMPTIED", "boxes",
                List.of(stored.path("id").asString()), "store", "barn").status()).isEqualTo(200);
        assertThat(owner.tell("BOX_PUT_ON", "hive", giver, "box",
                Map.of("id", stored.path("id").asString(), "kind", "BROOD", "format", "Dadant", "slots", 5, "frames",
                        2),
                "level", 2).status()).isEqualTo(200);
        assertThat(owner.get("/api/v1/hives/" + giver + "/stack").json()).anySatisfy(
                part -> assertThat(part.path("id").asString()).isEqualTo(stored.path("id").asString()));
    }

    private UUID cell() {
        for (JsonNode queen : owner.list("/api/v1/queens?search=26-05")) {
            if (queen.path("stage").asString().equals("TAKEN")) {
                return UUID.fromString(queen.path("id").asString());
            }
        }
        throw new IllegalStateException("the demo has cells on the bar");
    }
}

package vividcrown.server.queen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Who a queen is, what she is kept for, how she leaves. The demo's day is 9 June 2026. */
@ExtendWith(Application.class)
class QueenTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 6, 9);

    private final Application.Running application;
    private Client owner;

    QueenTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        owner = application.signedIn(application.demo().ownerEmail());
    }

    private JsonNode page(UUID queen) {
        return owner.get("/api/v1/queens/" + queen).json();
    }

    private boolean isAMother(UUID queen) {
        return owner.get("/api/v1/queens/breeders").text().contains(queen.toString());
    }

    private Client.Answer known(UUID queen, int year, Object... more) {
        Map<String, Object> deed = Client.deed("QUEEN_KNOWN", "queen", queen, "code", "S-1", "name", "", "breeder",
                false, "stage", "LAYING", "emergenceYear", year, "line", "");
        for (int part = 0; part < more.length; part += 2) {
            deed.put(String.valueOf(more[part]), more[part + 1]);
        }
        return owner.record(Client.entry(TODAY, deed));
    }

    @Test
    void a_daughter_becomes_a_mother_and_one_no_longer_and_her_record_says_when() {
        UUID queen = owner.queenId("26-01-107");
        assertThat(isAMother(queen)).isFalse();
        assertThat(owner.tell("QUEEN_BREEDER_SAID", "queen", queen, "breeder", true).status()).isEqualTo(200);
        assertThat(isAMother(queen)).isTrue();
        assertThat(page(queen).path("breeder").asBoolean()).isTrue();
        assertThat(owner.tell("QUEEN_BREEDER_SAID", "queen", queen, "breeder", false).status()).isEqualTo(200);
        assertThat(isAMother(queen)).isFalse();
        assertThat(owner.list("/api/v1/journal?subject=" + queen).toString()).contains("QUEEN_BREEDER_SAID");
    }

    @Test
    void nobody_grafts_from_a_cell() {
        UUID cell = owner.queenId("26-05-101");
        owner.tell("QUEEN_BREEDER_SAID", "queen", cell, "breeder", true);
        assertThat(isAMother(cell)).isFalse();
    }

    @Test
    void a_queen_of_a_swarm_has_an_origin_and_no_age_and_may_wear_a_number_without_a_colour() {
        UUID queen = UUID.randomUUID();
        assertThat(known(queen, 0, "origin", Map.of("kind", "SWARM", "from", "the church wall")).status())
                .isEqualTo(200);
        assertThat(owner.tell("QUEEN_MARKED", "queen", queen, "number", "12").status()).isEqualTo(200);
        assertThat(page(queen).path("origin").path("kind").asString()).isEqualTo("SWARM");
        assertThat(page(queen).path("queen").path("mark").asString()).isEqualTo("12");
        assertThat(owner.tell("QUEEN_MARKED", "queen", queen, "number", "").status()).as("a mark of nothing")
                .isEqualTo(422);
    }

    @Test
    void nobody_emerged_next_year_and_nobody_is_her_own_mother() {
        assertThat(known(UUID.randomUUID(), 2027).findings()).singleElement().asString().contains("2027");
        UUID queen = UUID.randomUUID();
        assertThat(known(queen, 2025, "mother", queen).findings()).singleElement().asString()
                .contains("her own mother");
    }

    @Test
    void nothing_is_made_ready_for_a_graft_from_a_mother_who_is_gone() {
        UUID runa = owner.queenId("R-24-03");
        assertThat(owner.get("/api/v1/round").text()).contains("CONFINE_BREEDER");
        assertThat(owner.tell("QUEEN_TAKEN_OUT", "queen", runa, "whereTo", "", "why", "KILLED").status())
                .isEqualTo(200);
        assertThat(owner.get("/api/v1/round").text()).doesNotContain("CONFINE_BREEDER")
                .contains("Choose another mother").contains("Runa is no longer here");
    }

    @Test
    void sold_she_is_gone_and_stays_in_the_record() {
        UUID queen = owner.queenId("26-01-107");
        assertThat(owner.tell("QUEEN_TAKEN_OUT", "queen", queen, "whereTo", "order 12", "why", "SOLD").status())
                .isEqualTo(200);
        assertThat(page(queen).path("queen").path("alive").asBoolean()).isFalse();
        assertThat(owner.list("/api/v1/journal?subject=" + queen).toString()).contains("order 12").contains("SOLD");
        assertThat(owner.get("/api/v1/exports/apiary.csv").text()).as("what lives").doesNotContain("26-01-107");
    }
}

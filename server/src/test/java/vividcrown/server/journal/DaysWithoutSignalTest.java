package vividcrown.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.server.support.Client.deed;
import static vividcrown.server.support.Client.sight;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.ComputedRows;

/**
 * Two phones, three days without signal in the same yards, one clock forty minutes late, the other two hours early. They come back
 * together, on a line on which answers are lost.
 */
@ExtendWith(Application.class)
class DaysWithoutSignalTest {

    private static final LocalDate LAST_DAY = LocalDate.of(2026, 6, 8);
    private static final int DAYS = 3;
    private static final int ACTS_A_DAY = 25;
    private static final List<String> SIGHTS = List.of("VIRGIN", "NO_EGGS_YET", "EGGS", "SEALED_WORKER_BROOD", "DUD");

    private final Application.Running application;

    DaysWithoutSignalTest(Application.Running application) {
        this.application = application;
    }

    /** What somebody taps, dated by a clock that is wrong. */
    private static List<List<Map<String, Object>>> taps(Random random, int minutesWrong, List<UUID> queens,
            List<UUID> hives) {
        List<List<Map<String, Object>>> parcels = new ArrayList<>();
        for (int day = DAYS - 1; day >= 0; day--) {
            for (int act = 0; act < ACTS_A_DAY; act++) {
                LocalDate on = LAST_DAY.minusDays(day);
                UUID queen = queens.get(random.nextInt(queens.size()));
                Map<String, Object> entry = switch (random.nextInt(4)) {
                    case 0 -> Client.entry(on,
                            deed("HIVE_NOTED", "hive", hives.get(random.nextInt(hives.size())), "text", "n" + act));
                    case 1 -> Client.entry(on, deed("QUEEN_NOTED", "queen", queen, "text", "seen " + act));
                    default -> sight(queen, on, SIGHTS.get(random.nextInt(SIGHTS.size())));
                };
                Map<String, Object> dated = new LinkedHashMap<>(entry);
                dated.put("happenedAt", OffsetDateTime.of(on.atTime(9, 0).plusMinutes(12L * act + minutesWrong),
                        ZoneOffset.ofHours(2)).toString());
                parcels.add(List.of(dated));
            }
        }
        return parcels;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2})
    void nothing_is_lost_and_what_clashes_is_flagged(long seed) {
        Application.Demo demo = application.demo();
        Client ilva = application.signedIn(demo.ownerEmail());
        Client jory = application.signedIn(demo.crewEmail());
        List<UUID> queens = new ArrayList<>();
        for (String path : List.of("/api/v1/queens?search=26-02", "/api/v1/queens?search=26-03")) {
            ilva.list(path).forEach(queen -> queens.add(UUID.fromString(queen.path("id").asString())));
        }
        List<UUID> few = queens.subList(0, Math.min(25, queens.size()));
        List<UUID> hives = List.of(ilva.freeHive(0), ilva.freeHive(1));
        Random random = new Random(seed);
        List<List<Map<String, Object>>> ofIlva = taps(random, -40, few, hives);
        List<List<Map<String, Object>>> ofJory = taps(random, 120, few, hives);
        Set<UUID> kept = new HashSet<>();
        int contradicted = 0;
        for (int parcel = 0; parcel < ofIlva.size(); parcel++) {
            contradicted += sent(ilva, ofIlva.get(parcel), random, kept);
            contradicted += sent(jory, ofJory.get(parcel), random, kept);
        }
        assertThat(contradicted).as("two who do not know of each other do contradict").isPositive();
        JdbcClient database = application.context().getBean(JdbcClient.class);
        List<UUID> recorded = CurrentOperation.in(demo.operation(),
                () -> database.sql("select id from journal_entry").query(UUID.class).list());
        assertThat(kept).as("most of it can be").hasSizeGreaterThan(ofIlva.size());
        assertThat(recorded).containsAll(kept).doesNotHaveDuplicates();
        assertThat(CurrentOperation.in(demo.operation(),
                () -> database.sql("select count(distinct entry_id) from contradiction").query(Integer.class).single()))
                .as("flagged where they stand").isPositive();
        ComputedRows.areThoseOfARebuild(application, demo.operation());
    }

    /** As a phone does it: what clashes is looked at and kept anyway; what was not answered is sent again. @return 1 if it clashed */
    private static int sent(Client client, List<Map<String, Object>> parcel, Random random, Set<UUID> kept) {
        Client.Answer answer = client.record(parcel, false);
        int clashed = answer.status() == 409 ? 1 : 0;
        if (clashed == 1) {
            answer = client.record(parcel, true);
        }
        assertThat(answer.status()).as(answer.text()).isIn(200, 422);
        if (answer.status() == 422) {
            assertThat(answer.findings()).as("a refusal says why").isNotEmpty();
            return clashed;
        }
        if (random.nextInt(4) == 0) {
            JsonNode again = client.record(parcel, true).json();
            assertThat(again.path("known")).as("the answer was lost, it is known").hasSize(1);
        }
        kept.add((UUID) parcel.getFirst().get("id"));
        return clashed;
    }
}

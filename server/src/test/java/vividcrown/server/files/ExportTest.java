package vividcrown.server.files;

import static org.assertj.core.api.Assertions.assertThat;

import com.opencsv.CSVReader;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
class ExportTest {

    private final Application.Running application;
    private Client owner;

    ExportTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        owner = application.signedIn(application.demo().ownerEmail());
    }

    @Test
    void tasks_are_read_back_by_ical4j_with_days_and_places() throws Exception {
        String text = owner.get("/api/v1/exports/tasks.ics").text();
        List<VEvent> events = new CalendarBuilder().build(new StringReader(text)).getComponents(Component.VEVENT);
        VEvent take = events.stream().filter(event -> event.getSummary().getValue().equals("B 1: Count the take"))
                .findFirst().orElseThrow();
        assertThat(LocalDate.from(take.getDateTimeStart().getDate())).isEqualTo("2026-06-09");
        // RFC 5545: the end of an all-day event is the day after its last
        assertThat(LocalDate.from(take.getDateTimeEnd().getDate())).isEqualTo("2026-06-10");
        assertThat(take.getLocation().getValue()).isEqualTo("Weir Bend");
        assertThat(events).extracting(event -> event.getUid().orElseThrow().getValue()).doesNotHaveDuplicates();
        assertThat(text.lines()).allSatisfy(line -> assertThat(line.getBytes(StandardCharsets.UTF_8))
                .hasSizeLessThanOrEqualTo(75 + 2));
    }

    @Test
    void the_secret_link_works_without_signing_in_until_a_new_one_is_made() {
        Client stranger = new Client(application.address());
        String first = owner.post("/api/v1/calendar-link", Map.of()).json().path("path").asString();
        assertThat(stranger.get(first).text()).startsWith("BEGIN:VCALENDAR").contains("Count the take");
        String second = owner.post("/api/v1/calendar-link", Map.of()).json().path("path").asString();
        assertThat(stranger.get(first).status()).isEqualTo(404);
        assertThat(stranger.get(second).status()).isEqualTo(200);
        assertThat(stranger.get("/calendar/guess.ics").status()).isEqualTo(404);
    }

    @Test
    void cells_and_queens_are_read_back_by_a_second_parser() throws Exception {
        owner.tell("QUEEN_NOTED", "queen", owner.queenId("26-02-110"), "text", "comma, \"quote\"");
        try (CSVReader reader = new CSVReader(new StringReader(owner.get("/api/v1/exports/queens.csv").text()))) {
            List<String[]> rows = reader.readAll();
            assertThat(rows.getFirst()).containsExactly(QueenSheet.COLUMNS.toArray(String[]::new));
            // the header, six grafts of 45, four mothers, two in cages, 24 with testers
            assertThat(rows).hasSize(1 + 6 * 45 + 4 + 2 + 24).allSatisfy(row -> assertThat(row).hasSize(16));
            String[] late = rows.stream().filter(row -> row[0].equals("26-02-110")).findFirst().orElseThrow();
            assertThat(late).contains("Selva", "VIRGIN", "W 39", "2026-05-06", "2026-05-16");
        }
    }
}

package vividcrown.server.files;

import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.reason.Measures;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.LinkSecret;
import vividcrown.server.operation.Operations;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.QueenReader;
import vividcrown.server.queen.Queens;
import vividcrown.server.settings.SettingsInForce;

/** Files out: tasks as iCalendar, cells and queens as CSV, and the secret link that a calendar subscribes to. */
@RestController
class ExportController {

    private static final MediaType ICALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);

    /** @param path of the feed; shown once, not kept */
    record CalendarLink(URI path) {
    }

    private final TaskCalendar tasks;
    private final Operations operations;
    private final Queens queens;
    private final QueenReader reader;
    private final Today today;
    private final JdbcClient jdbc;
    private final SettingsInForce settings;

    ExportController(TaskCalendar tasks, Operations operations, Queens queens, QueenReader reader, Today today,
            JdbcClient jdbc, SettingsInForce settings) {
        this.tasks = tasks;
        this.operations = operations;
        this.queens = queens;
        this.reader = reader;
        this.today = today;
        this.jdbc = jdbc;
        this.settings = settings;
    }

    /** Every open job as a calendar (RFC 5545). */
    @GetMapping("/api/v1/exports/tasks.ics")
    ResponseEntity<String> tasks() {
        return file("vivid-crown-tasks.ics", ICALENDAR, tasks.write());
    }

    /** Every cell and queen as CSV (RFC 4180). */
    @GetMapping("/api/v1/exports/queens.csv")
    ResponseEntity<String> queens() {
        List<Queen> rows = queens.findAllByOrderByCode();
        return file("vivid-crown-queens.csv", CSV, QueenSheet.write(rows, reader.view(rows, today.day())));
    }

    /** Makes a new secret link; the one before stops working. */
    @PostMapping("/api/v1/calendar-link")
    @Transactional
    CalendarLink newLink() {
        SignedIn.requireOwner();
        LinkSecret key = LinkSecret.fresh();
        operations.calendarOpensWith(key.hash());
        return new CalendarLink(URI.create("/calendar/" + key.text() + ".ics"));
    }

    /** The feed: open to whoever holds the link. */
    @GetMapping("/calendar/{key}.ics")
    ResponseEntity<String> feed(@PathVariable String key) {
        UUID operation = jdbc.sql("select operation_of_calendar(?) as id").param(new LinkSecret(key).hash())
                .query((row, _) -> Optional.ofNullable(row.getObject("id", UUID.class))).single()
                .orElseThrow(() -> Refusal.notFound(Sentence.of("refusal.calendarLinkGone")));
        return CurrentOperation.in(operation, () -> Measures.in(() -> settings.current().measures(),
                () -> file("vivid-crown-tasks.ics", ICALENDAR, tasks.write())));
    }

    private static ResponseEntity<String> file(String name, MediaType type, String content) {
        return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .contentType(type).body(content);
    }
}

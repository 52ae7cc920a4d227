package vividcrown.server.journal;

import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.server.clock.Today;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;

/** Checks what people tap before it goes into the journal. Everything wrong is said at once. */
@Service
class Tapping {

    private final Recorder recorder;
    private final Journal journal;
    private final Payloads payloads;
    private final Today today;

    Tapping(Recorder recorder, Journal journal, Payloads payloads, Today today) {
        this.recorder = recorder;
        this.journal = journal;
        this.payloads = payloads;
        this.today = today;
    }

    @Transactional
    public List<UUID> record(List<JournalController.Entry> entries, boolean keepContradictions) {
        recorder.takeTurn();
        List<UUID> corrected = entries.stream().map(JournalController.Entry::corrects)
                .flatMap(id -> Optional.ofNullable(id).stream()).toList();
        Map<UUID, JournalEntry> known = journal.findAllById(corrected).stream()
                .collect(Collectors.toMap(JournalEntry::id, Function.identity()));
        List<Refusal.Finding> findings = new ArrayList<>();
        for (JournalController.Entry entry : entries) {
            check(entry, known).ifPresent(
                    message -> findings.add(new Refusal.Finding("entries." + entry.id(), message)));
        }
        if (!findings.isEmpty()) {
            throw Refusal.invalid(findings);
        }
        return recorder.record(entries.stream().map(this::entry).toList(), keepContradictions);
    }

    private JournalEntry entry(JournalController.Entry entry) {
        ZonedDateTime happened = entry.happenedAt().withZoneSameInstant(today.zone());
        Detail detail = entry.detail() == null ? Detail.NONE : entry.detail();
        return new JournalEntry(entry.id(), happened, today.recordedAt(), SignedIn.require().id(), entry.subjectKind(),
                entry.subjectId(), entry.kind(), payloads.write(detail), entry.corrects());
    }

    private Optional<String> check(JournalController.Entry entry, Map<UUID, JournalEntry> corrected) {
        var day = entry.happenedAt().withZoneSameInstant(today.zone()).toLocalDate();
        if (day.isAfter(today.day())) {
            return Optional.of("%s lies ahead; today is %s. Change the day to one that has been."
                    .formatted(day, today.day()));
        }
        if (!entry.kind().isTapped()) {
            return Optional.of("%s is not recorded here. Use the page it belongs to.".formatted(entry.kind()));
        }
        if (!recorder.exists(entry.subjectKind(), entry.subjectId())) {
            return Optional.of("There is no %s with the id %s here. Choose one from the list."
                    .formatted(word(entry.subjectKind()), entry.subjectId()));
        }
        return checkCorrection(entry, corrected).or(() -> checkDetail(entry));
    }

    private static Optional<String> checkCorrection(JournalController.Entry entry,
            Map<UUID, JournalEntry> corrected) {
        if (entry.corrects() == null) {
            return entry.kind() == EntryKind.WITHDRAWN
                    ? Optional.of("A withdrawal names the entry it takes away. Set corrects.")
                    : Optional.empty();
        }
        JournalEntry original = corrected.get(entry.corrects());
        if (original == null || !original.subjectId().equals(entry.subjectId())) {
            return Optional.of("The entry to correct is not in this record. Reload the page and choose it again.");
        }
        return original.kind().isTapped()
                ? Optional.empty()
                : Optional.of("%s is corrected on its own page.".formatted(original.kind()));
    }

    private Optional<String> checkDetail(JournalController.Entry entry) {
        Detail detail = entry.detail() == null ? Detail.NONE : entry.detail();
        return switch (entry.kind()) {
            case PLACED_IN_NUC -> detail.nuc() == null || !recorder.exists(SubjectKind.NUC, detail.nuc())
                    ? Optional.of("Say into which nuc: there is none with this id. Choose one from the list.")
                    : Optional.empty();
            case CAGED_IN_INCUBATOR -> detail.cage() == null || detail.cage() < 1
                    ? Optional.of("Cages are numbered from 1, but the cage is %s. Give its number."
                            .formatted(detail.cage()))
                    : Optional.empty();
            case CULLED -> missing(detail.reason(), "Say why the cell was culled.");
            case MARKED -> missing(detail.colour(), "Say the colour of the mark.");
            case STEP_DONE -> missing(detail.step(), "Say which step was done.");
            case NOT_POSSIBLE -> missing(detail.job(), "Say which job was not possible.");
            case NOTE -> detail.text() == null || detail.text().isBlank()
                    ? Optional.of("The note is empty. Write something, or leave it.")
                    : Optional.empty();
            case READ -> detail.reading() == null
                    ? Optional.of("Say what was seen. Tap at least one sign.")
                    : unreadable(detail.reading(), entry.happenedAt().toLocalDate());
            case HAPPENED -> missing(detail.event(), "Say what happened.");
            case SWARM_STEP_DONE -> missing(done(detail).swarmStep(), "Say which step was done.")
                    .or(() -> missing(done(detail).swarmSchool(), "Say which way of doing it is followed."));
            case FRAME_TAKEN, FRAME_GIVEN -> missing(done(detail).slot(), "Say which frame it was.")
                    .or(() -> otherColony(entry, done(detail)));
            default -> Optional.empty();
        };
    }

    private static ColonyDetail done(Detail detail) {
        return detail.colony() == null ? ColonyDetail.NONE : detail.colony();
    }

    private Optional<String> otherColony(JournalController.Entry entry, ColonyDetail moved) {
        boolean known = moved.other() != null && recorder.exists(SubjectKind.COLONY, moved.other());
        if (!known || entry.subjectId().equals(moved.other())) {
            return Optional.of("Say which other colony the frame went to or came from. Choose one from the list.");
        }
        return Optional.empty();
    }

    private static Optional<String> unreadable(ReadingDetail reading, LocalDate day) {
        try {
            reading.on(day);
            return Optional.empty();
        } catch (IllegalArgumentException both) {
            return Optional.of(both.getMessage() + ". Take one of the two back.");
        }
    }

    private static Optional<String> missing(@Nullable Object value, String cure) {
        return value == null ? Optional.of(cure) : Optional.empty();
    }

    private static String word(SubjectKind kind) {
        return kind.name().toLowerCase(Locale.ROOT);
    }
}

package vividcrown.server.journal;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.journal.Corrections;
import vividcrown.server.person.People;

/** What people tap: entries in, the record of one subject out. */
@RestController
@RequestMapping("/api/v1/journal")
class JournalController {

    /**
     * @param id UUID version 7, made on the device that records; sending the same id twice records once
     * @param happenedAt when it was seen or done, with the offset of the place
     * @param corrects the entry that this one takes the place of, of the same subject
     */
    record Entry(@NotNull UUID id, @NotNull ZonedDateTime happenedAt, @NotNull SubjectKind subjectKind,
            @NotNull UUID subjectId, @NotNull EntryKind kind, @Nullable @Valid Detail detail, @Nullable UUID corrects) {
    }

    /** @param keepContradictions keep entries that clash with what is known, flagged, instead of refusing them */
    record Entries(@NotEmpty @Size(max = 500) List<@Valid Entry> entries, @Nullable Boolean keepContradictions) {
    }

    /** @param recorded ids that were new; the others had been sent before */
    record Recorded(List<UUID> recorded) {
    }

    /**
     * @param stands false if corrected or withdrawn since
     * @param clash what it clashes with, if anything
     */
    record Line(UUID id, ZonedDateTime happenedAt, Instant recordedAt, String by, EntryKind kind, Detail detail,
            @Nullable UUID corrects, boolean stands, @Nullable String clash) {
    }

    private final Tapping tapping;
    private final Journal journal;
    private final Contradictions contradictions;
    private final Payloads payloads;
    private final People people;

    JournalController(Tapping tapping, Journal journal, Contradictions contradictions, Payloads payloads,
            People people) {
        this.tapping = tapping;
        this.journal = journal;
        this.contradictions = contradictions;
        this.payloads = payloads;
        this.people = people;
    }

    @PostMapping
    Recorded record(@Valid @RequestBody Entries asked) {
        return new Recorded(tapping.record(asked.entries(), Boolean.TRUE.equals(asked.keepContradictions())));
    }

    @GetMapping
    List<Line> of(@RequestParam UUID subject) {
        List<JournalEntry> entries = journal.findBySubjectIdOrderBySequence(subject);
        Map<UUID, ContradictionRecord> flags = contradictions.findBySubjectId(subject).stream()
                .collect(Collectors.toMap(ContradictionRecord::entryId, Function.identity(), (first, _) -> first));
        List<JournalEntry> standing = Corrections.standing(entries);
        Map<UUID, String> names = people.names();
        return entries.stream()
                .map(entry -> new Line(entry.id(), entry.happenedAt(), entry.recordedAt(),
                        names.getOrDefault(entry.recordedBy(), "?"), entry.kind(), payloads.read(entry, Detail.class),
                        entry.corrects().orElse(null), standing.contains(entry),
                        flags.containsKey(entry.id()) ? flags.get(entry.id()).clash() : null))
                .toList();
    }
}

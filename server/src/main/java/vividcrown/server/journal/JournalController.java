package vividcrown.server.journal;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import vividcrown.core.journal.Deed;
import vividcrown.server.page.Page;
import vividcrown.server.person.People;
import vividcrown.server.person.Role;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;

/** The record: deeds in, what is known of one thing out. */
@RestController
@RequestMapping("/api/v1/journal")
class JournalController {

    /**
     * @param id UUID version 7, made on the device that records; sending the same id twice records once
     * @param happenedAt when it was seen or done, with the offset of the place; not before 2000, not ahead
     * @param deed what was seen or done: {@code kind} and the parts that its kind needs
     * @param corrects the entry that this one takes the place of; it has a thing in common with it
     */
    record TellEntry(@NotNull UUID id, @NotNull ZonedDateTime happenedAt,
            @NotNull @Schema(ref = "#/components/schemas/Deed") JsonNode deed, @Nullable UUID corrects) {
    }

    /** @param keepContradictions keep entries that clash with what is known, flagged, instead of refusing them */
    record TellEntries(@NotEmpty @Size(max = 500) List<@Valid TellEntry> entries,
            @Nullable Boolean keepContradictions) {
    }

    /**
     * Every entry that was sent is in one of the two: only then is it safe.
     *
     * @param recorded ids that were new
     * @param known ids that had been recorded before
     */
    record RecordedEntries(List<UUID> recorded, List<UUID> known) {
    }

    /**
     * @param stands false if corrected or withdrawn since
     * @param correctable whoever asks may put it right
     * @param removable whoever asks may take it away
     * @param clash what it clashes with, if anything
     */
    record JournalLine(UUID id, ZonedDateTime happenedAt, Instant recordedAt, String by,
            @Schema(ref = "#/components/schemas/Deed") JsonNode deed, @Nullable UUID corrects, boolean stands,
            boolean correctable, boolean removable, @Nullable String clash) {
    }

    private final Desk desk;
    private final Journal journal;
    private final Deeds deeds;
    private final Contradictions contradictions;
    private final People people;
    private final EntryRights rights;

    JournalController(Desk desk, Journal journal, Deeds deeds, Contradictions contradictions, People people,
            EntryRights rights) {
        this.desk = desk;
        this.journal = journal;
        this.deeds = deeds;
        this.contradictions = contradictions;
        this.people = people;
        this.rights = rights;
    }

    @PostMapping
    @Operation(operationId = "recordDeeds", summary = "Record what was seen and done", description = """
            All of them or none. 422: something must be changed, each finding says what. 409: an entry clashes with what is
            known; change it, or send again with keepContradictions. Safe to send again: an id is recorded once.""")
    RecordedEntries record(@Valid @RequestBody TellEntries asked) {
        List<Refusal.Finding> findings = new ArrayList<>();
        List<Desk.Told> told = new ArrayList<>();
        for (TellEntry entry : asked.entries()) {
            try {
                told.add(new Desk.Told(entry.id(), entry.happenedAt(), deeds.asked(entry.deed()),
                        Optional.ofNullable(entry.corrects())));
            } catch (Deeds.Unreadable unreadable) {
                unreadable.faults().forEach(fault -> findings
                        .add(new Refusal.Finding("entries." + entry.id() + ".deed", fault.toString())));
            }
        }
        if (!findings.isEmpty()) {
            throw Refusal.invalid(findings);
        }
        Recorder.Recorded recorded = desk.take(told, Boolean.TRUE.equals(asked.keepContradictions()));
        return new RecordedEntries(recorded.fresh(), recorded.known());
    }

    @GetMapping
    @Operation(operationId = "recordOf", summary = "What is recorded of one thing, the newest first")
    @Transactional(readOnly = true)
    public Page<JournalLine> of(@RequestParam UUID subject,
            @RequestParam(defaultValue = "200") @Min(1) @Max(1000) int most, @RequestParam Optional<Long> page) {
        List<JournalEntry> found = journal.newest(subject, page.orElse(Long.MAX_VALUE), Limit.of(most + 1));
        List<JournalEntry> entries = found.subList(0, Math.min(most, found.size()));
        List<UUID> ids = entries.stream().map(JournalEntry::id).toList();
        Map<UUID, String> clashes = contradictions.of(ids);
        Set<UUID> corrected = new HashSet<>(journal.corrected(ids));
        Map<UUID, String> names = people.names();
        EntryRights.OfPerson mine = rights.mine();
        List<JournalLine> lines = entries.stream()
                .map(entry -> new JournalLine(entry.id(), entry.happenedAt(), entry.recordedAt(),
                        names.getOrDefault(entry.recordedBy(), "?"),
                        view(deeds.read(entry.kind(), entry.version(), entry.payload())),
                        entry.corrects().orElse(null),
                        !entry.isWithdrawal() && !corrected.contains(entry.id()), mine.mayCorrect(entry),
                        mine.mayTakeAway(entry), clashes.get(entry.id())))
                .toList();
        return Page.of(lines, found.size() > most ? Optional.of(entries.getLast().sequence()) : Optional.empty());
    }

    private JsonNode view(Deed deed) {
        return SignedIn.require().role() == Role.OWNER ? deeds.view(deed) : deeds.viewForAll(deed);
    }
}

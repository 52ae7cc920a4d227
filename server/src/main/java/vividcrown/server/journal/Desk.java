package vividcrown.server.journal;

import com.fasterxml.uuid.Generators;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;
import vividcrown.core.journal.Withdrawn;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;
import vividcrown.server.person.Role;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;

/** Takes deeds from people: checks each, says everything that is wrong at once, and hands them to the recorder. */
@Service
public class Desk {

    /** Nothing of this trade was written down with a program before. */
    static final LocalDate FIRST_DAY = LocalDate.of(2000, 1, 1);

    private final Recorder recorder;
    private final Turns turns;
    private final Journal journal;
    private final Deeds deeds;
    private final EntryRights rights;
    private final Today today;

    Desk(Recorder recorder, Turns turns, Journal journal, Deeds deeds, EntryRights rights, Today today) {
        this.recorder = recorder;
        this.turns = turns;
        this.journal = journal;
        this.deeds = deeds;
        this.rights = rights;
        this.today = today;
    }

    /**
     * A deed as somebody says it.
     *
     * @param id of the entry
     */
    public record Told(UUID id, ZonedDateTime happenedAt, Deed deed, Optional<UUID> corrects) {
    }

    /** A deed of the signed-in person, done now, under an id of its own. */
    public Told now(Deed deed) {
        return now(Generators.timeBasedEpochGenerator().generate(), deed);
    }

    /** @param id of the entry: the same id twice is one entry */
    public Told now(UUID id, Deed deed) {
        return new Told(id, today.now(), deed, Optional.empty());
    }

    /** @param keepContradictions keep and flag entries that clash with what is known, instead of refusing all */
    @Transactional
    public Recorder.Recorded take(List<Told> told, boolean keepContradictions) {
        turns.take();
        Set<UUID> known = recorder.known(told.stream().map(Told::id).toList());
        List<Refusal.Finding> findings = new ArrayList<>();
        Map<UUID, JournalEntry> corrected = corrected(told);
        Map<SubjectKind, Set<UUID>> existing = existing(told);
        List<NewEntry> entries = new ArrayList<>();
        List<Deed> admitted = new ArrayList<>();
        for (Told one : told) {
            ZonedDateTime happened = one.happenedAt().withZoneSameInstant(today.zone());
            Admission admission = new Admission(one.id(), happened.toLocalDate(), today.day(), one.corrects(),
                    admitted);
            boolean isNew = !known.contains(one.id());
            Deed deed = isNew ? admitted(one, admission, corrected, existing) : one.deed();
            if (isNew) {
                admitted.add(deed);
            }
            findings.addAll(admission.findings());
            entries.add(new NewEntry(one.id(), happened, today.recordedAt(), SignedIn.require().id(), deed,
                    one.corrects()));
        }
        if (!findings.isEmpty()) {
            throw Refusal.invalid(findings);
        }
        return recorder.record(entries, keepContradictions);
    }

    private Deed admitted(Told told, Admission admission, Map<UUID, JournalEntry> corrected,
            Map<SubjectKind, Set<UUID>> existing) {
        DeedKind<?> kind = deeds.kindOf(told.deed());
        if (kind.hand() == DeedKind.Hand.OWNER && SignedIn.require().role() != Role.OWNER) {
            throw Refusal.forbidden(Sentence.of("refusal.ownerOnly"));
        }
        if (admission.day().isAfter(today.day())) {
            admission.refuse("happenedAt", "refusal.liesAhead", admission.day().toString(), today.day().toString());
        }
        if (admission.day().isBefore(FIRST_DAY)) {
            admission.refuse("happenedAt", "refusal.longAgo", admission.day().toString(), FIRST_DAY.toString());
        }
        checkCorrection(told, admission, corrected);
        if (checkSubjects(told, kind, admission, existing)) {
            return kind.admitted(told.deed(), admission);
        }
        return told.deed();
    }

    private Map<UUID, JournalEntry> corrected(List<Told> told) {
        List<UUID> ids = told.stream().flatMap(one -> one.corrects().stream()).toList();
        return journal.findAllById(ids).stream().collect(Collectors.toMap(JournalEntry::id, Function.identity()));
    }

    private void checkCorrection(Told told, Admission admission, Map<UUID, JournalEntry> corrected) {
        if (told.corrects().isEmpty()) {
            if (told.deed() instanceof Withdrawn) {
                admission.refuse("corrects", "refusal.withdrawsNothing");
            }
            return;
        }
        JournalEntry original = corrected.get(told.corrects().get());
        if (original != null) {
            rights.mine().require(original, told.deed() instanceof Withdrawn);
        }
        if (original == null) {
            admission.refuse("corrects", "refusal.correctsNothing");
        } else if (!(told.deed() instanceof Withdrawn) && !haveOneInCommon(told, original)) {
            admission.refuse("corrects", "refusal.correctsAnother");
        } else {
            checkNothingHangsOn(original, told, corrected.keySet(), admission);
        }
    }

    /** What brought a thing into the record stays as long as anything is recorded of that thing. */
    private void checkNothingHangsOn(JournalEntry original, Told told, Set<UUID> takenBack, Admission admission) {
        Set<SubjectKind> brings = deeds.kind(original.kind()).map(DeedKind::brings).orElseThrow();
        Set<UUID> still = deeds.kindOf(told.deed()).brings().isEmpty()
                ? Set.of()
                : told.deed().touches().stream().map(Touch::id).collect(Collectors.toSet());
        Map<UUID, SubjectKind> gone = new HashMap<>();
        journal.subjectsOf(List.of(original.id())).stream().map(JournalSubject::touch)
                .filter(touch -> brings.contains(touch.kind())
                        && !touch.role().equals(vividcrown.core.journal.Role.CONTEXT)
                        && !still.contains(touch.id()))
                .forEach(touch -> gone.put(touch.id(), touch.kind()));
        if (!gone.isEmpty()) {
            journal.stillTouched(gone.keySet(), takenBack).stream().findFirst()
                    .ifPresent(thing -> admission.refuse("corrects", "refusal.othersHangOnIt",
                            Sentence.of("subject." + Objects.requireNonNull(gone.get(thing)).name()),
                            thing.toString()));
        }
    }

    private boolean haveOneInCommon(Told told, JournalEntry original) {
        Set<UUID> before = journal.subjectsOf(List.of(original.id())).stream().map(one -> one.touch().id())
                .collect(Collectors.toSet());
        return told.deed().touches().stream().anyMatch(touch -> before.contains(touch.id()));
    }

    /** What is known of all that these deeds touch, asked once for each kind. */
    private Map<SubjectKind, Set<UUID>> existing(List<Told> told) {
        Map<SubjectKind, Set<UUID>> touched = new HashMap<>();
        told.stream().flatMap(one -> one.deed().touches().stream())
                .forEach(touch -> touched.computeIfAbsent(touch.kind(), _ -> new HashSet<>()).add(touch.id()));
        Map<SubjectKind, Set<UUID>> existing = new HashMap<>();
        touched.forEach((kind, things) -> existing.put(kind, new HashSet<>(recorder.existing(kind, things))));
        return existing;
    }

    private boolean checkSubjects(Told told, DeedKind<?> kind, Admission admission,
            Map<SubjectKind, Set<UUID>> existing) {
        boolean all = true;
        for (Touch touch : told.deed().touches()) {
            boolean there = Objects.requireNonNull(existing.get(touch.kind())).contains(touch.id());
            if (!there && kind.brings().contains(touch.kind())) {
                existing.get(touch.kind()).add(touch.id());
            } else if (!there) {
                all = false;
                admission.refuse("", "refusal.notHere", recorder.isKept(touch.kind())
                        ? Sentence.of("subject." + touch.kind().name())
                        : touch.kind().name(), touch.id().toString());
            }
        }
        return all;
    }
}

package vividcrown.server.graft;

import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividcrown.core.rearing.StepKind;
import vividcrown.server.clock.Today;
import vividcrown.server.journal.Detail;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.Journal;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.Projector;
import vividcrown.server.journal.SubjectKind;

/** Makes a graft's row, and through {@link CupsFollow} its cups, from its entries. */
@Component
class GraftProjector implements Projector {
    private final Journal journal;
    private final Payloads payloads;
    private final Grafts grafts;
    private final CupsFollow cups;
    private final Today today;

    GraftProjector(Journal journal, Payloads payloads, Grafts grafts, CupsFollow cups, Today today) {
        this.journal = journal;
        this.payloads = payloads;
        this.grafts = grafts;
        this.cups = cups;
        this.today = today;
    }

    @Override
    public SubjectKind subjectKind() {
        return SubjectKind.GRAFT;
    }

    @Override
    public void project(UUID subject) {
        List<JournalEntry> standing = journal.standing(subject);
        Optional<GraftPlanned> planned = last(standing, EntryKind.GRAFT_PLANNED)
                .map(entry -> payloads.read(entry, GraftPlanned.class));
        if (planned.isEmpty()) {
            return;
        }
        Optional<JournalEntry> done = last(standing, EntryKind.GRAFTED);
        ZonedDateTime plannedFor = planned.get().plannedFor().withZoneSameInstant(today.zone());
        LocalDate day = done.map(JournalEntry::happenedOn).orElse(plannedFor.toLocalDate());
        Set<StepKind> steps = EnumSet.noneOf(StepKind.class);
        standing.stream().filter(entry -> entry.kind() == EntryKind.STEP_DONE)
                .forEach(entry -> steps.add(Objects.requireNonNull(payloads.read(entry, Detail.class).step())));
        List<GraftShare> shares = last(standing, EntryKind.GRAFT_MEANT_FOR)
                .map(entry -> payloads.read(entry, GraftDesk.MeantFor.class).shares())
                .orElseGet(() -> Objects.requireNonNullElse(planned.get().shares(), List.of()));
        Graft graft = grafts.save(new Graft(subject, planned.get(), shares, day, done.isPresent(),
                last(standing, EntryKind.GRAFT_CANCELLED).isPresent(), steps));
        grafts.flush();
        if (done.isPresent()) {
            cups.follow(graft);
        }
    }

    private static Optional<JournalEntry> last(List<JournalEntry> standing, EntryKind kind) {
        return standing.stream().filter(entry -> entry.kind() == kind).reduce((_, last) -> last);
    }

    @Override
    public boolean exists(UUID subject) {
        return grafts.existsById(subject);
    }
}

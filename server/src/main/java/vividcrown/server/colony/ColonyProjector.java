package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.Journal;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.Projector;
import vividcrown.server.journal.SubjectKind;

/** Makes the rows of colonies: what the last set-up says, and when it was read last. */
@Component
class ColonyProjector implements Projector {
    private final Journal journal;
    private final Payloads payloads;
    private final Colonies colonies;

    ColonyProjector(Journal journal, Payloads payloads, Colonies colonies) {
        this.journal = journal;
        this.payloads = payloads;
        this.colonies = colonies;
    }

    @Override
    public SubjectKind subjectKind() {
        return SubjectKind.COLONY;
    }

    @Override
    public void project(UUID subject) {
        List<JournalEntry> standing = journal.standing(subject);
        Optional<LocalDate> read = standing.stream().filter(entry -> entry.kind() == EntryKind.READ)
                .map(JournalEntry::happenedOn).max(LocalDate::compareTo);
        List<JournalEntry> setUps = standing.stream().filter(entry -> entry.kind() == EntryKind.COLONY_SET_UP).toList();
        if (!setUps.isEmpty()) {
            colonies.saveAndFlush(new Colony(subject, payloads.read(setUps.getLast(), ColonySetUp.class),
                    setUps.getFirst().happenedOn(), read.orElse(null), droneCombOn(standing), meant(standing)));
        }
    }

    /** The last to speak of it is right: a set-up or the tap on the day. */
    private @Nullable LocalDate droneCombOn(List<JournalEntry> standing) {
        LocalDate day = null;
        for (JournalEntry entry : standing) {
            if (entry.kind() == EntryKind.COLONY_SET_UP) {
                day = payloads.read(entry, ColonySetUp.class).droneCombOn();
            } else if (entry.kind() == EntryKind.DRONE_COMB_IN) {
                day = entry.happenedOn();
            }
        }
        return day;
    }

    private DroneCombMeant meant(List<JournalEntry> standing) {
        return standing.stream().filter(entry -> entry.kind() == EntryKind.DRONE_COMB_MEANT)
                .reduce((_, last) -> last).map(entry -> payloads.read(entry, DroneCombMeant.class))
                .orElse(new DroneCombMeant(null, null));
    }

    @Override
    public boolean exists(UUID subject) {
        return colonies.existsById(subject);
    }
}

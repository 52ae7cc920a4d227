package vividcrown.server.settings;

import java.util.UUID;
import org.springframework.stereotype.Component;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.Journal;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.Projector;
import vividcrown.server.journal.SubjectKind;
import vividcrown.server.operation.CurrentOperation;

/** The settings of the current operation, and their row made from the journal. */
@Component
public class SettingsInForce implements Projector {
    private final SettingsRecords records;
    private final Journal journal;
    private final Payloads payloads;

    SettingsInForce(SettingsRecords records, Journal journal, Payloads payloads) {
        this.records = records;
        this.journal = journal;
        this.payloads = payloads;
    }

    public Settings current() {
        return records.findById(CurrentOperation.require())
                .map(row -> payloads.parse(row.detail(), Settings.class)).orElse(Settings.STANDARD);
    }

    public Assumptions assumptions() {
        return current().assumptions();
    }

    public MarkingScheme scheme() {
        return current().scheme();
    }

    @Override
    public SubjectKind subjectKind() {
        return SubjectKind.OPERATION;
    }

    @Override
    public void project(UUID subject) {
        journal.standing(subject).stream().filter(entry -> entry.kind() == EntryKind.SETTINGS_CHANGED)
                .reduce((_, last) -> last)
                .ifPresent(entry -> records.saveAndFlush(new SettingsRecord(subject, entry.detail())));
    }

    @Override
    public boolean exists(UUID subject) {
        return subject.equals(CurrentOperation.require());
    }
}

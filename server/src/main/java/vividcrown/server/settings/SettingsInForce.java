package vividcrown.server.settings;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.settings.Settings;
import vividcrown.core.settings.SettingsDeed;
import vividcrown.server.journal.Projector;
import vividcrown.server.operation.CurrentOperation;

/** The settings of the current operation, and their row made from the record. */
@Component
@Order(1)
public class SettingsInForce implements Projector {

    private final SettingsRecords records;

    SettingsInForce(SettingsRecords records) {
        this.records = records;
    }

    public Settings current() {
        return records.findById(CurrentOperation.require()).map(SettingsRecord::settings).orElse(Settings.STANDARD);
    }

    public Assumptions assumptions() {
        return current().assumptions();
    }

    public MarkingScheme scheme() {
        return current().scheme();
    }

    @Override
    public SubjectKind subjectKind() {
        return SettingsDeed.OPERATION;
    }

    @Override
    public void project(Map<UUID, List<Entry>> bySubject) {
        bySubject.forEach((id, record) -> changed(record).ifPresentOrElse(
                last -> records.saveAndFlush(new SettingsRecord(id, last.settings())),
                () -> records.deleteAllByIdInBatch(List.of(id))));
    }

    private static Optional<SettingsDeed.Changed> changed(List<Entry> record) {
        return record.stream().map(Entry::deed).filter(SettingsDeed.Changed.class::isInstance)
                .map(SettingsDeed.Changed.class::cast).reduce((_, last) -> last);
    }

    @Override
    public void clear() {
        records.deleteAllInBatch();
    }

    @Override
    public Set<UUID> existing(Collection<UUID> subjects) {
        return subjects.stream().filter(CurrentOperation.require()::equals).collect(Collectors.toSet());
    }
}

package vividcrown.server.journal;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividcrown.core.journal.Corrections;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.Role;

/** The record of things, as it stands. */
@Component
public class Records {

    private final Journal journal;
    private final Deeds deeds;

    Records(Journal journal, Deeds deeds) {
        this.journal = journal;
        this.deeds = deeds;
    }

    /**
     * What stands of each thing's record after corrections, in order of recording.
     *
     * @return one list for each of the things, empty where nothing stands
     */
    public Map<UUID, List<Entry>> standing(Collection<UUID> subjects) {
        return standing(subjects, Desk.FIRST_DAY);
    }

    /** The same of what happened on that day or later. */
    public Map<UUID, List<Entry>> standing(Collection<UUID> subjects, LocalDate since) {
        if (subjects.isEmpty()) {
            return Map.of();
        }
        Map<UUID, Map<JournalEntry, Boolean>> records = new LinkedHashMap<>();
        subjects.forEach(
                subject -> records.put(subject, new TreeMap<>(Comparator.comparingLong(JournalEntry::sequence))));
        journal.bearingOn(subjects, since)
                .forEach(one -> Objects.requireNonNull(records.get(one.subject())).merge(one.entry(),
                        !one.role().equals(Role.CORRECTED.name()), Boolean::logicalOr));
        Map<UUID, List<Entry>> standing = new LinkedHashMap<>();
        // a correction that says nothing of this thing any more still takes the place of what it corrects
        records.forEach((subject, record) -> standing.put(subject, Corrections.standing(List.copyOf(record.keySet()))
                .stream().filter(record::get).map(this::entry).toList()));
        return standing;
    }

    public List<Entry> standing(UUID subject) {
        return standing(List.of(subject)).getOrDefault(subject, List.of());
    }

    private Entry entry(JournalEntry stored) {
        return new Entry(stored.id(), stored.happenedOn(), stored.sequence(),
                deeds.read(stored.kind(), stored.version(), stored.payload()));
    }

    /** Who recorded an entry. */
    public Map<UUID, UUID> recordedBy(Collection<UUID> entries) {
        Map<UUID, UUID> by = new LinkedHashMap<>();
        journal.findAllById(entries).forEach(entry -> by.put(entry.id(), entry.recordedBy()));
        return by;
    }
}

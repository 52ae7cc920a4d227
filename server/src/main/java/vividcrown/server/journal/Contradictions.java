package vividcrown.server.journal;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.reason.Sentence;

/** Flags on entries that clash with what was known. Each part of the job keeps its own, and makes them anew. */
@Component
public class Contradictions {

    private final ContradictionRecords records;

    Contradictions(ContradictionRecords records) {
        this.records = records;
    }

    /**
     * The flags that one part of the job finds with these things, in place of those it found before.
     *
     * @param foundIn which part; never changed, for it is a key
     * @param subjects everything that was looked at, also where nothing clashes
     */
    public void replace(String foundIn, Collection<UUID> subjects, Map<UUID, List<Contradiction>> bySubject) {
        if (subjects.isEmpty()) {
            return;
        }
        records.clear(foundIn, subjects);
        List<ContradictionRecord> rows = new ArrayList<>();
        bySubject.forEach((subject, all) -> {
            Map<UUID, Sentence> first = new LinkedHashMap<>();
            all.forEach(one -> first.merge(one.entry(), one.clash(), Contradictions::both));
            first.forEach((entry, clash) -> rows.add(new ContradictionRecord(entry, subject, foundIn, clash)));
        });
        records.saveAllAndFlush(rows);
    }

    private static Sentence both(Sentence first, Sentence second) {
        return Sentence.of("clash.both", first, second);
    }

    /** What each of these entries clashes with; those that clash with nothing are not in it. */
    Map<UUID, String> of(Collection<UUID> entries) {
        return records.findByEntryIdIn(entries).stream().collect(Collectors.toMap(ContradictionRecord::entryId,
                flag -> flag.clash().toString(),
                (first, second) -> first.equals(second) ? first : first + " " + second));
    }
}

package vividcrown.core.journal;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.UUID;

/**
 * A deed as it stands in the record, after corrections.
 *
 * @param id the journal's id
 * @param day when it happened
 * @param sequence order of recording; orders entries of the same day
 */
public record Entry(UUID id, LocalDate day, long sequence, Deed deed) {

    /** As things happened, not as they were written down. */
    public static final Comparator<Entry> AS_IT_HAPPENED = Comparator.comparing(Entry::day)
            .thenComparing(Entry::sequence);
}

package vividcrown.core.journal;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * Works out which entries of an append-only record still stand. A correction takes the place of the entry it corrects;
 * a withdrawal takes it away; a correction may itself be corrected. Of two corrections of the same entry the one
 * recorded last counts.
 */
public final class Corrections {

    /** An entry as far as corrections go. */
    public interface Correctable {
        UUID id();

        /** The entry that this one corrects. */
        Optional<UUID> corrects();

        /** This entry takes the one it corrects away and puts nothing in its place. */
        boolean isWithdrawal();

        /** Order of recording. */
        long sequence();
    }

    private Corrections() {
    }

    /** The entries that stand, in order of recording. Cost: one pass, plus the sort. */
    public static <E extends Correctable> List<E> standing(List<E> entries) {
        Map<UUID, E> lastCorrection = new HashMap<>();
        for (E entry : inOrder(entries)) {
            entry.corrects().ifPresent(corrected -> lastCorrection.put(corrected, entry));
        }
        return inOrder(entries).stream()
                .filter(entry -> !entry.isWithdrawal() && !lastCorrection.containsKey(entry.id()))
                .filter(entry -> entry.corrects().map(corrected -> lastCorrection.get(corrected) == entry).orElse(true))
                .toList();
    }

    private static <E extends Correctable> List<E> inOrder(List<E> entries) {
        return entries.stream().sorted(Comparator.comparingLong(Correctable::sequence)).toList();
    }
}

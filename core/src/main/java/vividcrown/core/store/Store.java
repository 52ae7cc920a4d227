package vividcrown.core.store;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.journal.Entry;

/**
 * What lies in the store by the record.
 *
 * @param lots of every thing that was ever counted or came in; the others nobody keeps count of
 */
public record Store(Map<Thing, Lot> lots) {

    public Store {
        lots = Map.copyOf(lots);
    }

    /**
     * @param count never below 0: what was used up that nobody counted is not owed
     * @param countedOn the day of the last count; empty if it was only ever reckoned
     */
    public record Lot(double count, Optional<LocalDate> countedOn) {
        private Lot by(double change) {
            return new Lot(Math.max(0, count + change), countedOn);
        }
    }

    private static final Lot NONE = new Lot(0, Optional.empty());

    /** @param record in order of recording; what happened earlier is taken first */
    public static Store fold(List<Entry> record) {
        Map<Thing, Lot> lots = new EnumMap<>(Thing.class);
        record.stream().sorted(Entry.AS_IT_HAPPENED).forEach(entry -> {
            switch (entry.deed()) {
                case StoreDeed.Counted(_, Thing thing, double count) ->
                    lots.put(thing, new Lot(count, Optional.of(entry.day())));
                case StoreDeed.Changed(_, Thing thing, double by, _) -> {
                    // what is used of something that nobody keeps count of says nothing
                    if (by > 0 || lots.containsKey(thing)) {
                        lots.put(thing, lots.getOrDefault(thing, NONE).by(by));
                    }
                }
                default -> {
                    // of another thing
                }
            }
        });
        return new Store(lots);
    }

    /** How many there are; empty if nobody keeps count of it. */
    public Optional<Double> of(Thing thing) {
        return Optional.ofNullable(lots.get(thing)).map(Lot::count);
    }

    /** The same, whole pieces. */
    public Optional<Integer> pieces(Thing thing) {
        return of(thing).map(Double::intValue);
    }
}

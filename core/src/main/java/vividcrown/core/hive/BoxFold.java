package vividcrown.core.hive;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.journal.Entry;

/** Where one box is: on a hive or in the store. */
public final class BoxFold {

    /** Where a box is. */
    public sealed interface Where {
        record OnHive(UUID hive) implements Where {
        }

        /** @param store in words */
        record InStore(String store) implements Where {
        }
    }

    /** @param box as it came into the record */
    public record Standing(Box box, Where where) {
    }

    private BoxFold() {
    }

    /**
     * @param record everything that touches the box, in any order
     * @return empty if nothing brings it into the record
     */
    public static Optional<Standing> fold(UUID box, List<Entry> record) {
        Optional<Standing> standing = Optional.empty();
        for (Entry entry : record.stream()
                .sorted(Comparator.comparing((Entry one) -> !(one.deed() instanceof HiveDeed.SetUp))
                        .thenComparing(Entry.AS_IT_HAPPENED))
                .toList()) {
            standing = after(box, entry, standing);
        }
        return standing;
    }

    private static Optional<Standing> after(UUID box, Entry entry, Optional<Standing> before) {
        Optional<Box> brought = brought(box, entry);
        if (brought.isPresent()) {
            return hiveAfter(box, entry).flatMap(hive -> hive)
                    .map(hive -> new Standing(before.map(Standing::box).orElse(brought.get()), new Where.OnHive(hive)));
        }
        return hiveAfter(box, entry).isPresent()
                ? before.map(standing -> new Standing(standing.box(), new Where.InStore(store(entry))))
                : before;
    }

    private static Optional<Box> brought(UUID box, Entry entry) {
        if (entry.deed() instanceof HiveDeed.SetUp one) {
            return one.stack().stream().filter(part -> part.id().equals(box)).findFirst();
        }
        return entry.deed() instanceof HiveDeed.BoxPutOn one && one.box().id().equals(box)
                ? Optional.of(one.box())
                : Optional.empty();
    }

    private static String store(Entry entry) {
        return switch (entry.deed()) {
            case HiveDeed.BoxTakenOff one -> one.store();
            case HiveDeed.Ended one -> one.store();
            default -> throw new IllegalStateException("Impossible state: only these two bring a box into the store");
        };
    }

    /**
     * Where a deed leaves the box.
     *
     * @return empty if it leaves the box where it was; empty within if it brings it into the store
     */
    static Optional<Optional<UUID>> hiveAfter(UUID box, Entry entry) {
        return switch (entry.deed()) {
            case HiveDeed.SetUp one when one.stack().stream().anyMatch(part -> part.id().equals(box)) ->
                Optional.of(Optional.of(one.hive()));
            case HiveDeed.BoxPutOn one when one.box().id().equals(box) -> Optional.of(Optional.of(one.hive()));
            case HiveDeed.BoxTakenOff one when one.box().equals(box) -> Optional.of(Optional.empty());
            case HiveDeed.Ended one when one.boxes().contains(box) -> Optional.of(Optional.empty());
            default -> Optional.empty();
        };
    }
}

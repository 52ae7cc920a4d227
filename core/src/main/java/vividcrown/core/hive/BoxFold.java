package vividcrown.core.hive;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.reason.Sentence;

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

    /**
     * @param standing empty if nothing brings it into the record
     * @param contradictions deeds that clash with earlier ones, in order
     */
    public record Folded(Optional<Standing> standing, List<Contradiction> contradictions) {
    }

    private BoxFold() {
    }

    /** @param record everything that touches the box, in any order; what brings it into the record comes first */
    public static Folded fold(UUID box, List<Entry> record) {
        List<Entry> ordered = new ArrayList<>(record.stream().sorted(Entry.AS_IT_HAPPENED).toList());
        Optional<Entry> first = ordered.stream().filter(entry -> brought(box, entry).isPresent()).findFirst();
        if (first.isEmpty()) {
            return new Folded(Optional.empty(), List.of());
        }
        ordered.remove(first.get());
        Box brought = brought(box, first.get()).orElseThrow();
        Where where = whereAfter(box, first.get()).orElseThrow();
        List<Contradiction> contradictions = new ArrayList<>();
        for (Entry entry : ordered) {
            Optional<Where> now = whereAfter(box, entry);
            if (now.isPresent() && now.get() instanceof Where.OnHive && where instanceof Where.OnHive
                    && !now.get().equals(where)) {
                contradictions.add(new Contradiction(entry.id(), Sentence.of("clash.boxOnAnother")));
            }
            where = now.orElse(where);
        }
        return new Folded(Optional.of(new Standing(brought, where)), List.copyOf(contradictions));
    }

    private static Optional<Where> whereAfter(UUID box, Entry entry) {
        return hiveAfter(box, entry)
                .map(hive -> hive.<Where>map(Where.OnHive::new).orElseGet(() -> new Where.InStore(store(entry))));
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

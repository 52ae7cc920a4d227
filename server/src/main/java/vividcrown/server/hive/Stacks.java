package vividcrown.server.hive;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What hives are made of. */
@Component
public class Stacks {

    private final Hives hives;
    private final HiveBoxes boxes;
    private final Frames frames;

    Stacks(Hives hives, HiveBoxes boxes, Frames frames) {
        this.hives = hives;
        this.boxes = boxes;
        this.frames = frames;
    }

    /** From the bottom up. */
    public List<StackBox> of(UUID hive) {
        return withFrames(boxesOf(hives.findAllById(List.of(hive))).getOrDefault(hive, List.of()));
    }

    /** Of many hives at once, each from the bottom up. */
    public Map<UUID, List<StackBox>> of(Collection<Hive> ofHives) {
        Map<UUID, List<HiveBox>> boxesOf = boxesOf(ofHives);
        Map<UUID, List<Frame>> hanging = hanging(boxesOf.values().stream().flatMap(List::stream).toList());
        Map<UUID, List<StackBox>> stacks = new HashMap<>();
        boxesOf.forEach((hive, stack) -> stacks.put(hive, withFrames(stack, hanging)));
        return stacks;
    }

    /** The box at the bottom that holds frames, of each hive that has one. */
    public Map<UUID, HiveBox> lowest(Collection<Hive> ofHives) {
        Map<UUID, HiveBox> lowest = new HashMap<>();
        boxesOf(ofHives).forEach((hive, stack) -> stack.stream().filter(box -> box.kind().hasFrames()).findFirst()
                .ifPresent(box -> lowest.put(hive, box)));
        return lowest;
    }

    /** By the hive, from the bottom up; one that the hive's own record does not know of stands on top. */
    private Map<UUID, List<HiveBox>> boxesOf(Collection<Hive> ofHives) {
        Map<UUID, List<HiveBox>> stacks = boxes.findByHiveIdIn(ofHives.stream().map(Hive::id).toList()).stream()
                .collect(Collectors.groupingBy(box -> box.hiveId().orElseThrow()));
        ofHives.forEach(hive -> {
            List<UUID> order = hive.stack();
            stacks.getOrDefault(hive.id(), new ArrayList<>())
                    .sort(Comparator.comparing((HiveBox box) -> !order.contains(box.id()))
                            .thenComparing(box -> order.indexOf(box.id())).thenComparing(HiveBox::id));
        });
        return stacks;
    }

    /** @param stack of one hive, from the bottom up, or what is in the store */
    List<StackBox> withFrames(List<HiveBox> stack) {
        return withFrames(stack, hanging(stack));
    }

    private Map<UUID, List<Frame>> hanging(List<HiveBox> inBoxes) {
        return frames.findByBoxIdInOrderBySlot(inBoxes.stream().map(HiveBox::id).toList())
                .stream().collect(Collectors.groupingBy(frame -> frame.boxId().orElseThrow()));
    }

    private static List<StackBox> withFrames(List<HiveBox> stack, Map<UUID, List<Frame>> hanging) {
        List<StackBox> boxesAndFrames = new ArrayList<>();
        int level = 0;
        for (HiveBox box : stack) {
            level++;
            boxesAndFrames.add(new StackBox(box.id(), box.kind(), box.format(), box.slots(),
                    box.hiveId().isPresent() ? level : 0, box.store(),
                    hanging.getOrDefault(box.id(), List.of()).stream()
                            .map(frame -> new StackBox.StackFrame(frame.id(), frame.slot(), frame.since())).toList()));
        }
        return boxesAndFrames;
    }
}

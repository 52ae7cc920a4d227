package vividcrown.server.hive;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What hives are made of. */
@Component
public class Stacks {

    private final HiveBoxes boxes;
    private final Frames frames;

    Stacks(HiveBoxes boxes, Frames frames) {
        this.boxes = boxes;
        this.frames = frames;
    }

    /** From the bottom up. */
    public List<StackBox> of(UUID hive) {
        return withFrames(boxes.findByHiveIdOrderByLevel(hive));
    }

    /** The box at the bottom that holds frames, of each hive that has one. */
    public Map<UUID, HiveBox> lowest(Collection<UUID> hives) {
        return boxes.findByHiveIdInOrderByLevel(hives).stream().filter(box -> box.kind().hasFrames())
                .collect(Collectors.toMap(box -> box.hiveId().orElseThrow(), box -> box, (lower, _) -> lower));
    }

    List<StackBox> withFrames(List<HiveBox> stack) {
        Map<UUID, List<Frame>> hanging = frames.findByBoxIdInOrderBySlot(stack.stream().map(HiveBox::id).toList())
                .stream().collect(Collectors.groupingBy(frame -> frame.boxId().orElseThrow()));
        return stack.stream().map(box -> new StackBox(box.id(), box.kind(), box.format(), box.slots(), box.level(),
                box.store(), hanging.getOrDefault(box.id(), List.of()).stream()
                        .map(frame -> new StackBox.StackFrame(frame.id(), frame.slot(), frame.since())).toList()))
                .toList();
    }
}

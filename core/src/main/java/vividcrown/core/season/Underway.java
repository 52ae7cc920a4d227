package vividcrown.core.season;

import java.util.List;

/**
 * What is begun or planned already.
 *
 * @param running cells, virgins and queens on their way
 * @param before grafts of an earlier plan that are not made yet: they are kept where that costs little
 * @param locks grafts that stay as they are
 */
public record Underway(List<RunningBatch> running, List<BatchLock> before, List<BatchLock> locks) {

    public static final Underway NOTHING = new Underway(List.of(), List.of(), List.of());

    public Underway {
        running = List.copyOf(running);
        before = List.copyOf(before);
        locks = List.copyOf(locks);
    }
}

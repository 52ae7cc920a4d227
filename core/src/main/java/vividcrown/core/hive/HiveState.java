package vividcrown.core.hive;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.time.DatedSpan;

/**
 * The facts of a hive. Holds no clock.
 *
 * @param codedBy the entry that gave it its code
 * @param purposedBy the entry that says what it is kept for
 * @param end its end, if it has come to one
 * @param stack boxes from the bottom up
 * @param lastRead the day of the newest reading
 * @param droneComb the day its drone comb was put in, if it is kept for its drones
 * @param droneCombMeant the days on which the season's plan wants drone comb put in; empty if it does not, or it is in
 * @param reservedFor what it stands by for; blank if for nothing
 */
public record HiveState(UUID yard, String code, By codedBy, int position, Purpose purpose, By purposedBy,
        LocalDate setUp, List<Box> stack, Optional<End> end, Optional<LocalDate> lastRead,
        Optional<LocalDate> droneComb,
        Optional<DatedSpan> droneCombMeant, String reservedFor) {

    /** An entry with its place in the order of recording. */
    public record By(UUID entry, long sequence) {
    }

    /** How it came to its end. */
    public record End(LocalDate day, HiveEnd why, By by) {
    }

    public HiveState {
        stack = List.copyOf(stack);
    }
}

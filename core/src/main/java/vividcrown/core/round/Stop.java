package vividcrown.core.round;

import java.util.List;
import java.util.UUID;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;

/**
 * One job at one box.
 *
 * @param box where it is
 * @param job the job's word, as in the API
 * @param subject the graft, queen or nuc that it concerns
 * @param toDo the verb, as said to whoever does it
 * @param window the days on which to do it
 * @param reasons why, never empty
 * @param kit what it takes
 */
public record Stop(Box box, String job, UUID subject, Sentence toDo, DatedSpan window, List<Reason> reasons, Kit kit) {

    /**
     * @param yardOrder the yard's place in the walk
     * @param position the box's place in its yard
     * @param code what is painted on the box
     */
    public record Box(UUID yard, String yardName, int yardOrder, int position, String code) {
    }

    public Stop {
        reasons = List.copyOf(reasons);
        if (reasons.isEmpty()) {
            throw new IllegalArgumentException("A stop needs a reason, but %s at %s has none".formatted(job, box));
        }
    }
}

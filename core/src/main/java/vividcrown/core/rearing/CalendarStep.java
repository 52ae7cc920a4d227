package vividcrown.core.rearing;

import java.util.List;
import vividcrown.core.reason.Reason;
import vividcrown.core.time.DatedSpan;

/**
 * One line of a graft's calendar.
 *
 * @param kind what happens or is to be done
 * @param when work: the days on which it may be done; nature: the days on which it can happen
 * @param reasons why on these days, never empty
 */
public record CalendarStep(StepKind kind, DatedSpan when, List<Reason> reasons) {
    public CalendarStep {
        reasons = List.copyOf(reasons);
        if (reasons.isEmpty()) {
            throw new IllegalArgumentException("A calendar step needs a reason, but %s has none".formatted(kind));
        }
    }
}

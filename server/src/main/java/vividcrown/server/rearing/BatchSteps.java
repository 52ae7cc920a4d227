package vividcrown.server.rearing;

import java.util.EnumSet;
import java.util.Set;
import vividcrown.core.rearing.GraftCalendar;
import vividcrown.core.rearing.StepKind;

/** Which steps of a batch are still to be done. */
public final class BatchSteps {

    private BatchSteps() {
    }

    /** In the order of work; steps done, and steps before one that was done, are not asked for again. */
    public static EnumSet<StepKind> open(Graft graft, GraftCalendar calendar) {
        EnumSet<StepKind> open = EnumSet.noneOf(StepKind.class);
        if (graft.cancelled()) {
            return open;
        }
        Set<StepKind> done = graft.stepsDone();
        calendar.steps().stream().filter(step -> step.kind().isWorkOnTheBatch())
                .filter(step -> !done.contains(step.kind())).forEach(step -> open.add(step.kind()));
        // Virgins are introduced one by one, each from her own cage.
        open.remove(StepKind.INTRODUCE_VIRGINS);
        if (graft.grafted()) {
            open.removeIf(step -> step.compareTo(StepKind.GRAFT) <= 0);
        } else {
            open.removeIf(step -> step.compareTo(StepKind.GRAFT) > 0);
        }
        done.stream().max(StepKind::compareTo).ifPresent(last -> open.removeIf(step -> step.compareTo(last) < 0));
        return open;
    }
}

package vividcrown.server.rearing;

import java.util.List;
import vividcrown.core.rearing.CalendarStep;
import vividcrown.core.rearing.GraftCalendar;
import vividcrown.core.rearing.StepKind;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/** @param cautions what is unwise in the plan */
public record CalendarView(List<Step> steps, List<ReasonView> cautions) {

    /**
     * @param work somebody does something; otherwise it happens by itself
     * @param handsOff the boxes stay shut
     */
    public record Step(StepKind kind, String name, SpanView when, boolean work, boolean handsOff,
            List<ReasonView> reasons) {
        static Step of(CalendarStep step) {
            return new Step(step.kind(), GraftCalendar.nameOf(step.kind()).toString(), SpanView.of(step.when()),
                    step.kind().isWorkOnTheBatch(), step.kind().isHandsOff(), ReasonView.of(step.reasons()));
        }
    }

    public static CalendarView of(GraftCalendar calendar) {
        return new CalendarView(calendar.steps().stream().map(Step::of).toList(),
                ReasonView.of(calendar.cautions()));
    }
}

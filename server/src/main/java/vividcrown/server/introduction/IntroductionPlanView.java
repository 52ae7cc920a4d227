package vividcrown.server.introduction;

import java.time.LocalDate;
import java.util.List;
import vividcrown.core.hive.Amount;
import vividcrown.core.introduction.IntroductionPlan;
import vividcrown.core.introduction.Turnover;
import vividcrown.core.introduction.method.Method;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/** How one queen is given to one colony, as it is shown. */
public final class IntroductionPlanView {

    private IntroductionPlanView() {
    }

    private static double hundredth(double value) {
        return Math.round(100 * value) / 100.0;
    }

    /** @param when the days on which to do it */
    public record IntroductionStepView(SpanView when, String text) {
    }

    /**
     * One way of giving her.
     *
     * @param chance that she is laying and kept
     * @param empty chance that nothing royal is in there after the search
     * @param opens the days on which she is free among the bees
     * @param planBOn the day on which to do something else
     * @param expected worth times chance, less her cost times the risk
     */
    public record IntroductionWayView(Method method, String text, Amount chance, double empty,
            List<IntroductionStepView> steps, SpanView opens, LocalDate planBOn, String planB, double expected,
            List<ReasonView> reasons) {
        public static IntroductionWayView of(IntroductionPlan.Planned way) {
            return new IntroductionWayView(way.method(), way.method().sentence().toString(),
                    way.acceptance().chance().map(IntroductionPlanView::hundredth),
                    hundredth(way.acceptance().empty()),
                    way.steps().stream()
                            .map(step -> new IntroductionStepView(SpanView.of(step.when()), step.what().toString()))
                            .toList(),
                    SpanView.of(way.opens()), way.planBOn(), way.planB().toString(), Math.round(way.expected()),
                    ReasonView.of(way.acceptance().reasons()));
        }
    }

    /** @param more so much higher is the chance, 0–1 */
    public record GainView(String text, double more) {
        public static List<GainView> of(List<IntroductionPlan.Gain> gains) {
            return gains.stream().map(gain -> new GainView(gain.what().toString(), hundredth(gain.more()))).toList();
        }
    }

    /**
     * @param firstDaughters the first of them come out
     * @param half of the bees are hers
     * @param all of them are
     */
    public record TurnoverView(SpanView firstDaughters, SpanView half, SpanView all) {
        public static TurnoverView of(Turnover turnover) {
            return new TurnoverView(SpanView.of(turnover.firstDaughters()), SpanView.of(turnover.half()),
                    SpanView.of(turnover.all()));
        }
    }
}

package vividcrown.server.introduction;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.Amount;
import vividcrown.core.introduction.Given;
import vividcrown.core.introduction.IntroductionPlan;
import vividcrown.core.introduction.Receiver;
import vividcrown.core.introduction.Turnover;
import vividcrown.core.introduction.method.Method;
import vividcrown.server.mite.BroodBreakView;
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
     * @param broodBreak days without sealed brood that it opens; left out where nobody knows when the last egg was laid
     */
    public record IntroductionWayView(Method method, String text, Amount chance, double empty,
            List<IntroductionStepView> steps, SpanView opens, LocalDate planBOn, String planB, double expected,
            List<ReasonView> reasons, @Nullable BroodBreakView broodBreak) {
        public static IntroductionWayView of(IntroductionPlan.Planned way, Receiver receiver, Given given, BeeYear year,
                Assumptions assumptions) {
            return new IntroductionWayView(way.method(), way.method().sentence().toString(),
                    way.acceptance().chance().map(IntroductionPlanView::hundredth),
                    hundredth(way.acceptance().empty()),
                    way.steps().stream()
                            .map(step -> new IntroductionStepView(SpanView.of(step.when()), step.what().toString()))
                            .toList(),
                    SpanView.of(way.opens()), way.planBOn(), way.planB().toString(), Math.round(way.expected()),
                    ReasonView.of(way.acceptance().reasons()),
                    way.broodBreak(receiver, given, year, assumptions).map(BroodBreakView::of).orElse(null));
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

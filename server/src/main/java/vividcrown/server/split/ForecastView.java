package vividcrown.server.split;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import vividcrown.core.hive.Amount;
import vividcrown.core.hive.forecast.Forecast;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/**
 * What a hive will be.
 *
 * @param code of the hive
 * @param readDaysAgo how old the reading is that it starts from
 * @param course from the day asked for on; every day, or every fourth where many hives are asked for
 * @param feedLitres syrup 1 : 1 that keeps it from hunger for four weeks even in a poor run, litres; 0 if it needs none
 * @param assumed what was taken for granted because nobody looked
 */
public record ForecastView(String code, int readDaysAgo, List<DayView> course, List<MilestoneView> milestones,
        double feedLitres, WinterView winter, List<String> assumed, List<ReasonView> reasons) {

    /**
     * @param bees adult bees
     * @param framesOfBees frames densely covered on both sides
     * @param broodFrames full frames of worker brood, both sides
     * @param nurseShare of the bees, those young enough to feed brood, 0–1
     * @param foodKg stores without feeding, kg
     */
    public record DayView(LocalDate day, Amount bees, Amount framesOfBees, Amount broodFrames, Amount nurseShare,
            Amount foodKg) {
        static DayView of(Forecast.Day day) {
            return new DayView(day.day(), day.bees().map(Math::rint), day.framesOfBees().map(ForecastView::tenth),
                    day.broodFrames().map(ForecastView::tenth), day.nurseShare().map(ForecastView::hundredth),
                    day.foodKg().map(ForecastView::tenth));
        }
    }

    /**
     * @param what comes to pass
     * @param when the days over the runs in which it does
     * @param sure it comes to pass in a poor and in a good run alike
     */
    public record MilestoneView(Forecast.What what, SpanView when, boolean sure, String text) {
    }

    /**
     * @param on the day on which laying has all but ended
     * @param framesOfBees what it has then
     * @param verdict how it winters with that
     * @param chance that it comes through, 0–1
     * @param storesKg what it should have then, kg
     */
    public record WinterView(LocalDate on, Amount framesOfBees, Forecast.Wintering verdict, double chance,
            Amount storesKg) {
        static WinterView of(Forecast.Winter winter) {
            return new WinterView(winter.on(), winter.framesOfBees().map(ForecastView::tenth), winter.verdict(),
                    hundredth(winter.chance()), winter.storesKg());
        }
    }

    /** @param everyDays days between two points of the course */
    public static ForecastView of(String code, Forecast forecast, int everyDays) {
        List<DayView> course = new ArrayList<>();
        for (int day = 0; day < forecast.course().size(); day += everyDays) {
            course.add(DayView.of(forecast.course().get(day)));
        }
        return new ForecastView(code, forecast.readDaysAgo(), course,
                forecast.milestones().stream().map(one -> new MilestoneView(one.what(), SpanView.of(one.when()),
                        one.sure(), one.words().toString())).toList(),
                forecast.feedLitres(), WinterView.of(forecast.winter()),
                forecast.assumed().stream().map(Object::toString).toList(), ReasonView.of(forecast.reasons()));
    }

    static double tenth(double value) {
        return Math.round(value * 10) / 10.0;
    }

    static double hundredth(double value) {
        return Math.round(value * 100) / 100.0;
    }
}

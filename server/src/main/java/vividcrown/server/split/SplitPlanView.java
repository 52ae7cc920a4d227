package vividcrown.server.split;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import vividcrown.core.hive.Amount;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.split.Due;
import vividcrown.core.split.Objection;
import vividcrown.core.split.Place;
import vividcrown.core.split.SplitPlan;
import vividcrown.core.split.recipe.Gets;
import vividcrown.core.split.recipe.RecipeKind;
import vividcrown.core.split.recipe.SplitRecipe;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/**
 * What is split, and into what, frame by frame.
 *
 * @param answer the answer in one sentence
 * @param newUnits in the order they are made
 * @param donors hives that give
 * @param leftOut hives that give nothing, with the reason
 * @param objections what speaks against it; one that refuses leaves no plan
 * @param whyNotMore what stands against one unit more
 * @param flyHome bees that fly home in all, within three fine days
 * @param needs what must be there
 * @param proven no plan is better
 * @param gap how far the best there can be may lie above it, 0–1
 */
public record SplitPlanView(String answer, List<NewUnitView> newUnits, List<DonorView> donors,
        List<LeftOutView> leftOut,
        List<ObjectionView> objections, @Nullable String whyNotMore, @Nullable SecondBestView secondBest,
        Amount flyHome,
        Map<SplitPlan.Need, Double> needs, List<String> cautions, boolean proven, double gap, double seconds) {

    /** @param refuses it is not done; otherwise it is done and said */
    public record ObjectionView(boolean refuses, String text) {
        static List<ObjectionView> of(List<Objection> all) {
            return all.stream().map(one -> new ObjectionView(one.refuses(), one.words().toString())).toList();
        }
    }

    /** @param why the reason that it gives nothing */
    public record LeftOutView(String code, String why) {
        static List<LeftOutView> of(List<SplitPlan.LeftOut> all) {
            return all.stream().map(one -> new LeftOutView(one.code(), one.why().toString())).toList();
        }
    }

    /**
     * @param when the days on which to do it
     * @param handsOff no hand in the unit meanwhile
     */
    public record SplitStepView(SpanView when, String text, boolean handsOff) {
        static SplitStepView of(Due due) {
            return new SplitStepView(SpanView.of(due.when()), due.words().toString(),
                    due.work() == Due.Work.HANDS_OFF);
        }

        static List<SplitStepView> of(List<SplitPlan.Step> all) {
            return all.stream()
                    .map(one -> new SplitStepView(SpanView.of(one.when()), one.what().toString(), one.handsOff()))
                    .toList();
        }
    }

    /**
     * @param fromHive where the frame that hangs there comes from; left out where none came
     * @param from box and slot there
     * @param because why this one
     */
    public record HangingView(int slot, SplitPlan.Filled filled, @Nullable String fromHive, @Nullable FrameAt from,
            @Nullable String because) {
        static HangingView of(SplitPlan.Hanging one) {
            return one.frame()
                    .map(move -> new HangingView(one.slot(), one.otherwise(), move.fromHive(), move.from(),
                            move.because().toString()))
                    .orElseGet(() -> new HangingView(one.slot(), one.otherwise(), null, null, null));
        }
    }

    /**
     * @param frames of whose bees; a part where several units share what was shaken together
     * @param aboveExcluder from boxes in which no queen is
     */
    public record ShakesView(String fromHive, double frames, boolean aboveExcluder) {
    }

    /**
     * @param place where it stands, seen from the hives its bees come from
     * @param layout slot by slot
     * @param calendar what follows, the first day first
     * @param mayHoldHer hives whose queen may have come along: eggs are looked for on day four
     * @param bees frames of bees once the flyers have gone home
     * @param levelled frames of bees that come from the other new units before closing; below 0 they go to them
     * @param broodFrames full frames of brood
     * @param litres syrup in its first two weeks
     * @param target what the count on day ten should show
     * @param fallback what to do if it fails
     */
    public record NewUnitView(String code, RecipeKind recipe, String recipeText, Place place, Gets gets,
            List<HangingView> layout, List<ShakesView> shakes, List<String> mayHoldHer, Amount bees, double levelled,
            double broodFrames, double litres, List<SplitStepView> calendar, SplitRecipe.Target target, String fallback,
            List<String> cautions,
            ForecastView forecast, List<ReasonView> reasons) {
        static NewUnitView of(SplitPlan.NewUnit unit) {
            return new NewUnitView(unit.code(), unit.recipe().kind(), unit.recipe().kind().sentence().toString(),
                    unit.place(), unit.gets(), unit.layout().stream().map(HangingView::of).toList(),
                    unit.shakes().stream()
                            .map(one -> new ShakesView(one.fromHive(), ForecastView.hundredth(one.frames()),
                                    one.aboveExcluder()))
                            .toList(),
                    unit.mayHoldHer(), unit.bees().map(ForecastView::tenth), unit.levelled(),
                    ForecastView.tenth(unit.broodFrames()), ForecastView.tenth(unit.litres()),
                    unit.calendar().stream().map(SplitStepView::of).toList(), unit.target(), unit.fallback().toString(),
                    unit.recipe().cautions().stream().map(Object::toString).toList(),
                    ForecastView.of(unit.code(), unit.forecast(), EVERY_DAYS), ReasonView.of(unit.reasons()));
        }
    }

    private static final int EVERY_DAYS = 7;

    /**
     * @param place box and slot after the split
     * @param was where the frame hung before; left out where comb comes in
     */
    public record ClosedView(FrameAt place, SplitPlan.Filled filled, @Nullable FrameAt was) {
    }

    /**
     * @param keeps frames of brood it keeps
     * @param ofBrood frames of brood it has
     * @param floor frames of brood it must keep
     * @param bees frames of bees that stay, with those that fly home to it
     * @param search frames both sides of which are searched for the queen before they leave
     * @param closes its boxes afterwards
     * @param withSplit its course
     * @param without its course if nothing is taken
     * @param loses what the split costs it
     */
    public record DonorView(String code, int keeps, int ofBrood, int floor, Amount bees, List<FrameAt> search,
            List<ClosedView> closes, ForecastView withSplit, ForecastView without, String loses, List<String> notes) {
        static DonorView of(SplitPlan.Donor donor) {
            return new DonorView(donor.code(), donor.keeps(), donor.ofBrood(), donor.floor(),
                    donor.bees().map(ForecastView::tenth), donor.search(),
                    donor.closes().stream()
                            .map(one -> new ClosedView(one.place(), one.otherwise(), one.was().orElse(null))).toList(),
                    ForecastView.of(donor.code(), donor.withSplit(), EVERY_DAYS),
                    ForecastView.of(donor.code(), donor.without(), EVERY_DAYS), donor.loses().toString(),
                    donor.notes().stream().map(Object::toString).toList());
        }
    }

    /**
     * @param units that it makes
     * @param hives it opens
     */
    public record SecondBestView(int units, List<String> hives, String text) {
    }

    private static Map<SplitPlan.Need, Double> rounded(Map<SplitPlan.Need, Double> needs) {
        Map<SplitPlan.Need, Double> rounded = new EnumMap<>(SplitPlan.Need.class);
        needs.forEach((need, count) -> rounded.put(need, ForecastView.tenth(count)));
        return rounded;
    }

    public static SplitPlanView of(SplitPlan plan) {
        return new SplitPlanView(plan.answer().toString(), plan.newUnits().stream().map(NewUnitView::of).toList(),
                plan.donors().stream().map(DonorView::of).toList(), LeftOutView.of(plan.leftOut()),
                ObjectionView.of(plan.objections()), plan.whyNotMore().map(Object::toString).orElse(null),
                plan.secondBest().map(one -> new SecondBestView(one.units(), one.hives(), one.words().toString()))
                        .orElse(null),
                plan.flyHome().map(Math::rint), rounded(plan.needs()),
                plan.cautions().stream().map(one -> one.sentence().toString()).toList(), plan.proven(), plan.gap(),
                plan.seconds());
    }
}

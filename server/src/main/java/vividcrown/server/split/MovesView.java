package vividcrown.server.split;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.odds.Interval;
import vividcrown.core.split.BoostPlan;
import vividcrown.core.split.EqualisePlan;
import vividcrown.core.split.LateSeasonPlan;
import vividcrown.core.split.UnitePlan;
import vividcrown.server.split.SplitPlanView.LeftOutView;
import vividcrown.server.split.SplitPlanView.ObjectionView;
import vividcrown.server.split.SplitPlanView.SplitStepView;

/** Strength that is moved: equalising, boosting, uniting, the late season. */
public final class MovesView {

    private static final int EVERY_DAYS = 7;

    private MovesView() {
    }

    /**
     * Who gives which frame, or how many bees, to whom.
     *
     * @param verdicts of every unit, in the order given
     * @param gifts fewest moves that bring most units to their target
     * @param pools weak units that nobody can help
     * @param sample what the units not counted are likely to be
     * @param opened hives that are opened for it
     */
    public record EqualiseView(List<VerdictOfUnit> verdicts, List<GiftView> gifts, List<PoolView> pools,
            @Nullable SampleView sample, int opened, boolean proven, double gap, double seconds) {
        public static EqualiseView of(EqualisePlan plan) {
            return new EqualiseView(
                    plan.verdicts().stream()
                            .map(one -> new VerdictOfUnit(one.code(), one.stands(), one.brood(), one.bees(),
                                    one.words().toString()))
                            .toList(),
                    plan.gifts().stream()
                            .map(one -> new GiftView(one.from(), one.to(), one.what(), one.frame().orElse(null),
                                    one.search(), one.toSlot(), one.because().toString()))
                            .toList(),
                    plan.pools().stream().map(one -> new PoolView(one.weak(), one.into(), one.because().toString()))
                            .toList(),
                    plan.sample()
                            .map(one -> new SampleView(one.counted(), one.inAll(), one.overSplit(), one.likely(),
                                    one.words().toString()))
                            .orElse(null),
                    plan.opened(), plan.proven(), plan.gap(), plan.seconds());
        }
    }

    /**
     * @param stands how it stands against its target
     * @param brood frames of brood
     * @param bees frames of bees
     */
    public record VerdictOfUnit(String code, EqualisePlan.Stands stands, int brood, double bees, String text) {
    }

    /**
     * @param from code of the unit that gives
     * @param to code of the unit that gets it
     * @param what is given
     * @param frame which one of the giver's; left out for a shake
     * @param search both its sides are searched for the queen first
     * @param toSlot where it hangs in the unit that gets it; 0 for a shake
     */
    public record GiftView(String from, String to, EqualisePlan.What what, @Nullable FrameAt frame, boolean search,
            int toSlot, String because) {
    }

    /** @param into the unit that is kept */
    public record PoolView(String weak, String into, String because) {
    }

    /**
     * @param counted units that were counted
     * @param inAll units there are
     * @param overSplit share of all that has half its target or less
     * @param likely how many of those not counted will be short
     */
    public record SampleView(int counted, int inAll, Interval overSplit, Interval likely, String text) {
    }

    /**
     * How a small unit is made stronger.
     *
     * @param ways the better one first; none if it must not be done
     * @param left hives that give nothing, with the reason
     * @param without what becomes of it otherwise
     */
    public record BoostView(List<BoostWayView> ways, List<ObjectionView> objections, List<LeftOutView> left,
            ForecastView without) {
        /** @param code of the unit */
        public static BoostView of(String code, BoostPlan plan) {
            return new BoostView(
                    plan.ways().stream()
                            .map(way -> new BoostWayView(way.how(),
                                    way.parts().stream()
                                            .map(part -> new BoostPartView(part.from(), part.frame().orElse(null),
                                                    ForecastView.tenth(part.framesOfBees()), part.search(),
                                                    part.toSlot()))
                                            .toList(),
                                    way.newcomers(), way.leaves().orElse(null), strings(way.steps()),
                                    SplitStepView.of(way.look()), ForecastView.of(code, way.with(), EVERY_DAYS),
                                    strings(way.cautions())))
                            .toList(),
                    ObjectionView.of(plan.objections()), LeftOutView.of(plan.left()),
                    ForecastView.of(code, plan.without(), EVERY_DAYS));
        }
    }

    /**
     * @param newcomers for each bee that is there, how many come
     * @param leaves a comb that makes room
     * @param steps in order
     * @param looks when to look again
     */
    public record BoostWayView(BoostPlan.How how, List<BoostPartView> parts, double newcomers, @Nullable FrameAt leaves,
            List<String> steps, List<SplitStepView> looks, ForecastView forecast, List<String> cautions) {
    }

    /**
     * @param from code of the hive that gives
     * @param frame of brood; left out for bees
     * @param framesOfBees that come with it
     * @param search look for the queen on both sides first
     * @param toSlot where it hangs; 0 for bees over paper
     */
    public record BoostPartView(String from, @Nullable FrameAt frame, double framesOfBees, boolean search,
            int toSlot) {
    }

    /**
     * How two hives become one.
     *
     * @param keeps the hive whose queen stays; left out if nothing is united
     * @param gives the hive that is given up
     * @param ways the safest first; one whose gates are not met stands last with what it wants
     * @param combs what becomes of the combs of the other
     * @param united what the two are together
     * @param alone what the better one is without
     */
    public record UniteView(@Nullable String keeps, @Nullable String gives, List<String> because,
            List<UniteWayView> ways,
            List<String> combs, List<ObjectionView> objections, @Nullable ForecastView united,
            @Nullable ForecastView alone) {
        public static UniteView of(UnitePlan plan) {
            String keeps = plan.keeps().orElse("");
            return new UniteView(plan.keeps().orElse(null), plan.gives().orElse(null), strings(plan.because()),
                    plan.ways().stream()
                            .map(way -> new UniteWayView(way.how(), way.mayBeDone(), strings(way.wants()),
                                    strings(way.steps()), strings(way.done()), SplitStepView.of(way.looks()),
                                    way.queenSafe()))
                            .toList(),
                    strings(plan.combs()), ObjectionView.of(plan.objections()),
                    plan.united().map(one -> ForecastView.of(keeps, one, EVERY_DAYS)).orElse(null),
                    plan.alone().map(one -> ForecastView.of(keeps, one, EVERY_DAYS)).orElse(null));
        }
    }

    /**
     * @param mayBeDone every gate is met today
     * @param wants what is not met, with the way out
     * @param steps in order
     * @param done how one sees that it is done
     * @param queenSafe chance that the better queen comes to no harm, 0–1
     */
    public record UniteWayView(UnitePlan.How how, boolean mayBeDone, List<String> wants, List<String> steps,
            List<String> done, List<SplitStepView> looks, double queenSafe) {
    }

    /**
     * What becomes of each unit before winter.
     *
     * @param fates the first to be decided first
     * @param splits what pooled autumn splits would bring
     * @param lastWarmDay the last day of this season on which bees can be put together
     */
    public record LateSeasonView(List<FateView> fates, LateSplitsView splits, LocalDate lastWarmDay) {
        public static LateSeasonView of(LateSeasonPlan plan) {
            return new LateSeasonView(
                    plan.fates().stream()
                            .map(one -> new FateView(one.code(), one.use(), one.decideBy(), one.into().orElse(null),
                                    ForecastView.hundredth(one.comesThrough()),
                                    ForecastView.WinterView.of(one.winter()), one.words().toString()))
                            .toList(),
                    new LateSplitsView(plan.splits().made(), ForecastView.tenth(plan.splits().survive()),
                            plan.splits().survival(), SplitPlanView.of(plan.splits().plan()),
                            plan.splits().words().toString()),
                    plan.lastWarmDay());
        }
    }

    /**
     * @param use the best use of the unit
     * @param decideBy the day by which to decide
     * @param into the hive it goes into or over
     * @param comesThrough chance that the unit is there in spring if it is used so, 0–1; 0 where it is given up
     * @param winter what it would go into winter with
     */
    public record FateView(String code, LateSeasonPlan.Use use, LocalDate decideBy, @Nullable String into,
            double comesThrough, ForecastView.WinterView winter, String text) {
    }

    /**
     * @param made units that could be made
     * @param survive of them, expected in spring
     * @param survival share that comes through
     * @param plan how
     */
    public record LateSplitsView(int made, double survive, Interval survival, SplitPlanView plan, String text) {
    }

    private static List<String> strings(List<?> all) {
        return all.stream().map(Object::toString).toList();
    }
}

package vividcrown.core.season.demand;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.demand.Product;
import vividcrown.core.mating.MatingChance;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.rearing.GraftCalendar;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.StepKind;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * Counts back from the day of delivery to the days on which to graft.
 *
 * <p>A queen that lays on day D was grafted on D − 29 … − 20, likely − 23: emergence (15 ~16 17 days from the egg, less the
 * age of the youngest larva at the graft, three and a half days) and first eggs 8 ~11 16 days later, rounded inwards to
 * days on which to act. Seen laying at the first look and taken: D − 31 … − 24 (ripe on graft + 10, first look 14–21 days
 * after placing). Derived.
 *
 * @param graft the days on which to graft
 * @param calendar of a graft on the likely day, or today if that is past
 * @param feasible whether a graft day is left
 * @param earliestDelivery if not: the first day on which it could be had from a graft today
 * @param mating chance that its virgins find two fit afternoons
 */
public record Backward(DatedSpan graft, GraftCalendar calendar, boolean feasible, LocalDate earliestDelivery,
        double mating, List<Reason> reasons) {

    public Backward {
        reasons = List.copyOf(reasons);
    }

    /** @param plan how it is grafted; its day is left out of account */
    public static Backward from(Product product, LocalDate delivery, LocalDate today, GraftPlan plan,
            Assumptions assumptions, MatingClimate climate) {
        DaySpan length = fromGraft(product, plan, assumptions);
        DatedSpan graft = length.negated().windowFrom(delivery);
        boolean feasible = !graft.latest().isBefore(today);
        LocalDate day = feasible ? graft.notBefore(today).likely() : today;
        GraftPlan dated = new GraftPlan(day, plan.larvaAge(), plan.school(), plan.placing(), plan.incubatorCelsius());
        GraftCalendar calendar = GraftCalendar.of(dated, assumptions);
        LocalDate emergence = calendar.when(StepKind.EMERGENCE).orElseThrow().likely();
        double mating = new MatingChance(climate).of(emergence);
        List<Reason> reasons = new ArrayList<>();
        reasons.add(Reason.of(Source.derived("delivery less the days from graft to " + product.name()),
                "season.backward", delivery, length, graft));
        LocalDate drones = calendar.when(StepKind.DRONE_COMB).orElseThrow().likely();
        reasons.add(Reason.of(assumptions.source(Figure.DRONE_LEAD), "season.drones", drones,
                (int) (day.toEpochDay() - drones.toEpochDay())));
        if (!feasible) {
            reasons.add(Reason.of(Source.derived("today plus the days from graft"), "season.tooLate",
                    graft.latest(), today.plusDays(length.earliestDay())));
        }
        if (drones.isBefore(today)) {
            reasons.add(Reason.of(assumptions.source(Figure.DRONE_LEAD), "season.dronesPast", drones));
        }
        if (product.losses().size() > 3 && mating < 0.8) {
            reasons.add(Reason.of(Source.derived("chance of two fit afternoons, emergence + 5 to + 21"),
                    "season.gamble", Math.round(mating * 100) + " %"));
        }
        return new Backward(graft, calendar, feasible, today.plusDays(length.earliestDay()), mating, reasons);
    }

    /** Days from the graft until it can be had. */
    public static DaySpan fromGraft(Product product, GraftPlan plan, Assumptions assumptions) {
        DaySpan emergence = GraftCalendar.emergenceAfterGraft(plan, assumptions);
        DaySpan ofYoungest = emergence
                .shiftedByHours(plan.larvaAge().oldestSinceEggHours() - plan.larvaAge().youngestSinceEggHours());
        DaySpan ripe = DaySpan.ofDays(emergence.likelyDay() - 2);
        DaySpan laying = ofYoungest.plus(assumptions.span(Figure.FIRST_EGGS));
        return switch (product) {
            case RIPE_CELLS -> ripe;
            case VIRGINS -> emergence;
            case LAYING_QUEENS -> laying;
            case MATED_QUEENS, NUCS_WITH_QUEEN -> ripe.plus(assumptions.span(Figure.FIRST_LOOK));
            case JUDGED_QUEENS -> laying.plus(assumptions.span(Figure.FLAT_SEALED_BROOD));
        };
    }
}

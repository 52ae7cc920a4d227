package vividcrown.core.rearing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * The calendar of one graft, from drone comb to laying queens: graft day is day 0.
 *
 * <p>Example: grafted on 1 June with larvae of 12–24 h, cells are ripe on 11 June, virgins emerge 12–14 June and the
 * first look for eggs in nucs is on 25 June at the earliest.
 *
 * @param plan what was asked for
 * @param steps in order of their first day
 * @param cautions what is unwise in the plan, possibly none
 */
public record GraftCalendar(GraftPlan plan, List<CalendarStep> steps, List<Reason> cautions) {

    private static final int HOURS_A_DAY = 24;
    /** Ripe is two days before emergence, give or take half a day: graft + 10 (9.5–10.5). Büchler et al. 2013. */
    private static final DaySpan RIPE_BEFORE_EMERGENCE = DaySpan.ofHours(-60, -48, -36);

    public GraftCalendar {
        steps = List.copyOf(steps);
        cautions = List.copyOf(cautions);
    }

    public static GraftCalendar of(GraftPlan plan, Assumptions assumptions) {
        return new Builder(plan, assumptions).build();
    }

    /** The days of a step, if this plan has it. */
    public Optional<DatedSpan> when(StepKind kind) {
        return step(kind).map(CalendarStep::when);
    }

    public Optional<CalendarStep> step(StepKind kind) {
        return steps.stream().filter(step -> step.kind() == kind).findFirst();
    }

    public List<CalendarStep> handsOff() {
        return steps.stream().filter(step -> step.kind().isHandsOff()).toList();
    }

    /** Emergence counted from the graft: 11 ~12 13 days for larvae of 12–24 h. */
    public static DaySpan emergenceAfterGraft(GraftPlan plan, Assumptions assumptions) {
        DaySpan atBroodNestWarmth = assumptions.queen().emerges()
                .shiftedByHours(-plan.larvaAge().oldestSinceEggHours());
        return plan.placing() == Placing.EMERGE_IN_INCUBATOR
                ? atBroodNestWarmth.shiftedByHours(coldDelayHours(plan, assumptions))
                : atBroodNestWarmth;
    }

    /**
     * Hours by which a cool incubator delays emergence: half a day per degree below 34.5 °C over the whole sealed stage
     * (common practice), in proportion for the part of it spent in the incubator. Warmth above is not credited.
     */
    static int coldDelayHours(GraftPlan plan, Assumptions assumptions) {
        double degreesBelow = Math.max(0, GraftPlan.PROPER_INCUBATOR_CELSIUS - plan.incubatorCelsius());
        int sealedStageHours = assumptions.queen().emerges().likelyHours() - assumptions.queen().sealed().likelyHours();
        double shareInIncubator = (double) -RIPE_BEFORE_EMERGENCE.likelyHours() / sealedStageHours;
        return (int) Math.round(degreesBelow * HOURS_A_DAY / 2 * shareInIncubator);
    }

    /** Collects the steps; one method a stage of the work. */
    private static final class Builder {
        private final GraftPlan plan;
        private final Assumptions assumptions;
        private final LocalDate graft;
        private final DaySpan emergence;
        private final List<CalendarStep> steps = new ArrayList<>();
        private final List<Reason> cautions = new ArrayList<>();

        Builder(GraftPlan plan, Assumptions assumptions) {
            this.plan = plan;
            this.assumptions = assumptions;
            this.graft = plan.graftDay();
            this.emergence = emergenceAfterGraft(plan, assumptions);
        }

        GraftCalendar build() {
            before();
            inTheBuilder();
            ripe();
            fromEmergenceToEggs();
            caution();
            steps.sort(Comparator.comparing((CalendarStep step) -> step.when().earliest())
                    .thenComparing(CalendarStep::kind));
            return new GraftCalendar(plan, steps, cautions);
        }

        private void before() {
            DaySpan eggAge = DaySpan.ofHours(plan.larvaAge().oldestSinceEggHours());
            int settleDays = 5;
            int layingDay = -eggAge.latestDay();
            add(StepKind.CONFINE_BREEDER,
                    DaySpan.ofDays(layingDay - settleDays, layingDay, layingDay).windowFrom(graft),
                    Reason.of(Source.COMMON_PRACTICE, "graft.confine", -layingDay));
            LocalDate firstFlights = emergence.plus(assumptions.span(Figure.MATING_FLIGHTS)).from(graft).earliest();
            add(StepKind.DRONE_COMB, assumptions.span(Figure.DRONE_LEAD).negated().windowFrom(firstFlights),
                    reason(Figure.DRONE_LEAD, "graft.droneComb", assumptions.drone().emerges(),
                            assumptions.span(Figure.DRONE_MATURITY), assumptions.span(Figure.DRONE_LEAD),
                            firstFlights));
            add(StepKind.MAKE_UP_BUILDER, DatedSpan.on(graft.minusDays(1)),
                    Reason.of(Source.COMMON_PRACTICE, "graft.makeUp." + plan.school().name()));
        }

        private void inTheBuilder() {
            add(StepKind.GRAFT, DatedSpan.on(graft), Reason.of(Source.BUECHLER_2013, "graft.graft"));
            add(StepKind.COUNT_TAKE, DatedSpan.on(graft.plusDays(1)),
                    Reason.of(Source.COMMON_PRACTICE, "graft.take"));
            DatedSpan handsOff = assumptions.span(Figure.UNTOUCHABLE).shiftedByHours(-4 * HOURS_A_DAY).from(graft);
            if (plan.school() == BuilderSchool.STARTER_THEN_FINISHER) {
                add(StepKind.MOVE_TO_FINISHER, DaySpan.ofDays(1, 1, 5).windowFrom(graft),
                        Reason.of(Source.COMMON_PRACTICE, "graft.finisher"));
            }
            add(StepKind.CHECK_ROGUE_CELLS, DatedSpan.on(handsOff.earliest().minusDays(1)),
                    Reason.of(Source.COMMON_PRACTICE, "graft.rogue"));
            if (plan.school() == BuilderSchool.STARTER_FINISHER) {
                add(StepKind.RESTOCK_BUILDER, DatedSpan.on(graft.minusDays(1).plusWeeks(1)),
                        Reason.of(Source.COMMON_PRACTICE, "graft.restock"));
            }
            add(StepKind.SEALED,
                    assumptions.queen().sealed().shiftedByHours(-plan.larvaAge().youngestSinceEggHours()).from(graft),
                    Reason.of(Source.derived("days from egg to sealed cell, less the age of the youngest larva"),
                            "graft.sealed", assumptions.queen().sealed()));
            add(StepKind.HANDS_OFF_CELLS, handsOff,
                    reason(Figure.UNTOUCHABLE, "graft.handsOffCells", assumptions.span(Figure.UNTOUCHABLE)));
        }

        private void ripe() {
            DatedSpan ripe = emergence.likelyOnly().plus(RIPE_BEFORE_EMERGENCE).windowFrom(graft);
            DatedSpan cull = new DatedSpan(ripe.earliest().minusDays(1), ripe.earliest().minusDays(1), ripe.latest());
            add(StepKind.CULL, cull, Reason.of(Source.COMMON_PRACTICE, "graft.cull"));
            boolean toNucs = plan.placing() == Placing.CELLS_TO_NUCS;
            add(toNucs ? StepKind.PLACE_CELLS : StepKind.CAGE_CELLS, ripe,
                    Reason.of(Source.BUECHLER_2013, toNucs ? "graft.place" : "graft.cage", emergence.from(graft)));
            add(StepKind.EMERGENCE, emergence.from(graft),
                    Reason.of(Source.derived("days from egg to virgin, less the age of the oldest larva"),
                            "graft.emergence", assumptions.queen().emerges()));
            if (toNucs) {
                add(StepKind.CHECK_EMERGENCE, ripe.plus(assumptions.span(Figure.EMERGENCE_CHECK)),
                        reason(Figure.EMERGENCE_CHECK, "graft.checkEmergence",
                                assumptions.span(Figure.EMERGENCE_CHECK)));
                add(StepKind.FIRST_LOOK, ripe.plus(assumptions.span(Figure.FIRST_LOOK)),
                        reason(Figure.FIRST_LOOK, "graft.firstLook", assumptions.span(Figure.FIRST_LOOK)));
            } else {
                add(StepKind.INTRODUCE_VIRGINS,
                        emergence.plus(assumptions.span(Figure.VIRGIN_INTRODUCTION)).from(graft),
                        reason(Figure.VIRGIN_INTRODUCTION, "graft.introduceVirgins",
                                assumptions.span(Figure.VIRGIN_INTRODUCTION)));
            }
        }

        private void fromEmergenceToEggs() {
            addAfterEmergence(StepKind.MATURE, Figure.MATURITY, "graft.mature");
            DaySpan flightDays = assumptions.span(Figure.MATING_FLIGHTS);
            DatedSpan flights = emergence.plus(flightDays).from(graft);
            DatedSpan shut = steps.stream().filter(step -> step.kind() == StepKind.FIRST_LOOK).findFirst()
                    .map(look -> flights.notAfter(look.when().earliest().minusDays(1))).orElse(flights);
            add(StepKind.HANDS_OFF_MATING, shut, reason(Figure.MATING_FLIGHTS, "graft.handsOffMating", flightDays));
            addAfterEmergence(StepKind.FIRST_EGGS, Figure.FIRST_EGGS, "graft.firstEggs");
            DaySpan flatBrood = assumptions.span(Figure.FLAT_SEALED_BROOD);
            add(StepKind.JUDGE_BROOD, emergence.plus(assumptions.span(Figure.FIRST_EGGS)).plus(flatBrood).from(graft),
                    reason(Figure.FLAT_SEALED_BROOD, "graft.judge", flatBrood));
            addAfterEmergence(StepKind.CALL_LATE, Figure.LATE, "graft.late");
            addAfterEmergence(StepKind.DRONES_ONLY, Figure.DRONES_ONLY, "graft.dronesOnly");
        }

        private void caution() {
            if (plan.larvaAge().isOlderThanWanted()) {
                cautions.add(Reason.of(Source.BUECHLER_2013, "graft.caution.oldLarvae"));
            }
            if (plan.placing() == Placing.EMERGE_IN_INCUBATOR) {
                cautions.add(Reason.of(Source.COMMON_PRACTICE, "graft.caution.virgins"));
                double celsius = plan.incubatorCelsius();
                if (celsius < 30 || celsius > 37) {
                    cautions.add(Reason.of(Source.COMMON_PRACTICE, "graft.caution.incubator", celsius));
                } else if (celsius < GraftPlan.PROPER_INCUBATOR_CELSIUS) {
                    cautions.add(Reason.of(Source.COMMON_PRACTICE, "graft.caution.coolIncubator", celsius,
                            coldDelayHours(plan, assumptions)));
                }
            }
        }

        private void addAfterEmergence(StepKind kind, Figure figure, String key) {
            DaySpan afterEmergence = assumptions.span(figure);
            add(kind, emergence.plus(afterEmergence).from(graft), reason(figure, key, afterEmergence));
        }

        private Reason reason(Figure figure, String key, Object... arguments) {
            return Reason.of(assumptions.source(figure), key, arguments);
        }

        private void add(StepKind kind, DatedSpan when, Reason reason) {
            steps.add(new CalendarStep(kind, when, List.of(reason)));
        }
    }

    /** What a step is called on paper and screen. */
    public static Sentence nameOf(StepKind kind) {
        return Sentence.of("step." + kind.name());
    }

    /** From the day of placing until the first virgin may be out: after that nobody gives a cell away blindly. */
    public boolean isRipeOn(LocalDate day) {
        LocalDate ripe = when(StepKind.PLACE_CELLS).orElseThrow().earliest();
        LocalDate firstVirgin = when(StepKind.EMERGENCE).orElseThrow().earliest();
        return !day.isBefore(ripe) && !day.isAfter(firstVirgin);
    }
}

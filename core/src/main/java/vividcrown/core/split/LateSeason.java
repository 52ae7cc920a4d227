package vividcrown.core.split;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.hive.forecast.Forecast;
import vividcrown.core.hive.forecast.Forecast.Wintering;
import vividcrown.core.hive.forecast.Forecaster;
import vividcrown.core.mating.MatingChance;
import vividcrown.core.odds.Interval;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.SplitQuestion.Stock;
import vividcrown.core.split.SplitQuestion.Wanted;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.split.recipe.RecipeKind;
import vividcrown.core.split.recipe.Recipes;
import vividcrown.core.yard.Flow;

/**
 * The whole yard before winter: each unit with its odds, its forecast, the day by which to decide and its best use; and what pooled
 * autumn splits would bring and cost. Good practice acts two or three weeks earlier than one would like.
 */
public final class LateSeason {

    /** Bees need so many warm days to move in and order their stores. */
    private static final int BEFORE_THE_COLD_DAYS = 14;
    private static final int BEFORE_IT_COLLAPSES_DAYS = 7;
    private static final double WARM_CELSIUS = 15;
    private static final double STRONG_AT_REST = 8;
    private static final double CERTAIN = 0.9;
    /** Half of autumn splits survive: common practice, with the weight of some ten of them. */
    private static final Rate AUTUMN_SPLIT = Rate.of(5, 5);
    private static final double HARDLY_MATES = 0.3;
    private static final double HARDLY_COMES_THROUGH = 0.15;
    private static final double HELPED = 0.15;

    private LateSeason() {
    }

    /**
     * @param hives every unit, as last read
     * @param queensAtHand mated queens that can be given
     * @param ownSplits of earlier autumn splits, those that came through and those that did not; (0, 0) if none are known
     * @param mostSeconds for the splits
     */
    public static LateSeasonPlan plan(Conditions at, List<Unit> hives, int queensAtHand, int[] ownSplits,
            double mostSeconds) {
        List<LateSeasonPlan.Fate> fates = new ArrayList<>();
        List<Standing> all = hives.stream().map(hive -> new Standing(hive, Forecaster.of(hive,
                at.fed(1), Forecaster.DAYS)))
                .toList();
        int queens = queensAtHand;
        List<String> taken = new ArrayList<>();
        List<Standing> weakestFirst = all.stream()
                .sorted(Comparator.comparingDouble((Standing one) -> one.chance())).toList();
        for (Standing one : weakestFirst) {
            LateSeasonPlan.Fate fate = fate(one, all, at, queens, taken);
            queens -= fate.use() == LateSeasonPlan.Use.GIVE_QUEEN ? 1 : 0;
            boolean takesPlace = fate.use() == LateSeasonPlan.Use.UNITE
                    || fate.use() == LateSeasonPlan.Use.OVER_A_NEIGHBOUR;
            fate.into().filter(_ -> takesPlace).ifPresent(taken::add);
            fates.add(fate);
        }
        fates.sort(Comparator.comparing(LateSeasonPlan.Fate::decideBy)
                .thenComparing((LateSeasonPlan.Fate one) -> one.use() == LateSeasonPlan.Use.LEAVE)
                .thenComparingDouble(LateSeasonPlan.Fate::comesThrough));
        return new LateSeasonPlan(fates, splits(at, hives, queensAtHand, ownSplits, mostSeconds), lastWarm(at));
    }

    private record Standing(Unit unit, Forecast forecast) {
        double chance() {
            double queenright = unit.queen().is().isQueenright() || unit.queen().is().isYoung()
                    ? unit.queen().chance()
                    : 0;
            return queenright * forecast.winter().chance();
        }

        boolean isGood() {
            return unit.queen().is().isQueenright() && forecast.winter().verdict() == Wintering.WELL
                    && unit.queen().chance() >= 0.8 && !unit.is(UnitTrait.SUSPECT);
        }
    }

    /** The last day of this season warm enough for bees to be put together. */
    private static LocalDate lastWarm(Conditions at) {
        BeeYear year = at.year();
        LocalDate day = at.day();
        for (int ahead = 0; ahead < 300; ahead++) {
            boolean cools = year.usualHigh(day.plusDays(10)) <= year.usualHigh(day);
            if (cools && year.usualHigh(day) < WARM_CELSIUS) {
                return day.minusDays(1).isBefore(at.day()) ? at.day() : day.minusDays(1);
            }
            day = day.plusDays(1);
        }
        return year.restBegins(at.day());
    }

    private static LateSeasonPlan.Fate fate(Standing one, List<Standing> all, Conditions at, int queens,
            List<String> taken) {
        Unit unit = one.unit();
        LocalDate warm = lastWarm(at);
        // bees who wait too long are worth nothing to anybody
        LocalDate whileWorth = one.forecast().milestone(Forecast.What.COLLAPSES)
                .map(end -> end.when().earliest().minusDays(BEFORE_IT_COLLAPSES_DAYS)).orElse(warm);
        LocalDate before = warm.minusDays(BEFORE_THE_COLD_DAYS);
        LocalDate unite = notPast(whileWorth.isBefore(before) ? whileWorth : before, at.day());
        double chance = one.chance();
        if (unit.is(UnitTrait.SUSPECT)) {
            return fate(one, LateSeasonPlan.Use.SETTLE_DISEASE, at.day(), Optional.empty(), 0, "late.suspect");
        }
        boolean cold = at.year().usualHigh(at.day()) < Weather.SHAKE_CELSIUS && warm.equals(at.day());
        if (cold) {
            return fate(one, LateSeasonPlan.Use.LEAVE, at.day(), Optional.empty(), chance, "late.tooCold");
        }
        if (unit.is(UnitTrait.SWARM_CELLS)) {
            return fate(one, LateSeasonPlan.Use.LOOK, at.day(), Optional.empty(), chance, "late.cells");
        }
        boolean strong = one.forecast().in(0).framesOfBees().likely() >= 4;
        Optional<Standing> host = host(one, all, taken);
        return switch (unit.queen().is()) {
            case LAYING, KEPT -> laying(one, host, unite, chance, at);
            case VIRGIN, CELL -> young(one, host, unite, chance, at);
            case UNKNOWN -> fate(one, LateSeasonPlan.Use.LOOK, notPast(unite.minusDays(7), at.day()), Optional.empty(),
                    chance, "late.unknown");
            case NONE -> queens > 0 && strong && !at.day().isAfter(unite.minusDays(7))
                    ? fate(one, LateSeasonPlan.Use.GIVE_QUEEN, notPast(unite.minusDays(7), at.day()), Optional.empty(),
                            LossStep.ACCEPTANCE.prior().mean() * withQueen(one, at), "late.giveQueen")
                    : into(one, host, unite, "late.noQueen");
            case DRONE_LAYER -> into(one, host, unite, "late.droneLayer");
            case LAYING_WORKERS -> fate(one, LateSeasonPlan.Use.SHAKE_OUT, unite, Optional.empty(), 0, "late.workers");
        };
    }

    private static double withQueen(Standing one, Conditions at) {
        Unit queenright = one.unit().with(UnitQueen.of(UnitQueen.Is.KEPT));
        return Forecaster.of(queenright, at.fed(1), 7)
                .winter().chance();
    }

    private static LateSeasonPlan.Fate laying(Standing one, Optional<Standing> host, LocalDate unite, double chance,
            Conditions at) {
        Wintering winters = one.forecast().winter().verdict();
        boolean hungry = one.unit().foodKg() < one.forecast().winter().storesKg().least();
        return switch (winters) {
            case WELL -> fate(one, hungry ? LateSeasonPlan.Use.FEED : LateSeasonPlan.Use.LEAVE,
                    hungry ? notPast(unite, at.day()) : unite, Optional.empty(), chance,
                    hungry ? "late.feed" : "late.leave");
            case OVER_A_NEIGHBOUR -> fate(one, LateSeasonPlan.Use.OVER_A_NEIGHBOUR, unite,
                    host.map(other -> other.unit().code()), Math.min(0.9, chance + HELPED), "late.over");
            case NOT_ALONE -> host.isPresent() && one.forecast().winter().framesOfBees().likely() < 2.5
                    ? bankOrUnite(one, host.get(), unite)
                    : fate(one, LateSeasonPlan.Use.BOOST, notPast(unite.minusDays(21), at.day()), Optional.empty(),
                            Math.min(0.8, chance + 0.3), "late.boost");
        };
    }

    /** A good queen in a unit too small: she is worth more than her bees. */
    private static LateSeasonPlan.Fate bankOrUnite(Standing one, Standing host, LocalDate unite) {
        return new LateSeasonPlan.Fate(one.unit().code(), LateSeasonPlan.Use.UNITE, unite,
                Optional.of(host.unit().code()),
                one.chance(), one.forecast().winter(), Sentence.of("late.tooSmall", host.unit().code()));
    }

    private static LateSeasonPlan.Fate young(Standing one, Optional<Standing> host, LocalDate unite, double chance,
            Conditions at) {
        LocalDate emerges = one.unit().queen().lays().map(span -> span.earliest().minusDays(8)).orElse(at.day());
        double mates = new MatingChance(at.year().climate()).of(emerges) * LossStep.MATING.prior().mean();
        double comes = mates * one.forecast().winter().chance();
        if (mates < HARDLY_MATES || comes < HARDLY_COMES_THROUGH) {
            return host.map(other -> new LateSeasonPlan.Fate(one.unit().code(), LateSeasonPlan.Use.UNITE, unite,
                    Optional.of(other.unit().code()), comes, one.forecast().winter(),
                    Sentence.of("late.youngTooLate", Math.round(100 * comes))))
                    .orElse(fate(one, LateSeasonPlan.Use.WAIT, unite, Optional.empty(), comes, "late.youngNoHost"));
        }
        LocalDate eggs = one.unit().queen().lays().map(span -> span.latest().plusDays(3)).orElse(at.day().plusDays(21));
        return fate(one, LateSeasonPlan.Use.WAIT, eggs.isBefore(unite) ? notPast(eggs, at.day()) : unite,
                host.map(other -> other.unit().code()), Math.min(comes, chance), "late.young");
    }

    private static LateSeasonPlan.Fate into(Standing one, Optional<Standing> host, LocalDate unite, String key) {
        return host.map(other -> fate(one, LateSeasonPlan.Use.UNITE, unite, Optional.of(other.unit().code()), 0, key))
                .orElse(fate(one, LateSeasonPlan.Use.BREAK_UP, unite, Optional.empty(), 0, "late.breakUp"));
    }

    /** A good queenright hive of the same yard that gains most, and is nobody's already. */
    private static Optional<Standing> host(Standing one, List<Standing> all, List<String> taken) {
        return all.stream()
                .filter(other -> !other.unit().code().equals(one.unit().code())
                        && other.unit().yard().equals(one.unit().yard()) && !taken.contains(other.unit().code())
                        && other.unit().queen().is().isQueenright() && !other.unit().is(UnitTrait.SUSPECT)
                        && !other.unit().is(UnitTrait.ROBBED) && !other.unit().is(UnitTrait.HANDS_OFF)
                        && !other.unit().is(UnitTrait.SWARM_CELLS)
                        && other.unit().purpose() != Purpose.BANK && other.chance() > one.chance())
                .min(Comparator.comparing((Standing other) -> !other.isGood())
                        .thenComparing(other -> other.unit().purpose() != Purpose.PRODUCTION)
                        .thenComparingDouble(
                                other -> Math.abs(other.forecast().winter().framesOfBees().likely() - STRONG_AT_REST)));
    }

    private static LateSeasonPlan.Fate fate(Standing one, LateSeasonPlan.Use use, LocalDate by, Optional<String> into,
            double comesThrough, String key) {
        return new LateSeasonPlan.Fate(one.unit().code(), use, by, into, comesThrough, one.forecast().winter(),
                Sentence.of(key, one.unit().code(), by, into.orElse("")));
    }

    private static LocalDate notPast(LocalDate day, LocalDate today) {
        return day.isBefore(today) ? today : day;
    }

    // --- splits ------------------------------------------------------------------------------------------------------

    private static LateSeasonPlan.Splits splits(Conditions at, List<Unit> hives, int queens, int[] own,
            double mostSeconds) {
        Rate survival = AUTUMN_SPLIT.updatedBy(own[0], (double) own[0] + own[1]);
        SplitQuestion question = new SplitQuestion(at, hives,
                List.of(new Wanted(Recipes.of(RecipeKind.POOLED_AUTUMN_SPLIT), Optional.empty())), Optional.empty(),
                new Stock(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(),
                        Optional.empty(), Optional.empty(), Optional.of(queens)),
                Map.of(), List.of(), Map.of());
        boolean autumn = at.year().isAutumn(at.day()) && at.flow() != Flow.STRONG;
        SplitPlan plan = SplitPlanner.plan(question, mostSeconds);
        int made = plan.newUnits().size();
        Interval survive = survival.credible(CERTAIN);
        Sentence words = made == 0
                ? Sentence.of("late.splits.none")
                : Sentence.of(autumn ? "late.splits" : "late.splits.early", made,
                        Math.round(10 * made * survival.mean()) / 10.0,
                        Math.round(100 * survive.low()), Math.round(100 * survive.high()), plan.donors().size());
        return new LateSeasonPlan.Splits(made, made * survival.mean(), survive, plan, words);
    }
}

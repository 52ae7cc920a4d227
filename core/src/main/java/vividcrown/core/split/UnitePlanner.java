package vividcrown.core.split;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.hive.forecast.Forecaster;
import vividcrown.core.hive.forecast.Surroundings;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.UnitePlan.How;
import vividcrown.core.split.UnitePlan.Way;
import vividcrown.core.time.DaySpan;
import vividcrown.core.yard.Flow;

/**
 * Uniting: no step may put the better queen at risk. The poorer one is found and taken out first; where she is not found the good hive
 * is guarded; a hive that may be sick goes nowhere. Common practice.
 */
public final class UnitePlanner {

    private static final double NEIGHBOURS_METRES = 4;
    private static final double BEES_FIND_HOME_METRES = 2_000;
    private static final int FRAMES_OF_A_NUC = 6;

    private final UniteQuestion question;
    private final List<Objection> objections = new ArrayList<>();

    private UnitePlanner(UniteQuestion question) {
        this.question = question;
    }

    public static UnitePlan plan(UniteQuestion question) {
        return new UnitePlanner(question).plan();
    }

    private UnitePlan plan() {
        Unit one = question.one();
        Unit other = question.other();
        for (Unit hive : List.of(one, other)) {
            if (hive.is(UnitTrait.SUSPECT)) {
                objections.add(Objection.refuse("unite.suspect", hive.code()));
            }
            if (hive.is(UnitTrait.SWARM_CELLS)) {
                objections.add(Objection.refuse("unite.cells", hive.code()));
            }
            if (hive.is(UnitTrait.ROBBED)) {
                objections.add(Objection.refuse("unite.robbed", hive.code()));
            }
        }
        if (one.code().equals(other.code())) {
            objections.add(Objection.refuse("unite.same", one.code()));
        }
        question.weather().tooColdToOpen().ifPresent(objections::add);
        boolean mine = Queenly.of(one).compareTo(Queenly.of(other)) >= 0;
        Unit keeps = mine ? one : other;
        Unit gives = mine ? other : one;
        byQueens(keeps, gives);
        if (objections.stream().anyMatch(Objection::refuses)) {
            return new UnitePlan(Optional.empty(), Optional.empty(), List.of(), List.of(), List.of(), objections,
                    Optional.empty(), Optional.empty());
        }
        if (question.conditions().flow() == Flow.DEARTH) {
            objections.add(Objection.warn("weather.dearth"));
        }
        if (gives.is(UnitTrait.DEFENSIVE)) {
            objections.add(Objection.warn("unite.defensive", gives.code()));
        }
        if (keeps.is(UnitTrait.TREATED) || gives.is(UnitTrait.TREATED)) {
            objections.add(Objection.warn("unite.treated"));
        }
        List<Way> ways = new ArrayList<>(ways(keeps, gives));
        ways.sort(Comparator.comparing((Way way) -> !way.mayBeDone()).thenComparingDouble(way -> -way.queenSafe()));
        Surroundings at = question.conditions().fed(1);
        return new UnitePlan(Optional.of(keeps.code()), Optional.of(gives.code()), because(keeps, gives), ways,
                combs(gives), objections, Optional.of(Forecaster.of(united(keeps, gives), at, Forecaster.DAYS)),
                Optional.of(Forecaster.of(keeps, at, Forecaster.DAYS)));
    }

    /** What a queen is worth keeping for: the greater, the more. */
    private record Queenly(int queen, double chance, int young, double brood) implements Comparable<Queenly> {
        static Queenly of(Unit hive) {
            int queen = switch (hive.queen().is()) {
                case LAYING -> 6;
                case KEPT -> 5;
                case VIRGIN -> 4;
                case CELL -> 3;
                case UNKNOWN -> hive.hasEggs() ? 5 : 2;
                case NONE -> 1;
                case DRONE_LAYER, LAYING_WORKERS -> 0;
            };
            return new Queenly(queen, hive.queen().chance(), -hive.queen().winters().orElse(1), hive.broodCells());
        }

        @Override
        public int compareTo(Queenly other) {
            return Comparator.comparingInt(Queenly::queen).thenComparingInt(one -> (int) (10 * one.chance))
                    .thenComparingInt(Queenly::young).thenComparingDouble(Queenly::brood).compare(this, other);
        }
    }

    private void byQueens(Unit keeps, Unit gives) {
        if (!keeps.queen().is().isQueenright() && keeps.queen().is() != UnitQueen.Is.UNKNOWN) {
            objections.add(keeps.queen().is().isYoung()
                    ? Objection.refuse("unite.youngStays", keeps.code())
                    : Objection.refuse("unite.noQueen", keeps.code(), gives.code()));
            return;
        }
        if (keeps.queen().is() == UnitQueen.Is.UNKNOWN) {
            objections.add(Objection.warn("unite.seeHer", keeps.code()));
        }
        if (keeps.is(UnitTrait.HANDS_OFF)) {
            objections.add(Objection.refuse("unite.handsOff", keeps.code()));
        }
        if (gives.queen().is().isYoung() && !question.otherQueenFound()) {
            objections.add(Objection.refuse("unite.youngThere", gives.code()));
        }
        if (gives.queen().is().isQueenright()) {
            objections.add(question.otherQueenFound()
                    ? Objection.warn("unite.bothTaken", gives.code())
                    : Objection.warn("unite.bothGood", gives.code()));
        }
    }

    private static List<Sentence> because(Unit keeps, Unit gives) {
        List<Sentence> because = new ArrayList<>();
        because.add(Sentence.of("unite.keeps." + keeps.queen().is().name(), keeps.code()));
        because.add(Sentence.of("unite.gives." + gives.queen().is().name(), gives.code()));
        return because;
    }

    // --- ways --------------------------------------------------------------------------------------------------------

    private List<Way> ways(Unit keeps, Unit gives) {
        List<Way> ways = new ArrayList<>();
        boolean workersLay = gives.queen().is() == UnitQueen.Is.LAYING_WORKERS;
        boolean nuc = keeps.slots() <= FRAMES_OF_A_NUC && gives.slots() > keeps.slots();
        if (workersLay) {
            ways.add(shakeOutFar(keeps, gives));
            return ways;
        }
        ways.add(paper(keeps, gives, nuc));
        ways.add(guarded(keeps, gives));
        return ways;
    }

    /** None is there for certain: found and taken out, or every frame searched twice with nothing royal. */
    private boolean isSettled(Unit gives) {
        return question.otherQueenFound() || gives.queen().is() == UnitQueen.Is.NONE && gives.queen().chance() >= 0.97;
    }

    private Way paper(Unit keeps, Unit gives, boolean nuc) {
        List<Sentence> wants = new ArrayList<>();
        if (!isSettled(gives)) {
            wants.add(Sentence.of("unite.wants.found", gives.code()));
        }
        if (question.weather().rain()) {
            wants.add(Sentence.of("weather.rain"));
        }
        double metres = question.metres().orElse(0.0);
        List<Sentence> steps = new ArrayList<>();
        if (gives.queen().is() != UnitQueen.Is.NONE || gives.queen().chance() < 1) {
            steps.add(Sentence.of("unite.step.takeOut", gives.code()));
        }
        steps.add(Sentence.of("unite.step.cells", gives.code()));
        if (metres > NEIGHBOURS_METRES && metres < BEES_FIND_HOME_METRES) {
            steps.add(Sentence.of("unite.step.bringNear", Math.round(metres)));
        }
        steps.add(Sentence.of("unite.step.evening"));
        steps.add(Sentence.of(nuc ? "unite.step.nucInto" : "unite.step.paper", keeps.code(), gives.code()));
        steps.add(Sentence.of("unite.step.oldSpot"));
        double safe = isSettled(gives) ? nuc ? 0.97 : 0.96 : 0.55;
        return new Way(nuc ? How.NUC_INTO_HIVE : How.PAPER, wants.isEmpty(), wants, steps,
                List.of(Sentence.of("unite.done.paper"), Sentence.of("unite.done.noFighting")),
                looks("unite.look.paper"), safe, false);
    }

    private Way guarded(Unit keeps, Unit gives) {
        List<Sentence> wants = new ArrayList<>();
        if (question.metres().isEmpty()) {
            wants.add(Sentence.of("unite.wants.metres"));
        } else if (question.metres().get() > NEIGHBOURS_METRES) {
            wants.add(Sentence.of("unite.wants.neighbours", Math.round(question.metres().get())));
        }
        if (!question.weather().isFitToShake()) {
            wants.add(Sentence.of("unite.wants.warm", Math.round(question.weather().celsius()),
                    Math.round(Weather.SHAKE_CELSIUS)));
        }
        if (gives.queen().is().isQueenright()) {
            wants.add(Sentence.of("unite.wants.goodFound", gives.code()));
        }
        List<Sentence> steps = List.of(Sentence.of("unite.step.guard", keeps.code()),
                Sentence.of("unite.step.aside", gives.code()), Sentence.of("unite.step.shake", keeps.code()),
                Sentence.of("unite.step.oldSpot"), Sentence.of("unite.step.guardOff"));
        return new Way(How.SHAKE_OUT_GUARDED, wants.isEmpty(), wants, steps,
                List.of(Sentence.of("unite.done.inByDark"), Sentence.of("unite.done.noFighting")),
                looks("unite.look.guard"),
                isSettled(gives) ? 0.95 : 0.9, false);
    }

    private Way shakeOutFar(Unit keeps, Unit gives) {
        List<Sentence> wants = new ArrayList<>();
        if (!question.weather().isFitToShake()) {
            wants.add(Sentence.of("unite.wants.warm", Math.round(question.weather().celsius()),
                    Math.round(Weather.SHAKE_CELSIUS)));
        }
        boolean nuc = keeps.slots() <= FRAMES_OF_A_NUC;
        List<Sentence> steps = new ArrayList<>(List.of(Sentence.of("unite.step.far", gives.code())));
        steps.add(Sentence.of(nuc ? "unite.step.givePlace" : "unite.step.guard", keeps.code()));
        if (!nuc) {
            steps.add(Sentence.of("unite.step.oldSpot"));
        }
        return new Way(How.SHAKE_OUT_FAR, wants.isEmpty(), wants, steps,
                List.of(Sentence.of("unite.done.inByDark"), Sentence.of("unite.done.noFighting")),
                looks("unite.look.guard"),
                nuc ? 0.85 : 0.93, nuc);
    }

    private List<SplitPlan.Step> looks(String first) {
        return List.of(look(DaySpan.ofDays(1, 1, 2), first), look(DaySpan.ofDays(7, 7, 10), "unite.look.eggs"));
    }

    private SplitPlan.Step look(DaySpan days, String key) {
        return new SplitPlan.Step(days.from(question.conditions().day()), Sentence.of(key), false);
    }

    // --- what is left ------------------------------------------------------------------------------------------------

    private List<Sentence> combs(Unit gives) {
        List<Sentence> combs = new ArrayList<>();
        combs.add(Sentence.of("unite.combs.check"));
        if (question.combs() == UniteQuestion.Combs.MELT) {
            combs.add(Sentence.of("unite.combs.melt"));
            return combs;
        }
        if (gives.broodFrames() > 0) {
            combs.add(Sentence.of("unite.combs.brood"));
        }
        combs.add(Sentence.of("unite.combs.guard"));
        combs.add(Sentence.of(question.conditions().beetles() ? "unite.combs.beetles" : "unite.combs.moth"));
        return combs;
    }

    private static Unit united(Unit keeps, Unit gives) {
        List<FrameSeen> frames = new ArrayList<>();
        int box = 1;
        for (Unit hive : List.of(keeps, gives)) {
            int boxes = hive.frames().stream().mapToInt(FrameSeen::box).max().orElse(1);
            for (FrameSeen one : hive.frames()) {
                boolean theirs = hive.equals(gives);
                if (!theirs || one.comb().isOfBrood() || one.comb().isOfFood()) {
                    frames.add(new FrameSeen(box + one.box() - 1, one.slot(), one.comb(), one.covered(),
                            !theirs && one.queen(), true, false));
                }
            }
            box += boxes;
        }
        Unit base = keeps.with(frames, Math.min(17, keeps.framesOfBees() + gives.framesOfBees()));
        return new Unit(base.code(), base.yard(), base.purpose(), base.readOn(), base.side(),
                keeps.slots() + gives.slots(), base.frames(), base.seams(), base.queen(), base.traits(), base.lastEgg(),
                base.flyers());
    }
}

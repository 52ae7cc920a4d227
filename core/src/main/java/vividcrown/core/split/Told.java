package vividcrown.core.split;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import vividcrown.core.hive.Amount;
import vividcrown.core.hive.FrameKind;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.hive.forecast.Forecast;
import vividcrown.core.hive.forecast.Forecaster;
import vividcrown.core.hive.forecast.Surroundings;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.split.Layout.Hung;
import vividcrown.core.split.Layout.Taken;
import vividcrown.core.split.SplitModel.Group;
import vividcrown.core.split.SplitPlan.Donor;
import vividcrown.core.split.SplitPlan.Filled;
import vividcrown.core.split.SplitPlan.Hanging;
import vividcrown.core.split.SplitPlan.Move;
import vividcrown.core.split.SplitPlan.NewUnit;
import vividcrown.core.split.SplitPlan.Shakes;
import vividcrown.core.split.SplitQuestion.Floor;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.split.recipe.Gets;
import vividcrown.core.split.recipe.RecipeKind;
import vividcrown.core.split.recipe.Recipes;
import vividcrown.core.split.recipe.Sensible;
import vividcrown.core.split.recipe.SplitRecipe;
import vividcrown.core.time.DatedSpan;

/** Turns what was chosen into words, boxes and forecasts: for each new unit and each donor. */
final class Told {

    private static final double NURSES_FLY = 0.08;
    private static final double HOME_COMERS_FLY = 0.4;

    private final SplitQuestion question;
    private final Conditions at;
    private final List<Unit> hives;
    private final List<Floor> floors;
    private final List<NewUnit> units = new ArrayList<>();
    private final Map<Integer, List<FrameSeen>> gone = new LinkedHashMap<>();
    private final Map<Integer, Amount> beesGone = new LinkedHashMap<>();
    private final Map<Integer, Group> queenGone = new LinkedHashMap<>();
    private final Set<Integer> stripped = new TreeSet<>();
    private final Set<Integer> shaken = new TreeSet<>();
    private Amount flyHome = Amount.of(0);
    private int drawnLeft;
    private int drawnUsed;
    private int foundationUsed;

    Told(SplitQuestion question, List<Unit> hives, List<Floor> floors) {
        this.question = question;
        this.at = question.conditions();
        this.hives = hives;
        this.floors = floors;
        this.drawnLeft = question.stock().drawn().orElse(Integer.MAX_VALUE);
    }

    private boolean takesDrawn() {
        if (drawnLeft > 0) {
            drawnLeft--;
            drawnUsed++;
            return true;
        }
        foundationUsed++;
        return false;
    }

    /** @param missingFood frames of food of this group for which syrup stands */
    void group(Group group, List<Dealing.Hand> hands, int missingFood) {
        int left = missingFood;
        for (Dealing.Hand hand : hands) {
            int foodFrames = hand.frames().size() - hand.brood();
            int syrupFor = Math.min(left, Math.max(0, group.recipe().frames().food() - foodFrames));
            left -= syrupFor;
            units.add(unit(group, hand, syrupFor));
        }
    }

    private NewUnit unit(Group group, Dealing.Hand hand, int syrupFor) {
        SplitRecipe recipe = group.recipe();
        String code = "new " + (units.size() + 1);
        int drawn = 0;
        int foundation = 0;
        for (int comb = 0; comb < recipe.frames().drawn(); comb++) {
            if (takesDrawn()) {
                drawn++;
            } else {
                foundation++;
            }
        }
        List<Hanging> layout = new ArrayList<>();
        for (Hung hung : Layout.of(hand.frames(), recipe.slots(), drawn, foundation)) {
            Optional<Move> move = hung.taken().map(taken -> new Move(taken.hive().code(), taken.frame().at(), code,
                    hung.slot(), because(taken, recipe)));
            layout.add(new Hanging(hung.slot(), move, hung.otherwise()));
        }
        List<Shakes> shakes = new ArrayList<>();
        Amount bees = Amount.of(0);
        for (Taken taken : hand.frames()) {
            Amount stay = stays(taken.frame().covered(), group.drift().fromFrames());
            bees = bees.plus(stay);
            leaves(taken, group, stay);
        }
        for (Map.Entry<Integer, Double> shaken : hand.shakes().entrySet()) {
            Unit hive = hives.get(shaken.getKey());
            shakes.add(new Shakes(hive.code(), shaken.getValue(), hive.is(UnitTrait.HAS_SUPERS)));
            double frames = SplitModel.SHAKE_FRAMES * shaken.getValue();
            Amount stay = stays(frames, group.drift().fromShakes());
            bees = bees.plus(stay);
            beesGone.merge(shaken.getKey(), stay, Amount::plus);
            this.shaken.add(shaken.getKey());
            flyHome = flyHome.plus(gone(hive, frames, group.drift().fromShakes()));
        }
        double levelled = hand.levelled();
        bees = bees.map(frames -> Math.max(0, frames + levelled));
        List<String> mayHoldHer = group.takesQueen() ? List.of() : mayHoldHer(hand);
        Unit made = made(code, group, hand, bees);
        double litres = recipe.feedLitres() + syrupFor * Layout.LITRES_FOR_A_FOOD_FRAME;
        return new NewUnit(code, recipe, SplitModel.place(question, recipe), recipe.gets(), layout, shakes, mayHoldHer,
                bees, rounded(levelled), made.broodCells() / made.side().cells(2), litres,
                SplitCalendar.of(recipe, SplitModel.place(question, recipe), at, !mayHoldHer.isEmpty()),
                recipe.dayTen(), Forecaster.of(made, surroundings(), Forecaster.DAYS), recipe.fallback(),
                List.of(group.drift().because(), Reason.of(Source.COMMON_PRACTICE, "split.because.nurses")));
    }

    private Surroundings surroundings() {
        return at.fed(question.ownGrowth());
    }

    private static Sentence because(Taken taken, SplitRecipe recipe) {
        Sentence kind = SplitPlanner.kindOf(taken.frame());
        boolean eggsWanted = recipe.frames().withEggs() > 0 && taken.frame().comb().hasEggs();
        return Sentence.of(eggsWanted ? "split.because.eggs" : "split.because.frame", kind);
    }

    private static Amount stays(double frames, Amount drift) {
        return new Amount(frames * (1 - drift.most()), frames * (1 - drift.likely()), frames * (1 - drift.least()));
    }

    private static Amount gone(Unit hive, double frames, Amount drift) {
        return drift.map(share -> hive.side().bees(frames) * share);
    }

    private void leaves(Taken taken, Group group, Amount stay) {
        int hive = hives.indexOf(taken.hive());
        gone.computeIfAbsent(hive, _ -> new ArrayList<>()).add(taken.frame());
        beesGone.merge(hive, stay, Amount::plus);
        if (group.strips()) {
            stripped.add(hive);
        }
        if (group.takesQueen()) {
            queenGone.put(hive, group);
        }
        flyHome = flyHome.plus(gone(taken.hive(), taken.frame().covered(), group.drift().fromFrames()));
    }

    /** Hives whose queen was not seen and both sides of whose frames were not searched. */
    private List<String> mayHoldHer(Dealing.Hand hand) {
        List<String> from = new ArrayList<>();
        for (Taken taken : hand.frames()) {
            boolean known = taken.hive().queensFrame().isPresent() || taken.frame().searched();
            if (!known && !from.contains(taken.hive().code())) {
                from.add(taken.hive().code());
            }
        }
        hand.shakes().keySet().stream().map(hives::get)
                .filter(hive -> !hive.is(UnitTrait.HAS_SUPERS) && hive.queensFrame().isEmpty()
                        && !from.contains(hive.code()))
                .forEach(hive -> from.add(hive.code()));
        return from;
    }

    /** The new unit as a hive, to be foreseen. */
    private Unit made(String code, Group group, Dealing.Hand hand, Amount bees) {
        SplitRecipe recipe = group.recipe();
        List<FrameSeen> frames = new ArrayList<>();
        for (Taken taken : hand.frames()) {
            frames.add(new FrameSeen(1, frames.size() + 1, taken.frame().comb(), taken.frame().covered(), false, true,
                    false));
        }
        while (frames.size() < Math.max(1, Math.min(recipe.slots(), hand.frames().size() + recipe.frames().drawn()))) {
            frames.add(FrameSeen.of(frames.size() + 1, FrameKind.DRAWN, 0));
        }
        UnitQueen.Is is = switch (recipe.gets()) {
            case RAISES_ITS_OWN, RIPE_CELL -> UnitQueen.Is.CELL;
            case VIRGIN -> UnitQueen.Is.VIRGIN;
            case MATED_QUEEN -> UnitQueen.Is.KEPT;
            case THE_OLD_QUEEN -> UnitQueen.Is.LAYING;
        };
        UnitQueen queen = new UnitQueen(is, Optional.of(Sensible.lays(recipe, at)),
                recipe.gets() == Gets.THE_OLD_QUEEN ? Optional.of(1) : Optional.of(0), 1);
        return new Unit(code, "", Purpose.NUC, at.day(), hand.frames().isEmpty()
                ? hives.getFirst().side()
                : hand.frames().getFirst().hive().side(), recipe.slots(), frames, Optional.of(bees.likely()), queen,
                Set.of(), Optional.of(DatedSpan.on(at.day())), Optional.of(NURSES_FLY));
    }

    List<NewUnit> units() {
        return units;
    }

    List<Donor> donors() {
        List<Donor> donors = new ArrayList<>();
        Set<Integer> all = new TreeSet<>(beesGone.keySet());
        for (int hive : all) {
            donors.add(donor(hive));
        }
        return donors;
    }

    private Donor donor(int index) {
        Unit hive = hives.get(index);
        List<FrameSeen> leave = gone.getOrDefault(index, List.of());
        int brood = (int) leave.stream().filter(one -> one.comb().isOfBrood()).count();
        Amount left = Objects.requireNonNull(beesGone.get(index));
        double bees = hive.framesOfBees();
        Amount stay = new Amount(Math.max(0, bees - left.most()), Math.max(0, bees - left.likely()),
                Math.max(0, bees - left.least()));
        boolean queenKnown = hive.queensFrame().isPresent();
        List<FrameAt> search = queenKnown
                ? List.of()
                : leave.stream().filter(one -> !one.searched()).map(FrameSeen::at)
                        .sorted(Comparator.comparingInt(FrameAt::box).thenComparingInt(FrameAt::slot)).toList();
        int drawn = 0;
        for (int comb = 0; comb < leave.size(); comb++) {
            drawn += takesDrawn() ? 1 : 0;
        }
        List<SplitPlan.Closed> closes = Layout.closed(hive, leave, drawn);
        Unit after = after(hive, leave, stay, queenGone.containsKey(index));
        Forecast with = Forecaster.of(after, surroundings(), Forecaster.DAYS);
        Forecast without = Forecaster.of(hive, surroundings(), Forecaster.DAYS);
        double lost = without.in(28).framesOfBees().likely() - with.in(28).framesOfBees().likely();
        boolean strips = stripped.contains(index);
        List<Sentence> notes = new ArrayList<>();
        DonorRules.isOld(hive, at.day()).ifPresent(notes::add);
        if (queenGone.containsKey(index)) {
            notes.add(Sentence.of(queenKnown ? "donor.queenGoes" : "donor.findQueenFirst", hive.code()));
        } else if (!queenKnown && strips) {
            notes.add(Sentence.of("donor.findQueenFirstStays", hive.code()));
        } else if (!queenKnown && shaken.contains(index) && !hive.is(UnitTrait.HAS_SUPERS)) {
            notes.add(Sentence.of("donor.findBeforeShaking", hive.code()));
        } else if (queenKnown) {
            notes.add(Sentence.of("donor.queenOn", hive.code(), hive.queensFrame().orElseThrow().at().toString()));
        }
        return new Donor(hive.code(), hive.broodFrames() - brood, hive.broodFrames(), floors.get(index).brood(), stay,
                search, closes, with, without, Sentence.of("donor.loses", rounded(Math.max(0, lost))), notes);
    }

    private Unit after(Unit hive, List<FrameSeen> leave, Amount stay, boolean withoutQueen) {
        List<FrameSeen> frames = new ArrayList<>();
        for (FrameSeen one : hive.frames()) {
            boolean left = leave.stream().anyMatch(other -> other.at().equals(one.at()));
            frames.add(left
                    ? new FrameSeen(one.box(), one.slot(), FrameKind.DRAWN.usual(), 0.2, false,
                            true, false)
                    : one);
        }
        Unit after = hive.with(frames, stay.likely());
        if (withoutQueen) {
            after = after.with(UnitQueen.laysFrom(UnitQueen.Is.CELL, Sensible.lays(
                    Recipes.of(RecipeKind.WALK_AWAY), at)));
        }
        return new Unit(after.code(), after.yard(), after.purpose(), after.readOn(), after.side(), after.slots(),
                after.frames(), after.seams(), after.queen(), after.traits(),
                withoutQueen ? Optional.of(DatedSpan.on(at.day())) : after.lastEgg(),
                Optional.of(HOME_COMERS_FLY));
    }

    Amount flyHome() {
        return flyHome;
    }

    int drawnUsed() {
        return drawnUsed;
    }

    int foundationUsed() {
        return foundationUsed;
    }

    private static double rounded(double value) {
        return Math.round(value * 10) / 10.0;
    }
}

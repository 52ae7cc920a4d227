package vividcrown.core.split;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import vividcrown.core.hive.Amount;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.round.Caution;
import vividcrown.core.split.Layout.Taken;
import vividcrown.core.split.SplitModel.Group;
import vividcrown.core.split.SplitModel.Solution;
import vividcrown.core.split.SplitPlan.LeftOut;
import vividcrown.core.split.SplitPlan.Need;
import vividcrown.core.split.SplitPlan.NewUnit;
import vividcrown.core.split.SplitPlan.SecondBest;
import vividcrown.core.split.SplitQuestion.Floor;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.split.recipe.Sensible;
import vividcrown.core.split.recipe.SplitRecipe;

/**
 * The best set of splits out of the hives there are: as many units as can stand, strong, out of few hives, with little driving
 * and little cost to the crop. Every frame that moves is named, with its reason.
 */
public final class SplitPlanner {

    private static final double OF_THE_TIME_FOR_THE_BEST = 0.6;
    private static final double OF_THE_TIME_FOR_THE_SECOND = 0.25;

    private final SplitQuestion question;
    private final double mostSeconds;
    private final List<Unit> hives = new ArrayList<>();
    private final List<Floor> floors = new ArrayList<>();
    private final List<LeftOut> leftOut = new ArrayList<>();
    private final List<Objection> objections = new ArrayList<>();
    private final List<SplitRecipe> recipes = new ArrayList<>();

    private SplitPlanner(SplitQuestion question, double mostSeconds) {
        this.question = question;
        this.mostSeconds = mostSeconds;
    }

    /** @param mostSeconds time for all of it, above 0 */
    public static SplitPlan plan(SplitQuestion question, double mostSeconds) {
        return new SplitPlanner(question, mostSeconds).plan();
    }

    /** What a hive keeps when it gives, unless it is told otherwise. */
    public static Floor usualFloor(Unit hive, Conditions at) {
        return DonorRules.floor(hive, at.year(), at.day());
    }

    private SplitPlan plan() {
        for (SplitQuestion.Wanted wanted : question.wanted()) {
            List<Objection> against = Sensible.objections(wanted.recipe(), question.conditions());
            against.stream().filter(one -> !objections.contains(one)).forEach(objections::add);
            if (against.stream().noneMatch(Objection::refuses)) {
                recipes.add(wanted.recipe());
            }
        }
        offered();
        if (recipes.isEmpty() || hives.isEmpty()) {
            if (hives.isEmpty() && !recipes.isEmpty()) {
                objections.add(Objection.refuse("split.noDonor"));
            }
            return nothing();
        }
        List<Group> groups = SplitModel.groups(question, hives, recipes);
        SplitModel.Answer answer = model(groups, false).solve(mostSeconds * OF_THE_TIME_FOR_THE_BEST);
        Optional<Solution> best = answer.found();
        if (best.isEmpty()) {
            objections.add(Objection.refuse(answer.outOfTime() ? "split.noTime" : "split.locksClash"));
            return nothing();
        }
        if (best.get().made() == 0) {
            hives.forEach(hive -> leftOut.add(new LeftOut(hive.code(), spare(hive))));
            objections.add(new Objection(true,
                    whyNotMore(groups, best.get()).orElseGet(() -> Sentence.of("split.noTime")),
                    Source.COMMON_PRACTICE));
            return nothing();
        }
        return told(groups, best.get());
    }

    private SplitModel model(List<Group> groups, boolean floorsMayBreak) {
        return new SplitModel(question, hives, floors, groups, floorsMayBreak);
    }

    /** Sorts out who may give at all. */
    private void offered() {
        boolean queensGo = recipes.stream().anyMatch(one -> one.donor() == SplitRecipe.Donor.ONE_HIVE_WITH_QUEEN);
        Set<String> seen = new LinkedHashSet<>();
        for (Unit hive : question.hives()) {
            Optional<Sentence> no = seen.add(hive.code())
                    ? queensGo
                            ? DonorRules.refusesHerNuc(hive, question.conditions().day())
                            : DonorRules.refuses(hive, question.conditions().day())
                    : Optional.of(Sentence.of("donor.twice", hive.code()));
            Floor floor = question.floors().getOrDefault(hive.code(),
                    usualFloor(hive, question.conditions()));
            if (no.isPresent()) {
                leftOut.add(new LeftOut(hive.code(), no.get()));
            } else {
                hives.add(hive);
                floors.add(hive.is(UnitTrait.SWARM_CELLS)
                        ? new Floor(hive.broodFrames() - 1, floor.bees())
                        : floor);
            }
        }
        question.locks().stream().filter(SplitQuestion.Lock::goes).filter(lock -> hives.stream()
                .filter(hive -> hive.code().equals(lock.hive())).flatMap(hive -> hive.frames().stream())
                .anyMatch(frame -> frame.at().equals(lock.frame())
                        && recipes.stream().noneMatch(recipe -> DonorRules.mayLeave(frame, recipe)
                                && SplitModel.isOfUse(frame, recipe))))
                .forEach(lock -> objections
                        .add(Objection.warn("split.lockStays", lock.hive(), lock.frame().toString())));
        question.locks().stream().filter(lock -> hives.stream().noneMatch(hive -> hive.code().equals(lock.hive())))
                .forEach(lock -> objections
                        .add(Objection.warn("split.lockElsewhere", lock.hive(), lock.frame().toString())));
    }

    private SplitPlan nothing() {
        return new SplitPlan(List.of(), List.of(), leftOut, objections, Optional.empty(), Optional.empty(),
                Amount.of(0),
                Map.of(), List.of(), true, 0, 0);
    }

    // --- telling -----------------------------------------------------------------------------------------------------

    private SplitPlan told(List<Group> groups, Solution best) {
        Optional<Sentence> whyNotMore = isAsManyAsWanted(best, groups)
                ? Optional.empty()
                : whyNotMore(groups, best);
        Told told = new Told(question, hives, floors);
        for (int group = 0; group < groups.size(); group++) {
            Map<Integer, List<Taken>> frames = new LinkedHashMap<>();
            best.frames().get(group).forEach((hive, leave) -> frames.put(hive,
                    leave.stream().map(frame -> new Taken(hives.get(hive), frame)).toList()));
            told.group(groups.get(group), Dealing.deal(groups.get(group), best.units().get(group), frames,
                    best.shakes().get(group)), best.missingFood().get(group));
        }
        List<NewUnit> units = told.units();
        List<SplitPlan.Donor> donors = told.donors();
        hives.stream().filter(hive -> donors.stream().noneMatch(donor -> donor.code().equals(hive.code())))
                .forEach(hive -> leftOut.add(new LeftOut(hive.code(), spare(hive))));
        return new SplitPlan(units, donors, leftOut, objections, whyNotMore, secondBest(groups, best), told.flyHome(),
                needs(units, told), cautions(units), best.proven(), best.gap(), best.seconds());
    }

    /** Why a hive that might give gave nothing. */
    private Sentence spare(Unit hive) {
        Floor floor = floors.get(hives.indexOf(hive));
        return hive.broodFrames() <= floor.brood()
                ? Sentence.of("donor.atItsFloor", hive.code(), hive.broodFrames(), floor.brood())
                : Sentence.of("donor.notNeeded", hive.code());
    }

    private boolean isAsManyAsWanted(Solution best, List<Group> groups) {
        Map<SplitRecipe, Integer> made = new HashMap<>();
        for (int group = 0; group < groups.size(); group++) {
            made.merge(groups.get(group).recipe(), best.units().get(group), Integer::sum);
        }
        return question.wanted().stream().filter(one -> recipes.contains(one.recipe())).allMatch(one -> one.most()
                .map(most -> made.getOrDefault(one.recipe(), 0) >= most).orElse(false));
    }

    /** One more: whose floor would it break, or what is missing in the store? */
    private Optional<Sentence> whyNotMore(List<Group> groups, Solution best) {
        int next = best.made() + 1;
        double seconds = mostSeconds * (1 - OF_THE_TIME_FOR_THE_BEST - OF_THE_TIME_FOR_THE_SECOND) / 2;
        SplitModel more = model(groups, true);
        more.atLeast(next);
        more.atMost(next);
        boolean none = best.made() == 0;
        SplitModel.Answer answer = more.solve(seconds);
        if (answer.found().isPresent()) {
            Solution solution = answer.found().get();
            return Optional.of(solution.under().isEmpty()
                    ? Sentence.of(none ? "split.none.bees" : "split.more.bees", solution.made())
                    : Sentence.of(none ? "split.none.floor" : "split.more.floor", solution.made(),
                            solution.under().entrySet().stream()
                                    .map(under -> hives.get(under.getKey()).code() + " (" + under.getValue() + ")")
                                    .collect(Collectors.joining(", "))));
        }
        SplitModel stocked = new SplitModel(question.with(SplitQuestion.Stock.WHATEVER), hives, floors, groups, false);
        stocked.atLeast(next);
        SplitModel.Answer ofStock = stocked.solve(seconds);
        // a reason that nobody had the time to find is none
        return answer.outOfTime() || ofStock.outOfTime()
                ? Optional.empty()
                : Optional.of(Sentence.of((none ? "split.none." : "split.more.")
                        + (ofStock.found().isPresent() ? "stock" : "frames"), next));
    }

    private Optional<SecondBest> secondBest(List<Group> groups, Solution best) {
        SplitModel other = model(groups, false);
        other.notThese(best.opened());
        other.atLeast(1);
        other.atMost(best.made());
        return other.solve(mostSeconds * OF_THE_TIME_FOR_THE_SECOND).found().map(second -> {
            List<String> opened = second.opened().stream().map(hive -> hives.get(hive).code()).sorted().toList();
            int fewer = best.opened().size() - opened.size();
            Sentence words = second.made() < best.made()
                    ? Sentence.of("split.second.fewer", second.made(), opened.size(), String.join(", ", opened))
                    : fewer > 0
                            ? Sentence.of("split.second.opensLess", fewer, String.join(", ", opened))
                            : Sentence.of("split.second.others", second.made(), String.join(", ", opened));
            return new SecondBest(second.made(), opened, words);
        });
    }

    private static Map<Need, Double> needs(List<NewUnit> units, Told told) {
        Map<Need, Double> needs = new EnumMap<>(Need.class);
        for (NewUnit unit : units) {
            needs.merge(Need.BOXES, 1.0, Double::sum);
            needs.merge(Need.STRAPS, 1.0, Double::sum);
            if (unit.litres() > 0) {
                needs.merge(Need.FEEDERS, 1.0, Double::sum);
                needs.merge(Need.SYRUP_LITRES, unit.litres(), Double::sum);
            }
            if (unit.place() == Place.AWAY || unit.place() == Place.SHUT_IN) {
                needs.merge(Need.SCREENS, 1.0, Double::sum);
            }
            switch (unit.gets()) {
                case RIPE_CELL -> needs.merge(Need.RIPE_CELLS, 1.0, Double::sum);
                case VIRGIN -> needs.merge(Need.VIRGINS, 1.0, Double::sum);
                case MATED_QUEEN -> needs.merge(Need.MATED_QUEENS, 1.0, Double::sum);
                case RAISES_ITS_OWN, THE_OLD_QUEEN -> {
                    // nothing is brought for them
                }
            }
        }
        needs.put(Need.DRAWN, (double) told.drawnUsed());
        needs.put(Need.FOUNDATION, (double) told.foundationUsed());
        return needs;
    }

    private static List<Caution> cautions(List<NewUnit> units) {
        List<Caution> all = new ArrayList<>(List.of(Caution.STINGS, Caution.SMOKE_AND_FIRE, Caution.LIFTING));
        if (units.stream().anyMatch(unit -> unit.place() == Place.AWAY || unit.place() == Place.SHUT_IN)) {
            all.add(Caution.TRANSIT);
        }
        all.add(Caution.REGISTRATION);
        return all;
    }

    /** A frame in words, for reasons. */
    static Sentence kindOf(FrameSeen frame) {
        String key = frame.comb().isMostlySealed()
                ? "sealed"
                : frame.comb().isOfBrood()
                        ? frame.comb().hasEggs() ? "eggs" : "open"
                        : frame.comb().pollen() > 0.15 ? "pollen" : "honey";
        return Sentence.of("frame." + key);
    }
}

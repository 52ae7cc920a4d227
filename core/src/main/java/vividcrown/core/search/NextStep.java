package vividcrown.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * Chooses what to do next so that she is found in the fewest lifts to be expected, though every lift lets her walk on.
 *
 * <p>Problem: search for a target that moves, in discrete time, with looks that may miss her. As long as she is not seen the odds run on by themselves, so a way
 * of searching is an order of steps and its worth a sum over how likely it is to be still searching. Method: rollout (Bertsekas, Tsitsiklis and Wu 1997, J.
 * Heuristics 3, named from memory): every promising first step, and every promising second after it, is followed by whatever then finds most for its
 * cost, to the end; the cheapest first step is taken. Cost: some thousands of walks over the places; a stack of forty combs takes milliseconds.
 */
final class NextStep {

    private static final int PROMISING = 6;
    private static final int PROMISING_SECOND = 4;
    /** So many times through all combs; who was not found by then counts half as long again. */
    private static final int TIMES_THROUGH = 3;
    private static final int AT_LEAST_LIFTS = 10;
    /** Nobody lifts more: a stack of twelve wide boxes is asked about as quickly as one of four. */
    private static final double MOST_LIFTS = 130;
    private static final double HARDLY_LEFT = 0.005;

    private final Looking looking;
    private final double mostLifts;

    /** @param places of the hive */
    NextStep(Looking looking, int places) {
        this.looking = looking;
        this.mostLifts = Math.min(MOST_LIFTS, AT_LEAST_LIFTS + (double) TIMES_THROUGH * places / 2);
    }

    private record Weighed(Looking.Look look, double lifts) {
    }

    Looking.Look chosen(Standing at) {
        return weighed(at).look();
    }

    /** Lifts to be expected until she is found, if she is here and this comes next. */
    double lifts(Standing at, Looking.Look look) {
        return first(at, look) / at.chanceHere();
    }

    private Weighed weighed(Standing at) {
        return promising(at, PROMISING).map(look -> new Weighed(look, first(at, look)))
                .min(Comparator.comparingDouble(Weighed::lifts)).orElseThrow();
    }

    Next best(Standing at) {
        Weighed best = weighed(at);
        return new Next(looking.step(at, best.look()), looking.after(at, best.look()).chance(),
                best.lifts() / at.chanceHere());
    }

    /** What comes one after the other as long as nothing is seen that is not known: for whoever has no signal. */
    List<Step> order(Standing from, int most) {
        List<Step> all = new ArrayList<>();
        Standing at = from;
        for (int nth = 0; nth < most; nth++) {
            Looking.Look look = nth == 0 ? chosen(at) : looking.mostForItsCost(at);
            all.add(looking.step(at, look));
            at = looking.after(at, look).left();
        }
        return all;
    }

    private Stream<Looking.Look> promising(Standing at, int most) {
        List<Looking.Look> all = looking.looks(at);
        return all.stream().sorted(Comparator.comparingDouble(look -> -looking.each(at, look))).limit(most);
    }

    /** Lifts to be expected, times the chance that she is here, if this step is the first. */
    private double first(Standing at, Looking.Look look) {
        Looking.Done done = looking.after(at, look);
        double left = done.left().chanceHere();
        return done.cost() * at.chanceHere() + promising(done.left(), PROMISING_SECOND).mapToDouble(next -> {
            Looking.Done second = looking.after(done.left(), next);
            return second.cost() * left + onward(second.left(), done.cost() + second.cost());
        }).min().orElse(0);
    }

    /** What it takes from there on, doing each time what finds most for its cost. */
    private double onward(Standing from, double lifted) {
        Standing at = from;
        double sum = 0;
        double lifts = lifted;
        double left = from.chanceHere();
        double enough = left * HARDLY_LEFT;
        while (lifts < mostLifts && left > enough) {
            Looking.Done done = looking.after(at, looking.mostForItsCost(at));
            sum += done.cost() * left;
            lifts += done.cost();
            at = done.left();
            left -= done.chance();
        }
        return sum + left * mostLifts / 2;
    }
}

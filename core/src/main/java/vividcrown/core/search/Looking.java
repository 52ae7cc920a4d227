package vividcrown.core.search;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import vividcrown.core.hive.FrameSide;

/** What a step of a search finds, costs and leaves behind. Costs are counted in lifts of a comb. */
final class Looking {

    static final double MINUTES_A_COMB = 0.5;
    static final double MINUTES_A_GLANCE = 0.2;
    private static final double LIFT = 1;
    private static final double BOX_OFF = 1.5;
    private static final double LID = 0.2;
    private static final double EXCLUDER = 0.3;
    private static final double WALLS = 0.6;
    private static final double FLOOR = 1;
    private static final double ALIKE = 1.05;

    /**
     * Something that can be looked at in one go.
     *
     * @param places that are seen
     * @param box that must be reached; 0 beneath all, above all boxes for the lid
     * @param comb its number, {@link Wandering#NONE} if it is none
     * @param outermost it is the first or last comb of its box
     */
    record Look(int[] places, int box, int comb, boolean outermost, double cost) {
    }

    private final HiveSearched hive;
    private final Ways ways;
    private final Wandering wandering;
    private final double[] sees;
    private final List<Look> looks = new ArrayList<>();

    Looking(HiveSearched hive, Ways ways, Circumstances under) {
        this.hive = hive;
        this.ways = ways;
        this.wandering = new Wandering(ways, under);
        this.sees = new double[ways.size()];
        for (int at = 0; at < sees.length; at++) {
            Place place = ways.at(at);
            Optional<Double> bees = place instanceof Place.OnComb(int box, int slot, var _)
                    ? hive.comb(box, slot).flatMap(CombThere::bees)
                    : Optional.empty();
            sees[at] = Seeing.at(place, bees, under);
        }
        for (int box = 1; box <= hive.boxes().size(); box++) {
            ofBox(box);
        }
        looks.add(glance(new Place.Lid(), hive.boxes().size(), LID));
        looks.add(glance(new Place.Floor(), 0, FLOOR));
    }

    private void ofBox(int box) {
        List<CombThere> combs = hive.box(box).combs();
        for (int nth = 0; nth < combs.size(); nth++) {
            int slot = combs.get(nth).slot();
            int near = ways.of(new Place.OnComb(box, slot, FrameSide.NEAR));
            int far = ways.of(new Place.OnComb(box, slot, FrameSide.FAR));
            int[] places = combs.get(nth).holes()
                    ? new int[]{near, far, ways.of(new Place.InHole(box, slot))}
                    : new int[]{near, far};
            looks.add(new Look(places, box, ways.comb(near), nth == 0 || nth == combs.size() - 1, LIFT));
        }
        looks.add(glance(new Place.Walls(box), box, WALLS));
        if (hive.box(box).excluderAbove()) {
            looks.add(glance(new Place.Excluder(box), box, EXCLUDER));
        }
    }

    private Look glance(Place place, int box, double cost) {
        return new Look(new int[]{ways.of(place)}, box, Wandering.NONE, false, cost);
    }

    /** @param chance that it finds her @param cost in lifts */
    record Done(double chance, double cost, Standing left) {
    }

    Standing begin(double[] odds) {
        BitSet room = new BitSet();
        for (int box = 1; box <= hive.boxes().size(); box++) {
            room.set(box, hive.box(box).hasRoom());
        }
        return new Standing(odds, hive.boxes().size(), room, new BitSet(), Wandering.NONE,
                new int[odds.length]);
    }

    /** Everything that can be looked at next: in a box without room one of its outer combs comes first. */
    List<Look> looks(Standing at) {
        List<Look> worth = looks.stream().filter(look -> isPossible(at, look)).toList();
        return worth.isEmpty() ? looks : worth;
    }

    /** What is looked at in one go with a place. */
    Look at(int place) {
        return looks.stream().filter(look -> Arrays.stream(look.places()).anyMatch(one -> one == place)).findFirst()
                .orElseThrow();
    }

    /** An outer comb can always be lifted; one from the middle once there is room. */
    static boolean hasRoomFor(Standing at, Look look) {
        return look.comb() == Wandering.NONE || look.outermost() || at.room().get(look.box());
    }

    /** The comb that was just in the hand, and a wall glanced at a moment ago, are not looked at again at once. */
    private static boolean isPossible(Standing at, Look look) {
        if (look.comb() == Wandering.NONE) {
            return at.rests()[look.places()[0]] == 0;
        }
        return look.comb() != at.lifted() && hasRoomFor(at, look);
    }

    /** What finds most for its cost. */
    Look mostForItsCost(Standing at) {
        Look best = looks.getFirst();
        double most = -1;
        for (Look look : looks) {
            if (isPossible(at, look)) {
                double each = each(at, look);
                if (each > most) {
                    most = each;
                    best = look;
                }
            }
        }
        return best;
    }

    /** The chance that it finds her as things stand, before she walks on, for each lift that it costs. */
    double each(Standing at, Look look) {
        double sum = 0;
        for (int place : look.places()) {
            sum += at.odds()[place] * sees[place];
        }
        return sum / cost(at, look);
    }

    private static double cost(Standing at, Look look) {
        return look.cost() + off(at, look) * BOX_OFF;
    }

    /** Boxes that must come off before it. */
    private static int off(Standing at, Look look) {
        return Math.max(0, at.open() - look.box());
    }

    Done after(Standing at, Look look) {
        boolean comb = look.comb() != Wandering.NONE;
        double[] odds = comb ? walked(at, look.comb(), MINUTES_A_COMB) : walked(at, MINUTES_A_GLANCE);
        double found = 0;
        for (int place : look.places()) {
            double seen = odds[place] * sees[place];
            found += seen;
            odds[place] -= seen;
        }
        return new Done(found, cost(at, look),
                comb ? at.lifting(look.box(), look.comb(), odds) : at.glanced(look.places()[0], off(at, look), odds));
    }

    /** As it is said. */
    Step step(Standing at, Look look) {
        if (look.comb() == Wandering.NONE) {
            return new Step.LookAt(ways.at(look.places()[0]), off(at, look));
        }
        Place.OnComb side = (Place.OnComb) ways.at(look.places()[0]);
        return new Step.Lift(side.box(), side.slot(), first(at, look), !at.room().get(look.box()), off(at, look));
    }

    /** The side on which she likelier is; of two alike the one that was turned from the light. */
    private static FrameSide first(Standing at, Look look) {
        double near = at.odds()[look.places()[0]];
        double far = at.odds()[look.places()[1]];
        if (near > far * ALIKE || far > near * ALIKE) {
            return near > far ? FrameSide.NEAR : FrameSide.FAR;
        }
        return at.lifted() >= 0 && at.lifted() < look.comb() ? FrameSide.FAR : FrameSide.NEAR;
    }

    /** Where she may be after some minutes in which a comb was in the hand. */
    double[] walked(Standing at, int comb, double minutes) {
        return wandering.after(at.odds(), minutes, comb, at.out(), comb);
    }

    double[] walked(Standing at, double minutes) {
        return wandering.after(at.odds(), minutes, at.lifted(), at.out(), Wandering.NONE);
    }

    double sees(int place) {
        return sees[place];
    }
}

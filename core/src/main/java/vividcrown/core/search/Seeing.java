package vividcrown.core.search;

import java.util.Optional;

/**
 * The chance of seeing her where she is, in one attentive look. Common practice, from memory: marked 85 %, worn mark 65 %, unmarked laying 55 %, small or
 * running 35 %, virgin 20 %; a beginner 0.6 of that; comb crowded three deep 0.7; dusk or glare 0.8.
 */
final class Seeing {

    private static final double MARKED = 0.85;
    private static final double MARK_WORN = 0.65;
    static final double UNMARKED = 0.55;
    private static final double SMALL_OR_RUNNING = 0.35;
    private static final double VIRGIN = 0.2;
    private static final double CROWDED = 0.7;
    private static final double POOR_LIGHT = 0.8;
    /** Few bees hang there. */
    private static final double LID = 1;
    /** Bees hang in the corners, three deep. */
    private static final double WALLS = 0.7;
    private static final double EXCLUDER = 1;
    private static final double FLOOR = 0.6;
    private static final double HOLE = 0.15;
    private static final double DENSE = 1;
    private static final double THREE_DEEP = 1.5;

    private Seeing() {
    }

    /** On an ordinary comb, 0–1. */
    static double usually(Circumstances under) {
        double marked = under.is(QueenTrait.MARKED) ? MARKED : under.is(QueenTrait.MARK_WORN) ? MARK_WORN : UNMARKED;
        double hard = under.is(QueenTrait.SMALL) || under.is(QueenTrait.RUNNER) ? SMALL_OR_RUNNING / UNMARKED : 1;
        double sees = under.is(QueenTrait.VIRGIN)
                ? Math.max(VIRGIN, VIRGIN * marked / UNMARKED)
                : marked * hard;
        return under.searcher().sees(under.poorLight() ? sees * POOR_LIGHT : sees);
    }

    /** @param bees share of its comb that bees cover, if it is one and somebody looked */
    static double at(Place place, Optional<Double> bees, Circumstances under) {
        return usually(under) * switch (place) {
            case Place.OnComb _ -> crowd(bees.orElse(DENSE));
            case Place.InHole _ -> HOLE;
            case Place.Lid _ -> LID;
            case Place.Walls _ -> WALLS;
            case Place.Excluder _ -> EXCLUDER;
            case Place.Floor _ -> FLOOR;
        };
    }

    private static double crowd(double bees) {
        double deep = Math.clamp((bees - DENSE) / (THREE_DEEP - DENSE), 0, 1);
        return 1 - (1 - CROWDED) * deep;
    }
}

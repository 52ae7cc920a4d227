package vividcrown.core.brood;

import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.reason.Reason;
import vividcrown.core.time.DatedSpan;

/**
 * A queen on the way: from a cell, a virgin given, or larvae that the bees may raise one from.
 *
 * @param emerges when the first virgin comes out
 * @param flights when she may fly to mate: leave it shut
 * @param firstEggs when she begins to lay
 * @param flatSealed when her brood can be judged
 * @param late from when she is called late: eggs may still come
 * @param dronesOnly from when an unmated queen would only lay drones: failed
 */
public record NextQueen(Origin origin, DatedSpan emerges, DatedSpan flights, DatedSpan firstEggs, DatedSpan flatSealed,
        DatedSpan late, DatedSpan dronesOnly, Reason reason) {

    /** Where she comes from. */
    public enum Origin {
        CELL_SEEN, CELL_GIVEN, VIRGIN_GIVEN, VIRGIN_SEEN, EMERGENCY_LARVA
    }

    /** The days that follow from her emergence. */
    public static NextQueen of(Origin origin, DatedSpan emerges, Assumptions assumptions, Reason reason) {
        DatedSpan firstEggs = emerges.plus(assumptions.span(Figure.FIRST_EGGS));
        return new NextQueen(origin, emerges, emerges.plus(assumptions.span(Figure.MATING_FLIGHTS)), firstEggs,
                firstEggs.plus(assumptions.span(Figure.FLAT_SEALED_BROOD)), emerges.plusDays(assumptions.late()),
                emerges.plusDays(assumptions.dronesOnly()), reason);
    }

    /** The same queen, known not to have begun before. */
    NextQueen withFirstEggs(DatedSpan eggs, Assumptions assumptions, Reason why) {
        return new NextQueen(origin, emerges, flights, eggs, eggs.plus(assumptions.span(Figure.FLAT_SEALED_BROOD)),
                late,
                dronesOnly, why);
    }
}

package vividcrown.core.brood;

import vividcrown.core.reading.CellsSeen;
import vividcrown.core.reason.Reason;
import vividcrown.core.time.DatedSpan;

/**
 * How old queen cells are, by their look and by what else is known.
 *
 * @param reading its place among the readings, from 0
 * @param laid when the egg was laid
 * @param sealed when the cell is or was sealed
 * @param emerges when the virgin comes out, or came out of a cell found empty
 * @param begun whether they were begun because of the loss of the queen
 */
public record CellAge(int reading, CellsSeen cells, DatedSpan laid, DatedSpan sealed, DatedSpan emerges, Begun begun,
        Reason reason) {

    /** How cells stand to the day on which the queen was lost. */
    public enum Begun {
        /** Their larvae were of the right age on that day. */
        AFTER_LOSS,
        /** They are older: swarm or supersedure cells that were there already. */
        BEFORE_LOSS, EITHER, NO_LOSS_KNOWN
    }
}

package vividcrown.core.queen;

import java.util.Optional;
import java.util.UUID;
import vividcrown.core.reason.Wrong;

/** Something that was seen of, or done with, one queen: from cell cup to her end. A closed family. */
public sealed interface QueenEvent {

    /** Larva put into a cup. The first event of every queen that we raised. */
    record Grafted(UUID graft, int bar, int cup) implements QueenEvent {
    }

    /** At 24 h: the larva was accepted, the cup walls are drawn. */
    record Took() implements QueenEvent {
    }

    record DidNotTake() implements QueenEvent {
    }

    record SealedSeen() implements QueenEvent {
    }

    record Culled(CullReason reason) implements QueenEvent {
    }

    /**
     * She was put into a hive.
     *
     * @param given as what
     * @param besideAnother another is known to be in there, and both are left
     */
    record Placed(UUID hive, GivenAs given, boolean besideAnother) implements QueenEvent {
        /** A ripe cell, alone. */
        public static Placed cell(UUID hive) {
            return new Placed(hive, GivenAs.CELL, false);
        }
    }

    /** A cell was put into a cage of the incubator. */
    record CagedInIncubator(int cage) implements QueenEvent {
    }

    /** The round lid, or the virgin out of her cell. */
    record Emerged() implements QueenEvent {
    }

    /** The cell was opened or torn down: nothing came of it. */
    record Dud() implements QueenEvent {
    }

    record VirginSeen() implements QueenEvent {
    }

    /** The box was looked through for eggs and had none. */
    record NoEggsYet() implements QueenEvent {
    }

    /** Eggs, one to a cell. */
    record EggsSeen() implements QueenEvent {
    }

    /** A patch of flat, even sealed worker brood: her laying is judged sound. */
    record SealedWorkerBroodSeen() implements QueenEvent {
    }

    record DroneBroodOnly() implements QueenEvent {
    }

    /** Looked for, not seen. Weak evidence; she may still be there. */
    record NotFound() implements QueenEvent {
    }

    record Dead() implements QueenEvent {
    }

    /** @param colour empty for a number alone */
    record Marked(Optional<YearColour> colour, String number) implements QueenEvent {
    }

    /** Seen, but her mark is gone. */
    record MarkLost() implements QueenEvent {
    }

    /** Taken out of the record for good: sold, given away, shaken out. */
    record TakenOut() implements QueenEvent {
    }

    record Noted() implements QueenEvent {
    }

    /** Seen, and her mark can hardly be read any more. */
    record MarkWorn() implements QueenEvent {
    }

    /** One of her forewings is cut short. */
    record Clipped() implements QueenEvent {
    }

    /**
     * A queen that was here before the record, or was bought: her stage is stated, not followed.
     *
     * @param wears the mark she came with
     */
    record Known(Stage stage, int emergenceYear, Optional<YearColour> wears) implements QueenEvent {
        public Known {
            if (emergenceYear < 0 || emergenceYear > 2200) {
                throw Wrong.of("wrong.QueenEvent", emergenceYear);
            }
        }
    }
}

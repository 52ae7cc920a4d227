package vividcrown.core.hive;

import java.util.Optional;
import vividcrown.core.reason.Wrong;
import vividcrown.core.time.DatedSpan;

/**
 * The queen of a hive, as far as she matters for its strength.
 *
 * @param is what is known of her
 * @param lays when she began or will begin to lay; empty if she has for long, or nobody can say
 * @param winters winters behind her, 0–8; empty if nobody knows
 * @param chance that it is so, 0–1
 */
public record UnitQueen(Is is, Optional<DatedSpan> lays, Optional<Integer> winters, double chance) {

    private static final int OLDEST = 8;

    /** What is there. */
    public enum Is {
        LAYING,
        /** Mated, and kept from laying: caged, just given. */
        KEPT, VIRGIN,
        /** A queen cell. */
        CELL, NONE, LAYING_WORKERS, DRONE_LAYER,
        /** Nobody looked. */
        UNKNOWN;

        /** A mated queen who lays or soon will: whatever is done must not cost her. */
        public boolean isQueenright() {
            return this == LAYING || this == KEPT;
        }

        /** A young queen on the way: she may come right, and would be lost to whoever gives another. */
        public boolean isYoung() {
            return this == VIRGIN || this == CELL;
        }
    }

    public UnitQueen {
        winters.ifPresent(many -> {
            if (many < 0 || many > OLDEST) {
                throw Wrong.of("wrong.UnitQueen", OLDEST, many);
            }
        });
        if (!(chance >= 0 && chance <= 1)) {
            throw Wrong.of("wrong.UnitQueen.2", chance);
        }
    }

    public static UnitQueen of(Is is) {
        return new UnitQueen(is, Optional.empty(), Optional.empty(), 1);
    }

    public static UnitQueen laysFrom(Is is, DatedSpan from) {
        return new UnitQueen(is, Optional.of(from), Optional.of(0), 1);
    }
}

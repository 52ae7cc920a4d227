package vividcrown.core.merit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Touch;
import vividcrown.core.queen.QueenDeed;

/** Marks that people gave. */
public sealed interface MeritDeed extends Deed {

    /**
     * A queen's colony got a mark.
     *
     * @param value 1 to 4 by halves, 4 is best
     * @param yard where it stood; empty if it is where she is now
     */
    record Scored(UUID queen, Trait trait, double value, Optional<UUID> yard) implements MeritDeed {
        public Scored {
            Score.Scale.USUAL.check(value);
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(QueenDeed.QUEEN, queen));
        }
    }
}

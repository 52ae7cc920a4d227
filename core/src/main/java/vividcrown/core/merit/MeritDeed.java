package vividcrown.core.merit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Faults;
import vividcrown.core.journal.Touch;
import vividcrown.core.queen.QueenDeed;

/** Marks that people gave, and crops that marks follow from. */
public sealed interface MeritDeed extends Deed {

    /**
     * A queen's colony got a mark.
     *
     * @param value on the scale, the best highest; 1 to 4 by halves if no other is said
     * @param yard where it stood; empty if it is where she is now
     * @param scale on which it was given; empty for the usual one
     */
    record Scored(UUID queen, Trait trait, double value, Optional<UUID> yard,
            Optional<Score.Scale> scale) implements MeritDeed {
        public Scored {
            scale.orElse(Score.Scale.USUAL).check(value);
        }

        /** The same on the usual scale: operations that change theirs can still compare. */
        public double usual() {
            return scale.orElse(Score.Scale.USUAL).to(Score.Scale.USUAL, value);
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(QueenDeed.QUEEN, queen));
        }
    }

    /**
     * Honey was taken from a colony.
     *
     * @param kilograms above 0, up to 200
     */
    record Harvested(UUID hive, double kilograms) implements MeritDeed {
        public Harvested {
            new Faults().within("kilograms", kilograms, 0.1, 200).refuse();
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HiveDeed.HIVE, hive));
        }
    }
}

package vividcrown.core.mite;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Faults;
import vividcrown.core.journal.Touch;

/** Mites that were counted in a hive, and what was put into it against them. */
public sealed interface MiteDeed extends Deed {

    UUID hive();

    @Override
    default List<Touch> touches() {
        return List.of(Touch.itself(HiveDeed.HIVE, hive()));
    }

    /** How they were counted. */
    enum Way {
        WASH, SUGAR, NATURAL_FALL
    }

    /**
     * Mites were counted.
     *
     * @param way how they were counted
     * @param mites at the first count
     * @param second more that the second rinse brought; of a wash only
     * @param bees in the sample; of a wash or sugar
     * @param estimated by the cup or by weight; otherwise one by one
     * @param days for which the board lay; of a natural fall
     * @param queenSafe she was seen elsewhere, or both sides of the comb were searched for her
     * @param openBrood the bees came off open brood
     */
    record MitesCounted(UUID hive, Way way, int mites, Optional<Integer> second, Optional<Integer> bees,
            boolean estimated, Optional<Integer> days, boolean queenSafe, boolean openBrood) implements MiteDeed {
        public MitesCounted {
            // what cannot be is refused with everything that is wrong
            count(LocalDate.EPOCH, way, mites, second, bees, estimated, days);
        }

        /** The same, as rules read it. */
        public MiteCount on(LocalDate day) {
            return count(day, way, mites, second, bees, estimated, days);
        }

        private static MiteCount count(LocalDate day, Way way, int mites, Optional<Integer> second,
                Optional<Integer> bees, boolean estimated, Optional<Integer> days) {
            return switch (way) {
                case WASH -> new MiteCount.Wash(day, bees.orElse(0), estimated, mites, second);
                case SUGAR -> new MiteCount.Sugar(day, bees.orElse(0), estimated, mites);
                case NATURAL_FALL -> new MiteCount.NaturalFall(day, mites, days.orElse(0));
            };
        }
    }

    /**
     * A treatment was put in. Label and law decide what, how much and how long; the record keeps what they ask to be kept.
     *
     * @param what its name, 1–60 characters
     * @param honeyUntil until then no honey of this hive is taken, by the label; empty if it says nothing
     */
    record TreatmentIn(UUID hive, String what, Optional<LocalDate> honeyUntil) implements MiteDeed {
        public TreatmentIn {
            new Faults().text("what", what, 1, 60).refuse();
        }
    }

    /** It was taken out. */
    record TreatmentOut(UUID hive) implements MiteDeed {
    }

    /**
     * The queen was caged inside as a brood stop.
     *
     * @param release the day on which she is to be let out
     */
    record BroodStopped(UUID hive, LocalDate release) implements MiteDeed {
    }

    /**
     * A treatment without brood is planned: rules that tolerate more for its sake hold only as long as it does.
     *
     * @param day on which it is to be done
     */
    record TreatmentPlanned(UUID hive, LocalDate day) implements MiteDeed {
    }

    /** It is planned no longer. */
    record TreatmentNotPlanned(UUID hive) implements MiteDeed {
    }
}

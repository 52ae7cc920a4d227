package vividcrown.core.mite;

import java.time.LocalDate;
import java.util.Optional;
import vividcrown.core.journal.Faults;

/** How mites were counted. Each way says something else. */
public sealed interface MiteCount {

    int MOST_BEES = 5_000;
    int MOST_MITES = 5_000;

    LocalDate day();

    /** Mites that were found. */
    int mites();

    /**
     * Bees washed from a comb with open brood, shaken, settled, counted, rinsed and counted again.
     *
     * @param bees washed, 1–5,000
     * @param estimated by the cup or by weight; otherwise counted one by one
     * @param first mites at the first count
     * @param second more that the second rinse brought; empty if nobody rinsed again
     */
    record Wash(LocalDate day, int bees, boolean estimated, int first, Optional<Integer> second) implements MiteCount {
        public Wash {
            check(bees, first + second.orElse(0));
        }

        @Override
        public int mites() {
            return first + second.orElse(0);
        }
    }

    /** Bees dusted with sugar and shaken: it finds 70–90 % of what a wash finds. The bees live. */
    record Sugar(LocalDate day, int bees, boolean estimated, int mites) implements MiteCount {
        public Sugar {
            check(bees, mites);
        }
    }

    /**
     * Mites that fell on a board.
     *
     * @param days that it lay there, 1–30
     */
    record NaturalFall(LocalDate day, int mites, int days) implements MiteCount {
        public NaturalFall {
            new Faults().within("mites", mites, 0, MOST_MITES).within("days", days, 1, 30).refuse();
        }
    }

    private static void check(int bees, int mites) {
        new Faults().within("bees", bees, 1, MOST_BEES).within("mites", mites, 0, MOST_MITES)
                .unless(mites <= 3 * bees, "fault.mites.tooMany", mites, bees).refuse();
    }
}

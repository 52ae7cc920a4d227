package vividcrown.core.season;

import java.time.LocalDate;
import java.util.List;

/**
 * What there is to make queens with.
 *
 * @param nucs mating nucs that there are
 * @param busyNucs of these, how many are taken by what is running
 * @param cages places in the incubator
 */
public record Means(List<BreederQueen> breeders, List<CellBuilder> builders, int nucs, NucsTaken busyNucs, int cages,
        Crew crew) {

    /** How many nucs are taken on a day by what is running already. */
    @FunctionalInterface
    public interface NucsTaken {
        NucsTaken NONE = _ -> 0;

        int on(LocalDate day);
    }

    public Means {
        breeders = List.copyOf(breeders);
        builders = List.copyOf(builders);
    }

    /** Mating nucs that nothing that is running takes on that day. */
    public int freeNucs(LocalDate day) {
        return Math.max(0, nucs - busyNucs.on(day));
    }

    public Means with(Crew other) {
        return new Means(breeders, builders, nucs, busyNucs, cages, other);
    }

    public Means with(List<CellBuilder> others) {
        return new Means(breeders, others, nucs, busyNucs, cages, crew);
    }
}

package vividcrown.core.season;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import vividcrown.core.reason.Wrong;

/**
 * What there is to make queens with.
 *
 * @param nucs mating nucs that there are
 * @param busyNucs of these, how many are taken by what is running, wherever it stands
 * @param yards where they stand; none given: nobody asks where, and nobody drives
 * @param cages places in the incubator
 */
public record Means(List<BreederQueen> breeders, List<CellBuilder> builders, int nucs, NucsTaken busyNucs,
        List<MatingYard> yards, int cages, Crew crew) {

    /** How many nucs are taken on a day by what is running already. */
    @FunctionalInterface
    public interface NucsTaken {
        NucsTaken NONE = _ -> 0;

        int on(LocalDate day);
    }

    public Means {
        breeders = List.copyOf(breeders);
        builders = List.copyOf(builders);
        yards = List.copyOf(yards);
        int standing = yards.stream().mapToInt(MatingYard::nucs).sum();
        if (!yards.isEmpty() && standing != nucs) {
            throw Wrong.of("wrong.Means", standing, nucs);
        }
    }

    /** Mating nucs that stand nobody asks where. */
    public Means(List<BreederQueen> breeders, List<CellBuilder> builders, int nucs, NucsTaken busyNucs, int cages,
            Crew crew) {
        this(breeders, builders, nucs, busyNucs, List.of(), cages, crew);
    }

    /** Mating nucs that nothing that is running takes on that day. */
    public int freeNucs(LocalDate day) {
        return Math.max(0, nucs - busyNucs.on(day));
    }

    /** The same, of some yards only. */
    public int freeNucs(LocalDate day, Set<String> where) {
        int there = yards.stream().filter(yard -> where.contains(yard.id())).mapToInt(yard -> yard.freeNucs(day)).sum();
        return Math.min(there, freeNucs(day));
    }

    /** The same for virgins of a line that somebody asks for, where they may mate; for those of whatever line, anywhere. */
    public int freeNucs(LocalDate day, Optional<String> line) {
        return yards.isEmpty() || line.isEmpty() ? freeNucs(day) : freeNucs(day, names(yardsFor(line)));
    }

    public Optional<MatingYard> yard(String id) {
        return yards.stream().filter(one -> one.id().equals(id)).findFirst();
    }

    /**
     * Yards where virgins of a line may mate: those that name it, or, if none does, those that name none.
     *
     * @param line empty for virgins of whatever line: those yards that are kept for none, or all if each is
     */
    public List<MatingYard> yardsFor(Optional<String> line) {
        List<MatingYard> naming = yards.stream().filter(yard -> line.filter(yard.lines()::contains).isPresent())
                .toList();
        if (!naming.isEmpty()) {
            return naming;
        }
        List<MatingYard> open = yards.stream().filter(yard -> yard.lines().isEmpty()).toList();
        return line.isEmpty() && open.isEmpty() ? yards : open;
    }

    /** Whether virgins of that line have a place to mate. */
    public boolean hasYardFor(Optional<String> line) {
        return yards.isEmpty() || !yardsFor(line).isEmpty();
    }

    public Means with(Crew other) {
        return new Means(breeders, builders, nucs, busyNucs, yards, cages, other);
    }

    public Means with(List<CellBuilder> others) {
        return new Means(breeders, others, nucs, busyNucs, yards, cages, crew);
    }

    /** @param more places in the incubator, 0 or more */
    public Means withMoreCages(int more) {
        return new Means(breeders, builders, nucs, busyNucs, yards, cages + more, crew);
    }

    /**
     * @param more mating nucs, 0 or more
     * @param yard where they stand; without one there are no more of them, unless nobody asks where
     */
    public Means withMoreNucs(int more, Optional<MatingYard> yard) {
        int further = yards.isEmpty() || yard.isPresent() ? more : 0;
        return new Means(breeders, builders, nucs + further, busyNucs,
                yards.stream().map(one -> yard.equals(Optional.of(one)) ? one.withMore(further) : one).toList(), cages,
                crew);
    }

    /** Names of yards. */
    public static Set<String> names(List<MatingYard> yards) {
        return yards.stream().map(MatingYard::id).collect(Collectors.toSet());
    }
}

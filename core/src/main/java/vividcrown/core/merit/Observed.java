package vividcrown.core.merit;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Marks that follow from what is recorded anyway: nobody has to give them. On the usual scale, a mark for each trait and year; what
 * one look cannot tell is not made of one look. How looks become marks is common practice, from memory.
 */
public final class Observed {

    /** How the brood looked. */
    public enum Brood {
        SOLID, SPOTTY, NOT_LOOKED_AT
    }

    /**
     * A look into a colony while she was in it.
     *
     * @param temper 1 very gentle to 5 must not be worked
     * @param swarmCells cells with brood were in it that looked like swarming
     * @param cellsLookedFor cells were looked for
     */
    public record Look(LocalDate day, Optional<Integer> temper, Brood brood, boolean swarmCells,
            boolean cellsLookedFor) {
    }

    /** @param percent mites for a hundred bees */
    public record Mites(LocalDate day, double percent) {
    }

    private static final int LEAST_LOOKS_FOR_SWARMING = 3;
    private static final double[] MITE_BOUNDS = {0.3, 0.7, 1.2, 2, 3, 5};

    private Observed() {
    }

    /** @param yard where it stood */
    public static List<Score> of(String queen, String yard, List<Look> looks, List<Mites> counts) {
        List<Score> scores = new ArrayList<>();
        Map<Integer, List<Look>> byYear = new TreeMap<>();
        looks.forEach(look -> byYear.computeIfAbsent(look.day().getYear(), _ -> new ArrayList<>()).add(look));
        byYear.forEach((year, those) -> {
            mean(those.stream().flatMap(look -> look.temper().stream()).map(grade -> 4 - 0.75 * (grade - 1)).toList())
                    .ifPresent(mark -> scores.add(new Score(queen, Trait.TEMPER, mark, yard, year)));
            mean(those.stream().filter(look -> look.brood() != Brood.NOT_LOOKED_AT)
                    .map(look -> look.brood() == Brood.SOLID ? 4.0 : 1.5).toList())
                    .ifPresent(mark -> scores.add(new Score(queen, Trait.PATTERN, mark, yard, year)));
            if (those.stream().anyMatch(Look::swarmCells)) {
                scores.add(new Score(queen, Trait.SWARMING, 1, yard, year));
            } else if (those.stream().filter(Look::cellsLookedFor).count() >= LEAST_LOOKS_FOR_SWARMING) {
                scores.add(new Score(queen, Trait.SWARMING, 4, yard, year));
            }
        });
        Map<Integer, List<Double>> mites = new TreeMap<>();
        counts.forEach(count -> mites.computeIfAbsent(count.day().getYear(), _ -> new ArrayList<>())
                .add(mark(count.percent())));
        mites.forEach((year, marks) -> mean(marks)
                .ifPresent(mark -> scores.add(new Score(queen, Trait.MITES, mark, yard, year))));
        return scores;
    }

    private static double mark(double percent) {
        double mark = 4;
        for (double bound : MITE_BOUNDS) {
            mark -= percent > bound ? 0.5 : 0;
        }
        return mark;
    }

    /** To the nearest half; empty if there is nothing. */
    private static Optional<Double> mean(List<Double> marks) {
        return marks.isEmpty()
                ? Optional.empty()
                : Optional
                        .of(Math.rint(2 * marks.stream().mapToDouble(Double::doubleValue).average().orElseThrow()) / 2);
    }
}

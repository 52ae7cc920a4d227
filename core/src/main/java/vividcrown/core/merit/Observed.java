package vividcrown.core.merit;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
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

    /** @param kilograms of honey taken from her colony in a year */
    public record Crop(String queen, String yard, int year, double kilograms) {
    }

    /**
     * A winter through which she headed a colony.
     *
     * @param year in which it ended
     * @param before frames of bees at the last look of autumn; empty if nobody counted
     * @param after at the first look of spring
     * @param died nothing was left of it
     */
    public record Winter(String queen, String yard, int year, Optional<Double> before, Optional<Double> after,
            boolean died) {
    }

    private static final double[] WINTER_BOUNDS = {0.75, 0.65, 0.55, 0.45, 0.35};
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

    /**
     * A crop says something only beside others of its yard and year: the mean of them is in the middle of the scale, half as much again
     * its top.
     */
    public static List<Score> crops(List<Crop> crops) {
        Map<Score.Side, List<Crop>> sides = new LinkedHashMap<>();
        crops.forEach(crop -> sides.computeIfAbsent(new Score.Side(crop.yard(), crop.year()), _ -> new ArrayList<>())
                .add(crop));
        List<Score> scores = new ArrayList<>();
        sides.values().stream().filter(those -> those.size() > 1).forEach(those -> {
            double mean = those.stream().mapToDouble(Crop::kilograms).average().orElseThrow();
            those.forEach(crop -> scores.add(new Score(crop.queen(), Trait.CROP,
                    half(Math.clamp(2.5 + 3 * (crop.kilograms() / mean - 1), 1, 4)), crop.yard(), crop.year())));
        });
        return scores;
    }

    /** By what is left in spring of the bees of autumn; without both counts only that a colony died says something. */
    public static List<Score> winters(List<Winter> winters) {
        List<Score> scores = new ArrayList<>();
        winters.forEach(winter -> {
            if (winter.died()) {
                scores.add(new Score(winter.queen(), Trait.WINTERING, 1, winter.yard(), winter.year()));
            } else if (winter.before().filter(frames -> frames > 0).isPresent() && winter.after().isPresent()) {
                double left = winter.after().get() / winter.before().get();
                double mark = 4;
                for (double bound : WINTER_BOUNDS) {
                    mark -= left < bound ? 0.5 : 0;
                }
                scores.add(new Score(winter.queen(), Trait.WINTERING, mark, winter.yard(), winter.year()));
            }
        });
        return scores;
    }

    private static double half(double mark) {
        return Math.rint(2 * mark) / 2;
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
                        .of(half(marks.stream().mapToDouble(Double::doubleValue).average().orElseThrow()));
    }
}

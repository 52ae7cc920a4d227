package vividcrown.core.odds;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Rates of groups (months, builders, mothers, people, yards, kinds of weather) that borrow from one another: a group with
 * few counts is believed to be much like the others, one with many speaks for itself.
 *
 * <p>The groups' true shares are taken as drawn from one Beta, whose mean is the operation's overall belief and whose
 * weight is estimated from how much the groups differ beyond chance (method of moments, Kleinman 1973, from memory). A
 * group's belief is that Beta plus its own counts.
 *
 * @param overall belief about the operation as a whole
 * @param weight how many counts the common belief is worth to a group: much where groups are alike, little where not
 * @param groups belief about each
 */
public record Pooling<K>(Rate overall, double weight, Map<K, Rate> groups) {

    private static final double LEAST_WEIGHT = 4;
    private static final double MOST_WEIGHT = 400;

    public Pooling {
        groups = Map.copyOf(groups);
    }

    /** @param succeeded of {@code tried} */
    public record Count(int tried, int succeeded) {
        public Count {
            if (succeeded < 0 || succeeded > tried) {
                throw new IllegalArgumentException(
                        "succeeded must lie between 0 and tried (%d), but is %d".formatted(tried, succeeded));
            }
        }

        public Count plus(Count other) {
            return new Count(tried + other.tried, succeeded + other.succeeded);
        }
    }

    /** @param prior belief before any count */
    public static <K> Pooling<K> of(Rate prior, Map<K, Count> counts) {
        Count all = counts.values().stream().reduce(new Count(0, 0), Count::plus);
        Rate overall = prior.updatedBy(all.succeeded(), all.tried());
        double weight = weight(counts.values().stream().filter(one -> one.tried() > 0).toList());
        Map<K, Rate> groups = new LinkedHashMap<>();
        counts.forEach((key, count) -> groups.put(key,
                Rate.of(overall.mean() * weight, (1 - overall.mean()) * weight)
                        .updatedBy(count.succeeded(), count.tried())));
        return new Pooling<>(overall, weight, groups);
    }

    /** What is believed about a group, counted or not. */
    public Rate of(K group) {
        return groups.getOrDefault(group, Rate.of(overall.mean() * weight, (1 - overall.mean()) * weight));
    }

    /**
     * The between-group variance is what is left of the observed one after taking away what chance alone gives; the
     * weight of a Beta with mean m and variance v is m(1 − m)/v − 1.
     */
    private static double weight(List<Count> counts) {
        double tried = counts.stream().mapToInt(Count::tried).sum();
        if (counts.size() < 2 || tried == 0) {
            return MOST_WEIGHT / 10;
        }
        double mean = counts.stream().mapToInt(Count::succeeded).sum() / tried;
        double chance = mean * (1 - mean);
        if (chance == 0) {
            return MOST_WEIGHT;
        }
        double spread = 0;
        double squares = 0;
        for (Count one : counts) {
            double share = (double) one.succeeded() / one.tried();
            spread += one.tried() * (share - mean) * (share - mean);
            squares += (double) one.tried() * one.tried();
        }
        double between = (spread - chance * (counts.size() - 1)) / (tried - squares / tried);
        return between <= 0 ? MOST_WEIGHT : Math.clamp(chance / between - 1, LEAST_WEIGHT, MOST_WEIGHT);
    }

    /**
     * The belief for several groupings at once, as for a month, a builder and a person: their shifts from the overall share
     * add up on the log-odds, each with its own pooling; the weight stays that of the overall belief, at most that of the
     * weakest of them.
     */
    public static Rate together(Rate overall, List<Rate> groups) {
        double logOdds = logOdds(overall.mean());
        double weight = Math.min(overall.successes() + overall.failures(), MOST_WEIGHT);
        double sum = logOdds;
        for (Rate group : groups) {
            sum += logOdds(group.mean()) - logOdds;
            weight = Math.min(weight, group.successes() + group.failures());
        }
        double mean = Math.clamp(1 / (1 + Math.exp(-sum)), 0.005, 0.995);
        return Rate.of(mean * weight, (1 - mean) * weight);
    }

    private static double logOdds(double share) {
        double inside = Math.clamp(share, 0.001, 0.999);
        return Math.log(inside / (1 - inside));
    }
}

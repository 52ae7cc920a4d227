package vividcrown.core.odds;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import vividcrown.core.reason.Wrong;

/**
 * The odds of one step of loss for a batch, by what surrounds it: learnt from counted batches, each month, builder,
 * mother, person, yard and kind of weather borrowing from the others of its kind.
 *
 * <p>The log-odds of a batch are those of the operation plus a shift for each thing around it. All shifts are sought
 * together, so that a good builder is not praised for the person who always grafts into it; each is drawn to nought as
 * strongly as the groups of its kind are alike: a group with few counts is believed to be much like the others, one with
 * many speaks for itself. It is a logistic regression with crossed random shifts, by penalised quasi-likelihood (Breslow
 * &amp; Clayton 1993, JASA 88:9, from memory), how much groups differ by expectation and maximisation. Cups of one batch share its day's luck,
 * so a batch counts for less than its cups: n / (1 + (n − 1) ρ), with ρ from how much batches differ beyond chance
 * (beta-binomial, Williams 1975, from memory).
 *
 * <p>The answer for a batch is a Beta that is as wide as the day's luck, what is not known of the operation's own share
 * ({@link OwnShare}) and what is not known of the shifts make it.
 */
public final class StepOdds {

    /** The trade's belief about how much days differ counts as so many batches of one's own. */
    private static final double BELIEF_IN_BATCHES = 10;
    /** Groups of a kind usually differ by a standard deviation of 0.3 on the log-odds: an assumption of this program. */
    private static final double USUAL_SPREAD = 0.09;
    private static final int USUAL_BATCH = 30;
    private static final double LEAST_SPREAD = 1e-4;
    private static final double BELIEF_IN_GROUPS = 1;
    private static final int ROUNDS = 40;
    private static final int MOST_SWEEPS = 200;
    private static final double SETTLED = 1e-7;
    private static final double SETTLED_ENOUGH = 1e-5;
    private static final double FINER_THAN_THE_ROUND = 0.05;
    private static final double LEAST_WEIGHT = 2;
    private static final double MOST_WEIGHT = 400;

    private final Rate overall;
    private final double alike;
    /** A day of which nothing is known. */
    private final Rate day;
    private final Map<Circumstance, Map<String, Shift>> shifts;
    private final Map<Circumstance, Double> spreads;

    /** @param succeeded of {@code tried} */
    public record Count(int tried, int succeeded) {
        public Count {
            if (succeeded < 0 || succeeded > tried) {
                throw Wrong.of("wrong.StepOdds", tried, succeeded);
            }
        }

        double share() {
            return (double) succeeded / tried;
        }
    }

    /**
     * One batch at this step.
     *
     * @param count how many of how many came through
     */
    public record Batch(Around around, Count count) {
    }

    /**
     * @param logOdds by which a group lies above or below the operation's own
     * @param variance of what is believed about it
     */
    private record Shift(double logOdds, double variance) {
    }

    private StepOdds(Rate overall, double alike, Rate day, Map<Circumstance, Map<String, Shift>> shifts,
            Map<Circumstance, Double> spreads) {
        this.overall = overall;
        this.alike = alike;
        this.day = day;
        this.shifts = shifts;
        this.spreads = spreads;
    }

    /** The same for every batch, whatever surrounds it: some of it the luck of its day, some this operation's own. */
    public static StepOdds of(Rate belief) {
        return new StepOdds(new OwnShare(belief).after(0, 0), OwnShare.likenessOfDays(belief), belief, Map.of(),
                Map.of());
    }

    /**
     * Counts of which nobody knows how they fell into batches: they make the operation's own share sure, never the luck of the next day,
     * which stays as the belief has it. Taken for batches of the usual size, whose cups share their day's luck.
     *
     * @param succeeded of {@code tried}
     * @throws IllegalArgumentException if more succeeded than were tried
     */
    public static StepOdds counted(Rate belief, int succeeded, int tried) {
        // refused with the numbers as they were given
        belief.updatedBy(succeeded, tried);
        double alike = OwnShare.likenessOfDays(belief);
        double worth = 1 / (1 + (Math.clamp(tried, 1, USUAL_BATCH) - 1) * alike);
        Rate own = new OwnShare(belief).after(succeeded * worth, tried * worth);
        return new StepOdds(own, alike, wide(own.mean(), alike, own.variance()), Map.of(), Map.of());
    }

    /**
     * @param belief before any batch was counted; its weight says how much one day differs from another
     * @param batches those counted so far; none leave the belief as it is
     */
    public static StepOdds learnt(Rate belief, List<Batch> batches) {
        List<Batch> counted = batches.stream().filter(one -> one.count().tried() > 0).toList();
        return counted.isEmpty() ? of(belief) : new Learning(belief, counted).learn();
    }

    /** Belief about the operation's own share, whatever surrounds a batch and without the luck of its day. */
    public Rate overall() {
        return overall;
    }

    /** How much days differ: correlation of two cups of one batch, 0–1. */
    public double likeness() {
        return alike;
    }

    /** Belief about a batch: its share of successes, with the luck of its day. */
    public Rate at(Around around) {
        if (spreads.isEmpty()) {
            return day;
        }
        double logOdds = logOdds(overall.mean());
        double unknown = 0;
        for (Map.Entry<Circumstance, Double> kind : spreads.entrySet()) {
            Shift shift = around.get(kind.getKey()).map(Objects.requireNonNull(shifts.get(kind.getKey()))::get)
                    .orElse(new Shift(0, kind.getValue()));
            logOdds += shift.logOdds();
            unknown += shift.variance();
        }
        double mean = share(logOdds);
        double chance = mean * (1 - mean);
        return wide(mean, alike, overall.variance() + unknown * chance * chance);
    }

    /** What is believed about one group, all else being as usual; a group never counted is like the operation. */
    public Rate group(Circumstance kind, String group) {
        Shift shift = shifts.getOrDefault(kind, Map.of()).getOrDefault(group,
                new Shift(0, spreads.getOrDefault(kind, 0.0)));
        double mean = share(logOdds(overall.mean()) + shift.logOdds());
        double chance = mean * (1 - mean);
        double spread = shift.variance() * chance * chance + overall.variance();
        return ofSpread(mean, spread);
    }

    /** With the luck of a day around what is believed of its mean. */
    private static Rate wide(double mean, double alike, double variance) {
        return ofSpread(mean, mean * (1 - mean) * alike + variance);
    }

    /** Never surer than four hundred counts, nor vaguer than two. */
    private static Rate ofSpread(double mean, double variance) {
        double chance = mean * (1 - mean);
        return Rate.ofMeanAndVariance(mean,
                Math.clamp(variance, chance / (MOST_WEIGHT + 1), chance / (LEAST_WEIGHT + 1)));
    }

    private static double logOdds(double share) {
        double inside = Math.clamp(share, 0.001, 0.999);
        return Math.log(inside / (1 - inside));
    }

    private static double share(double logOdds) {
        return Math.clamp(1 / (1 + Math.exp(-logOdds)), 0.005, 0.995);
    }

    // --- learning ----------------------------------------------------------------------------------------------------

    /** A shift that is being sought. */
    private static final class Moving {
        private final List<Seen> batches = new ArrayList<>();
        private double logOdds;
        private double variance;
    }

    /** A batch with the shifts that bear on it. */
    private record Seen(Count count, List<Moving> shifts) {
    }

    private static final class Learning {
        private final OwnShare own;
        private final double believedLikeness;
        private final List<Seen> batches = new ArrayList<>();
        private final Map<Circumstance, Map<String, Moving>> groups = new EnumMap<>(Circumstance.class);
        private final Map<Circumstance, Double> spreads = new EnumMap<>(Circumstance.class);
        private double alike;
        private Rate overall;

        Learning(Rate belief, List<Batch> counted) {
            this.own = new OwnShare(belief);
            this.believedLikeness = OwnShare.likenessOfDays(belief);
            this.alike = believedLikeness;
            this.overall = own.after(0, 0);
            for (Circumstance kind : Circumstance.values()) {
                long different = counted.stream().flatMap(one -> one.around().get(kind).stream()).distinct().count();
                // a kind with a single group tells nothing
                if (different > 1) {
                    groups.put(kind, new TreeMap<>());
                    spreads.put(kind, USUAL_SPREAD);
                }
            }
            counted.forEach(this::see);
        }

        private void see(Batch batch) {
            List<Moving> shifts = new ArrayList<>();
            groups.forEach((kind, all) -> batch.around().get(kind)
                    .ifPresent(group -> shifts.add(all.computeIfAbsent(group, _ -> new Moving()))));
            Seen seen = new Seen(batch.count(), shifts);
            shifts.forEach(shift -> shift.batches.add(seen));
            batches.add(seen);
        }

        StepOdds learn() {
            double moved = 1;
            for (int round = 0; round < ROUNDS && moved > SETTLED_ENOUGH; round++) {
                double before = sumOfAll();
                overall();
                // what still moves in the round need not be settled finer than the round itself
                settleShifts(Math.max(SETTLED, moved * FINER_THAN_THE_ROUND));
                spreads();
                alike();
                moved = Math.abs(sumOfAll() - before);
            }
            Map<Circumstance, Map<String, Shift>> shifts = new EnumMap<>(Circumstance.class);
            groups.forEach((kind, all) -> {
                Map<String, Shift> found = new HashMap<>();
                all.forEach((group, shift) -> found.put(group, new Shift(shift.logOdds, shift.variance)));
                shifts.put(kind, found);
            });
            return new StepOdds(overall, alike, wide(overall.mean(), alike, overall.variance()), shifts, spreads);
        }

        /** A single number that stands still when everything does. */
        private double sumOfAll() {
            return alike + overall.mean() + spreads.values().stream().mapToDouble(Double::doubleValue).sum();
        }

        /** What a batch is worth, in cups that share no luck. */
        private double worth(Seen batch) {
            double tried = batch.count().tried();
            return tried / (1 + (tried - 1) * alike);
        }

        private void overall() {
            double tried = 0;
            double came = 0;
            for (Seen batch : batches) {
                tried += worth(batch);
                came += worth(batch) * batch.count().share();
            }
            overall = own.after(came, tried);
        }

        /** One shift after the other, by Newton's step, until none moves. */
        private void settleShifts(double settled) {
            double moved = 1;
            for (int sweep = 0; sweep < MOST_SWEEPS && moved > settled; sweep++) {
                moved = 0;
                for (Map.Entry<Circumstance, Map<String, Moving>> kind : groups.entrySet()) {
                    for (Moving shift : kind.getValue().values()) {
                        moved = Math.max(moved, step(shift, Objects.requireNonNull(spreads.get(kind.getKey()))));
                    }
                }
            }
        }

        private double step(Moving shift, double spread) {
            double slope = -shift.logOdds / spread;
            double curve = 1 / spread;
            for (Seen batch : shift.batches) {
                double expected = expected(batch);
                double worth = worth(batch);
                slope += worth * (batch.count().share() - expected);
                curve += worth * expected * (1 - expected);
            }
            shift.logOdds += slope / curve;
            shift.variance = 1 / curve;
            return Math.abs(slope / curve);
        }

        private double expected(Seen batch) {
            double sum = StepOdds.logOdds(overall.mean());
            for (Moving shift : batch.shifts()) {
                sum += shift.logOdds;
            }
            return StepOdds.share(sum);
        }

        /** How much the groups of each kind differ: the mean square of their shifts, as found and as far as not known. */
        private void spreads() {
            groups.forEach((kind, all) -> {
                double squares = BELIEF_IN_GROUPS * USUAL_SPREAD;
                for (Moving shift : all.values()) {
                    squares += shift.logOdds * shift.logOdds + shift.variance;
                }
                spreads.put(kind, Math.max(LEAST_SPREAD, squares / (BELIEF_IN_GROUPS + all.size())));
            });
        }

        /** By moments: what is left of the squared differences once chance has had its part. */
        private void alike() {
            double spread = 0;
            double byChance = 0;
            double byLuck = 0;
            for (Seen batch : batches) {
                double tried = batch.count().tried();
                double expected = expected(batch);
                double chance = expected * (1 - expected);
                double difference = batch.count().share() - expected;
                spread += tried * difference * difference;
                byChance += chance;
                byLuck += chance * (tried - 1);
            }
            double own = byLuck == 0 ? believedLikeness : Math.clamp((spread - byChance) / byLuck, 0, 1);
            alike = (BELIEF_IN_BATCHES * believedLikeness + batches.size() * own)
                    / (BELIEF_IN_BATCHES + batches.size());
        }
    }
}

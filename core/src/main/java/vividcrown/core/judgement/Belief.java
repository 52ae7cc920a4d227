package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.ToDoubleFunction;

/** How likely each phase is: one number a phase, together 1. Not changed once made. */
final class Belief {

    private static final List<Phase> PHASES = Phase.all();
    /** Place of each phase by status, cells and days; −1 where there is none. */
    private static final int[][][] PLACE = places();

    private static final int[] STATUS_OF = PHASES.stream().mapToInt(phase -> phase.status().ordinal()).toArray();

    private final double[] weights;

    private Belief(double[] weights) {
        this.weights = weights;
    }

    private static int[][][] places() {
        int[][][] places = new int[Status.values().length][Phase.Cells.values().length][];
        for (Status status : Status.values()) {
            for (Phase.Cells cells : Phase.Cells.values()) {
                places[status.ordinal()][cells.ordinal()] = new int[Phase.cap(status) + 1];
                Arrays.fill(places[status.ordinal()][cells.ordinal()], -1);
            }
        }
        for (int at = 0; at < PHASES.size(); at++) {
            Phase phase = PHASES.get(at);
            places[phase.status().ordinal()][phase.cells().ordinal()][phase.days()] = at;
        }
        return places;
    }

    /** Place of the phase with these days, capped. */
    static int at(Status status, int days, Phase.Cells cells) {
        int place = PLACE[status.ordinal()][cells.ordinal()][Math.clamp(days, 0, Phase.cap(status))];
        if (place < 0) {
            throw new IllegalArgumentException("Impossible state: no phase %s, %d, %s".formatted(status, days, cells));
        }
        return place;
    }

    /** What one would think of any colony that somebody opens at this time of year. */
    static Belief before(LocalDate day, Season season) {
        double[] weights = new double[PHASES.size()];
        Map<Status, Double> states = season.prior(day);
        Map<Status, Long> phases = new EnumMap<>(Status.class);
        PHASES.forEach(phase -> phases.merge(phase.status(), 1L, Long::sum));
        for (int at = 0; at < weights.length; at++) {
            Phase phase = PHASES.get(at);
            double share = Objects.requireNonNull(states.get(phase.status()));
            weights[at] = switch (phase.status()) {
                // nearly every laying queen has laid for long
                case LAYING_QUEEN, TWO_QUEENS, DRONE_LAYER ->
                    phase.days() == Phase.cap(phase.status()) ? 0.9 * share : 0.1 * share / Phase.cap(phase.status());
                case VIRGIN, CELLS, JUST_SWARMED, RECENTLY_QUEENLESS, HOPELESSLY_QUEENLESS, LAYING_WORKERS ->
                    share / Objects.requireNonNull(phases.get(phase.status()));
            };
        }
        return new Belief(weights).normalised();
    }

    /** The same colony a day later. */
    Belief dayLater(LocalDate day, Season season) {
        return new Belief(Flows.of(season.swarmShare(day)).dayLater(weights));
    }

    /** After an event: each phase hands its weight on. */
    Belief after(Moves moves) {
        double[] next = new double[weights.length];
        for (int at = 0; at < weights.length; at++) {
            if (weights[at] > 0) {
                moves.hand(at, PHASES.get(at), weights[at], next);
            }
        }
        return new Belief(next).normalised();
    }

    /** Hands the weight of one phase to others; must hand on all of it. */
    interface Moves {
        void hand(int at, Phase phase, double weight, double[] next);
    }

    /** Weighed by how likely each phase makes what was seen (Bayes' rule). */
    Belief given(ToDoubleFunction<Phase> likelihood) {
        double[] next = new double[weights.length];
        for (int at = 0; at < weights.length; at++) {
            next[at] = weights[at] > 0 ? weights[at] * likelihood.applyAsDouble(PHASES.get(at)) : 0;
        }
        return new Belief(next).normalised();
    }

    /**
     * Chance of each state together with something that each phase makes so likely, in the order of {@link Status}; their
     * sum is the chance of it.
     */
    double[] jointly(ToDoubleFunction<Phase> likelihood) {
        return jointly(perPhase(likelihood));
    }

    /** The likelihood of every phase, in their order, for beliefs that are asked the same. */
    static double[] perPhase(ToDoubleFunction<Phase> likelihood) {
        double[] all = new double[PHASES.size()];
        for (int at = 0; at < all.length; at++) {
            all[at] = likelihood.applyAsDouble(PHASES.get(at));
        }
        return all;
    }

    double[] jointly(double[] likelihoodPerPhase) {
        double[] joint = new double[Status.values().length];
        for (int at = 0; at < weights.length; at++) {
            joint[STATUS_OF[at]] += weights[at] * likelihoodPerPhase[at];
        }
        return joint;
    }

    /** The same belief with one state taken for certain; that state must be possible. */
    Belief in(Status status) {
        return given(phase -> phase.status() == status ? 1 : 0);
    }

    /** Chance of something that each phase makes so likely. */
    double chanceOf(ToDoubleFunction<Phase> likelihood) {
        return Arrays.stream(jointly(likelihood)).sum();
    }

    Map<Status, Double> odds() {
        Map<Status, Double> odds = new EnumMap<>(Status.class);
        for (Status status : Status.values()) {
            odds.put(status, 0.0);
        }
        for (int at = 0; at < weights.length; at++) {
            odds.merge(PHASES.get(at).status(), weights[at], Double::sum);
        }
        return odds;
    }

    /** Chance of each kind of cells among the phases that have cells under way. */
    Map<Phase.Cells, Double> cellKinds() {
        Map<Phase.Cells, Double> kinds = new EnumMap<>(Phase.Cells.class);
        for (int at = 0; at < weights.length; at++) {
            Phase phase = PHASES.get(at);
            if (phase.status() == Status.CELLS || phase.status() == Status.JUST_SWARMED) {
                kinds.merge(phase.cells(), weights[at], Double::sum);
            }
        }
        return kinds;
    }

    /**
     * How unsure chances are, in bits: 0 if one is certain, about 3.2 if nine are alike. Entropy, Shannon 1948.
     *
     * @param chances not negative; need not sum to 1
     */
    static double bits(double[] chances) {
        double sum = Arrays.stream(chances).sum();
        double bits = 0;
        for (double chance : chances) {
            if (chance > 0) {
                bits -= chance / sum * Math.log(chance / sum) / Math.log(2);
            }
        }
        return bits;
    }

    private Belief normalised() {
        double sum = Arrays.stream(weights).sum();
        if (sum <= 0) {
            throw new IllegalStateException("Impossible state: every phase is ruled out");
        }
        return new Belief(Arrays.stream(weights).map(weight -> weight / sum).toArray());
    }
}

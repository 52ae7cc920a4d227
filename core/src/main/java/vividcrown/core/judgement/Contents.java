package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import vividcrown.core.judgement.Phase.Cells;
import vividcrown.core.judgement.Phase.Queen;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;

/**
 * What is in the hive: who is there, and what is under way, each with its odds and its days. The days are those of the belief,
 * so every later look narrows them.
 *
 * @param cases odds by what matters for what to do, together 1
 * @param queen odds of the queen, together 1
 * @param cells odds of queen cells by why they are there, together 1
 * @param workersLay chance that workers lay
 * @param sealed when the oldest cell is sealed, if cells are likely and it is open
 * @param swarms when the swarm leaves, if cells for one are likely
 * @param emerges when the virgin comes out, if cells are likely
 * @param firstEggs when a young queen on the way or out begins to lay, if she is likely; only of those who will
 * @param ownWorkers when her first workers come out
 * @param layingBy of colonies like this one with a young queen on the way or out, the share in which one lays after so many
 *        days
 */
public record Contents(Map<Case, Double> cases, Map<QueenIs, Double> queen, Map<CellsAre, Double> cells,
        double workersLay,
        Optional<DatedSpan> sealed, Optional<DatedSpan> swarms, Optional<DatedSpan> emerges,
        Optional<DatedSpan> firstEggs,
        Optional<DatedSpan> ownWorkers, SortedMap<Integer, Double> layingBy) {

    private static final double LIKELY = 0.12;
    private static final int[] ASKED_AFTER_DAYS = {7, 14, 21, 28};
    private static final int FOLLOWED_DAYS = 45;
    private static final double EARLY = 0.05;
    private static final double MIDDLE = 0.5;
    private static final double LATE = 0.95;

    public Contents {
        cases = Map.copyOf(cases);
        queen = Map.copyOf(queen);
        cells = Map.copyOf(cells);
    }

    /** Who is there. */
    public enum QueenIs {
        NONE, VIRGIN,
        /** Mated within days, no egg yet. */
        MATED, LAYING,
        /** Caged, just given, just hived, or resting in winter. */
        KEPT_FROM_LAYING, LAYS_DRONES, TWO;

        private static QueenIs of(Queen queen) {
            return switch (queen) {
                case NONE -> NONE;
                case VIRGIN -> VIRGIN;
                case MATED -> MATED;
                case LAYING -> LAYING;
                case TWO -> TWO;
                case UNMATED, FAILING -> LAYS_DRONES;
                case CAGED, GIVEN, HIVED, RESTING -> KEPT_FROM_LAYING;
            };
        }
    }

    /** Why queen cells are there. */
    public enum CellsAre {
        NONE, SWARM, SUPERSEDURE, EMERGENCY, GIVEN
    }

    public double chance(Case one) {
        return Objects.requireNonNull(cases.get(one));
    }

    /** Of any of these. */
    double chance(Predicate<Case> among) {
        return cases.entrySet().stream().filter(one -> among.test(one.getKey())).mapToDouble(Map.Entry::getValue).sum();
    }

    static Contents of(Belief belief, LocalDate today, Clock clock, Flows.AtPlace place, boolean withDays) {
        Map<Case, Double> cases = cases(belief, clock);
        Map<QueenIs, Double> queen = new EnumMap<>(QueenIs.class);
        for (QueenIs one : QueenIs.values()) {
            queen.put(one, belief.chance(phase -> QueenIs.of(phase.queen()) == one));
        }
        Map<CellsAre, Double> cells = new EnumMap<>(CellsAre.class);
        for (CellsAre one : CellsAre.values()) {
            cells.put(one, belief.chance(phase -> cellsOf(phase) == Cells.valueOf(one.name())));
        }
        double workers = belief.chance(Phase::workersLay);
        // the days are those of the kind that is likeliest
        CellsAre kind = cells.entrySet().stream().filter(one -> one.getKey() != CellsAre.NONE)
                .max(Map.Entry.comparingByValue()).map(Map.Entry::getKey).orElseThrow();
        Predicate<Phase> underWay = phase -> cellsOf(phase) == Cells.valueOf(kind.name());
        boolean any = withDays && belief.chance(underWay) > LIKELY;
        Optional<DatedSpan> opens = any
                ? Optional.of(ahead(belief, underWay, Phase::cellDays, clock.emergesAt(), today))
                : Optional.empty();
        Predicate<Phase> open = phase -> underWay.test(phase) && phase.cellDays() < clock.sealedAt();
        Optional<DatedSpan> sealed = any && belief.chance(open) > LIKELY
                ? Optional.of(ahead(belief, open, Phase::cellDays, clock.sealedAt(), today))
                : Optional.empty();
        Predicate<Phase> swarming = phase -> phase.queen() == Queen.LAYING && phase.cells() == Cells.SWARM;
        Optional<DatedSpan> swarms = withDays && belief.chance(swarming) > LIKELY
                ? Optional.of(ahead(belief, swarming, Phase::cellDays, clock.sealedAt(), today))
                : Optional.empty();
        SortedMap<Integer, Double> layingBy = new TreeMap<>();
        Optional<DatedSpan> eggs = withDays
                ? firstEggs(belief, today, place, layingBy)
                : Optional.empty();
        return new Contents(cases, queen, cells, workers, sealed, swarms, opens, eggs,
                eggs.map(first -> first.plus(clock.assumptions().worker().emerges())), layingBy);
    }

    static Map<Case, Double> cases(Belief belief, Clock clock) {
        Map<Case, Double> cases = new EnumMap<>(Case.class);
        for (Case one : Case.values()) {
            cases.put(one, 0.0);
        }
        belief.each((_, phase, weight) -> cases.merge(Case.of(phase, clock), weight, Double::sum));
        return cases;
    }

    /** A rival beside a virgin is no cell of its own. */
    private static Cells cellsOf(Phase phase) {
        return phase.queen() == Queen.VIRGIN ? Cells.NONE : phase.cells();
    }

    /** When something is reached that comes at this age: not before today. */
    private static DatedSpan ahead(Belief belief, Predicate<Phase> among, ToIntFunction<Phase> age, int reachedAt,
            LocalDate today) {
        double[] ages = new double[Phase.LONG + 1];
        belief.each((_, phase, weight) -> ages[age.applyAsInt(phase)] += among.test(phase) ? weight : 0);
        return new DatedSpan(today.plusDays(reachedAt - (long) quantile(ages, LATE)),
                today.plusDays(reachedAt - (long) quantile(ages, MIDDLE)),
                today.plusDays(reachedAt - (long) quantile(ages, EARLY))).notBefore(today);
    }

    private static int quantile(double[] weights, double share) {
        double all = 0;
        for (double weight : weights) {
            all += weight;
        }
        double sum = 0;
        for (int at = 0; at < weights.length; at++) {
            sum += weights[at];
            if (sum >= share * all) {
                return at;
            }
        }
        return weights.length - 1;
    }

    private static Optional<DatedSpan> firstEggs(Belief belief, LocalDate today, Flows.AtPlace place,
            SortedMap<Integer, Double> layingBy) {
        Predicate<Phase> young = phase -> phase.queen() == Queen.VIRGIN || phase.queen() == Queen.MATED
                || phase.queen() == Queen.NONE && phase.hasCells();
        if (belief.chance(young) <= LIKELY) {
            return Optional.empty();
        }
        Belief later = belief.in(young);
        double[] begun = new double[FOLLOWED_DAYS + 1];
        double before = 0;
        for (int day = 1; day <= FOLLOWED_DAYS; day++) {
            later = later.dayLater(today.plusDays(day - 1L), place);
            double lays = later.chance(phase -> phase.queen() == Queen.LAYING || phase.queen() == Queen.TWO);
            begun[day] = Math.max(0, lays - before);
            before = lays;
            for (int asked : ASKED_AFTER_DAYS) {
                if (asked == day) {
                    layingBy.put(day, lays);
                }
            }
        }
        if (before < EARLY) {
            return Optional.empty();
        }
        return Optional
                .of(new DatedSpan(today.plusDays(quantile(begun, EARLY)), today.plusDays(quantile(begun, MIDDLE)),
                        today.plusDays(quantile(begun, LATE))));
    }

    /** Who is there, in words. */
    public Sentence who() {
        QueenIs likeliest = likeliestQueen();
        return Sentence
                .of("who." + (likeliest == QueenIs.NONE && workersLay > MIDDLE ? "WORKERS_LAY" : likeliest.name()));
    }

    private QueenIs likeliestQueen() {
        return queen.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
    }

    /** What is under way, in words. */
    public Sentence underWay() {
        CellsAre likeliest = cells.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
        if (likeliest != CellsAre.NONE) {
            return sealed.map(days -> Sentence.of("underWay." + likeliest + ".open", days))
                    .or(() -> emerges.map(days -> Sentence.of("underWay." + likeliest + ".sealed", days)))
                    .orElse(Sentence.of("underWay.cells"));
        }
        String eggs = likeliestQueen() == QueenIs.LAYING || likeliestQueen() == QueenIs.TWO
                ? "underWay.daughter"
                : "underWay.firstEggs";
        return firstEggs.map(days -> Sentence.of(eggs, days)).orElse(Sentence.of("underWay.NOTHING"));
    }
}

package vividcrown.core.judgement;

import static vividcrown.core.judgement.SignOdds.Group.BEES;
import static vividcrown.core.judgement.SignOdds.Group.BEHAVIOUR;
import static vividcrown.core.judgement.SignOdds.Group.DRONES_LATE;
import static vividcrown.core.judgement.SignOdds.Group.DRONE_BROOD;
import static vividcrown.core.judgement.SignOdds.Group.EGG_PATTERN;
import static vividcrown.core.judgement.SignOdds.Group.EGG_WALLS;
import static vividcrown.core.judgement.SignOdds.Group.NEST;
import static vividcrown.core.judgement.SignOdds.Group.PATTERN;
import static vividcrown.core.judgement.SignOdds.Group.QUEEN;
import static vividcrown.core.judgement.SignOdds.Group.QUEEN_LOOKS;
import static vividcrown.core.judgement.SignOdds.Group.SWARM_MOOD;
import static vividcrown.core.judgement.SignOdds.Group.TEST;
import static vividcrown.core.judgement.SignOdds.line;
import static vividcrown.core.judgement.Status.CELLS;
import static vividcrown.core.judgement.Status.DRONE_LAYER;
import static vividcrown.core.judgement.Status.HOPELESSLY_QUEENLESS;
import static vividcrown.core.judgement.Status.JUST_SWARMED;
import static vividcrown.core.judgement.Status.LAYING_QUEEN;
import static vividcrown.core.judgement.Status.LAYING_WORKERS;
import static vividcrown.core.judgement.Status.RECENTLY_QUEENLESS;
import static vividcrown.core.judgement.Status.TWO_QUEENS;
import static vividcrown.core.judgement.Status.VIRGIN;

import java.util.List;
import java.util.Map;
import vividcrown.core.judgement.Phase.Cells;
import vividcrown.core.judgement.Phase.Queen;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * The table of likelihoods, common practice put into numbers. Behaviour weighs least, the way eggs lie more, sealed brood
 * most. Brood stages and queen cells are not in the table: they follow from the days of each {@link Phase}, see
 * {@link BroodEvidence} and {@link CellEvidence}.
 */
final class Likelihoods {

    /** A young queen doubles an egg now and then in her first week. Common practice. */
    private static final int FIRST_WEEK = 8;

    private static final List<SignOdds> TABLE = List.of(
            // calm or not, pollen or not: hardly any difference, so that calmness never settles a state
            line(Sign.CALM, BEHAVIOUR, 0.78).in(RECENTLY_QUEENLESS, 0.55).in(HOPELESSLY_QUEENLESS, 0.6)
                    .in(LAYING_WORKERS, 0.62),
            line(Sign.POLLEN_COMING_IN, BEHAVIOUR, 0.7).in(LAYING_QUEEN, 0.85).in(TWO_QUEENS, 0.85)
                    .in(HOPELESSLY_QUEENLESS, 0.5).in(LAYING_WORKERS, 0.5),
            line(Sign.MOANING, BEHAVIOUR, 0.06).in(RECENTLY_QUEENLESS, 0.5).in(HOPELESSLY_QUEENLESS, 0.4)
                    .in(LAYING_WORKERS, 0.3).in(CELLS, 0.12).in(VIRGIN, 0.12),
            line(Sign.DEFENSIVE, BEHAVIOUR, 0.15).in(RECENTLY_QUEENLESS, 0.3).in(HOPELESSLY_QUEENLESS, 0.35)
                    .in(LAYING_WORKERS, 0.3).in(VIRGIN, 0.2),
            line(Sign.FEED_UNTOUCHED, BEHAVIOUR, 0.2).in(HOPELESSLY_QUEENLESS, 0.4).in(LAYING_WORKERS, 0.4),
            // they polish for a queen they expect, and store where they expect none; a swarming hive is backfilled too
            line(Sign.POLISHED_CELLS, NEST, 0.4).in(VIRGIN, 0.72).in(JUST_SWARMED, 0.55).in(LAYING_QUEEN, 0.5)
                    .in(HOPELESSLY_QUEENLESS, 0.2).in(LAYING_WORKERS, 0.15),
            line(Sign.NECTAR_IN_NEST, NEST, 0.1).in(HOPELESSLY_QUEENLESS, 0.5).in(LAYING_WORKERS, 0.4)
                    .in(CELLS, 0.3).in(JUST_SWARMED, 0.3).in(VIRGIN, 0.15).in(LAYING_QUEEN, 0.05).in(TWO_QUEENS, 0.04),
            line(Sign.BEES_OLD, BEES, 0.08).in(LAYING_WORKERS, 0.7).in(HOPELESSLY_QUEENLESS, 0.5).in(DRONE_LAYER, 0.4)
                    .in(VIRGIN, 0.25).in(LAYING_QUEEN, 0.04).in(TWO_QUEENS, 0.02),
            line(Sign.BEES_YOUNG, BEES, 0.5).in(LAYING_QUEEN, 0.8).in(TWO_QUEENS, 0.85).in(CELLS, 0.75)
                    .in(LAYING_WORKERS, 0.08).in(HOPELESSLY_QUEENLESS, 0.2).in(DRONE_LAYER, 0.15),
            line(Sign.FEW_BEES, BEES, 0.15).in(JUST_SWARMED, 0.5).in(LAYING_WORKERS, 0.5).in(HOPELESSLY_QUEENLESS, 0.4)
                    .in(DRONE_LAYER, 0.4).in(TWO_QUEENS, 0.05),
            line(Sign.CLUSTER_OFF_NEST, BEES, 0.1).in(HOPELESSLY_QUEENLESS, 0.4).in(LAYING_WORKERS, 0.35)
                    .in(VIRGIN, 0.3).in(LAYING_QUEEN, 0.04).in(TWO_QUEENS, 0.03),
            line(Sign.CROWDED, SWARM_MOOD, 0.1).in(CELLS, 0.6).in(LAYING_QUEEN, 0.25).in(TWO_QUEENS, 0.3)
                    .in(JUST_SWARMED, 0.15),
            line(Sign.BEARDING, SWARM_MOOD, 0.06).in(CELLS, 0.3).in(LAYING_QUEEN, 0.12),
            // cups alone weigh little
            line(Sign.CUPS, SWARM_MOOD, 0.3).in(CELLS, 0.8).in(LAYING_QUEEN, 0.35).in(JUST_SWARMED, 0.7),
            // said of every strong colony in season, and of those that have nothing else left
            line(Sign.DRONES, DRONES_LATE, 0.35).in(LAYING_WORKERS, 0.6).in(DRONE_LAYER, 0.6).in(CELLS, 0.5),
            line(Sign.DRONES_LATE, DRONES_LATE, 0.25).in(LAYING_WORKERS, 0.65).in(DRONE_LAYER, 0.65)
                    .in(HOPELESSLY_QUEENLESS, 0.5).in(VIRGIN, 0.4).in(LAYING_QUEEN, 0.08).in(TWO_QUEENS, 0.08),
            // an egg or two doubled by a young queen is no alarm
            line(Sign.EGGS_SINGLE, EGG_PATTERN, 0.04).in(LAYING_QUEEN, 0.93).in(TWO_QUEENS, 0.93).in(CELLS, 0.7)
                    .in(DRONE_LAYER, 0.8).in(LAYING_WORKERS, 0.1).in(RECENTLY_QUEENLESS, 0.35)
                    .finer((phase, _) -> besideWorkers(phase) ? 0.1 : -1),
            line(Sign.EGGS_SEVERAL, EGG_PATTERN, 0.01).in(LAYING_WORKERS, 0.9).in(DRONE_LAYER, 0.08)
                    .in(LAYING_QUEEN, 0.012).in(TWO_QUEENS, 0.03).finer(Likelihoods::severalEggs),
            line(Sign.EGGS_ON_WALLS, EGG_WALLS, 0.003).in(LAYING_WORKERS, 0.75).in(DRONE_LAYER, 0.05)
                    .finer((phase, _) -> isYoung(phase) ? 0.012 : besideWorkers(phase) ? 0.75 : -1),
            line(Sign.SEALED_DRONE_SCATTERED, DRONE_BROOD, 0.012).in(LAYING_WORKERS, 0.85).in(DRONE_LAYER, 0.9)
                    .finer((phase, _) -> domedAmongWorkers(phase)),
            line(Sign.SEALED_DRONE_IN_DRONE_COMB, DRONE_BROOD, 0.3).in(LAYING_QUEEN, 0.5).in(CELLS, 0.7)
                    .in(TWO_QUEENS, 0.5).in(LAYING_WORKERS, 0.2),
            line(Sign.SEALED_WORKER_SPOTTY, PATTERN, 0.18).in(DRONE_LAYER, 0.6).in(LAYING_QUEEN, 0.12),
            // an emptied middle within a ring is hers, between two cycles
            line(Sign.SEALED_RING, PATTERN, 0.15).in(LAYING_QUEEN, 0.3).in(TWO_QUEENS, 0.3).in(DRONE_LAYER, 0.05),
            line(Sign.SEALED_MORE, PATTERN, 0.2).in(LAYING_QUEEN, 0.5).in(TWO_QUEENS, 0.5).in(CELLS, 0.35)
                    .in(LAYING_WORKERS, 0.02).in(DRONE_LAYER, 0.05).in(HOPELESSLY_QUEENLESS, 0.05).in(VIRGIN, 0.05),
            // a missed queen is common, a virgin is missed more often than seen
            line(Sign.QUEEN, QUEEN, 0.006).in(LAYING_QUEEN, 0.58).in(TWO_QUEENS, 0.8).in(DRONE_LAYER, 0.5)
                    .in(CELLS, 0.4).in(VIRGIN, 0.17).finer(Likelihoods::sees),
            line(Sign.QUEEN_MARKED, QUEEN, 0.003).in(LAYING_QUEEN, 0.45).in(TWO_QUEENS, 0.5).in(DRONE_LAYER, 0.3)
                    .in(CELLS, 0.35).finer((phase, _) -> hasNone(phase) ? 0.003 : -1),
            line(Sign.QUEEN_UNMARKED, QUEEN, 0.004).in(LAYING_QUEEN, 0.2).in(TWO_QUEENS, 0.4).in(DRONE_LAYER, 0.25)
                    .in(CELLS, 0.1).in(VIRGIN, 0.13).finer((phase, _) -> hasNone(phase) ? 0.004 : -1),
            line(Sign.VIRGIN, QUEEN, 0.003).in(VIRGIN, 0.22).in(LAYING_QUEEN, 0.0035).in(TWO_QUEENS, 0.006)
                    .in(JUST_SWARMED, 0.02).in(DRONE_LAYER, 0.015).finer(Likelihoods::looksLikeAVirgin),
            line(Sign.TWO_QUEENS, QUEEN, 0.001).in(TWO_QUEENS, 0.4),
            // of a queen who is seen: what she looks like and what she does
            line(Sign.QUEEN_DIPPING, QUEEN_LOOKS, 0.003).in(LAYING_QUEEN, 0.35).in(TWO_QUEENS, 0.35).in(CELLS, 0.25)
                    .in(DRONE_LAYER, 0.3).finer((phase, _) -> lays(phase) ? -1 : 0.004),
            line(Sign.QUEEN_BELLY_LARGE, QUEEN_LOOKS, 0.05).in(LAYING_QUEEN, 0.75).in(TWO_QUEENS, 0.7).in(CELLS, 0.5)
                    .in(DRONE_LAYER, 0.6).in(VIRGIN, 0.06),
            line(Sign.QUEEN_BELLY_SMALL, QUEEN_LOOKS, 0.3).in(LAYING_QUEEN, 0.08).in(TWO_QUEENS, 0.15).in(CELLS, 0.3)
                    .in(DRONE_LAYER, 0.2).in(VIRGIN, 0.75),
            line(Sign.QUEEN_ATTENDED, QUEEN_LOOKS, 0.3).in(LAYING_QUEEN, 0.7).in(TWO_QUEENS, 0.7).in(DRONE_LAYER, 0.5)
                    .in(CELLS, 0.5).in(VIRGIN, 0.12),
            line(Sign.MATING_SIGN, QUEEN_LOOKS, 0.001).in(VIRGIN, 0.08)
                    .finer((phase, _) -> phase.queen() == Queen.MATED ? 0.15 : -1),
            // on a frame with open brood the queenless begin cells within days, the queenright do not
            line(Sign.CELLS_ON_TEST_FRAME, TEST, 0.02).in(RECENTLY_QUEENLESS, 0.3).in(HOPELESSLY_QUEENLESS, 0.04)
                    .in(LAYING_WORKERS, 0.1).in(CELLS, 0.5).in(DRONE_LAYER, 0.06).in(JUST_SWARMED, 0.15)
                    .finer((phase, _) -> onTestFrame(phase)));

    /** Single eggs and doubled ones side by side, where both were seen: a young queen, or the first of the workers. */
    static final SignOdds EGGS_MIXED = line(Sign.EGGS_SEVERAL, EGG_PATTERN, 0.02).in(LAYING_QUEEN, 0.03)
            .in(TWO_QUEENS, 0.2).in(DRONE_LAYER, 0.2).in(LAYING_WORKERS, 0.2)
            .finer((phase, _) -> isYoung(phase) ? 0.3 : -1);

    private static final Likelihoods STANDARD = new Likelihoods(TABLE);

    private static final double TABLE_WEIGHT = 60;
    private static final double SURE = 0.001;
    private static final double SEES_LAYING = 0.58;

    private final List<SignOdds> lines;

    private Likelihoods(List<SignOdds> lines) {
        this.lines = lines;
    }

    /** The trade's own table. */
    static Likelihoods standard() {
        return STANDARD;
    }

    /**
     * The table with an operation's own counts laid over it: what was counted weighs against {@link #TABLE_WEIGHT} colonies
     * of the trade, so few cases move little (partial pooling).
     */
    Likelihoods laidOver(OwnSigns own) {
        if (own.counts().isEmpty()) {
            return this;
        }
        return new Likelihoods(lines.stream().map(line -> {
            SignOdds moved = line;
            for (Map.Entry<Status, OwnSigns.Count> one : own.counts().getOrDefault(line.sign(), Map.of()).entrySet()) {
                double chance = (line.chance(one.getKey(), true) * TABLE_WEIGHT + one.getValue().seen())
                        / (TABLE_WEIGHT + one.getValue().told());
                moved = moved.in(one.getKey(), Math.clamp(chance, SURE, 1 - SURE));
            }
            return moved;
        }).toList());
    }

    List<SignOdds> lines() {
        return lines;
    }

    /** The line of a sign; it must be in the table. */
    SignOdds of(Sign sign) {
        return lines.stream().filter(line -> line.sign() == sign).findFirst().orElseThrow();
    }

    private static boolean isYoung(Phase phase) {
        return phase.queen() == Queen.LAYING && phase.days() <= FIRST_WEEK;
    }

    /** A virgin is out, and workers still lay. */
    private static boolean besideWorkers(Phase phase) {
        return phase.workersLay() && phase.queen() != Queen.NONE;
    }

    private static boolean lays(Phase phase) {
        return switch (phase.queen()) {
            case LAYING, TWO, UNMATED, FAILING -> true;
            case NONE, VIRGIN, MATED, CAGED, GIVEN, HIVED, RESTING -> false;
        };
    }

    private static boolean hasNone(Phase phase) {
        return phase.queen() == Queen.NONE;
    }

    /** In her first week, and where bees are few and room is little, a queen doubles eggs. */
    private static double severalEggs(Phase phase, Reading reading) {
        if (besideWorkers(phase)) {
            return 0.9;
        }
        if (isYoung(phase)) {
            return 0.13;
        }
        boolean queen = phase.queen() == Queen.LAYING || phase.queen() == Queen.TWO;
        return queen && reading.saw(Sign.FEW_BEES) ? 0.1 : -1;
    }

    /** Workers and unmated queens have none sealed before the tenth day. */
    private static double domedAmongWorkers(Phase phase) {
        if (besideWorkers(phase)) {
            return 0.85;
        }
        boolean tooSoon = (phase.workersLay() && !phase.hasCells() || phase.queen() == Queen.UNMATED)
                && phase.days() < 10;
        return tooSoon ? 0.03 : -1;
    }

    /** A failed search says less after much smoke, and more after a second pass. */
    private static double sees(Phase phase, Reading reading) {
        double once = switch (phase.queen()) {
            case NONE -> 0.006;
            case VIRGIN -> 0.17;
            case MATED -> 0.3;
            case LAYING -> phase.cells() == Cells.SWARM ? 0.42 : SEES_LAYING;
            case TWO -> 0.8;
            case UNMATED, FAILING -> 0.5;
            case CAGED, GIVEN -> 0.8;
            case HIVED, RESTING -> 0.45;
        };
        if (phase.queen() == Queen.NONE) {
            return once;
        }
        if (reading.missed().isPresent()) {
            return seesAsSearched(once, reading.missed().get());
        }
        double found = reading.saw(Sign.SMOKED_HEAVILY) ? 0.6 * once : once;
        return reading.saw(Sign.SEARCHED_TWICE) ? 1 - (1 - found) * (1 - 0.6 * found) : found;
    }

    /**
     * A search that is known look by look: who is harder to see is missed by it more often, as if the looks were so many times the usual one.
     *
     * @param once chance that a usual search sees such a queen
     */
    private static double seesAsSearched(double once, double missed) {
        double times = Math.log(Math.max(missed, SURE)) / Math.log(1 - SEES_LAYING);
        return Math.clamp(1 - Math.pow(1 - once, times), SURE, 1 - SURE);
    }

    /** Who was mated within days still looks like a virgin; an old queen hardly ever. */
    private static double looksLikeAVirgin(Phase phase, Reading reading) {
        return switch (phase.queen()) {
            case VIRGIN -> phase.days() <= 3 ? 0.3 : 0.2;
            case MATED -> 0.15;
            case LAYING -> phase.days() <= 3 ? 0.03 : 0.003;
            case UNMATED -> 0.03;
            case HIVED, RESTING -> 0.01;
            case NONE, TWO, FAILING, CAGED, GIVEN -> -1;
        };
    }

    /** They begin cells on it if they have no queen; those begun there are what is seen. */
    private static double onTestFrame(Phase phase) {
        if (phase.queen() == Queen.NONE && phase.cells() == Cells.EMERGENCY) {
            return phase.workersLay() ? 0.85 : 0.93;
        }
        if (phase.queen() == Queen.CAGED || phase.queen() == Queen.GIVEN) {
            return phase.hasCells() ? 0.6 : -1;
        }
        return phase.isQueenright() && phase.hasCells() ? 0.15 : -1;
    }
}

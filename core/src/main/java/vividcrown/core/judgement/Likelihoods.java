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
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import vividcrown.core.reading.Sign;

/**
 * The table of likelihoods, common practice put into numbers. Behaviour weighs least, the way eggs lie more, sealed brood
 * most. Brood stages and queen cells are not in the table: they follow from the days of each {@link Phase}, see
 * {@link BroodEvidence} and {@link CellEvidence}.
 */
final class Likelihoods {

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
            line(Sign.DRONES_LATE, DRONES_LATE, 0.25).in(LAYING_WORKERS, 0.65).in(DRONE_LAYER, 0.65)
                    .in(HOPELESSLY_QUEENLESS, 0.5).in(VIRGIN, 0.4).in(LAYING_QUEEN, 0.08).in(TWO_QUEENS, 0.08),
            // an egg or two doubled by a young queen is no alarm
            line(Sign.EGGS_SINGLE, EGG_PATTERN, 0.04).in(LAYING_QUEEN, 0.93).in(TWO_QUEENS, 0.93).in(CELLS, 0.7)
                    .in(DRONE_LAYER, 0.8).in(LAYING_WORKERS, 0.08).in(RECENTLY_QUEENLESS, 0.35),
            line(Sign.EGGS_SEVERAL, EGG_PATTERN, 0.006).in(LAYING_WORKERS, 0.92).in(DRONE_LAYER, 0.08)
                    .in(LAYING_QUEEN, 0.006).in(TWO_QUEENS, 0.03),
            line(Sign.EGGS_ON_WALLS, EGG_WALLS, 0.002).in(LAYING_WORKERS, 0.8).in(DRONE_LAYER, 0.05),
            line(Sign.SEALED_DRONE_SCATTERED, DRONE_BROOD, 0.01).in(LAYING_WORKERS, 0.85).in(DRONE_LAYER, 0.9),
            line(Sign.SEALED_DRONE_IN_DRONE_COMB, DRONE_BROOD, 0.3).in(LAYING_QUEEN, 0.5).in(CELLS, 0.7)
                    .in(TWO_QUEENS, 0.5).in(LAYING_WORKERS, 0.2),
            line(Sign.SEALED_WORKER_SPOTTY, PATTERN, 0.15).in(DRONE_LAYER, 0.6).in(LAYING_QUEEN, 0.1),
            // a missed queen is common, a virgin is missed more often than seen
            line(Sign.QUEEN, QUEEN, 0.004).in(LAYING_QUEEN, 0.6).in(TWO_QUEENS, 0.8).in(DRONE_LAYER, 0.5)
                    .in(CELLS, 0.4).in(VIRGIN, 0.15).in(RECENTLY_QUEENLESS, 0.002),
            line(Sign.QUEEN_MARKED, QUEEN, 0.002).in(LAYING_QUEEN, 0.65).in(TWO_QUEENS, 0.6).in(DRONE_LAYER, 0.4)
                    .in(CELLS, 0.35),
            line(Sign.QUEEN_UNMARKED, QUEEN, 0.003).in(LAYING_QUEEN, 0.3).in(TWO_QUEENS, 0.4).in(DRONE_LAYER, 0.3)
                    .in(CELLS, 0.1).in(VIRGIN, 0.12),
            line(Sign.VIRGIN, QUEEN, 0.002).in(VIRGIN, 0.2).in(LAYING_QUEEN, 0.001).in(TWO_QUEENS, 0.005)
                    .in(JUST_SWARMED, 0.02).in(DRONE_LAYER, 0.01),
            line(Sign.TWO_QUEENS, QUEEN, 0.001).in(TWO_QUEENS, 0.5),
            // on a frame with open brood the queenless begin cells within days, the queenright do not
            line(Sign.CELLS_ON_TEST_FRAME, TEST, 0.02).in(RECENTLY_QUEENLESS, 0.92).in(HOPELESSLY_QUEENLESS, 0.9)
                    .in(LAYING_WORKERS, 0.4).in(CELLS, 0.3).in(DRONE_LAYER, 0.12).in(JUST_SWARMED, 0.15));

    /** Single eggs and doubled ones side by side, where both were seen: a young queen, or the first of the workers. */
    static final SignOdds EGGS_MIXED = line(Sign.EGGS_SEVERAL, EGG_PATTERN, 0.02).in(LAYING_QUEEN, 0.08)
            .in(TWO_QUEENS, 0.2).in(DRONE_LAYER, 0.2).in(LAYING_WORKERS, 0.2);

    private static final Map<Sign, SignOdds> BY_SIGN = TABLE.stream()
            .collect(Collectors.toMap(SignOdds::sign, Function.identity()));

    private Likelihoods() {
    }

    static Optional<SignOdds> of(Sign sign) {
        return Optional.ofNullable(BY_SIGN.get(sign));
    }

    static List<SignOdds> table() {
        return TABLE;
    }
}

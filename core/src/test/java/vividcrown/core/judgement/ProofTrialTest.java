package vividcrown.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.brood.BroodProof;
import vividcrown.core.brood.BroodProver;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * What brood proves is never wrong where nothing is overlooked: simulated hives with drone layers, laying workers, drone comb,
 * frames given and brood moved to other hives, every look exact. The truth is the last day on which a fertilised egg was laid there, and the last on which a
 * queen laid at all.
 */
class ProofTrialTest {

    private static final int HIVES = 2_000;

    private static boolean any(double[] brood, int from, int to) {
        return Arrays.stream(brood, from, Math.min(brood.length, to + 1)).anyMatch(one -> one > 0);
    }

    private static Reading exact(SimulatedHive hive, boolean droneComb) {
        Set<Sign> seen = EnumSet.noneOf(Sign.class);
        Set<Sign> absent = EnumSet.noneOf(Sign.class);
        boolean drones = droneComb && hive.queen == SimulatedHive.Queen.LAYS;
        (any(hive.worker, 0, 2) || any(hive.drone, 0, 2) ? seen : absent).add(Sign.EGGS);
        (any(hive.worker, 3, 8) || any(hive.drone, 3, 9) || drones ? seen : absent).add(Sign.LARVAE);
        (any(hive.worker, 9, 21) ? seen : absent).add(Sign.SEALED_WORKER);
        if (any(hive.drone, 10, 23)) {
            seen.add(Sign.SEALED_DRONE_SCATTERED);
        }
        if (drones) {
            seen.add(Sign.SEALED_DRONE_IN_DRONE_COMB);
        }
        if (hive.workersLay >= 0 && any(hive.drone, 0, 2)) {
            seen.add(Sign.EGGS_SEVERAL);
        }
        return new Reading(hive.day, seen, absent, List.of());
    }

    @Test
    void the_last_fertilised_egg_always_lies_in_the_span_that_is_proven() {
        int proven = 0;
        for (int seed = 0; seed < HIVES; seed++) {
            Random luck = new Random(seed * 31L + 5);
            SimulatedHive hive = new SimulatedHive(LocalDate.of(2026, 5, 1).plusDays(luck.nextInt(60)), luck);
            List<Reading> readings = new ArrayList<>();
            List<ColonyEvent> events = new ArrayList<>();
            boolean droneComb = luck.nextBoolean();
            int trouble = luck.nextInt(4);
            for (int visit = 0; visit < 7; visit++) {
                readings.add(exact(hive, droneComb));
                if (visit == 1 && trouble == 1) {
                    hive.queen = SimulatedHive.Queen.NONE;
                    events.add(new ColonyEvent(hive.day, EventKind.QUEEN_REMOVED));
                } else if (visit == 1 && trouble == 2) {
                    hive.queen = SimulatedHive.Queen.FAILS;
                    hive.queenDays = 20;
                } else if (visit == 4 && !hive.hasOpenBrood()) {
                    Arrays.fill(hive.worker, 0, 7, 0.4);
                    events.add(new ColonyEvent(hive.day, EventKind.BROOD_GIVEN));
                } else if (visit == 2 && trouble == 3) {
                    // every comb with brood goes to another hive, the queen stays or was lost meanwhile
                    Arrays.fill(hive.worker, 0);
                    Arrays.fill(hive.drone, 0);
                    events.add(new ColonyEvent(hive.day, EventKind.BROOD_TAKEN));
                    if (luck.nextBoolean()) {
                        hive.queen = SimulatedHive.Queen.NONE;
                        events.add(new ColonyEvent(hive.day, EventKind.QUEEN_REMOVED));
                    }
                } else if (visit == 5 && trouble == 3) {
                    int youngest = luck.nextInt(18);
                    Arrays.fill(hive.worker, youngest, youngest + 1 + luck.nextInt(20 - youngest), 0.4);
                    events.add(new ColonyEvent(hive.day, EventKind.BROOD_GIVEN));
                }
                int days = 3 + luck.nextInt(8);
                for (int day = 0; day < days; day++) {
                    hive.next();
                }
            }
            BroodProof proof = BroodProver.prove(readings, events, hive.day, Assumptions.standard());
            Optional<LocalDate> earliest = proof.lastEgg().flatMap(last -> last.earliest());
            if (proof.lastEgg().isPresent() && proof.clashes().isEmpty()) {
                proven++;
                assertThat(hive.lastFertilised).as("hive %d, %s", seed, readings)
                        .isBeforeOrEqualTo(proof.lastEgg().get().latest());
                // the eggs of a queen who was never mated look like any other's until they are sealed
                earliest.ifPresent(first -> assertThat(hive.lastQueens).as("%s %s", readings, events)
                        .isAfterOrEqualTo(first));
            }
        }
        assertThat(proven).isGreaterThan(HIVES / 2);
    }
}

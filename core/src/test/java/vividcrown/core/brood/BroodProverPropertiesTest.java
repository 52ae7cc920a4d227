package vividcrown.core.brood;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/** The proofs against colonies simulated day by day, whose truth is known. */
class BroodProverPropertiesTest {

    private static LocalDate day(int number) {
        return SimulatedColony.START.plusDays(number);
    }

    private static BroodProof proof(SimulatedColony colony) {
        return BroodProver.prove(colony.readings, List.of(), day(colony.asOf), Assumptions.standard());
    }

    @Property(tries = 4000)
    void the_truth_lies_inside(@ForAll long seed) {
        SimulatedColony colony = new SimulatedColony(seed);
        BroodProof proof = proof(colony);
        assertThat(proof.clashes()).isEmpty();
        if (!colony.laid.isEmpty()) {
            LocalDate lastEgg = day(colony.laid.last());
            proof.lastEgg().ifPresent(span -> assertThat(span.contains(lastEgg)).as("%s in %s", lastEgg, span)
                    .isTrue());
            proof.queenlessSince()
                    .ifPresent(since -> assertThat(since.contains(lastEgg.plusDays(1))).as("%s", since).isTrue());
        } else {
            assertThat(proof.layings()).isEmpty();
        }
        for (Laying laying : proof.layings()) {
            LocalDate from = laying.firstEgg().earliest().orElse(LocalDate.MIN);
            List<LocalDate> within = colony.laid.stream().map(BroodProverPropertiesTest::day)
                    .filter(laid -> !laid.isBefore(from) && !laid.isAfter(laying.lastEgg().latest())).toList();
            assertThat(within).isNotEmpty();
            assertThat(laying.firstEgg().contains(within.getFirst())).as("%s in %s", within, laying).isTrue();
            assertThat(laying.lastEgg().contains(within.getLast())).as("%s in %s", within, laying).isTrue();
        }
    }

    /** Both ends are reached: by a laying up to that day, and no day further, that every look allows. */
    @Property(tries = 1500)
    void no_narrower_span_holds(@ForAll long seed) {
        SimulatedColony colony = new SimulatedColony(seed);
        proof(colony).lastEgg().ifPresent(span -> {
            assertThat(isPossible(colony, span.latest())).as("latest %s", span.latest()).isTrue();
            assertThat(isPossible(colony, span.latest().plusDays(1))).isFalse();
            span.earliest().ifPresent(earliest -> {
                assertThat(isPossible(colony, earliest)).as("earliest %s", earliest).isTrue();
                assertThat(isPossible(colony, earliest.minusDays(1))).as("before %s", earliest).isFalse();
            });
        });
    }

    /** By brute force: can the last egg have been laid on this day, if every other day may be chosen freely? */
    private static boolean isPossible(SimulatedColony colony, LocalDate last) {
        if (last.isAfter(day(colony.asOf)) || !mayHaveLaid(colony.readings, last)) {
            return false;
        }
        List<LocalDate> laid = new ArrayList<>();
        for (LocalDate one = last; one.isAfter(SimulatedColony.START.minusDays(60)); one = one.minusDays(1)) {
            if (mayHaveLaid(colony.readings, one)) {
                laid.add(one);
            }
        }
        return colony.readings.stream()
                .allMatch(reading -> reading.seen().stream().filter(BroodProverPropertiesTest::isOf)
                        .allMatch(sign -> laid.stream()
                                .anyMatch(one -> looks(reading.day().toEpochDay() - one.toEpochDay()).contains(sign))));
    }

    private static boolean mayHaveLaid(List<Reading> readings, LocalDate laid) {
        return readings.stream().allMatch(reading -> {
            long age = reading.day().toEpochDay() - laid.toEpochDay();
            return age < 0 || age >= 20 || !reading.absent().containsAll(looks(age));
        });
    }

    private static boolean isOf(Sign sign) {
        return EnumSet.of(Sign.EGGS, Sign.YOUNG_LARVAE, Sign.OLD_LARVAE, Sign.SEALED_WORKER, Sign.EMERGING_WORKERS)
                .contains(sign);
    }

    /** What brood of this age can look like: published days, written out by hand. */
    private static Set<Sign> looks(long age) {
        Set<Sign> looks = EnumSet.noneOf(Sign.class);
        Optional.of(Sign.EGGS).filter(_ -> age >= 0 && age <= 3).ifPresent(looks::add);
        Optional.of(Sign.YOUNG_LARVAE).filter(_ -> age >= 3 && age <= 6).ifPresent(looks::add);
        Optional.of(Sign.OLD_LARVAE).filter(_ -> age >= 6 && age <= 9).ifPresent(looks::add);
        Optional.of(Sign.SEALED_WORKER).filter(_ -> age >= 9 && age <= 22).ifPresent(looks::add);
        Optional.of(Sign.EMERGING_WORKERS).filter(_ -> age >= 20 && age <= 22).ifPresent(looks::add);
        return looks;
    }
}

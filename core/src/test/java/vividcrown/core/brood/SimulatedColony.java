package vividcrown.core.brood;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * A colony whose truth is known: one or two queens lay on known days, every egg develops by a clock of its own within
 * the published spans, and somebody looks at it now and then, at some things and not at others. Shares no code with
 * what it is to check.
 */
final class SimulatedColony {

    static final LocalDate START = LocalDate.of(2026, 4, 1);
    private static final List<Sign> LOOKED_FOR = List.of(Sign.EGGS, Sign.YOUNG_LARVAE, Sign.OLD_LARVAE,
            Sign.SEALED_WORKER, Sign.EMERGING_WORKERS);

    /** Days on which eggs were laid, from {@link #START}. */
    final NavigableSet<Integer> laid = new TreeSet<>();
    final List<Reading> readings = new ArrayList<>();
    final int asOf;

    private record Egg(int day, int hatchedFrom, int oldFrom, int sealedFrom, int emergesOn) {

        Sign at(int today) {
            int age = today - day;
            if (age < hatchedFrom) {
                return Sign.EGGS;
            }
            if (age < oldFrom) {
                return Sign.YOUNG_LARVAE;
            }
            if (age < sealedFrom) {
                return Sign.OLD_LARVAE;
            }
            return age < emergesOn ? Sign.SEALED_WORKER : Sign.EMERGING_WORKERS;
        }

        boolean isOnComb(int today) {
            return today >= day && today - day <= emergesOn;
        }
    }

    SimulatedColony(long seed) {
        Random random = new Random(seed);
        int first = random.nextInt(10);
        int last = first + random.nextInt(30);
        addLaying(random, first, last);
        if (random.nextBoolean()) {
            int again = last + 2 + random.nextInt(30);
            addLaying(random, again, again + random.nextInt(20));
        }
        List<Egg> eggs = new ArrayList<>();
        for (int day : laid) {
            for (int copy = 0; copy < 4; copy++) {
                // at three days egg or larva, at six young or old, at nine open or sealed; out at 20, 21 or 22
                eggs.add(new Egg(day, 3 + random.nextInt(2), 6 + random.nextInt(2), 9 + random.nextInt(2),
                        20 + random.nextInt(3)));
            }
        }
        int look = random.nextInt(12);
        for (int count = 1 + random.nextInt(4); count > 0; count--) {
            readings.add(read(random, look, eggs));
            look += 1 + random.nextInt(15);
        }
        asOf = (int) (readings.getLast().day().toEpochDay() - START.toEpochDay()) + random.nextInt(3);
        laid.removeIf(day -> day > asOf);
    }

    private void addLaying(Random random, int first, int last) {
        for (int day = first; day <= last; day++) {
            if (random.nextInt(10) > 0) {
                laid.add(day);
            }
        }
    }

    private static Reading read(Random random, int today, List<Egg> eggs) {
        Map<Sign, Boolean> there = new EnumMap<>(Sign.class);
        LOOKED_FOR.forEach(sign -> there.put(sign, false));
        eggs.stream().filter(egg -> egg.isOnComb(today)).forEach(egg -> there.put(egg.at(today), true));
        Set<Sign> seen = EnumSet.noneOf(Sign.class);
        Set<Sign> absent = EnumSet.noneOf(Sign.class);
        there.forEach((sign, is) -> {
            if (random.nextInt(4) > 0) {
                (is ? seen : absent).add(sign);
            }
        });
        return new Reading(START.plusDays(today), seen, absent, List.of());
    }
}

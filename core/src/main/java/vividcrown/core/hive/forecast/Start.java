package vividcrown.core.hive.forecast;

import java.time.LocalDate;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.Comb;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Unit;
import vividcrown.core.time.DatedSpan;

/** Brood and bees by the day of age, as they must have been when they were counted. */
final class Start {

    /** Of the bees of a colony in flow about a third are foragers; at midday they are out. Common practice. */
    private static final double FORAGERS = 0.3;

    /** Without brood they grow older only so fast. */
    private static final double OLDER_WITHOUT_BROOD = 0.8;

    private Start() {
    }

    static Population of(Unit unit, Growth growth, BeeYear year) {
        Population colony = new Population(growth);
        LocalDate day = unit.readOn();
        int since = unit.lastEgg().map(DatedSpan::likely).map(last -> daysBetween(last, day)).orElse(0);
        int laying = unit.queen().lays().map(DatedSpan::likely).map(first -> daysBetween(first, day)).orElse(-1);
        // there is brood of the days before laying stopped, and of those since it began again
        IntPredicate can = age -> age >= since || laying >= 0 && age <= laying;
        double eggs = 0;
        double larvae = 0;
        double sealed = 0;
        for (FrameSeen frame : unit.frames()) {
            Comb comb = frame.comb();
            eggs += unit.side().cells(2 * comb.eggs());
            larvae += unit.side().cells(2 * comb.larvae());
            sealed += unit.side().cells(2 * comb.sealed());
        }
        spread(colony, eggs * growth.counted(), 0, 2, can);
        spread(colony, larvae * growth.counted(), 3, 8, can);
        spread(colony, sealed * growth.counted(), 9, Population.BROOD_DAYS - 1, can);
        bees(colony, unit, growth, year.flying(day), since, laying);
        return colony;
    }

    private static int daysBetween(LocalDate from, LocalDate to) {
        return (int) (to.toEpochDay() - from.toEpochDay());
    }

    private static void spread(Population colony, double cells, int from, int to, IntPredicate can) {
        int[] ages = IntStream.rangeClosed(from, to).filter(can).toArray();
        if (ages.length == 0) {
            ages = IntStream.rangeClosed(from, to).toArray();
        }
        for (int age : ages) {
            colony.brood(age, cells / ages.length);
        }
    }

    private static void bees(Population colony, Unit unit, Growth growth, double flying, int since, int laying) {
        double bees = unit.side().bees(unit.framesOfBees()) * growth.counted();
        // the last of the old brood came out so long ago, the first of the new so long
        int without = (int) (OLDER_WITHOUT_BROOD * Math.max(0, since - Population.BROOD_DAYS));
        int again = laying - Population.BROOD_DAYS;
        int last = Growth.NURSE_DAYS - 1;
        int[] ages = IntStream.rangeClosed(0, last).filter(age -> age >= without || age <= again).toArray();
        double shareYoung = (double) ages.length / Growth.NURSE_DAYS;

        double fly = unit.flyers().orElse(FORAGERS);
        double foragers = ages.length == 0 ? 1 : fly + (1 - fly) * (1 - shareYoung);
        // who cannot fly stays in the hive, whatever its age
        double out = foragers * flying;
        colony.foragers(bees * out);
        int[] within = ages.length == 0 ? new int[]{last} : ages;
        double idle = ages.length == 0 ? 1 - out : (1 - flying) * foragers;
        colony.bees(last, bees * idle);
        double rest = 1 - out - idle;
        for (int age : within) {
            colony.bees(age, bees * Math.max(0, rest) / within.length);
        }
    }
}

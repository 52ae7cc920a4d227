package vividcrown.core.hive.forecast;

import java.time.LocalDate;
import vividcrown.core.climate.BeeYear;

/** How a place's bees lay and fly, day by day: worked out once for all runs of a forecast. */
final class Days {

    private final long first;
    private final double[] laying;
    private final double[] flying;

    Days(BeeYear year, LocalDate first, LocalDate last) {
        int many = (int) (last.toEpochDay() - first.toEpochDay()) + 1;
        this.first = first.toEpochDay();
        this.laying = new double[many];
        this.flying = new double[many];
        for (int day = 0; day < many; day++) {
            laying[day] = year.laying(first.plusDays(day));
            flying[day] = year.flying(first.plusDays(day));
        }
    }

    double laying(LocalDate day) {
        return laying[(int) (day.toEpochDay() - first)];
    }

    double flying(LocalDate day) {
        return flying[(int) (day.toEpochDay() - first)];
    }
}

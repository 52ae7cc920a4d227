package vividcrown.core.time;

import java.time.LocalDate;
import java.util.List;

/**
 * Something that changes through the year: each month's value stands for its middle, and in between it goes straight.
 *
 * @param values twelve, January first
 */
public record Monthly(List<Double> values) {

    /** @throws IllegalArgumentException unless there are twelve */
    public Monthly {
        values = List.copyOf(values);
        if (values.size() != 12) {
            throw new IllegalArgumentException("A year has twelve monthly values, but got %d".formatted(values.size()));
        }
    }

    public double on(LocalDate day) {
        double at = day.getMonthValue() - 1 + (day.getDayOfMonth() - 15.5) / day.lengthOfMonth();
        int before = (int) Math.floor(at);
        double part = at - before;
        return values.get(Math.floorMod(before, 12)) * (1 - part) + values.get(Math.floorMod(before + 1, 12)) * part;
    }
}

package vividcrown.core.climate;

import java.util.List;

/**
 * Kinds of climate that queens are raised in, by monthly normals of one lowland or upland place of each. All figures are
 * written down from memory of published station normals of 1961–1990 and 1991–2020, rounded; a place of one's own is better
 * described by its own monthly highs.
 */
public enum Climate {
    /** Mild and windy all the year, cool summers: the Atlantic coast at 52° N. */
    COOL_MARITIME(70, 2.8, true, List.of(8, 8, 10, 12, 15, 18, 20, 19, 17, 14, 11, 9),
            List.of(25, 30, 38, 45, 50, 50, 50, 50, 45, 38, 30, 25)),
    /** Cold winters, warm summers: lowland at 52° N, far from the sea. */
    CONTINENTAL(100, 4.5, true, List.of(1, 3, 8, 14, 20, 23, 25, 24, 19, 13, 6, 2),
            List.of(30, 35, 45, 52, 58, 60, 62, 62, 55, 45, 30, 25)),
    /** Valleys under the mountains at 46–47° N. */
    UPLAND(550, 4.2, true, List.of(3, 5, 10, 14, 18, 22, 24, 24, 19, 14, 8, 4),
            List.of(35, 45, 52, 58, 62, 66, 70, 68, 62, 50, 35, 30)),
    /** Wet winters, hot summers without rain: inland at 38° N. */
    WARM_DRY_SUMMER(20, 4.0, true, List.of(12, 16, 19, 23, 27, 31, 34, 33, 31, 26, 18, 12),
            List.of(50, 60, 65, 72, 80, 85, 90, 90, 87, 78, 62, 50)),
    /** Mild winters, hot and wet summers: 33° N, east of a continent. */
    HUMID_SUBTROPICAL(300, 4.0, true, List.of(11, 14, 18, 23, 27, 30, 32, 31, 28, 23, 17, 12),
            List.of(50, 52, 58, 64, 62, 60, 55, 58, 58, 64, 58, 50)),
    /** The same mild warmth all the year, two rains: near the equator at 1,700 m. */
    TROPICAL_HIGHLAND(1_700, 2.0, false, List.of(26, 27, 27, 25, 24, 23, 22, 23, 26, 26, 24, 25),
            List.of(70, 72, 65, 50, 50, 50, 45, 50, 62, 55, 50, 62));

    private final int elevationMetres;
    private final double spreadCelsius;
    private final boolean turnedInTheSouth;
    private final List<Integer> highs;
    private final List<Integer> brightAndCalm;

    Climate(int elevationMetres, double spreadCelsius, boolean turnedInTheSouth, List<Integer> highs,
            List<Integer> brightAndCalm) {
        this.elevationMetres = elevationMetres;
        this.spreadCelsius = spreadCelsius;
        this.turnedInTheSouth = turnedInTheSouth;
        this.highs = highs;
        this.brightAndCalm = brightAndCalm;
    }

    /** Where the normals are taken from, metres above the sea. */
    public int elevationMetres() {
        return elevationMetres;
    }

    /** By how much the highest temperature of a day strays from the usual one: a standard deviation, °C. */
    public double spreadCelsius() {
        return spreadCelsius;
    }

    /** South of the equator its months lie half a year apart from these. */
    public boolean isTurnedInTheSouth() {
        return turnedInTheSouth;
    }

    /** Usual highest temperature of a day in each month, January first, °C. */
    public List<Double> highs() {
        return highs.stream().map(Integer::doubleValue).toList();
    }

    /** Share of afternoons with light enough and little wind in each month, January first, 0–1. */
    public List<Double> brightAndCalm() {
        return brightAndCalm.stream().map(percent -> percent / 100.0).toList();
    }

    /** What it most likely is where nobody said it, by distance from the equator and elevation. Common practice. */
    public static Climate likelyAt(double latitude, int elevationMetres) {
        double away = Math.abs(latitude);
        if (away < 23.5) {
            return TROPICAL_HIGHLAND;
        }
        if (away < 35) {
            return HUMID_SUBTROPICAL;
        }
        if (away < 42) {
            return WARM_DRY_SUMMER;
        }
        return elevationMetres >= 400 ? UPLAND : CONTINENTAL;
    }
}

package vividcrown.core.hive;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The usual frames and the comb area of one side. From memory of common tables; an operation adds its own.
 */
public enum FrameFormat {
    DEEP_LANGSTROTH("Langstroth deep", 8.8), MEDIUM_LANGSTROTH("Langstroth medium", 5.6), DADANT("Dadant", 11.3),
    BRITISH_NATIONAL("British National", 7.0);

    private final String label;
    private final double sideSquareDecimetres;

    FrameFormat(String label, double sideSquareDecimetres) {
        this.label = label;
        this.sideSquareDecimetres = sideSquareDecimetres;
    }

    public String label() {
        return label;
    }

    /** Comb area of one side, dm². */
    public double sideSquareDecimetres() {
        return sideSquareDecimetres;
    }

    /** Every usual format's label with its area, dm². */
    public static Map<String, Double> sides() {
        Map<String, Double> sides = new LinkedHashMap<>();
        for (FrameFormat format : values()) {
            sides.put(format.label, format.sideSquareDecimetres);
        }
        return sides;
    }
}

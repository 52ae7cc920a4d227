package vividcrown.core.queen;

import vividcrown.core.reason.Sentence;

/**
 * The international marking colour, by the last digit of the year in which the queen emerged. Trade standard.
 */
public enum YearColour {
    WHITE, YELLOW, RED, GREEN, BLUE;

    /** 1 or 6 white, 2 or 7 yellow, 3 or 8 red, 4 or 9 green, 5 or 0 blue. */
    public static YearColour of(int year) {
        return switch (Math.floorMod(year, 5)) {
            case 1 -> WHITE;
            case 2 -> YELLOW;
            case 3 -> RED;
            case 4 -> GREEN;
            default -> BLUE;
        };
    }

    public Sentence sentence() {
        return Sentence.of("colour." + name());
    }
}

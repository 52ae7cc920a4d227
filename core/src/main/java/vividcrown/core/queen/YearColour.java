package vividcrown.core.queen;

import vividcrown.core.reason.Sentence;

/**
 * What queens are marked with: first the five colours of the international code, in its order (years ending in 1 or 6 white, 2 or 7
 * yellow, 3 or 8 red, 4 or 9 green, 5 or 0 blue), then others that people paint with. Which year has which is
 * {@link MarkingScheme}'s to say.
 */
public enum YearColour {
    WHITE, YELLOW, RED, GREEN, BLUE, ORANGE, PINK, SILVER;

    public Sentence sentence() {
        return Sentence.of("colour." + name());
    }
}

package vividcrown.core.merit;

import vividcrown.core.reason.Sentence;

/** What a colony is scored for. The best is always the highest mark. */
public enum Trait {
    /** Gentle on the comb. */
    TEMPER(0.4),
    /** Brood without holes. */
    PATTERN(0.15),
    CROP(0.25),
    /** Few mites. */
    MITES(0.15),
    /** Mites that grow slowly. */
    MITE_GROWTH(0.15),
    WINTERING(0.2),
    /** Does not swarm. */
    SWARMING(0.3),
    /** Early strength. */
    BUILD_UP(0.3);

    private final double heritability;

    Trait(double heritability) {
        this.heritability = heritability;
    }

    /**
     * Share of what colonies differ in, at one yard in one year, that goes on to daughters; 0–1. Values written down from memory of
     * Bienefeld, Ehrhardt &amp; Reinhardt 2007 (Apidologie 38:77) and the studies it cites; broad.
     */
    public double heritability() {
        return heritability;
    }

    public Sentence sentence() {
        return Sentence.of("trait." + name());
    }
}

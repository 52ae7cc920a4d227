package vividcrown.core.search;

import java.util.List;
import java.util.Set;
import vividcrown.core.reading.Sign;

/** What a side shows at one tap, by its largest part. */
public enum Shows {
    /** Searched; what stands on it was not noted. */
    NOTHING,
    /** Eggs, many of them: thicker than on most. */
    MANY_EGGS, EGGS,
    /** Larvae, no eggs. */
    OPEN,
    /** Emptied, polished cells in the place of the brood nest. */
    EMPTIED,
    /** Sealed brood. */
    SEALED,
    /** Honey, nectar, pollen. */
    FOOD,
    /** Drawn comb without anything. */
    BARE,
    /** Foundation, or bees that build. */
    FOUNDATION;

    private static final Set<Sign> STORES = Set.of(Sign.SEALED_HONEY, Sign.NECTAR, Sign.POLLEN);

    /** What the signs of a side come to, the largest part first. */
    static Shows of(List<Sign> signs) {
        if (signs.isEmpty()) {
            return NOTHING;
        }
        boolean eggs = signs.stream().anyMatch(sign -> sign.upwards().contains(Sign.EGGS));
        Sign most = signs.getFirst();
        if (most.upwards().contains(Sign.EGGS)) {
            return MANY_EGGS;
        }
        if (eggs) {
            return EGGS;
        }
        if (most == Sign.POLISHED_CELLS || most == Sign.SEALED_RING || most == Sign.EMERGING_WORKERS) {
            return EMPTIED;
        }
        if (signs.stream().anyMatch(sign -> sign.upwards().contains(Sign.LARVAE) || sign == Sign.OPEN_BROOD)) {
            return OPEN;
        }
        if (signs.stream().anyMatch(sign -> sign.upwards().contains(Sign.BROOD))) {
            return SEALED;
        }
        if (STORES.contains(most)) {
            return FOOD;
        }
        return most == Sign.FOUNDATION ? FOUNDATION : most == Sign.EMPTY_COMB ? BARE : NOTHING;
    }

    boolean isBrood() {
        return switch (this) {
            case MANY_EGGS, EGGS, OPEN, EMPTIED, SEALED -> true;
            case NOTHING, FOOD, BARE, FOUNDATION -> false;
        };
    }

    /** She seldom crosses it. */
    boolean isBarrier() {
        return this == FOOD || this == FOUNDATION;
    }

    /** The sign that it is noted as in a reading, if it is one. */
    public List<Sign> signs() {
        return switch (this) {
            case NOTHING -> List.of();
            case MANY_EGGS, EGGS -> List.of(Sign.EGGS);
            case OPEN -> List.of(Sign.LARVAE);
            case EMPTIED -> List.of(Sign.POLISHED_CELLS);
            case SEALED -> List.of(Sign.SEALED_BROOD);
            case FOOD -> List.of(Sign.SEALED_HONEY);
            case BARE -> List.of(Sign.EMPTY_COMB);
            case FOUNDATION -> List.of(Sign.FOUNDATION);
        };
    }
}

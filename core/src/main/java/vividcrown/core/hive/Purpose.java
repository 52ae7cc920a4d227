package vividcrown.core.hive;

import vividcrown.core.reason.Sentence;

/** What a hive is kept for. It may change: a nuc that grows becomes a production hive. */
public enum Purpose {
    PRODUCTION, BUILDER, MATING_NUC, NUC, MINI_NUC, DRONE_COLONY, BANK;

    /** Cells and virgins are given to it in turn, and it stands in the mating yard's row. */
    public boolean isForMating() {
        return switch (this) {
            case MATING_NUC, MINI_NUC -> true;
            case PRODUCTION, BUILDER, NUC, DRONE_COLONY, BANK -> false;
        };
    }

    /**
     * A cell or a virgin may be loose in it. In a builder or a bank she tears down the cells, or kills those in the cages.
     * Source: common practice.
     */
    public boolean bearsVirgin() {
        return switch (this) {
            case PRODUCTION, MATING_NUC, NUC, MINI_NUC, DRONE_COLONY -> true;
            case BUILDER, BANK -> false;
        };
    }

    /** It is read through the season, week by week, for swarm cells. */
    public boolean isReadWeekly() {
        return switch (this) {
            case PRODUCTION, DRONE_COLONY -> true;
            case BUILDER, MATING_NUC, NUC, MINI_NUC, BANK -> false;
        };
    }

    public Sentence sentence() {
        return Sentence.of("purpose." + name());
    }
}

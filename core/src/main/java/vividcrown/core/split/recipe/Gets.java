package vividcrown.core.split.recipe;

/** What a new unit gets for a queen. */
public enum Gets {
    /** It raises one on its own eggs. */
    RAISES_ITS_OWN,
    /** The hive's old queen comes along. */
    THE_OLD_QUEEN, RIPE_CELL, VIRGIN, MATED_QUEEN;

    /** She has still to mate. */
    public boolean mustMate() {
        return switch (this) {
            case RAISES_ITS_OWN, RIPE_CELL, VIRGIN -> true;
            case THE_OLD_QUEEN, MATED_QUEEN -> false;
        };
    }
}

package vividcrown.core.queen;

/** How far a queen has come. Stages after {@link #DRONE_LAYER} are ends. */
public enum Stage {
    GRAFTED, TAKEN, SEALED, VIRGIN, LAYING, JUDGED, DRONE_LAYER, NOT_TAKEN, CULLED, DUD, DEAD, TAKEN_OUT;

    public boolean isEnd() {
        return switch (this) {
            case GRAFTED, TAKEN, SEALED, VIRGIN, LAYING, JUDGED, DRONE_LAYER -> false;
            case NOT_TAKEN, CULLED, DUD, DEAD, TAKEN_OUT -> true;
        };
    }

    public boolean isCell() {
        return this == GRAFTED || this == TAKEN || this == SEALED;
    }
}

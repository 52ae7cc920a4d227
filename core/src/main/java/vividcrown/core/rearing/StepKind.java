package vividcrown.core.rearing;

/** The steps of a graft, in the order in which they usually fall. */
public enum StepKind {
    DRONE_COMB, CONFINE_BREEDER, MAKE_UP_BUILDER, GRAFT, COUNT_TAKE, MOVE_TO_FINISHER, CHECK_ROGUE_CELLS, SEALED,
    HANDS_OFF_CELLS, RESTOCK_BUILDER, CULL, PLACE_CELLS, CAGE_CELLS, EMERGENCE, INTRODUCE_VIRGINS, CHECK_EMERGENCE,
    MATURE, HANDS_OFF_MATING, FIRST_EGGS, FIRST_LOOK, JUDGE_BROOD, CALL_LATE, DRONES_ONLY;

    /** Somebody does something at the builder or incubator, so it belongs into the round until it is done. */
    public boolean isWorkOnTheBatch() {
        return switch (this) {
            case CONFINE_BREEDER, MAKE_UP_BUILDER, GRAFT, COUNT_TAKE, MOVE_TO_FINISHER, CHECK_ROGUE_CELLS,
                    RESTOCK_BUILDER, CULL, PLACE_CELLS, CAGE_CELLS, INTRODUCE_VIRGINS ->
                true;
            case DRONE_COMB, SEALED, HANDS_OFF_CELLS, EMERGENCE, CHECK_EMERGENCE, MATURE, HANDS_OFF_MATING, FIRST_EGGS,
                    FIRST_LOOK, JUDGE_BROOD, CALL_LATE, DRONES_ONLY ->
                false;
        };
    }

    /** The boxes stay shut on these days. */
    public boolean isHandsOff() {
        return this == HANDS_OFF_CELLS || this == HANDS_OFF_MATING;
    }
}

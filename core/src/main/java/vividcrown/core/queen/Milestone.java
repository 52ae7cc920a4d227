package vividcrown.core.queen;

/** A dated fact of a queen's life that later days are counted from. */
public enum Milestone {
    GRAFTED, TAKE_COUNTED, SEALED_SEEN, CAGED, PLACED_AS_CELL, PLACED_AS_VIRGIN, EMERGED_SEEN, VIRGIN_SEEN,
    LAST_LOOK_WITHOUT_EGGS, EGGS_SEEN, SEALED_BROOD_SEEN, DRONE_BROOD_SEEN, NOT_FOUND, MARKED, MARK_LOST, MARK_WORN,
    CLIPPED, ENDED
}

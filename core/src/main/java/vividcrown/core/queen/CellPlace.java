package vividcrown.core.queen;

/** Where in the box a cell hangs. The brood keeps it warm; on honey beside the brood it chills in cold weather. */
public enum CellPlace {
    BETWEEN_BROOD, BESIDE_BROOD, ON_HONEY
}

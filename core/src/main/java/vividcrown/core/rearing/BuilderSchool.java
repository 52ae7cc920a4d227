package vividcrown.core.rearing;

/** How the cell builder is run. Both schools of the trade, and the queenright variant, can be followed to the end. */
public enum BuilderSchool {
    /** A queenless starter for the first day, then a queenright finisher. */
    STARTER_THEN_FINISHER,
    /** One queenless starter-finisher, restocked weekly with sealed and emerging brood. */
    STARTER_FINISHER,
    /** A queenright colony, the queen below an excluder. */
    QUEENRIGHT_EXCLUDER;

    /** The most cups that an exceptional builder brings up; a usual one 15–20. Common practice. */
    public static final int EXCEPTIONAL_LOAD = 45;
}

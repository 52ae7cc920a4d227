package vividcrown.core.rearing;

/** How the cell builder is run. Both schools of the trade, and the queenright variant, can be followed to the end. */
public enum BuilderSchool {
    /** A queenless starter for the first day, then a queenright finisher. */
    STARTER_THEN_FINISHER,
    /** One queenless starter-finisher, restocked weekly with sealed and emerging brood. */
    STARTER_FINISHER,
    /** A queenright colony, the queen below an excluder. */
    QUEENRIGHT_EXCLUDER;

    /** Cups a strong builder of this school brings up well; common practice: 15–20, up to 45 for an exceptional one. */
    public static final int USUAL_LOAD = 20;
    public static final int EXCEPTIONAL_LOAD = 45;
}

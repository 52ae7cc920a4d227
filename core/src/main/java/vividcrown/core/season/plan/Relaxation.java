package vividcrown.core.season.plan;

/** What can be given way to where not everything can be had. */
public enum Relaxation {
    /** More mating nucs. */
    NUCS,
    /** More cell builders. */
    BUILDERS,
    /** More hours on working days. */
    HOURS,
    /** Work on days off. */
    DAYS_OFF,
    /** A later day of delivery. */
    LATER,
    /** More places in the incubator. */
    CAGES,
    /** Less than the assurance wanted. */
    ASSURANCE,
    /** Fewer of the order, as surely as wanted. */
    FEWER,
    /** Queens, virgins or cells from somebody else. */
    BUY_IN,
    /** A no to another order. */
    SAY_NO
}

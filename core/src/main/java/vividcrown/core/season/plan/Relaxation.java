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
    ASSURANCE
}

package vividcrown.core.season.plan;

/**
 * How hard is searched: counted in the solver's own steps, so that the same season gives the same plan however busy the machine is. The clock
 * only guards.
 *
 * @param steps in the solver's own count, a third of one or so for a second; above 0
 * @param seconds by the clock, at most
 */
record Effort(double steps, double seconds) {

    /** The solver's steps for each second that is allowed: few enough that the clock seldom cuts them off. */
    private static final double STEPS_A_SECOND = 0.25;
    static final double LEAST_STEPS = 0.1;

    /** Of the time that is left, nothing takes more: what comes after wants some too. */
    private static final double MOST_OF_WHAT_IS_LEFT = 0.6;

    /** A share of so many seconds, as long as the clock allows. */
    static Effort of(double mostSeconds, double share, Deadline deadline) {
        return new Effort(Math.max(LEAST_STEPS, mostSeconds * share * STEPS_A_SECOND),
                Math.max(Deadline.SHORTEST_SEARCH_SECONDS, deadline.secondsLeft() * MOST_OF_WHAT_IS_LEFT));
    }

    Effort half() {
        return new Effort(steps / 2, seconds / 2);
    }
}

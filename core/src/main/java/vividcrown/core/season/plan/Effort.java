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
    static final double LEAST_STEPS = 0.04;

    private static final double SERVINGS_A_STEP = 25;
    private static final int FEWEST_SERVINGS = 2;
    private static final int MOST_SERVINGS = 8;
    private static final double ROUNDS_A_STEP = 800;
    private static final int FEWEST_ROUNDS = 100;
    private static final int MOST_ROUNDS = 600;
    private static final double WAYS_A_STEP = 4_000;
    private static final int FEWEST_WAYS = 100;
    private static final int MOST_WAYS = 6_000;

    /** Enough where little is left to choose. */
    static final Effort SHORTEST = new Effort(0.1, 1);

    /** Of the time that is left, nothing takes more: what comes after wants some too. */
    private static final double MOST_OF_WHAT_IS_LEFT = 0.6;

    /** A share of so many seconds, as long as the clock allows. */
    static Effort of(double mostSeconds, double share, Deadline deadline) {
        return new Effort(Math.max(LEAST_STEPS, mostSeconds * share * STEPS_A_SECOND),
                Math.max(Deadline.SHORTEST_SEARCH_SECONDS, deadline.secondsLeft() * MOST_OF_WHAT_IS_LEFT));
    }

    /** So little that nothing but what must be is worth it. */
    boolean isLeast() {
        return steps <= LEAST_STEPS;
    }

    /** Rounds in which the orders are served, for a plan to begin with. */
    int servings() {
        return (int) Math.clamp(steps * SERVINGS_A_STEP, FEWEST_SERVINGS, MOST_SERVINGS);
    }

    /** Rounds in which the prices of grafts are sought. */
    int rounds() {
        return (int) Math.clamp(steps * ROUNDS_A_STEP, FEWEST_ROUNDS, MOST_ROUNDS);
    }

    /** Ways through the season that are followed side by side. */
    int breadth() {
        return (int) Math.clamp(steps * WAYS_A_STEP, FEWEST_WAYS, MOST_WAYS);
    }

    Effort half() {
        return new Effort(steps / 2, seconds / 2);
    }
}

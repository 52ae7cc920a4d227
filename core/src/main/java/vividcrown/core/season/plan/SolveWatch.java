package vividcrown.core.season.plan;

import java.util.function.BooleanSupplier;

/** Looks on while a plan is sought, and may stop it; the best plan so far is kept. */
public interface SolveWatch {

    /** Nobody wants to hear of plans. */
    static SolveWatch silent(BooleanSupplier stopped) {
        return new SolveWatch() {
            @Override
            public void found(int plans, double cost, double bound, double seconds) {
                // nobody looks on
            }

            @Override
            public boolean isStopped() {
                return stopped.getAsBoolean();
            }
        };
    }

    /** Stops when the thread that asks for it, the one that searches, is interrupted. */
    static SolveWatch untilInterrupted() {
        return silent(Thread.currentThread()::isInterrupted);
    }

    /**
     * A better plan was found.
     *
     * @param plans how many so far
     * @param cost its cost, minutes with penalties
     * @param bound no plan costs less
     * @param seconds since the search began
     */
    void found(int plans, double cost, double bound, double seconds);

    /** Asked a few times a second, from another thread. */
    boolean isStopped();
}

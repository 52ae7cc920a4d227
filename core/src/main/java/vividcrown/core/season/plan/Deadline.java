package vividcrown.core.season.plan;

/** Seconds that are left; counted by the machine's running clock, no time of day. */
public final class Deadline {

    static final double SHORTEST_SEARCH_SECONDS = 0.3;
    private static final double MOST = 0.6;

    private final long mostNanos;
    private final long endNanos;

    public Deadline(double seconds) {
        this.mostNanos = System.nanoTime() + (long) (seconds * 1e9 * MOST);
        this.endNanos = System.nanoTime() + (long) (seconds * 1e9);
    }

    /** Never less than a shortest search. */
    double secondsLeft() {
        return Math.max(SHORTEST_SEARCH_SECONDS, (endNanos - System.nanoTime()) / 1e9);
    }

    boolean isMostlyOver() {
        return System.nanoTime() >= mostNanos;
    }

    public boolean isOver() {
        return System.nanoTime() >= endNanos;
    }
}

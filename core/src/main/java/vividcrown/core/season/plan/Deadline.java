package vividcrown.core.season.plan;

/** Seconds that are left; counted by the machine's running clock, no time of day. */
final class Deadline {

    static final double SHORTEST_SEARCH_SECONDS = 0.3;

    private final long endNanos;

    Deadline(double seconds) {
        this.endNanos = System.nanoTime() + (long) (seconds * 1e9);
    }

    /** Never less than a shortest search. */
    double secondsLeft() {
        return Math.max(SHORTEST_SEARCH_SECONDS, (endNanos - System.nanoTime()) / 1e9);
    }

    boolean isOver() {
        return System.nanoTime() >= endNanos;
    }
}

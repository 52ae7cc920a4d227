package vividcrown.core.trainer;

/** The part of the year a made-up hive stands in. */
public enum Season {
    SPRING(0.8), SUMMER(1), AUTUMN(0.3);

    private final double laying;

    Season(double laying) {
        this.laying = laying;
    }

    /** Of her full laying, what a queen does then; common practice. */
    double laying() {
        return laying;
    }
}

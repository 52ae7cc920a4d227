package vividcrown.core.odds;

import vividcrown.core.reason.Source;

/**
 * A step between cell cup and laying queen at which some are lost, with the belief to start from.
 *
 * <p>The mean is the middle of what a good operation sees; a poor day, one in twenty, is the middle of what a poor day
 * gives. All common practice.
 */
public enum LossStep {
    /** Grafts taken at 24 h: 80–90 %, poor day 40–60 %. */
    TAKE(0.85, 0.50),
    /** Taken to sealed and sound at day 10: 90–95 %, poor day 75 %. */
    SOUND(0.925, 0.75),
    /** Ripe cell to emerged virgin: 90–95 %, poor day 80 %. */
    EMERGENCE(0.925, 0.80),
    /** Virgin to mated and laying: 70–85 %, poor day 40–60 %. */
    MATING(0.775, 0.50),
    /** Caged mated queen accepted: 80–95 %, poor day 50 %. */
    ACCEPTANCE(0.875, 0.50);

    private final Rate prior;

    LossStep(double usual, double poorDay) {
        this.prior = Rate.fromUsualAndPoorDay(usual, poorDay);
    }

    public Rate prior() {
        return prior;
    }

    public Source source() {
        return Source.COMMON_PRACTICE;
    }
}

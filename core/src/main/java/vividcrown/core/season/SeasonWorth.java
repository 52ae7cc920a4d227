package vividcrown.core.season;

import vividcrown.core.journal.Faults;

/**
 * What is worth how much to an operation, in minutes of its work: by it plan and week ahead weigh a queen that is missing against work and against one
 * that is over.
 *
 * @param lateQueen a queen that is not there on her day, 1–100,000
 * @param lateOrder an order that is not whole on its day, whatever is missing of it, 0–100,000
 * @param wastedQueen a mated queen that nobody takes while she keeps, 0–100,000
 * @param nucDay a mating nuc for a day, 0–1,000; the usual is the work that keeps one going
 */
public record SeasonWorth(double lateQueen, double lateOrder, double wastedQueen, double nucDay) {

    /** A customer let down is worth a week of work, a queen over twenty minutes besides what raising her took: an assumption of this program, tuned on seasons lived through. */
    public static final SeasonWorth USUAL = new SeasonWorth(60, 2_400, 20, 0.2);

    public SeasonWorth {
        new Faults().within("lateQueen", lateQueen, 1, 100_000).within("lateOrder", lateOrder, 0, 100_000)
                .within("wastedQueen", wastedQueen, 0, 100_000).within("nucDay", nucDay, 0, 1_000).refuse();
    }
}

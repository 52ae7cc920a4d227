package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.Optional;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.brood.NextQueen;
import vividcrown.core.mating.MatingChance;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.time.DatedSpan;

/**
 * What would be lost by acting, or by not acting: it says which act may stand first, whatever it is worth. Chances 0–1.
 *
 * @param queenright a mated queen is in there
 * @param young a young one is on her way who can still mate
 * @param swarm cells for a swarm are there, or were left by one
 * @param swarming she is there still, with cells for a swarm
 * @param besideHer she sits in a cage beside cells
 * @param settled a mated queen is in there whom nobody replaces: no young one is waited for
 * @param layersOfDrones she is failing or never mated
 * @param trouble no queen, or none that can be
 * @param supersedure they most likely replace her
 * @param cellsSeen the newest look at cells found some
 * @param inHerTime it is known when the young queen comes out, and nobody could call her late yet
 * @param season what the time of year allows
 */
record AtStake(double queenright, double young, double swarm, double swarming, double besideHer, double settled,
        double layersOfDrones, double trouble, boolean supersedure, boolean cellsSeen, boolean inHerTime,
        Allows season) {

    /** Cells are cut only where she is likely there still; and only with her in hand. */
    static final double QUEEN_MUST_BE_THERE = 0.4;
    /** With more than this chance of a mated queen, or of a young one on her way, nothing is first that would lose her. */
    private static final double QUEEN_AT_STAKE = 0.03;
    private static final double YOUNG_QUEEN_AT_STAKE = 0.06;
    /** With more than this chance of trouble leaving her be is not first. */
    private static final double SWARM_AT_STAKE = 0.05;
    private static final double TROUBLE_AT_STAKE = 0.08;
    private static final double WAITING_AT_STAKE = 0.3;
    private static final double WAITED_FOR_IN_VAIN = 0.5;
    private static final double TROUBLE_IS_LIKELY = 0.5;
    private static final double REPLACED = 0.7;
    private static final int A_WEEK = 7;

    /**
     * @param winter nothing is opened today
     * @param winterInAWeek nor when one would look again
     * @param mates a virgin out of the cells that are there, or within three weeks, still mates
     */
    record Allows(boolean winter, boolean winterInAWeek, boolean mates) {
    }

    /** @param cells the newest look that tells of queen cells */
    static AtStake of(Verdict verdict, Optional<Reading> cells, Season season, MatingChance mating,
            Assumptions assumptions) {
        Contents contents = verdict.contents();
        LocalDate today = verdict.asOf();
        double queenright = contents.chance(Case::isQueenright);
        double allYoung = contents.chance(Case::hasYoungQueen);
        // a young queen who cannot mate any more is no loss
        double young = allYoung * Math.min(1, mating.of(today) * 1.5);
        double swarming = contents.chance(Case.SWARM_CELLS_OPEN) + contents.chance(Case.SWARM_CELLS_SEALED);
        double trouble = contents.chance(Case.HOPELESS) + contents.chance(Case.LAYING_WORKERS)
                + contents.chance(Case.UNMATED) + contents.chance(Case.RECENTLY_QUEENLESS) + allYoung - young;
        return new AtStake(queenright, young, swarming + contents.chance(Case.SWARMED), swarming,
                contents.chance(Case.KEPT_BESIDE_CELLS),
                queenright - contents.chance(Case.SUPERSEDING) - contents.chance(Case.MATED),
                contents.chance(Case.FAILING) + contents.chance(Case.UNMATED), trouble, isSupersedure(verdict),
                cells.map(reading -> reading.saw(Sign.QUEEN_CELLS)).orElse(false), isInHerTime(verdict, assumptions),
                new Allows(season.isWinter(today), season.isWinter(today.plusDays(A_WEEK)),
                        mating.firstSensibleEmergence(contents.emerges().map(DatedSpan::likely).orElse(today))
                                .isPresent()));
    }

    static boolean isSupersedure(Verdict verdict) {
        return verdict.contents().chance(Case.SUPERSEDING) > REPLACED;
    }

    private static boolean isInHerTime(Verdict verdict, Assumptions assumptions) {
        return verdict.proof().next().filter(next -> next.origin() != NextQueen.Origin.VIRGIN_SEEN)
                .map(next -> verdict.asOf().isBefore(next.emerges().likely().plusDays(assumptions.late())))
                .orElse(false)
                && verdict.contents().chance(Case.LAYING_WORKERS) < YOUNG_QUEEN_AT_STAKE;
    }

    boolean mayLead(Action action) {
        return switch (action) {
            // in winter nothing can be done, and nothing is opened
            case LEAVE_ALONE ->
                season.winter() || season.winterInAWeek() && trouble < TROUBLE_IS_LIKELY || isQuiet() || supersedure;
            case MARK_BOTH -> isQuiet();
            case WAIT_FOR_YOUNG_QUEEN -> swarming < SWARM_AT_STAKE && trouble < WAITING_AT_STAKE
                    && besideHer < SWARM_AT_STAKE && season.mates() && settled < WAITED_FOR_IN_VAIN;
            case CUT_CELLS -> besideHer > QUEEN_MUST_BE_THERE;
            case ARTIFICIAL_SWARM -> queenright > QUEEN_MUST_BE_THERE && swarm > 0.5 && season.mates();
            case REMOVE_CELLS -> queenright > QUEEN_MUST_BE_THERE && swarm > 0.5;
            // whether she lives in her cage is seen in a minute
            case REDUCE_TO_ONE_CELL -> queenright < 0.4 && besideHer < SWARM_AT_STAKE;
            // a failing queen is taken out; a good one is not
            case REQUEEN -> losesNobody() && layersOfDrones > 0.8;
            case GIVE_CELL, GIVE_FRAME_WITH_CELLS -> queenright < 0.1 && young < 0.25 && !inHerTime;
            // with cells for a swarm a look some days on finds it gone
            case LOOK_AGAIN ->
                swarming < 0.5 && !season.winter() && (!season.winterInAWeek() || trouble >= TROUBLE_IS_LIKELY);
            case TEST_FRAME, BROOD_WEEKLY -> !inHerTime && !season.winter() && !season.winterInAWeek();
            case GIVE_QUEEN, BROOD_THEN_QUEEN, UNITE, SHAKE_OUT, SHAKE_OUT_FOR_A_NUC, BREAK_UP -> losesNobody();
        };
    }

    private boolean isQuiet() {
        return swarm < SWARM_AT_STAKE && trouble < TROUBLE_AT_STAKE && besideHer < SWARM_AT_STAKE && !cellsSeen;
    }

    private boolean losesNobody() {
        return queenright < QUEEN_AT_STAKE && young < YOUNG_QUEEN_AT_STAKE;
    }
}

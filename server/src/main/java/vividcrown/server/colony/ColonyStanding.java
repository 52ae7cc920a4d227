package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.Optional;
import vividcrown.core.colony.ColonyWork;
import vividcrown.core.judgement.Option;
import vividcrown.core.judgement.Status;
import vividcrown.core.judgement.Verdict;

/**
 * How a colony stands on one day.
 *
 * @param chance of the leading state
 * @param need how much it needs a decision, 0 and up
 * @param due the next look of what was chosen
 * @param overdue that look should have been before today
 * @param stop signs of disease stand: nothing may be moved
 * @param clash readings and events cannot all be true
 * @param work what is to be done next, if anything
 * @param odds of its queen
 * @param release when a queen caged as a brood stop is to be let out
 * @param treatment when a treatment is planned
 */
public record ColonyStanding(Status leading, double chance, double need, Optional<LocalDate> lastRead,
        Optional<Option.FollowUp> due, boolean overdue, boolean stop, boolean clash, Optional<ColonyWork> work,
        QueenOdds odds, Optional<LocalDate> release, Optional<LocalDate> treatment) {

    /**
     * Each 0–1.
     *
     * @param laying one lays worker brood
     * @param two a daughter lays beside her
     * @param droneLayer she lays drones only
     * @param supersedure if there are cells, that they are to replace her
     */
    public record QueenOdds(double laying, double two, double droneLayer, double supersedure) {
        static QueenOdds of(Verdict verdict) {
            return new QueenOdds(verdict.chance(Status.LAYING_QUEEN) + verdict.chance(Status.TWO_QUEENS),
                    verdict.chance(Status.TWO_QUEENS), verdict.chance(Status.DRONE_LAYER),
                    verdict.cellKind().getOrDefault(Verdict.CellKind.SUPERSEDURE, 0.0));
        }
    }
}

package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.colony.ColonyWork;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.judgement.Case;
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
     * @param is who is likeliest there, whatever else is under way
     * @param sure of that
     */
    public record QueenOdds(double laying, double two, double droneLayer, double supersedure, UnitQueen.Is is,
            double sure) {
        static QueenOdds of(Verdict verdict) {
            Map<UnitQueen.Is, Double> by = new EnumMap<>(UnitQueen.Is.class);
            verdict.contents().cases().forEach((one, chance) -> by.merge(is(one), chance, Double::sum));
            Map.Entry<UnitQueen.Is, Double> likeliest = by.entrySet().stream().max(Map.Entry.comparingByValue())
                    .orElseThrow();
            return new QueenOdds(verdict.chance(Status.LAYING_QUEEN) + verdict.chance(Status.TWO_QUEENS),
                    verdict.chance(Status.TWO_QUEENS), verdict.chance(Status.DRONE_LAYER),
                    verdict.cellKind().getOrDefault(Verdict.CellKind.SUPERSEDURE, 0.0), likeliest.getKey(),
                    Math.min(1, likeliest.getValue()));
        }

        private static UnitQueen.Is is(Case one) {
            return switch (one) {
                case LAYING, TWO_QUEENS, SWARM_CELLS_OPEN, SWARM_CELLS_SEALED, SUPERSEDING -> UnitQueen.Is.LAYING;
                case KEPT, KEPT_BESIDE_CELLS -> UnitQueen.Is.KEPT;
                case VIRGIN_IN_TIME, VIRGIN_LATE, MATED -> UnitQueen.Is.VIRGIN;
                case SWARMED, EMERGENCY_CELLS, CELL_GIVEN -> UnitQueen.Is.CELL;
                case UNMATED, FAILING -> UnitQueen.Is.DRONE_LAYER;
                case LAYING_WORKERS -> UnitQueen.Is.LAYING_WORKERS;
                case RECENTLY_QUEENLESS, HOPELESS -> UnitQueen.Is.NONE;
            };
        }
    }
}

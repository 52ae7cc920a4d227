package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;

/**
 * What lives already, as the season ahead counts on it.
 *
 * @param batch cups, cells, virgins or queens of one graft
 * @param kind as what it is to be handed over
 * @param meant of its ripe cells that are to be placed, or were; all if it is more than there are
 * @param planned its nucs are not among those that are told to be taken: it was grafted in this reckoning only
 */
public record Stock(RunningBatch batch, SupplyKind kind, int meant, boolean planned) {

    public Optional<String> line() {
        return batch.line();
    }

    /** So many of them. */
    Stock with(int alive) {
        return new Stock(batch.with(alive), kind, meant, planned);
    }

    LocalDate graft() {
        return batch.graftDay();
    }

    /** Its line if somebody asks for it by name: of any other it does not matter where they mate. */
    Optional<String> lineAsked(List<Demand> demands) {
        return line().filter(_ -> demands.stream().anyMatch(one -> one.line().equals(line())));
    }

    /** Whether its cells, for queens, hang no longer with the builder: some are given a day before they are ripe, and then it is known where. */
    boolean isPlaced(LocalDate ripeOn, LocalDate today) {
        return batch.passed().contains(LossStep.EMERGENCE) || batch.passed().contains(LossStep.SOUND)
                && (!ripeOn.isAfter(today) || batch.around().get(Circumstance.YARD).isPresent());
    }
}

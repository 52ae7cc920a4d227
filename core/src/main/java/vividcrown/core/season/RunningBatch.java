package vividcrown.core.season;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.LossStep;
import vividcrown.core.reason.Wrong;

/**
 * Cells, virgins and queens that are on their way or stand ready: what happened stays.
 *
 * @param id as the caller knows it
 * @param line of its mother, if known
 * @param graftDay its graft; the day of its first eggs less 20 for queens that lay already
 * @param alive how many are left
 * @param passed losses that lie behind them
 * @param around builder, mother, person and yard, as far as known
 */
public record RunningBatch(String id, Optional<String> line, LocalDate graftDay, int alive, List<LossStep> passed,
        Around around) {

    public RunningBatch {
        if (alive < 0) {
            throw Wrong.of("wrong.RunningBatch", id, alive);
        }
        passed = List.copyOf(passed);
    }

    public RunningBatch with(int otherAlive) {
        return new RunningBatch(id, line, graftDay, otherAlive, passed, around);
    }
}

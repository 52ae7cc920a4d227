package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vividcrown.core.reason.Reason;

/**
 * What could be done, the best first.
 *
 * @param stop reasons to stop the work and move nothing, empty if none
 * @param decideBy the day by which a doubtful colony must be decided on, while a young queen can still mate
 */
public record Advice(List<Option> options, List<Reason> stop, Optional<LocalDate> decideBy) {
    public Advice {
        options = List.copyOf(options);
        stop = List.copyOf(stop);
    }
}

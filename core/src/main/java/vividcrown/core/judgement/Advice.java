package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;

/**
 * What could be done, the best first.
 *
 * @param stop reasons to stop the work and move nothing, empty if none
 * @param decide the day by which a doubtful colony must be decided on, with both outcomes
 */
public record Advice(List<Option> options, List<Reason> stop, Optional<Decision> decide) {
    public Advice {
        options = List.copyOf(options);
        stop = List.copyOf(stop);
    }

    /**
     * @param by two weeks before the last day of this season on which a virgin can sensibly come out; today if that has passed
     * @param tooLate no virgin mates any more this season
     * @param ifSo what is done if she lays by then
     * @param ifNot what is done if not
     */
    public record Decision(LocalDate by, boolean tooLate, Sentence ifSo, Sentence ifNot) {
    }

    public Optional<LocalDate> decideBy() {
        return decide.map(Decision::by);
    }
}

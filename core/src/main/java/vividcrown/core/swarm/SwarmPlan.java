package vividcrown.core.swarm;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.brood.NextQueen;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;

/**
 * What to do about the cells found.
 *
 * @param kind chance of each kind of cells, empty if there are none
 * @param departs when the swarm would leave if nothing is done, empty if no cell is under way
 * @param returnVisit the days between "no new cell can be begun" and "a virgin may be out"; empty where the path has none
 *        or where no such day exists
 * @param steps in order
 * @param youngQueen the dates of the queen to come, where one is raised
 * @param warnings what can go wrong on this path, among them every way to a cast
 * @param materials what to carry
 */
public record SwarmPlan(Map<Verdict.CellKind, Double> kind, Rung rung, Optional<DatedSpan> departs,
        Optional<DatedSpan> returnVisit, List<SwarmStep> steps, Optional<NextQueen> youngQueen,
        List<Reason> warnings, List<Sentence> materials) {
    public SwarmPlan {
        kind = Map.copyOf(kind);
        steps = List.copyOf(steps);
        warnings = List.copyOf(warnings);
        materials = List.copyOf(materials);
    }

    /**
     * Whether a step may be begun: every gate of the steps before it is ticked. Nothing is shaken before she is in hand.
     *
     * @param index place of the step, from 0
     * @param done the steps that were done
     */
    public boolean opens(int index, Set<SwarmStep.Kind> done) {
        return steps.subList(0, index).stream()
                .allMatch(step -> step.gate() == SwarmStep.Gate.NONE || done.contains(step.kind()));
    }

    /** It does not wait: a swarm would leave, has left, or a virgin would kill the queen in her cage. */
    public boolean isUrgent() {
        return departs.isPresent() || rung == Rung.SWARMED || rung == Rung.BESIDE_HER;
    }

    /** Until when the hive is to stay shut, if it is to on that day. */
    public Optional<LocalDate> shutUntil(LocalDate day) {
        return steps.stream().filter(step -> step.kind() == SwarmStep.Kind.LEAVE_SHUT && step.when().contains(day))
                .map(step -> step.when().latest()).findFirst();
    }
}

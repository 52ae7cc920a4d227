package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.swarm.Rung;
import vividcrown.core.swarm.SwarmPath;
import vividcrown.core.swarm.SwarmPlan;
import vividcrown.core.swarm.SwarmSchool;
import vividcrown.core.swarm.SwarmStep;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/**
 * What to do about the cells found.
 *
 * @param kind chance of swarm, supersedure and emergency cells, empty if there are none
 * @param begun the day from which the days count, once the first step was done
 * @param departs when the swarm would leave if nothing is done
 * @param returnVisit the days to come back on: no new cell can be begun any more, and no virgin is out yet
 * @param shutUntil the last day on which it stays shut, if it is to stay shut today
 * @param youngQueen the dates of the queen to come
 * @param warnings what can go wrong on this path, every way to a cast among them
 */
public record SwarmPlanView(SwarmSchool school, @Nullable LocalDate begun, Map<Verdict.CellKind, Double> kind,
        Rung rung, String rungText,
        @Nullable SpanView departs, @Nullable SpanView returnVisit, @Nullable LocalDate shutUntil,
        List<StepView> steps,
        ProofView.@Nullable NextQueenView youngQueen, List<ReasonView> warnings, List<String> materials) {

    /**
     * @param text the verb
     * @param gate what must be so before the next step may begin
     * @param opens every gate before it is ticked: it may be begun
     * @param done the day it was done
     */
    public record StepView(SwarmStep.Kind step, String text, SpanView when, SwarmStep.Gate gate,
            List<ReasonView> reasons, boolean opens, @Nullable LocalDate done) {
    }

    public static SwarmPlanView of(SwarmPlan plan, SwarmSchool school) {
        return of(plan, school, Optional.empty(), Optional.empty());
    }

    /** @param today leaves out whether it is shut now, if empty */
    public static SwarmPlanView of(SwarmPlan plan, SwarmSchool school, Optional<SwarmPath> path,
            Optional<LocalDate> today) {
        Set<SwarmStep.Kind> done = path.map(SwarmPath::done).orElse(List.of()).stream().map(SwarmPath.Done::step)
                .collect(Collectors.toSet());
        List<StepView> steps = new ArrayList<>();
        for (int index = 0; index < plan.steps().size(); index++) {
            SwarmStep step = plan.steps().get(index);
            steps.add(
                    new StepView(step.kind(), step.kind().sentence().toString(), SpanView.of(step.when()), step.gate(),
                            ReasonView.of(step.reasons()), plan.opens(index, done),
                            path.flatMap(one -> one.dayOf(step.kind())).orElse(null)));
        }
        return new SwarmPlanView(school, path.map(SwarmPath::begun).orElse(null), plan.kind(), plan.rung(),
                plan.rung().sentence().toString(), plan.departs().map(SpanView::of).orElse(null),
                plan.returnVisit().map(SpanView::of).orElse(null),
                path.flatMap(_ -> today).flatMap(plan::shutUntil).orElse(null), steps,
                plan.youngQueen().map(ProofView.NextQueenView::of).orElse(null), ReasonView.of(plan.warnings()),
                ProofView.each(plan.materials(), Object::toString));
    }
}

package vividcrown.core.introduction.method;

import java.time.LocalDate;
import java.util.Optional;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.introduction.method.Way.Step;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;

/**
 * The look for a given queen's eggs. Late in the year no eggs say nothing against her: she may lay none before spring, and whoever
 * searched for her then, or gave another, would lose her. Common practice.
 *
 * @param look when her eggs would stand in season
 * @param laysFrom the day from which queens lay again, where she may rest before; empty in season
 */
public record HerEggs(DatedSpan look, Optional<LocalDate> laysFrom) {

    /** From the day on which queens lay again. */
    private static final int LAYS_WITHIN_DAYS = 21;

    static HerEggs of(DatedSpan look, BeeYear year) {
        return new HerEggs(look, year.mayRestUntil(look.likely()));
    }

    /** The look itself. */
    public Step step() {
        return new Step(look, laysFrom.map(spring -> Sentence.of("introduction.step.eggsOrRest", spring))
                .orElseGet(() -> Sentence.of("introduction.step.eggs")));
    }

    /** Once more, where none were found and she may have rested. */
    public Optional<Step> inSpring() {
        return laysFrom.map(spring -> new Step(
                new DatedSpan(spring, spring.plusDays(LAYS_WITHIN_DAYS / 2), spring.plusDays(LAYS_WITHIN_DAYS)),
                Sentence.of("introduction.step.eggsInSpring")));
    }

    /** The day from which no eggs mean that she is lost. */
    public LocalDate planBOn() {
        return inSpring().map(Step::when).orElse(look).latest().plusDays(1);
    }

    /** What to do then. */
    public Sentence planB() {
        return Sentence.of("introduction.planB.mated", planBOn().minusDays(1));
    }
}

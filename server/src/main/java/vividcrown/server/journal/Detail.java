package vividcrown.server.journal;

import jakarta.validation.Valid;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import vividcrown.core.queen.CellPlace;
import vividcrown.core.queen.CullReason;
import vividcrown.core.queen.Stage;
import vividcrown.core.queen.YearColour;
import vividcrown.core.reading.EventKind;
import vividcrown.core.rearing.StepKind;
import vividcrown.core.swarm.SwarmSchool;
import vividcrown.core.swarm.SwarmStep;

/**
 * What a tapped entry says beyond its kind. Which fields count depends on the kind.
 *
 * @param nuc PLACED_IN_NUC: into which nuc
 * @param place PLACED_IN_NUC: where in the box, if recorded
 * @param cage CAGED_IN_INCUBATOR: number of the cage, from 1
 * @param reason CULLED: why
 * @param colour MARKED: colour of the mark
 * @param number MARKED: number on the disc, if any
 * @param step STEP_DONE: which step
 * @param job NOT_POSSIBLE: which job of the round
 * @param text NOTE, NOT_POSSIBLE, TAKEN_OUT: in words
 * @param reading READ: what was seen
 * @param event HAPPENED: what happened
 * @param stage KNOWN: how far she had come
 * @param emergenceYear KNOWN: the year of her colour, 0 if unknown
 * @param colony SWARM_STEP_DONE, FRAME_TAKEN, FRAME_GIVEN: which
 */
public record Detail(@Nullable UUID nuc, @Nullable CellPlace place, @Nullable Integer cage, @Nullable CullReason reason,
        @Nullable YearColour colour, @Nullable String number, @Nullable StepKind step, @Nullable String job,
        @Nullable String text, @Nullable @Valid ReadingDetail reading, @Nullable EventKind event,
        @Nullable Stage stage, @Nullable Integer emergenceYear, @Nullable @Valid ColonyDetail colony) {

    public static final Detail NONE = new Detail(null, null, null, null, null, null, null, null, null, null, null, null,
            null, null);

    public static Detail ofNuc(UUID nuc) {
        return new Detail(nuc, null, null, null, null, null, null, null, null, null, null, null, null, null);
    }

    public static Detail ofCage(int cage) {
        return new Detail(null, null, cage, null, null, null, null, null, null, null, null, null, null, null);
    }

    public static Detail ofCull(CullReason reason) {
        return new Detail(null, null, null, reason, null, null, null, null, null, null, null, null, null, null);
    }

    public static Detail ofMark(YearColour colour, String number) {
        return new Detail(null, null, null, null, colour, number, null, null, null, null, null, null, null, null);
    }

    public static Detail ofStep(StepKind step) {
        return new Detail(null, null, null, null, null, null, step, null, null, null, null, null, null, null);
    }

    public static Detail ofText(String text) {
        return new Detail(null, null, null, null, null, null, null, null, text, null, null, null, null, null);
    }

    public static Detail ofReading(ReadingDetail reading) {
        return new Detail(null, null, null, null, null, null, null, null, null, reading, null, null, null, null);
    }

    public static Detail ofEvent(EventKind event) {
        return new Detail(null, null, null, null, null, null, null, null, null, null, event, null, null, null);
    }

    public static Detail ofSwarmStep(SwarmStep.Kind step, SwarmSchool school) {
        return new Detail(null, null, null, null, null, null, null, null, null, null, null, null, null,
                new ColonyDetail(step, school, null, null, null));
    }
}

package vividcrown.server.split;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.journal.Deed;
import vividcrown.core.split.making.Making.Gate;
import vividcrown.core.split.making.SplitDeed.How;
import vividcrown.core.split.recipe.SplitRecipe;
import vividcrown.server.journal.Deeds;
import vividcrown.server.wire.SpanView;

/**
 * A split that is being made: what was planned, and beside it what was done.
 *
 * @param day on which it was to be done
 * @param moves strength is moved between hives, and no new one is made
 * @param takesTheQueen the old queen goes into the new unit
 * @param steps in the order of the work
 * @param units with what is still to come
 * @param still looks into hives that gave, for their queens' eggs
 * @param made every step was done or left
 */
public record MakingView(UUID id, boolean moves, String recipeText, LocalDate day, boolean takesTheQueen,
        List<MakingStepView> steps, List<MadeUnitView> units, List<LaterView> still, boolean made,
        boolean dropped) {

    /** What kind of step. */
    public enum Kind {
        SET_UP, FIND, FRAME, SHAKE, COMB, CLOSE, LOAD, AT_ONCE, OWN_QUEEN, PAPER, TAKE_OUT, GUARD, JOIN, OLD_SPOT
    }

    /**
     * @param key names it in the record
     * @param at the hive, or the new unit, that it is done at
     * @param unit the new unit that it is done for; left out where it is for all
     * @param frame the frame that goes
     * @param aboveExcluder no queen can be among these bees
     * @param gate whether it may be done now
     * @param needs the step that opens it; left out where that is the look for the queen, or nothing
     * @param gateText what must be so before
     * @param how how it was done, if it was
     * @param on the day on which it was done
     */
    public record MakingStepView(String key, Kind kind, String at, @Nullable String unit, String text,
            @Nullable FrameAt frame, boolean aboveExcluder, Gate gate,
            @Nullable NeedView needs, @Nullable String gateText, @Nullable How how,
            @Nullable LocalDate on, List<ChoiceView> choices) {
    }

    /**
     * @param key of the step that must be done first
     * @param ways in which it opens this one
     * @param gate shut until then
     */
    public record NeedView(String key, List<How> ways, Gate gate) {
    }

    /**
     * One way to have done it.
     *
     * @param deeds what is recorded then
     */
    public record ChoiceView(How how,
            @ArraySchema(schema = @Schema(ref = "#/components/schemas/Deed")) List<JsonNode> deeds) {
        static ChoiceView of(How how, Deeds deeds, List<Deed> record) {
            List<JsonNode> views = new ArrayList<>();
            record.forEach(deed -> views.add(deeds.view(deed)));
            return new ChoiceView(how, views);
        }
    }

    /**
     * @param hive the hive it is, once its box stands
     * @param mayHoldHer something went there unsearched
     * @param target what the count on day ten should show
     * @param framesOfBees as it was counted last
     * @param broodFrames as they were counted last
     */
    public record MadeUnitView(UUID hive, String code, boolean stands, boolean mayHoldHer, SplitRecipe.Target target,
            @Nullable Double framesOfBees, @Nullable Integer broodFrames, @Nullable LocalDate countedOn,
            List<LaterView> ahead) {
    }

    /**
     * What is still to come.
     *
     * @param hive where
     * @param key names it in the record
     */
    public record LaterView(UUID hive, String code, String key, SpanView when, String text,
            List<ChoiceView> choices) {
    }
}

package vividcrown.server.introduction;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import vividcrown.core.introduction.CageReading;
import vividcrown.core.introduction.Introduction;
import vividcrown.core.introduction.IntroductionDeed.Cause;
import vividcrown.core.introduction.IntroductionDeed.Outcome;
import vividcrown.core.introduction.method.Method;
import vividcrown.server.wire.SpanView;

/**
 * A queen on her way into a colony.
 *
 * @param hiveCode code of the hive
 * @param code of the queen
 * @param method how she is given
 * @param methodText the same in words
 * @param queen her record; left out if she has none
 * @param since the day on which she was put in
 * @param opens the first day on which she may be let out
 * @param inCage she hangs in a cage at which the bees can be read
 * @param act what the bees at the cage say today; left out where there is none
 * @param actText why
 * @param readings at the cage, the oldest first
 * @param looks every frame looked at since, the oldest first
 * @param freedOn the day from which she has been among the bees
 * @param next what is to be done, the soonest first
 * @param outcome how it came out; left out while it is under way
 * @param cause why she was lost
 * @param afterwards what to do after a loss
 */
public record IntroductionView(UUID id, UUID hive, String hiveCode, String yardName, String code, @Nullable UUID queen,
        Method method, String methodText, LocalDate since, LocalDate opens, boolean inCage,
        CageReading.@Nullable Act act, @Nullable String actText, List<CageReading> readings,
        List<CageReading.SecondLook> looks, @Nullable LocalDate freedOn, List<NextView> next,
        @Nullable Outcome outcome, @Nullable Cause cause, @Nullable LocalDate closedOn,
        @Nullable String afterwards) {

    /**
     * @param task what is to be done
     * @param urgent it does not wait
     * @param choices the ways in which it may turn out
     */
    public record NextView(Introduction.Task task, SpanView when, String text, boolean urgent,
            List<AnswerView> choices) {
    }

    /**
     * One way in which it turned out.
     *
     * @param key of its name
     * @param deeds what is recorded then
     */
    public record AnswerView(String key,
            @ArraySchema(schema = @Schema(ref = "#/components/schemas/Deed")) List<JsonNode> deeds) {
    }
}

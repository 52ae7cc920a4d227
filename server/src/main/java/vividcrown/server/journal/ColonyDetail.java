package vividcrown.server.journal;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import vividcrown.core.reading.Sign;
import vividcrown.core.swarm.SwarmSchool;
import vividcrown.core.swarm.SwarmStep;

/**
 * What was done at a colony.
 *
 * @param swarmStep SWARM_STEP_DONE: which step, its gate ticked
 * @param swarmSchool SWARM_STEP_DONE: the way it is done
 * @param slot FRAME_TAKEN, FRAME_GIVEN: place of the frame in this hive, from 1
 * @param other FRAME_TAKEN, FRAME_GIVEN: the colony that it went to or came from
 * @param signs FRAME_TAKEN, FRAME_GIVEN: what was on it when it was last read
 */
public record ColonyDetail(SwarmStep.@Nullable Kind swarmStep, @Nullable SwarmSchool swarmSchool,
        @Nullable @Min(1) @Max(60) Integer slot, @Nullable UUID other, @Nullable List<Sign> signs) {

    static final ColonyDetail NONE = new ColonyDetail(null, null, null, null, null);
}

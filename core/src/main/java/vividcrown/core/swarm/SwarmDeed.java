package vividcrown.core.swarm;

import java.util.List;
import java.util.UUID;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Touch;

/** What people do on the path of a swarm plan. */
public sealed interface SwarmDeed extends Deed {

    /**
     * A step of a swarm plan was done, its gate ticked.
     *
     * @param school the way it is done
     */
    record StepDone(UUID hive, SwarmStep.Kind step, SwarmSchool school) implements SwarmDeed {
        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HiveDeed.HIVE, hive));
        }
    }
}

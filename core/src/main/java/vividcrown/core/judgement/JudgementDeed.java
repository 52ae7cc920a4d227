package vividcrown.core.judgement;

import java.util.List;
import java.util.UUID;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Touch;

/** What people decide on a judgement. */
public sealed interface JudgementDeed extends Deed {

    /**
     * An action was chosen for a colony. Its follow-ups are kept as they stood on that day, so that later knowledge does not
     * move what was promised.
     *
     * @param followUps empty where it is asked for: the record takes those of that day's advice
     */
    record ActionChosen(UUID hive, Action action, List<Option.FollowUp> followUps) implements JudgementDeed {
        public ActionChosen {
            followUps = List.copyOf(followUps);
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HiveDeed.HIVE, hive));
        }
    }
}

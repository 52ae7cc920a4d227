package vividcrown.core.split.making;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Faults;
import vividcrown.core.journal.Role;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;
import vividcrown.core.split.moving.MoveSheet;

/** What people do with a split, or with strength that is moved, from the yard's gate to the last look. */
public sealed interface SplitDeed extends Deed {

    SubjectKind SPLIT = new SubjectKind("SPLIT");

    UUID split();

    @Override
    default List<Touch> touches() {
        return List.of(Touch.itself(SPLIT, split()));
    }

    /** A plan was taken to the yard: it is followed from now on. */
    record Begun(UUID split, SplitSheet sheet) implements SplitDeed {
        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>(SplitDeed.super.touches());
            sheet.givers().forEach(giver -> touches.add(new Touch(HiveDeed.HIVE, giver.hive(), Role.CONTEXT)));
            return touches;
        }
    }

    /**
     * A step was done, or left.
     *
     * @param step which one, as the sheet calls it, 1–80 characters
     */
    record StepDone(UUID split, String step, How how) implements SplitDeed {
        public StepDone {
            new Faults().text("step", step, 1, 80).refuse();
        }
    }

    /** A plan of frames, bees or whole hives that go from one to another was taken to the yard. */
    record MovesBegun(UUID split, MoveSheet sheet) implements SplitDeed {
        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>(SplitDeed.super.touches());
            sheet.hives().forEach(stand -> touches.add(new Touch(HiveDeed.HIVE, stand.hive(), Role.CONTEXT)));
            return touches;
        }
    }

    /** Nobody follows it any longer: all that is left of it is off the round. */
    record Dropped(UUID split) implements SplitDeed {
    }

    /** How a step was done. */
    enum How {
        DONE,
        /** Not done, and it will not be. */
        LEFT,
        /** Something else than planned was done in its place. */
        OTHERWISE,
        /** The queen was seen on a frame that stays. */
        SEEN_STAYS,
        /** The queen is caged, or on a frame set aside. */
        IN_HAND,
        /** She was the poorer one, and was put an end to. */
        KILLED,
        /** She was looked for and not found. */
        NOT_FOUND,
        /** Both sides of the frame, or every frame twice, were searched: she is not there. */
        SEARCHED,
        /** It went without a look at both sides: she may be on it. */
        UNSEARCHED
    }
}

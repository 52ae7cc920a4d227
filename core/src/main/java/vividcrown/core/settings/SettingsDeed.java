package vividcrown.core.settings;

import java.util.List;
import java.util.UUID;
import vividcrown.core.journal.OfOperation;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;

/** What an operation decides of its own ways. */
public sealed interface SettingsDeed extends OfOperation {

    SubjectKind OPERATION = new SubjectKind("OPERATION");

    /** From now on it does things this way; the last to speak is right. */
    record Changed(UUID operation, Settings settings) implements SettingsDeed {
        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(OPERATION, operation));
        }

        @Override
        public Changed in(UUID other) {
            return new Changed(other, settings);
        }
    }
}

package vividcrown.core.round;

import java.util.List;
import java.util.UUID;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Role;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;
import vividcrown.core.reason.Wrong;

/** What people say of the round itself. */
public sealed interface RoundDeed extends Deed {

    /** One job put off on one day. */
    SubjectKind PUT_OFF = new SubjectKind("PUT_OFF");

    /**
     * A job could not be done that day.
     *
     * @param putOff an id of its own
     * @param subjectKind of what it concerns
     * @param job the job's word, 1–40 characters
     */
    record NotPossible(UUID putOff, SubjectKind subjectKind, UUID subject, String job) implements RoundDeed {
        public NotPossible {
            if (job.isBlank() || job.length() > 40) {
                throw Wrong.of("wrong.RoundDeed", job);
            }
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(PUT_OFF, putOff), new Touch(subjectKind, subject, Role.CONTEXT));
        }
    }
}

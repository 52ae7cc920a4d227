package vividcrown.server.journal;

import java.util.List;
import java.util.UUID;

/**
 * Makes the rows of one kind of subject from its journal. The same entries give the same rows, whatever was there
 * before: a rebuild relies on it.
 */
public interface Projector {

    SubjectKind subjectKind();

    /** Makes the subject's rows, and those that hang on them, anew. */
    void project(UUID subject);

    /** The same for many; a projector may do better than one after the other. */
    default void projectAll(List<UUID> subjects) {
        subjects.forEach(this::project);
    }

    /** Whether the subject is known, so that entries can be made about it. */
    boolean exists(UUID subject);
}

package vividcrown.core.journal;

import java.util.UUID;

/**
 * One thing that a deed touches.
 *
 * @param role as what
 */
public record Touch(SubjectKind kind, UUID id, Role role) {

    /** The thing that the deed is about. */
    public static Touch itself(SubjectKind kind, UUID id) {
        return new Touch(kind, id, Role.ITSELF);
    }
}

package vividcrown.server.journal;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;

/**
 * Makes a feature's rows of the record. The same entries give the same rows, whatever was there before and in whatever
 * chunks they come: a rebuild relies on it.
 */
public interface Projector {

    /** Whose record it reads. Projectors run in the order of their {@code @Order}. */
    SubjectKind subjectKind();

    /**
     * Makes the rows of these things, and those that hang on them, anew.
     *
     * @param records what stands of each thing's record, in order of recording; empty lists where nothing stands any more
     */
    void project(Map<UUID, List<Entry>> records);

    /** Throws every row away that it makes. */
    void clear();

    /** Which of these things are known, so that deeds can be recorded of them; none if it only adds to another's rows. */
    default Set<UUID> existing(Collection<UUID> subjects) {
        return Set.of();
    }

    /** In a rebuild: which of these things have their rows already, because another thing's rows brought them along. */
    default Set<UUID> madeWithOthers(Collection<UUID> subjects) {
        return Set.of();
    }

    /** Of how many things it makes the rows in one go. */
    default int atOnce() {
        return Recorder.AT_ONCE;
    }
}

package vividcrown.core.journal;

import java.util.UUID;
import vividcrown.core.reason.Sentence;

/**
 * An entry that cannot be true together with what was known before it. It is kept, never dropped.
 *
 * @param entry the later entry of the two
 * @param clash what clashes, and what to change
 */
public record Contradiction(UUID entry, Sentence clash) {
}

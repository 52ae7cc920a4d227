package vividcrown.core.journal;

import java.util.UUID;

/** A deed about the operation as a whole: read into another, it is about that one. */
public interface OfOperation extends Deed {

    OfOperation in(UUID operation);
}

package vividcrown.core.journal;

import java.util.List;

/**
 * One thing that people did or saw: the record is made of these, everything else is computed from it. A deed holds facts
 * only, and only those that its kind needs.
 */
public interface Deed {

    /** The things it concerns, and as what; never empty. One thing may be touched in two roles. */
    List<Touch> touches();
}

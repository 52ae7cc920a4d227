package vividcrown.core.queen;

import java.util.UUID;

/** Where a cell or queen is. */
public sealed interface Whereabouts {

    /** Still on her bar in the cell builder. */
    record OnTheBar() implements Whereabouts {
    }

    record InIncubator(int cage) implements Whereabouts {
    }

    record InNuc(UUID nuc) implements Whereabouts {
    }

    /** In none of our mating nucs: in a production colony, or gone. */
    record Elsewhere() implements Whereabouts {
    }
}

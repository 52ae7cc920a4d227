package vividcrown.core.queen;

import java.util.UUID;

/** Where a cell or queen is. */
public sealed interface Whereabouts {

    /** Still on her bar in the cell builder. */
    record OnTheBar() implements Whereabouts {
    }

    record InIncubator(int cage) implements Whereabouts {
    }

    record InHive(UUID hive) implements Whereabouts {
    }

    /** In none of our hives: not put into one yet, or gone. */
    record Elsewhere() implements Whereabouts {
    }
}

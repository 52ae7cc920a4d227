package vividcrown.server.yard;

import java.util.UUID;

/** A place where hives stand. */
public interface Yard {
    UUID id();

    String name();

    int walkOrder();

    double latitude();

    double longitude();

    int elevationMetres();

    /** What to look out for here, empty if nothing. */
    String caution();

    /** Seasons are half a year apart from those of the north. */
    boolean isSouthern();
}

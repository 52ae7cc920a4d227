package vividcrown.server.queen;

import java.util.Optional;
import java.util.UUID;
import vividcrown.core.queen.CullReason;
import vividcrown.core.queen.Origin;
import vividcrown.core.queen.QueenLife;
import vividcrown.core.queen.Stage;
import vividcrown.core.queen.YearColour;

/** A cell, virgin or queen: one row from cup to her end, made from her entries. */
public interface Queen {
    /** The facts, as core reckons with them. */
    QueenLife life();

    UUID id();

    String code();

    String name();

    Optional<UUID> graftId();

    int bar();

    int cup();

    Optional<UUID> motherId();

    /** The line she belongs to; a mother whose line nobody gave is a line of her own. */
    String line();

    /** The hive she is in, or the last she was in. */
    Optional<UUID> hiveId();

    Optional<Integer> cage();

    Stage stage();

    boolean breeder();

    /** Where she comes from, if somebody said; a cup comes from its graft. */
    Optional<Origin> origin();

    /** How many daughters the season is to bring of her; empty if nobody said. */
    Optional<Integer> wishedDaughters();

    /** The mark she came with. */
    Optional<YearColour> wears();

    Optional<CullReason> cullReason();
}

package vividcrown.server.hive;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.hive.HiveEnd;
import vividcrown.core.hive.Purpose;
import vividcrown.core.time.DatedSpan;

/** A hive, whatever it is kept for. Who is in it is kept up by the queens' rows. */
public interface Hive {
    UUID id();

    UUID yardId();

    String code();

    /** Its boxes from the bottom up, by what was done at this hive. */
    List<UUID> stack();

    int position();

    Purpose purpose();

    boolean isEnded();

    Optional<LocalDate> endedOn();

    Optional<HiveEnd> endReason();

    LocalDate setUpOn();

    /** The queen or cell in it; the last placed if there are two. */
    Optional<UUID> queenId();

    /** How many are in it by the record: none, one or two. */
    int queens();

    Optional<LocalDate> emptySince();

    /** Cells, virgins and queens given so far. */
    int rounds();

    /** The day its drone comb was put in, if it is kept for its drones. */
    Optional<LocalDate> droneCombOn();

    /** The days on which the season's plan wants drone comb put in; empty if it does not, or it is in. */
    Optional<DatedSpan> droneCombMeant();

    /** What it stands by for; blank if for nothing. */
    String reservedFor();

    Optional<LocalDate> lastReadOn();

    /** The day of the newest reading, or of the set-up if it was never read. */
    LocalDate lastKnownOn();
}

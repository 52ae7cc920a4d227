package vividcrown.core.season;

import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.reason.Wrong;
import vividcrown.core.yard.YardDeed;

/**
 * A place where mating nucs stand: it has a weather, drones and a way of its own.
 *
 * @param id as the caller names it; the same as in the operation's own rates
 * @param nucs that stand there
 * @param busy of these, how many are taken by what is running
 * @param climate chance of a fit afternoon there; that of the season if nobody knows
 * @param lines whose virgins are to mate there. A line that some yard names mates only at yards that name it; a yard that names lines is kept
 *        for them
 * @param driveMinutes there and back, 0–600
 */
public record MatingYard(String id, int nucs, Means.NucsTaken busy, Optional<MatingClimate> climate, Set<String> lines,
        int driveMinutes) {

    public MatingYard {
        lines = Set.copyOf(lines);
        if (nucs < 0 || driveMinutes < 0 || driveMinutes > YardDeed.LONGEST_DRIVE_MINUTES) {
            throw Wrong.of("wrong.MatingYard", id, YardDeed.LONGEST_DRIVE_MINUTES, nucs, driveMinutes);
        }
    }

    /** @param more nucs that stand there too, 0 or more */
    public MatingYard withMore(int more) {
        return new MatingYard(id, nucs + more, busy, climate, lines, driveMinutes);
    }

    /** Nucs there that nothing that is running takes on that day. */
    public int freeNucs(LocalDate day) {
        return Math.max(0, nucs - busy.on(day));
    }
}

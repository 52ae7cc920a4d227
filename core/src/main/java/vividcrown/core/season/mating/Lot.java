package vividcrown.core.season.mating;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vividcrown.core.season.PlannedBatch;

/**
 * Ripe cells of one batch that want nucs.
 *
 * @param graft the day of their graft
 * @param line of their mother, if known
 * @param asked of its cells, for whoever asks for that line by name: these mate only where it may
 * @param mother as the season knows her, if known: her sons should not meet her daughters
 * @param stays how many of them stay until when
 * @param queenMinutes what a queen more of it is worth, in minutes of work
 * @param told where its cells go, if that was said already; empty if it is to be chosen
 */
public record Lot(LocalDate graft, Optional<String> line, int asked, Optional<String> mother,
        List<Stay> stays, int queenMinutes, List<PlannedBatch.At> told) {

    /** What raising another takes. */
    public static final int RAISING_MINUTES = 60;
    /** She is wanting for an order that does not hold without her. */
    public static final int WANTED_MINUTES = 600;

    /** @param until the day on which their queens are caught */
    public record Stay(int cells, LocalDate until) {
    }

    public Lot {
        stays = List.copyOf(stays);
        told = List.copyOf(told);
    }

    /** Where it goes is to be chosen. */
    public Lot(LocalDate graft, Optional<String> line, int asked, Optional<String> mother, List<Stay> stays,
            int queenMinutes) {
        this(graft, line, asked, mother, stays, queenMinutes, List.of());
    }

    public Lot at(List<PlannedBatch.At> where) {
        return new Lot(graft, line, asked, mother, stays, queenMinutes, where);
    }

    public int cells() {
        return stays.stream().mapToInt(Stay::cells).sum();
    }

    LocalDate last() {
        return stays.stream().map(Stay::until).max(LocalDate::compareTo).orElse(graft);
    }

    /** Of its cells, how many stand in nucs on a day. */
    int standingOn(LocalDate day, LocalDate ripe) {
        return day.isBefore(ripe)
                ? 0
                : stays.stream().filter(stay -> day.isBefore(stay.until()) || day.equals(ripe))
                        .mapToInt(Stay::cells).sum();
    }
}

package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.Stream;
import vividcrown.core.demand.Product;
import vividcrown.core.season.SeasonBrief;

/**
 * The limit of places: from its ripe cells to its delivery, what is grafted stands in nucs or in cages, and no day has more
 * of them in use than there are.
 */
record NucsAndCages(SeasonBrief brief) {

    /** Where virgins and queens wait. */
    enum Place {
        NUC, CAGE
    }

    /** Empty for cells: they go as soon as they are ripe. */
    static Optional<Place> placeOf(Product product) {
        return switch (product) {
            case RIPE_CELLS -> Optional.empty();
            case VIRGINS -> Optional.of(Place.CAGE);
            case LAYING_QUEENS, MATED_QUEENS, JUDGED_QUEENS, NUCS_WITH_QUEEN -> Optional.of(Place.NUC);
        };
    }

    /** The days on which a place is taken; one at the least. */
    Stream<LocalDate> days(LocalDate graft, LocalDate delivery) {
        LocalDate in = graft.plusDays(brief.ripeAfter());
        return in.datesUntil(delivery.isAfter(in) ? delivery : in.plusDays(1));
    }

    /** How many places there are on that day. */
    int most(Place place, LocalDate day) {
        return switch (place) {
            case NUC -> brief.means().freeNucs(day);
            case CAGE -> brief.means().cages();
        };
    }
}

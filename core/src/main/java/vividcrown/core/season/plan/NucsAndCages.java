package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import vividcrown.core.demand.Product;
import vividcrown.core.season.Means;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;

/**
 * The limit of places: from its ripe cells to its delivery, what is grafted stands in nucs or in cages, and no day has more
 * of them in use than there are.
 */
record NucsAndCages(SeasonBrief brief) {

    /** Cells are counted in tenths: of each batch's average a whole one too many would fill a small unit with air. */
    static final int TENTHS = 10;

    /**
     * A limit that some of the grafts count for.
     *
     * @param yards where its nucs stand; empty: wherever
     */
    record Limit(Place place, Set<String> yards) {
    }

    /**
     * The limits that a group counts for: all nucs, and, if its line may mate at some yards only, the nucs of every such choice of yards of
     * any group that holds its own.
     */
    List<Limit> limits(PromiseGroup group, List<PromiseGroup> all) {
        return placeOf(group.product()).map(place -> {
            List<Limit> limits = new ArrayList<>(List.of(new Limit(place, Set.of())));
            if (place == Place.NUC) {
                Set<String> own = yards(group);
                all.stream().map(this::yards).distinct()
                        .filter(choice -> !choice.isEmpty() && choice.size() < brief.means().yards().size()
                                && choice.containsAll(own))
                        .forEach(choice -> limits.add(new Limit(place, choice)));
            }
            return limits;
        }).orElse(List.of());
    }

    /** Whoever asks for no line gets queens of any, and they may mate at any yard. */
    private Set<String> yards(PromiseGroup group) {
        return Means.names(group.line().isEmpty() ? brief.means().yards() : brief.means().yardsFor(group.line()));
    }

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

    /** Tenths of a place that so many cells take, on average. */
    static int tenths(double placed) {
        return (int) Math.round(TENTHS * placed);
    }

    /** How many places there are on that day. */
    int most(Limit limit, LocalDate day) {
        return switch (limit.place()) {
            case NUC -> limit.yards().isEmpty()
                    ? brief.means().freeNucs(day)
                    : brief.means().freeNucs(day, limit.yards());
            case CAGE -> brief.means().cages();
        };
    }
}

package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import vividcrown.core.demand.Product;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.WorkTime;

/** The limit of hours: what loading, grafting, placing and delivering take on their days, and what the crew has. */
record Hours(SeasonBrief brief) {

    /** Work on a day, in minutes. */
    record Work(LocalDate day, double minutes) {
    }

    /** Half of what a load takes falls on the day of its graft. */
    Work load(LocalDate graft) {
        return new Work(graft, WorkTime.LOAD / 2.0);
    }

    Work grafting(LocalDate graft, int cups) {
        return new Work(graft, (double) cups * WorkTime.GRAFT_A_CUP);
    }

    /** @param placed cells, on average; empty where the cells go as they are */
    Optional<Work> placing(LocalDate graft, Product product, double placed) {
        return NucsAndCages.placeOf(product)
                .map(_ -> new Work(graft.plusDays(brief.ripeAfter()), placed * WorkTime.PLACE_A_CELL));
    }

    Work delivering(LocalDate delivery, int count) {
        return new Work(delivery, (double) count * WorkTime.CATCH_A_QUEEN);
    }

    /** Days on which one drives to a mating yard for a group: to place its cells, and to catch its queens. */
    List<LocalDate> outings(Recipe recipe, Product product) {
        if (SupplyKind.of(product) != SupplyKind.QUEENS || recipe.grafts().isEmpty()) {
            return List.of();
        }
        return Stream.concat(recipe.grafts().stream().map(graft -> graft.day().plusDays(brief.ripeAfter())),
                Stream.of(recipe.delivery())).distinct().toList();
    }

    /** Minutes to the nearest yard with mating nucs and back; 0 if nobody asks where they stand. */
    int leastDrive() {
        return brief.means().yards().stream().filter(yard -> yard.nucs() > 0).mapToInt(MatingYard::driveMinutes).min()
                .orElse(0);
    }

    /** Minutes that the crew has on any day. */
    int most() {
        return brief.means().crew().minutesADay();
    }
}

package vividcrown.core.queen;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;

/** Writes lives down in the trade's counting: days after the graft of 1 June 2026. */
final class Lives {

    static final LocalDate GRAFT = LocalDate.of(2026, 6, 1);
    static final UUID NUC = new UUID(0, 7);

    private final List<LifeEntry> entries = new ArrayList<>();

    static Lives grafted() {
        return new Lives().on(0, new QueenEvent.Grafted(new UUID(0, 1), 1, 1));
    }

    Lives on(int day, QueenEvent event) {
        entries.add(new LifeEntry(new UUID(9, entries.size()), GRAFT.plusDays(day), entries.size(), event));
        return this;
    }

    /** Taken, and placed as a ripe cell on day 10. */
    static Lives placed() {
        return grafted().on(1, new QueenEvent.Took()).on(10, QueenEvent.Placed.cell(NUC));
    }

    LifeFold.Folded fold() {
        return LifeFold.fold(entries, LarvaAge.FROM_12_TO_24_H, Assumptions.standard());
    }

    QueenLife life() {
        return fold().life();
    }

    QueenOutlook outlookOn(int day) {
        return outlookOn(day, LossStep.MATING.prior());
    }

    QueenOutlook outlookOn(int day, Rate mating) {
        return QueenOutlook.of(life(), Optional.of(plan()), Assumptions.standard(), mating,
                MarkingScheme.INTERNATIONAL, GRAFT.plusDays(day));
    }

    static GraftPlan plan() {
        return GraftPlan.usual(GRAFT, BuilderSchool.STARTER_THEN_FINISHER, Placing.CELLS_TO_NUCS);
    }

    static LocalDate day(int afterGraft) {
        return GRAFT.plusDays(afterGraft);
    }
}

package vividcrown.core.split.recipe;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.mating.MatingChance;
import vividcrown.core.split.Objection;
import vividcrown.core.split.Place;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;
import vividcrown.core.yard.Flow;

/** Whether a recipe is sensible at a place on a day: season, nights, flow, drones and weather for mating, pests. */
public final class Sensible {

    /** From the split to the virgin out of a cell raised on its own eggs. */
    private static final int OWN_CELL_EMERGES_DAYS = 12;
    private static final int GIVEN_CELL_EMERGES_DAYS = 3;
    /** A season whose end is nearer than this has not begun yet, or is on. */
    private static final int THIS_SEASON_DAYS = 240;
    private static final double TOO_COLD_TO_OPEN_CELSIUS = 10;
    private static final double HARDLY_GROWING = 0.3;

    private Sensible() {
    }

    /** Everything that speaks against it, the worst first. */
    public static List<Objection> objections(SplitRecipe recipe, Conditions at) {
        List<Objection> all = new ArrayList<>();
        BeeYear year = at.year();
        LocalDate day = at.day();
        SplitRecipe.When when = recipe.when();
        boolean autumn = year.isAutumn(day);
        if (year.usualHigh(day) < TOO_COLD_TO_OPEN_CELSIUS) {
            all.add(Objection.refuse("split.tooCold", Math.round(year.usualHigh(day))));
        } else if (autumn && !when.autumn() && recipe.gets().mustMate()) {
            all.add(Objection.refuse("split.autumnRaises", recipe.kind().sentence()));
        } else if (autumn && !when.autumn()) {
            all.add(Objection.refuse("split.autumnOther", recipe.kind().sentence()));
        } else if (!autumn && when.autumn()) {
            all.add(Objection.warn("split.notAutumn"));
        } else if (year.laying(day) < HARDLY_GROWING) {
            all.add(Objection.refuse("split.tooEarly"));
        }
        if (!autumn && !when.autumn() && year.daysFromMidsummer(day) > when.midsummerDays() && !isEverWarm(year)) {
            all.add(recipe.donor() == SplitRecipe.Donor.STRIPS_ONE_HIVE
                    ? Objection.refuse("split.farFromMidsummer", recipe.kind().sentence(), when.midsummerDays())
                    : Objection.warn("split.farFromMidsummer", recipe.kind().sentence(), when.midsummerDays()));
        }
        mating(recipe, at).ifPresent(all::add);
        double night = year.usualNight(day);
        if (night < when.nightsCelsius() - 0.5) {
            all.add(recipe.donor() == SplitRecipe.Donor.STRIPS_ONE_HIVE
                    ? Objection.refuse("split.coldNights", Math.round(night), Math.round(when.nightsCelsius()))
                    : Objection.warn("split.coldNights", Math.round(night), Math.round(when.nightsCelsius())));
        }
        if (at.flow().compareTo(when.flow()) < 0) {
            all.add(recipe.donor() == SplitRecipe.Donor.STRIPS_ONE_HIVE
                    ? Objection.refuse("split.flow.needs", recipe.kind().sentence())
                    : Objection.warn("split.flow.feed", recipe.kind().sentence()));
        } else if (at.flow() == Flow.DEARTH) {
            all.add(Objection.warn("split.flow.dearth"));
        }
        if (at.beetles() && !when.withBeetles()) {
            all.add(recipe.kind() == RecipeKind.MINI_MATING_NUC
                    ? Objection.warn("split.beetles.small")
                    : Objection.refuse("split.beetles", recipe.kind().sentence()));
        }
        if (recipe.place() == Place.AWAY && at.kilometres() > 0) {
            if (at.kilometres() < 5) {
                all.add(Objection.warn("split.near", at.kilometres()));
            }
        }
        all.sort((one, other) -> Boolean.compare(other.refuses(), one.refuses()));
        return all;
    }

    /** Where it hardly ever gets cold the longest day decides nothing. */
    private static boolean isEverWarm(BeeYear year) {
        return year.usualHigh(LocalDate.of(2026, 1, 15)) > 20 && year.usualHigh(LocalDate.of(2026, 7, 15)) > 20;
    }

    private static Optional<Objection> mating(SplitRecipe recipe, Conditions at) {
        boolean hiveRaises = recipe.gets() == Gets.THE_OLD_QUEEN;
        if (!recipe.gets().mustMate() && !hiveRaises) {
            return Optional.empty();
        }
        int days = recipe.gets() == Gets.RAISES_ITS_OWN || hiveRaises ? OWN_CELL_EMERGES_DAYS : GIVEN_CELL_EMERGES_DAYS;
        LocalDate out = at.day().plusDays(days);
        MatingChance chance = new MatingChance(at.year().climate());
        if (chance.isSensible(out)) {
            return Optional.empty();
        }
        long percent = Math.round(100 * chance.of(out));
        if (hiveRaises) {
            return Optional.of(Objection.warn("split.mating.hive", out, percent));
        }
        return Optional.of(chance.lastSensibleEmergence(at.day())
                .filter(last -> last.isAfter(out) && last.isBefore(at.day().plusDays(THIS_SEASON_DAYS)))
                .map(_ -> Objection.refuse("split.mating.early", out, percent))
                .orElse(Objection.refuse("split.mating.late", out, percent)));
    }

    /** When the new unit's queen lays, if all goes well. */
    public static DatedSpan lays(SplitRecipe recipe, Conditions at) {
        DaySpan firstEggs = at.assumptions().span(Figure.FIRST_EGGS);
        DaySpan days = switch (recipe.gets()) {
            // bees choose larvae whose eggs are three to six days old
            case RAISES_ITS_OWN -> at.assumptions().queen().emerges().plus(DaySpan.ofDays(-6, -4, -3)).plus(firstEggs);
            case RIPE_CELL -> DaySpan.ofDays(1, 2, 4).plus(firstEggs);
            case VIRGIN -> firstEggs;
            case MATED_QUEEN -> DaySpan.ofDays(3, 6, 10);
            case THE_OLD_QUEEN -> DaySpan.ofDays(0, 1, 3);
        };
        return days.from(at.day());
    }
}

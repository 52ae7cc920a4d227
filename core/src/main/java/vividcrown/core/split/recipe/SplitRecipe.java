package vividcrown.core.split.recipe;

import java.util.List;
import vividcrown.core.journal.Faults;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.Place;
import vividcrown.core.yard.Flow;

/**
 * A way of making increase, as data: what goes in, what it gets, when it is sensible.
 *
 * @param kind which of the program's recipes it is or was copied from
 * @param frames what hangs in it
 * @param beesLeast frames of bees that it needs once the flyers have gone home, 0–20
 * @param slots places for frames in its box, 1–24
 * @param feedLitres syrup 1 : 1 in its first two weeks, litres, 0–20
 * @param gets what becomes its queen
 * @param place where it best stands
 * @param donor how it is taken out of hives
 * @param when under which conditions it is sensible
 * @param dayTen what a count on day ten should show
 * @param handsOffDays no hand in it for so many days once its queen is there or on the way, 0–60
 */
public record SplitRecipe(RecipeKind kind, Frames frames, double beesLeast, int slots, double feedLitres, Gets gets,
        Place place, Donor donor, When when, Target dayTen, int handsOffDays) {

    /**
     * Frames by kind.
     *
     * @param broodLeast frames of brood at least, 0–10
     * @param broodBest frames of brood at best, {@code broodLeast}–10
     * @param withEggs of these with eggs or young larvae
     * @param mostlySealed of these mostly sealed
     * @param food frames of food at least; syrup may stand for them
     * @param drawn drawn combs from the stock
     */
    public record Frames(int broodLeast, int broodBest, int withEggs, int mostlySealed, int food, int drawn) {
        public Frames {
            new Faults().within("broodLeast", broodLeast, 0, 10).within("broodBest", broodBest, broodLeast, 10)
                    .within("withEggs", withEggs, 0, broodBest).within("mostlySealed", mostlySealed, 0, broodBest)
                    .within("food", food, 0, 6).within("drawn", drawn, 0, 20).refuse();
        }
    }

    /** How frames are taken out of hives. */
    public enum Donor {
        /** From whatever hives have them to spare. */
        ANY,
        /** All from one hive. */
        ONE_HIVE,
        /** All from one hive, with its queen. */
        ONE_HIVE_WITH_QUEEN,
        /** All but a frame or two of one hive, whose queen stays. */
        STRIPS_ONE_HIVE,
        /** One or two frames from each of several. */
        SEVERAL
    }

    /**
     * @param midsummerDays at most so many days from the longest of the year, 0–183
     * @param autumn it is meant for the time when laying falls
     * @param nightsCelsius nights are at least so warm
     * @param flow at least so much comes in
     * @param withBeetles it stands a place with small hive beetle
     */
    public record When(int midsummerDays, boolean autumn, double nightsCelsius, Flow flow, boolean withBeetles) {
        public When {
            new Faults().within("midsummerDays", midsummerDays, 0, 183).within("nightsCelsius", nightsCelsius, -20, 30)
                    .refuse();
        }
    }

    /**
     * @param broodFrames full frames of brood, in the new unit
     * @param framesOfBees frames of bees
     */
    public record Target(double broodFrames, double framesOfBees) {
        public Target {
            new Faults().within("broodFrames", broodFrames, 0, 20).within("framesOfBees", framesOfBees, 0, 20).refuse();
        }
    }

    public SplitRecipe {
        new Faults().within("beesLeast", beesLeast, 0, 20).within("slots", slots, 1, 24)
                .within("feedLitres", feedLitres, 0, 20).within("handsOffDays", handsOffDays, 0, 60)
                .unless(frames.broodBest() + frames.food() <= slots, "fault.recipeTooMany", slots).refuse();
    }

    /** What can go wrong with it, beside its steps. */
    public List<Sentence> cautions() {
        return switch (kind) {
            case WALK_AWAY -> List.of(Sentence.of("recipe.caution.emergency"));
            case OLD_QUEEN_NUC, OLD_QUEEN_NUC_BEFORE_CELLS -> List.of(Sentence.of("recipe.caution.queenFirst"));
            case OLD_QUEEN_NUC_LEAVE_ONE ->
                List.of(Sentence.of("recipe.caution.queenFirst"), Sentence.of("recipe.caution.cast"));
            case CELL_NUC, MINI_MATING_NUC -> List.of(Sentence.of("recipe.caution.small"));
            case MATED_QUEEN_SPLIT -> List.of(Sentence.of("recipe.caution.queenless"));
            case STRIP_DOWN -> List.of(Sentence.of("recipe.caution.strip"), Sentence.of("recipe.caution.beetles"));
            case POOLED_AUTUMN_SPLIT -> List.of(Sentence.of("recipe.caution.autumn"));
            case ONE_FRAME_EMERGENCY ->
                List.of(Sentence.of("recipe.caution.oneFrame"), Sentence.of("recipe.caution.emergency"));
        };
    }

    /** What to do if it fails. */
    public Sentence fallback() {
        return switch (kind) {
            case WALK_AWAY, ONE_FRAME_EMERGENCY -> Sentence.of("recipe.fallback.recombine");
            case OLD_QUEEN_NUC, OLD_QUEEN_NUC_LEAVE_ONE, OLD_QUEEN_NUC_BEFORE_CELLS ->
                Sentence.of("recipe.fallback.oldQueen");
            case CELL_NUC, MINI_MATING_NUC, STRIP_DOWN -> Sentence.of("recipe.fallback.nextCell");
            case MATED_QUEEN_SPLIT, POOLED_AUTUMN_SPLIT -> Sentence.of("recipe.fallback.unite");
        };
    }
}

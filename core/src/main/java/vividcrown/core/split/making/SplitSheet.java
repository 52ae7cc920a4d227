package vividcrown.core.split.making;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.hive.Box;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.journal.Faults;
import vividcrown.core.reading.Sign;
import vividcrown.core.split.Due;
import vividcrown.core.split.Place;
import vividcrown.core.split.SplitPlan.Closed;
import vividcrown.core.split.SplitPlan.Filled;
import vividcrown.core.split.recipe.Gets;
import vividcrown.core.split.recipe.RecipeKind;
import vividcrown.core.split.recipe.SplitRecipe.Target;
import vividcrown.core.store.Thing;

/**
 * The plan of a split as it was taken to the yard. It stays as it was, whatever is really done.
 *
 * @param day on which it was to be done
 * @param yard where the new units stand
 * @param format of their frames
 * @param givers hives that give, in the order in which they are opened
 * @param units new units, 1–100
 */
public record SplitSheet(RecipeKind recipe, Gets gets, Place place, LocalDate day, UUID yard, String format,
        List<Giver> givers, List<NewHive> units) {

    private static final int MOST_UNITS = 100;
    private static final int LONGEST_CODE = 20;

    /**
     * A hive that gives.
     *
     * @param closes its boxes afterwards, where frames left
     */
    public record Giver(UUID hive, String code, List<Closed> closes) {
        public Giver {
            closes = List.copyOf(closes);
        }

        /** How many frames of that kind go back into it. */
        public int comesIn(Filled filled) {
            return (int) closes.stream().filter(one -> one.otherwise() == filled).count();
        }
    }

    /**
     * A unit that is made.
     *
     * @param hive the hive it becomes
     * @param box its brood box
     * @param code painted on it, 1–20 characters
     * @param position in its yard's row, from 1
     * @param slots places of its box
     * @param hangs what hangs where
     * @param shakes bees that are shaken in
     * @param litres syrup in its first two weeks
     * @param target what the count on day ten should show
     * @param due what follows
     */
    public record NewHive(UUID hive, UUID box, String code, int position, int slots, List<Hangs> hangs,
            List<Shake> shakes, double litres, Target target, List<Due> due) {
        public NewHive {
            hangs = List.copyOf(hangs);
            shakes = List.copyOf(shakes);
            due = List.copyOf(due);
            new Faults().text("code", code, 1, LONGEST_CODE).within("position", position, 1, 10_000)
                    .within("slots", slots, 1, Box.MOST_SLOTS).within("litres", litres, 0, 100).refuse();
        }
    }

    /**
     * What hangs in a place of a new unit.
     *
     * @param comes the frame that comes there from a hive; empty where comb from the store does
     */
    public record Hangs(int slot, Filled filled, Optional<Comes> comes) {
    }

    /**
     * A frame that goes.
     *
     * @param frame which one
     * @param from the hive it is taken out of
     * @param box its box there
     * @param at where it hangs there
     * @param signs what was on it when it was read last
     */
    public record Comes(UUID frame, UUID from, UUID box, FrameAt at, Set<Sign> signs) {
        public Comes {
            signs = Set.copyOf(signs);
        }
    }

    /** @param frames of whose bees */
    public record Shake(UUID from, double frames, boolean aboveExcluder) {
    }

    public SplitSheet {
        givers = List.copyOf(givers);
        units = List.copyOf(units);
        Set<UUID> frames = new HashSet<>();
        Set<String> codes = new HashSet<>();
        List<UUID> known = givers.stream().map(Giver::hive).toList();
        Faults faults = new Faults().within("units", units.size(), 1, MOST_UNITS);
        for (NewHive unit : units) {
            faults.unless(codes.add(unit.code()), "fault.split.codeTwice", unit.code());
            for (Hangs hangs : unit.hangs()) {
                hangs.comes().ifPresent(comes -> faults
                        .unless(frames.add(comes.frame()), "fault.split.frameTwice", comes.at(), unit.code())
                        .unless(known.contains(comes.from()), "fault.split.noSuchGiver", unit.code()));
            }
            faults.unless(unit.shakes().stream().allMatch(shake -> known.contains(shake.from())),
                    "fault.split.noSuchGiver", unit.code());
        }
        faults.refuse();
    }

    /** Whether the old queen goes into the new unit, and the hive is left without one. */
    public boolean takesTheQueen() {
        return gets == Gets.THE_OLD_QUEEN;
    }

    /** What must be in the vehicle: nothing that is not needed. */
    public Map<Thing, Double> needs() {
        Map<Thing, Double> needs = new EnumMap<>(Thing.class);
        needs.put(isMini() ? Thing.MINI_NUCS : Thing.NUC_BOXES, (double) units.size());
        needs.put(Thing.STRAPS, (double) units.size());
        needs.put(Thing.DRAWN_COMBS, combs(Filled.DRAWN));
        needs.put(Thing.FOUNDATION_FRAMES, combs(Filled.FOUNDATION));
        needs.put(Thing.FEEDERS, (double) units.stream().filter(unit -> unit.litres() > 0).count());
        needs.put(Thing.SYRUP_LITRES, units.stream().mapToDouble(NewHive::litres).sum());
        needs.put(Thing.INTRODUCTION_CAGES, takesTheQueen() ? (double) givers.size() : 0.0);
        needs.values().removeIf(count -> count <= 0);
        return needs;
    }

    private double combs(Filled filled) {
        long hung = units.stream().flatMap(unit -> unit.hangs().stream()).filter(one -> one.filled() == filled).count();
        return hung + givers.stream().mapToInt(giver -> giver.comesIn(filled)).sum();
    }

    /** Mini nucs are made up from the cup. */
    public boolean isMini() {
        return recipe == RecipeKind.MINI_MATING_NUC;
    }
}

package vividcrown.core.reading;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.reason.Wrong;

/**
 * What was seen at a colony on one day. What stands in neither set was not looked for, and proves nothing.
 *
 * @param seen signs that were there, with the general ones above them
 * @param absent signs that were looked for on every frame and were not there, with the particular ones below them
 * @param cells queen cells and cups, by look and place
 * @param missed of a search for the queen in vain whose every look is known: how likely it would have missed her, were she laying in there, 0–1; empty if it is
 *        not known so exactly how she was searched for
 */
public record Reading(LocalDate day, Set<Sign> seen, Set<Sign> absent, List<CellsSeen> cells,
        Optional<Double> missed) {

    /** Where nothing is known of single looks for the queen. */
    public Reading(LocalDate day, Set<Sign> seen, Set<Sign> absent, List<CellsSeen> cells) {
        this(day, seen, absent, cells, Optional.empty());
    }

    /** @throws IllegalArgumentException if a sign is both seen and absent */
    public Reading {
        EnumSet<Sign> there = EnumSet.noneOf(Sign.class);
        seen.forEach(sign -> there.addAll(sign.upwards()));
        if (cells.stream().anyMatch(cell -> cell.look().isAlive())) {
            there.add(Sign.QUEEN_CELLS);
        }
        EnumSet<Sign> missing = EnumSet.noneOf(Sign.class);
        absent.forEach(sign -> missing.addAll(sign.downwards()));
        EnumSet<Sign> both = EnumSet.copyOf(there);
        both.retainAll(missing);
        if (!both.isEmpty()) {
            throw Wrong.of("wrong.Reading", day, both);
        }
        seen = Collections.unmodifiableSet(there);
        absent = Collections.unmodifiableSet(missing);
        cells = List.copyOf(cells);
    }

    public static Reading of(LocalDate day, Sign... seen) {
        return new Reading(day, Set.copyOf(Arrays.asList(seen)), Set.of(), List.of());
    }

    /** The same reading, these signs looked for and not there. */
    public Reading without(Sign... signs) {
        EnumSet<Sign> all = EnumSet.noneOf(Sign.class);
        all.addAll(absent);
        all.addAll(Arrays.asList(signs));
        return new Reading(day, seen, all, cells, missed);
    }

    /**
     * The same reading when every frame was looked at: eggs, larvae, sealed brood and queen cells that were not noted were
     * not there. Where brood was noted only in general, nothing is said of its kinds. Signs of disease that were not noted were
     * not seen; whether there was brood to show them is {@link Suspicion}'s to ask.
     */
    public Reading everyFrameLookedAt() {
        EnumSet<Sign> missing = EnumSet.noneOf(Sign.class);
        boolean broodOfSomeKind = saw(Sign.BROOD) && !saw(Sign.OPEN_BROOD) && !saw(Sign.SEALED_BROOD);
        boolean openOfSomeKind = saw(Sign.OPEN_BROOD) && !saw(Sign.EGGS) && !saw(Sign.LARVAE);
        boolean sealedOfSomeKind = saw(Sign.SEALED_BROOD) && !saw(Sign.SEALED_WORKER) && !saw(Sign.SEALED_DRONE);
        if (!broodOfSomeKind && !openOfSomeKind) {
            missing.addAll(List.of(Sign.EGGS, Sign.LARVAE));
        }
        if (!broodOfSomeKind && !sealedOfSomeKind) {
            missing.add(Sign.SEALED_WORKER);
            if (!saw(Sign.SEALED_DRONE)) {
                missing.add(Sign.SEALED_DRONE_SCATTERED);
            }
        }
        missing.addAll(Sign.STOPPING);
        missing.add(Sign.QUEEN_CELLS);
        missing.removeAll(seen);
        return without(missing.toArray(Sign[]::new));
    }

    /** Two looks of one day: what either saw was there; what one missed was not there unless the other saw it. */
    public Reading and(Reading other) {
        EnumSet<Sign> there = EnumSet.noneOf(Sign.class);
        there.addAll(seen);
        there.addAll(other.seen);
        EnumSet<Sign> missing = EnumSet.noneOf(Sign.class);
        missing.addAll(absent);
        missing.addAll(other.absent);
        missing.removeIf(sign -> sign.downwards().stream().anyMatch(there::contains));
        List<CellsSeen> all = new ArrayList<>(cells);
        other.cells.stream().filter(cell -> !cells.contains(cell)).forEach(all::add);
        missing.removeIf(sign -> sign == Sign.QUEEN_CELLS && all.stream().anyMatch(cell -> cell.look().isAlive()));
        return new Reading(day, there, missing, all, bothMissed(other));
    }

    /** Whoever searched twice on one day would have missed her only if both did. */
    private Optional<Double> bothMissed(Reading other) {
        return missed.isPresent() && other.missed.isPresent()
                ? Optional.of(missed.get() * other.missed.get())
                : missed.or(() -> other.missed);
    }

    /** The same reading with these cells. */
    public Reading with(CellLook look, CombPlace place, int count) {
        List<CellsSeen> all = new ArrayList<>(cells);
        all.add(new CellsSeen(look, place, count));
        return new Reading(day, seen, absent, all, missed);
    }

    public boolean saw(Sign sign) {
        return seen.contains(sign);
    }

    public boolean missed(Sign sign) {
        return absent.contains(sign);
    }
}

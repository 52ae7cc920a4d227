package vividcrown.core.search;

import java.time.Instant;
import java.util.Optional;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Wrong;

/**
 * The double gate for a comb, or bees off it, that leaves a hive: she was seen elsewhere and still counts as safe there, or both its sides were searched just
 * now. Schools differ on whether the second is enough; the first is the stronger.
 *
 * @param level which gate it passes
 * @param chance that she goes along, 0–1
 * @param sentence what is so and what to do
 */
public record Leaving(Level level, double chance, Sentence sentence) {

    /** Of a virgin, or on a comb thick with eggs, a look over both sides says too little: one in ten is too many queens lost. */
    private static final double HARDLY = 0.1;

    /** How sure it is that she stays. */
    public enum Level {
        /** She was seen elsewhere, and is safe there. */
        SEEN_ELSEWHERE,
        /** Both sides of the comb were searched and nothing was done since. */
        BOTH_SIDES_SEARCHED,
        /** Neither: it stays. */
        NOT_SAFE
    }

    /**
     * @param held how she is kept, if she was found
     * @param verified when she was last seen there
     */
    public static Leaving comb(Search search, int box, int slot, Optional<Held> held, Optional<Instant> verified,
            Instant now) {
        if (search.hive().comb(box, slot).isEmpty()) {
            throw Wrong.of("wrong.search.noComb", box, slot);
        }
        double chance = search.on(box, slot);
        boolean onIt = search.found().filter(place -> switch (place) {
            case Place.OnComb(int of, int at, var _) -> of == box && at == slot;
            case Place.InHole(int of, int at) -> of == box && at == slot;
            case Place.Lid _,Place.Walls _,Place.Excluder _,Place.Floor _ -> false;
        }).isPresent();
        boolean kept = held.isPresent() && verified.isPresent();
        if (kept && held.get().isSafe(verified.get(), now) && !(onIt && held.get().isOnHerComb())) {
            return new Leaving(Level.SEEN_ELSEWHERE, 0, Sentence.of("search.leaves.elsewhere",
                    held.get().sentence()));
        }
        if (onIt) {
            return new Leaving(Level.NOT_SAFE, chance, Sentence.of("search.leaves.onIt"));
        }
        if (kept) {
            return new Leaving(Level.NOT_SAFE, chance, Sentence.of("search.leaves.unverified",
                    held.get().sentence()));
        }
        if (search.isJustSearched(box, slot) && chance <= HARDLY) {
            return new Leaving(Level.BOTH_SIDES_SEARCHED, chance,
                    Sentence.of("search.leaves.searched", Math.round(100 * chance)));
        }
        return new Leaving(Level.NOT_SAFE, chance, Sentence.of("search.leaves.not", Math.round(100 * chance)));
    }
}

package vividcrown.core.reading;

import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import vividcrown.core.reason.Sentence;

/**
 * Something that can be seen, heard or weighed at a colony. A general sign stands above the particular ones:
 * {@link #EGGS} above {@link #EGGS_SEVERAL}; who saw the particular has seen the general, and where the general is
 * absent the particular is too.
 */
public enum Sign {
    // --- brood, from the general to the particular
    /** Brood of any kind and age. */
    BROOD,
    /** Eggs or larvae. */
    OPEN_BROOD(BROOD), EGGS(OPEN_BROOD),
    /** One egg to a cell, at the bottom. */
    EGGS_SINGLE(EGGS),
    /** Several eggs to a cell. */
    EGGS_SEVERAL(EGGS), EGGS_ON_WALLS(EGGS),
    /** Upright eggs: laid today or yesterday. */
    EGGS_STANDING(EGGS),
    /** Eggs lying flat: in their third day. */
    EGGS_LYING(EGGS), LARVAE(OPEN_BROOD),
    /** Up to three days after hatching. */
    YOUNG_LARVAE(LARVAE), OLD_LARVAE(LARVAE), SEALED_BROOD(BROOD),
    /** Flat caps: worker brood. */
    SEALED_WORKER(SEALED_BROOD),
    /** Worker brood sealed in a solid patch. */
    SEALED_WORKER_SOLID(SEALED_WORKER),
    /** Worker brood with many gaps; not the ring of cells between two cycles. */
    SEALED_WORKER_SPOTTY(SEALED_WORKER),
    /** A patch that was sealed within a day or two. */
    SEALED_JUST(SEALED_WORKER),
    /** A ring of sealed brood around an emptied middle: between two cycles, not spotty. */
    SEALED_RING(SEALED_WORKER),
    /** More sealed worker brood than at the last look. */
    SEALED_MORE(SEALED_WORKER),
    /** Domed caps, anywhere. */
    SEALED_DRONE(SEALED_BROOD),
    /** Domed caps in drone comb, as in every strong colony in season. */
    SEALED_DRONE_IN_DRONE_COMB(SEALED_DRONE),
    /** Domed or bullet caps scattered in worker comb. */
    SEALED_DRONE_SCATTERED(SEALED_DRONE),
    /** Drones in their cells with purple eyes: they come out within about a week. */
    DRONES_PURPLE_EYED(SEALED_DRONE),
    /** Young drones biting through their caps. */
    DRONES_EMERGING(SEALED_DRONE),
    /** Young workers biting through their caps. */
    EMERGING_WORKERS(SEALED_BROOD),
    // --- the comb
    /** Clean, polished, empty cells in the place of the brood nest: they expect a queen to lay. */
    POLISHED_CELLS,
    /** Nectar dribbled into the place of the brood nest: they do not. */
    NECTAR_IN_NEST, POLLEN, NECTAR, SEALED_HONEY, EMPTY_COMB, FOUNDATION,
    // --- queens and cells
    QUEEN, QUEEN_MARKED(QUEEN),
    /** A queen without a mark where a marked one was. */
    QUEEN_UNMARKED(QUEEN),
    /** Small, quick, unmarked: a virgin by her looks. */
    VIRGIN(QUEEN), TWO_QUEENS(QUEEN),
    /** She dips her belly into a cell. */
    QUEEN_DIPPING(QUEEN),
    /** Bees stand around her and feed her. */
    QUEEN_ATTENDED(QUEEN),
    /** Her belly is long and full, as of one who lays. */
    QUEEN_BELLY_LARGE(QUEEN),
    /** Her belly is short: a virgin, one that slims to swarm, or one that stopped. */
    QUEEN_BELLY_SMALL(QUEEN),
    /** What a drone leaves hanging at her. */
    MATING_SIGN(QUEEN),
    /** She was hurt when she was handled. */
    QUEEN_HURT(QUEEN),
    /** Queen cells with something in them, whatever their stage; empty cups are {@link #CUPS}. */
    QUEEN_CELLS, CUPS,
    /** Cells on the test frame that was given. */
    CELLS_ON_TEST_FRAME,
    // --- the bees
    /** Quiet on the comb. Says little: a calm colony can be queenless. */
    CALM,
    /** A moaning roar that does not settle. */
    MOANING, DEFENSIVE, POLLEN_COMING_IN,
    /** The cluster sits where there is no brood. */
    CLUSTER_OFF_NEST, CROWDED, BEARDING,
    /** Many drones walking in the hive. */
    DRONES,
    /** Drones kept long after the others have thrown theirs out. */
    DRONES_LATE,
    /** Shiny old bees, hardly a young one. */
    BEES_OLD,
    /** It is hot: they hang out for air. */
    HEAT,
    /** It was evening: they hang out before the night. */
    EVENING,
    /** Much smoke was used: she runs, and a search fails more easily. */
    SMOKED_HEAVILY,
    /** Every frame was searched twice. */
    SEARCHED_TWICE,
    /** Many downy young bees. */
    BEES_YOUNG, FEW_BEES, FEED_TAKEN, FEED_UNTOUCHED, FIGHTING, DEAD_BEES, ROBBING,
    // --- what must stop the work
    CAPS_SUNKEN, CAPS_GREASY, CAPS_PERFORATED, LARVAE_DISCOLOURED, ROPY, FOUL_SMELL,
    /** Hard white or grey mummies. */
    CHALK, HIVE_BEETLE, WAX_MOTH, MITES_SEEN, WINGS_DEFORMED;

    /** Those of a disease that may be notifiable. */
    static final Set<Sign> STOPPING = Collections.unmodifiableSet(
            EnumSet.of(CAPS_SUNKEN, CAPS_GREASY, CAPS_PERFORATED, LARVAE_DISCOLOURED, ROPY, FOUL_SMELL));

    private final List<Sign> general;
    /** Filled once: they are asked for in every judgement. */
    private static final Map<Sign, Set<Sign>> UPWARDS = new EnumMap<>(Sign.class);

    static {
        for (Sign sign : values()) {
            Set<Sign> all = EnumSet.of(sign);
            // the general ones stand before the particular ones
            sign.general.forEach(above -> all.addAll(Objects.requireNonNull(UPWARDS.get(above))));
            UPWARDS.put(sign, Collections.unmodifiableSet(all));
        }
    }

    Sign(Sign... general) {
        this.general = List.of(general);
    }

    /** The general sign directly above this one, if any. */
    public List<Sign> general() {
        return general;
    }

    /** Signs of a disease that may be notifiable: stop, move no frames, tell the authority. */
    public boolean stopsTheWork() {
        return STOPPING.contains(this);
    }

    /** This sign and all that stand above it. */
    public Set<Sign> upwards() {
        return Objects.requireNonNull(UPWARDS.get(this));
    }

    /** This sign and all that stand below it. */
    Set<Sign> downwards() {
        Set<Sign> all = EnumSet.noneOf(Sign.class);
        for (Sign sign : values()) {
            if (sign.upwards().contains(this)) {
                all.add(sign);
            }
        }
        return all;
    }

    public Sentence sentence() {
        return Sentence.of("sign." + name());
    }
}

package vividcrown.core.hive;

/** What is so about a hive and decides what it may give and get. */
public enum UnitTrait {
    /** A sign of a disease that may be notifiable stands: nothing leaves it and nothing goes in. */
    SUSPECT,
    /** Bad-tempered: it gives neither bees nor brood to others, and none is worked alone. */
    DEFENSIVE,
    /** Cells are raised from it. */
    BREEDER,
    /** Drones are raised from it. */
    DRONE_MOTHER,
    /** It is to bring in a crop. */
    FOR_THE_CROP,
    /** A treatment is in it: its combs and honey go nowhere meanwhile. */
    TREATED,
    /** It has boxes of bees above an excluder. */
    HAS_SUPERS,
    /** Cells for a swarm stand in it: it is dealt with first. */
    SWARM_CELLS,
    /** It is being robbed. */
    ROBBED,
    /** No hand in it for now: a virgin is out to mate, a queen was just given. */
    HANDS_OFF
}

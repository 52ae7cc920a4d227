package vividcrown.core.split.recipe;

import vividcrown.core.reason.Sentence;

/** The ways of making increase that the program knows; an operation may copy one and change it. */
public enum RecipeKind {
    /** Brood with eggs, food, many bees: it raises its own queen. */
    WALK_AWAY,
    /** The old queen with a small nuc, all cells of the hive destroyed, back on day 7–10 to leave one. */
    OLD_QUEEN_NUC,
    /** The same, one good open cell left at once and no return. */
    OLD_QUEEN_NUC_LEAVE_ONE,
    /** Before there are cells: the old queen out with three frames of brood. */
    OLD_QUEEN_NUC_BEFORE_CELLS,
    /** One frame of brood, two of food, bees; a ripe cell the next day or two. */
    CELL_NUC,
    /** Two or three frames of brood, food, bees and a mated queen. */
    MATED_QUEEN_SPLIT,
    /** Three or four nucs out of each hive, its queen left with a frame or two and the flyers that come home. */
    STRIP_DOWN,
    /** A cup of bees, comb, candy, a cell or a virgin. */
    MINI_MATING_NUC,
    /** One or two frames from each of several strong hives, a mated queen, heavy feeding. */
    POOLED_AUTUMN_SPLIT,
    /** One frame with eggs, bees, food: the smallest there is. */
    ONE_FRAME_EMERGENCY;

    public Sentence sentence() {
        return Sentence.of("recipe." + name());
    }
}

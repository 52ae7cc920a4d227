package vividcrown.core.round;

/** Things carried on a round. The unit is in the name where it is not "pieces". */
public enum Item {
    GRAFTING_BARS, CELL_CUPS, RIPE_CELLS, INCUBATOR_CAGES, INTRODUCTION_CAGES, PAINT_WHITE, PAINT_YELLOW, PAINT_RED,
    PAINT_GREEN, PAINT_BLUE, BROOD_FRAMES, DRONE_COMBS, DRAWN_COMBS, NUC_BOXES, HONEY_BOXES, SYRUP_DECILITRES,
    SUGAR_KILOGRAMS
}

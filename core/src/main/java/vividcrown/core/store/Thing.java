package vividcrown.core.store;

import vividcrown.core.reason.Sentence;

/** Things that are counted in the store. The unit is in the name where it is not "pieces". */
public enum Thing {
    NUC_BOXES, MINI_NUCS, BROOD_BOXES, HONEY_BOXES, EXCLUDERS, FEEDERS, STRAPS, DRAWN_COMBS, FOUNDATION_FRAMES,
    INTRODUCTION_CAGES, SHIPPING_CAGES, SYRUP_LITRES, SUGAR_KILOGRAMS, CANDY_KILOGRAMS, POLLEN_PATTY_KILOGRAMS;

    public Sentence sentence() {
        return Sentence.of("store." + name());
    }
}

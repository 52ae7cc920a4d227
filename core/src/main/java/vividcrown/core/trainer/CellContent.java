package vividcrown.core.trainer;

import vividcrown.core.reason.Sentence;

/** What a cell of a made-up comb holds. */
public enum CellContent {
    EMPTY('.'), POLISHED('o'), EGG('e'),
    /** Several eggs in one cell. */
    EGGS('E'), EGG_ON_WALL('w'), YOUNG_LARVA('l'), OLD_LARVA('L'), SEALED('s'),
    /** A domed cap: a drone. */
    DOMED('D'), EMERGING('m'), POLLEN('p'), NECTAR('n'), HONEY('h'),
    /** A sunken cap with a hole. */
    SUNKEN('x'),
    /** A larva that is discoloured and has slumped. */
    SICK_LARVA('q'),
    /** A hard white mummy. */
    MUMMY('c');

    private final char letter;

    CellContent(char letter) {
        this.letter = letter;
    }

    /** As it stands in the rows of a picture. */
    public char letter() {
        return letter;
    }

    boolean isSealed() {
        return this == SEALED || this == DOMED || this == EMERGING || this == SUNKEN;
    }

    public Sentence sentence() {
        return Sentence.of("trainer.content." + name());
    }
}

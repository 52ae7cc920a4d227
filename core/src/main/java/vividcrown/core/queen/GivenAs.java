package vividcrown.core.queen;

/** As what she was put into a hive, by whoever put her there. */
public enum GivenAs {
    CELL, VIRGIN, LAYING_QUEEN
}

package vividcrown.core.queen;

/** What is to be done at a queen's box. */
public enum Work {
    CHECK_EMERGENCE, INTRODUCE_VIRGIN, LOOK_FOR_EGGS, LOOK_AGAIN, FIND_AGAIN, JUDGE_BROOD, MARK, CHECK_MARK,
    REPLACE
}

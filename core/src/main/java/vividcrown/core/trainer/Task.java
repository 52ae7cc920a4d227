package vividcrown.core.trainer;

/** What is trained: where to look and whom to see, or what a picture means. */
public enum Task {
    FIND, PATTERN, CELL_KIND, CELL_LOOK, CAGE
}

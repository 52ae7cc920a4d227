package vividcrown.core.reading;

/** How far somebody looked, where that was said. */
public enum Looked {
    /** Through every frame: what a keeper would have seen there and did not note was not there. */
    EVERY_FRAME
}

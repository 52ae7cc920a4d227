package vividcrown.core.hive;

/** Which side of a frame. */
public enum FrameSide {
    /** Towards slot 1. */
    NEAR, FAR
}

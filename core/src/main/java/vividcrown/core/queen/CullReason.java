package vividcrown.core.queen;

/** Why a cell was not used. */
public enum CullReason {
    SHORT, STUBBY, MISSHAPEN, COLD, DAMAGED, EMPTY
}

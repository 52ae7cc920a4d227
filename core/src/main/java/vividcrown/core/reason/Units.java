package vividcrown.core.reason;

/** What temperatures, weights and volumes are shown in. Stored and reckoned is always metric. */
public enum Units {
    METRIC, US
}

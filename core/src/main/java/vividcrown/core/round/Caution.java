package vividcrown.core.round;

import vividcrown.core.reason.Sentence;

/** Short warnings where the work can hurt someone. Shown once per round and always in print; each defers to local law. */
public enum Caution {
    STINGS, SMOKE_AND_FIRE, LIFTING, CHEMICALS, DISEASE, TRANSIT, REGISTRATION, LIVESTOCK_AND_WEATHER, INSEMINATION;

    public Sentence sentence() {
        return Sentence.of("caution." + name());
    }
}

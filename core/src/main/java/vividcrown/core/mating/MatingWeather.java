package vividcrown.core.mating;

/** What the afternoons are like on which a virgin can mate: emergence + 5 to + 21, seventeen days. */
public enum MatingWeather {
    /** Not the two fit afternoons that she needs (common practice). */
    NONE,
    /** Two or three fit ones: she may just make it. */
    POOR,
    /** Four to seven. */
    FAIR,
    /** Eight and more: about every other day. */
    FINE;

    public static MatingWeather of(int fitAfternoons) {
        if (fitAfternoons < 2) {
            return NONE;
        }
        return fitAfternoons < 4 ? POOR : fitAfternoons < 8 ? FAIR : FINE;
    }
}

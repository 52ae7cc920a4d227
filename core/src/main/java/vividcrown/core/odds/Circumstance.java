package vividcrown.core.odds;

/** What surrounds a batch, and by what batches are told apart. */
public enum Circumstance {
    /** Month of the graft. */
    MONTH, BUILDER, MOTHER,
    /** Who grafted. */
    PERSON,
    /** Where the nucs stand. */
    YARD,
    /** How many afternoons its virgins had to mate; see {@link vividcrown.core.mating.MatingWeather}. */
    WEATHER
}

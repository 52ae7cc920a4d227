/**
 * What a season is planned from: {@link vividcrown.core.season.SeasonBrief} and its parts, and a planned batch. Its parts
 * of the job follow one another: {@code demand} (what is wanted and when it must be grafted), {@code supply} (what comes of
 * grafts, with its odds), {@code recipe} (ways to meet a demand), {@code plan} (the choice among them, with the limits a file
 * each), {@code sheet} (what is printed from a plan). Each depends on those before it only.
 */
package vividcrown.core.season;

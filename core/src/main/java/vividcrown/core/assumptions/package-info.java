/**
 * Which day-counts does everything rest on? {@link vividcrown.core.assumptions.Figure} lists them with their sources;
 * {@link vividcrown.core.assumptions.Assumptions} lays an operation's own values over them;
 * {@link vividcrown.core.assumptions.DevelopmentClock} is how long queen, worker and drone take from the egg. Depends on
 * {@code time} and {@code reason}.
 */
package vividcrown.core.assumptions;

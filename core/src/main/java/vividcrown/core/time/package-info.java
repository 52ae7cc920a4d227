/**
 * When is it, and how sure are we? Spans of days instead of single dates.
 *
 * <p>Read {@link vividcrown.core.time.DaySpan} (a length of time) first, then
 * {@link vividcrown.core.time.DatedSpan} (a length laid on the calendar). Depends on nothing else.
 */
package vividcrown.core.time;

/**
 * What was seen at a colony, and what was done to it: the words that everything else argues from.
 *
 * <p>Read {@link vividcrown.core.reading.Sign} first (the vocabulary), then {@link vividcrown.core.reading.Reading}. A
 * sign is seen, looked for and absent, or <em>not looked for</em>; the last is never taken for absent. Depends on
 * {@code reason} only.
 */
package vividcrown.core.reading;

/**
 * What has this queen's life been, and what comes next? {@link vividcrown.core.queen.LifeEntry} (something seen or done)
 * → {@link vividcrown.core.queen.LifeFold} → {@link vividcrown.core.queen.QueenLife} (the facts, without a clock) →
 * {@link vividcrown.core.queen.QueenOutlook} (what is expected, due and late on a given day, and why).
 */
package vividcrown.core.queen;

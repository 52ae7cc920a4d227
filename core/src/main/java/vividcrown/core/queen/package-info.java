/**
 * What has this queen's life been, and what comes next? {@link vividcrown.core.queen.QueenDeed} (something seen or done, with everything that
 * belongs together) → {@link vividcrown.core.queen.LifeEntry} (what it is in her life)
 * → {@link vividcrown.core.queen.LifeFold} → {@link vividcrown.core.queen.QueenLife} (the facts, without a clock) →
 * {@link vividcrown.core.queen.QueenOutlook} (what is expected, due and late on a given day, and why).
 */
package vividcrown.core.queen;

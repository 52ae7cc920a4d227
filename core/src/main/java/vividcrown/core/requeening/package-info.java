/**
 * Whether a colony gets another queen, and when ({@link vividcrown.core.requeening.Requeening}); how likely one of her age swarms
 * ({@link vividcrown.core.requeening.SwarmOdds}); what an unmarked queen means where a marked one was
 * ({@link vividcrown.core.requeening.Unmarked}).
 */
package vividcrown.core.requeening;

/**
 * What is in the hive, how sure is that, and what should be done?
 *
 * <p>Read {@link vividcrown.core.judgement.Phase} (what can be in there, with its days),
 * {@link vividcrown.core.judgement.Course} (how it goes on), {@link vividcrown.core.judgement.Happenings} (what events do),
 * {@link vividcrown.core.judgement.Evidence} (what readings say), then {@link vividcrown.core.judgement.Judge} (Bayes over time),
 * {@link vividcrown.core.judgement.Contents} (what people read) and {@link vividcrown.core.judgement.Advisor}. Depends on
 * {@code brood}, {@code reading}, {@code mating}, {@code climate}, {@code odds}, {@code assumptions}, {@code time} and
 * {@code reason}.
 */
package vividcrown.core.judgement;

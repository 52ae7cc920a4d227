/**
 * What state is the colony in, how sure is that, and what should be done?
 *
 * <p>Read {@link vividcrown.core.judgement.Status} (the states), {@link vividcrown.core.judgement.Phase} (each state with
 * its days), {@link vividcrown.core.judgement.Likelihoods} (how often each sign goes with each state, with the reason),
 * then {@link vividcrown.core.judgement.Judge} (Bayes over time) and {@link vividcrown.core.judgement.Advisor}. Depends
 * on {@code brood}, {@code reading}, {@code mating}, {@code odds}, {@code assumptions}, {@code time} and {@code reason}.
 */
package vividcrown.core.judgement;

/**
 * What can be done about the queen of a colony: one file an action, each with what must be true first, what it is worth in each
 * case, what it costs, what follows and what is lost if the belief is wrong. {@link vividcrown.core.judgement.act.Act} is what
 * they have in common, {@link vividcrown.core.judgement.act.Acts} lists them. All numbers are common practice put into parts of
 * a colony.
 */
package vividcrown.core.judgement.act;

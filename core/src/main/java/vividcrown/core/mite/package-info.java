/**
 * Mites: what a count says ({@link vividcrown.core.mite.MiteCount}, {@link vividcrown.core.mite.Infestation}), when rules say to act
 * ({@link vividcrown.core.mite.MiteRule}), how many hives to look at ({@link vividcrown.core.mite.Sampling}), what becomes of it
 * ({@link vividcrown.core.mite.MiteCourse}), and when no brood is sealed ({@link vividcrown.core.mite.BroodBreak}). No dose is ever
 * given: the label and the law decide.
 */
package vividcrown.core.mite;

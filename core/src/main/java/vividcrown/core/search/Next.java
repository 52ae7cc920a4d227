package vividcrown.core.search;

/**
 * What to do next.
 *
 * @param chance that it finds her, 0–1
 * @param lifts to be expected from here until she is found, if she is here
 */
public record Next(Step step, double chance, double lifts) {
}

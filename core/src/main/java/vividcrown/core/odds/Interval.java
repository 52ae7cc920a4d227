package vividcrown.core.odds;

/** A credible interval of a share between 0 and 1: the true share lies inside with the stated probability. */
public record Interval(double low, double high, double probability) {
}

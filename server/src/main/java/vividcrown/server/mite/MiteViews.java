package vividcrown.server.mite;

import java.time.LocalDate;
import java.util.List;
import vividcrown.core.hive.Amount;
import vividcrown.core.mite.MiteRule;
import vividcrown.core.mite.Sampling;

/** What counts of mites say, as it is shown. */
public final class MiteViews {

    /** A fifth of the yard over its threshold is found so surely. */
    private static final double OVER = 0.2;
    private static final double FIND_WITH = 0.9;
    private static final double KNOWN_WITHIN = 0.15;

    private MiteViews() {
    }

    public static double hundredth(double value) {
        return Math.round(value * 100) / 100.0;
    }

    public static Amount hundredth(Amount amount) {
        return amount.map(MiteViews::hundredth);
    }

    /** @param doubtful the interval of the count lies on both sides of it */
    public record RuleView(MiteRule.School school, double percent, MiteRule.Says says, boolean doubtful, String text) {
        public static List<RuleView> of(List<MiteRule.Word> words) {
            return words.stream().map(word -> new RuleView(word.rule().school(), hundredth(word.rule().percent()),
                    word.says(), word.doubtful(), word.words().toString())).toList();
        }
    }

    /**
     * @param toFind hives to look at so that one is found, with 90 in 100, if a fifth of the yard is over its threshold
     * @param toKnow hives to look at so that the share over it is known within 15 in 100
     */
    public record SamplingView(int hives, int toFind, int toKnow) {
        public static SamplingView of(int hives) {
            return new SamplingView(hives, Sampling.toFind(hives, OVER, FIND_WITH),
                    Sampling.toKnow(hives, KNOWN_WITHIN));
        }
    }

    /** @param on the day; @param percent mites for a hundred bees then */
    public record CourseView(LocalDate on, Amount percent) {
    }
}

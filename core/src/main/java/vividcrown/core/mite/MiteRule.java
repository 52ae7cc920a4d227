package vividcrown.core.mite;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.Amount;
import vividcrown.core.reason.Sentence;

/**
 * A rule about when to act. Thresholds are the user's; the trade is of several minds, and two neighbouring rules can both be right on
 * one count.
 *
 * @param school whose rule it is
 * @param percent mites for a hundred bees at which it acts, 0–20
 * @param tolerated it lets more be because a broodless treatment follows
 */
public record MiteRule(School school, double percent, boolean tolerated) {

    /** Whose rule. Common practice, all of them. */
    public enum School {
        /** Two in 300 in spring, less than one per cent; later two and three per cent. */
        CAUTIOUS,
        /** One per cent in spring, two in summer, three in autumn. */
        BY_SEASON,
        /** The operation's own figure. */
        OWN
    }

    /** A part of the bees' year. */
    public enum Time {
        SPRING, SUMMER, AUTUMN
    }

    /** What a rule says to a count. */
    public enum Says {
        ACT, LET_BE
    }

    /**
     * A rule and what it says.
     *
     * @param doubtful the interval of the count lies on both sides of it
     */
    public record Word(MiteRule rule, Says says, boolean doubtful, Sentence words) {
    }

    private static final double TWO_IN_300 = 100 * 2 / 300.0;
    private static final double THREE_IN_300 = 1.0;

    /** The part of the year, by what queens lay at the place: spring while it rises, autumn once it falls. */
    public static Time time(BeeYear year, LocalDate day) {
        if (year.isAutumn(day)) {
            return Time.AUTUMN;
        }
        return year.laying(day.plusDays(30)) > year.laying(day) + 0.05 ? Time.SPRING : Time.SUMMER;
    }

    /**
     * The schools' rules for that time.
     *
     * @param winterTreatment a treatment without brood is planned before spring: in autumn up to three in 300 are let be for it
     * @param own the operation's own figure, mites for a hundred bees; empty if it has none
     */
    public static List<MiteRule> at(Time time, boolean winterTreatment, Optional<Double> own) {
        List<MiteRule> rules = new ArrayList<>();
        boolean waits = time == Time.AUTUMN && winterTreatment;
        rules.add(new MiteRule(School.CAUTIOUS, switch (time) {
            case SPRING -> TWO_IN_300;
            case SUMMER -> 2;
            case AUTUMN -> waits ? THREE_IN_300 + 1e-9 : TWO_IN_300;
        }, waits));
        rules.add(new MiteRule(School.BY_SEASON, switch (time) {
            case SPRING -> 1;
            case SUMMER -> 2;
            case AUTUMN -> 3;
        }, false));
        own.ifPresent(figure -> rules.add(new MiteRule(School.OWN, figure, false)));
        return rules;
    }

    /** What it says to a count: it acts from its figure on. */
    public Word to(Amount counted) {
        Says says = counted.likely() >= percent ? Says.ACT : Says.LET_BE;
        boolean doubtful = counted.least() < percent && counted.most() >= percent;
        String key = "mites.rule." + school.name() + (tolerated ? ".tolerated" : "");
        double shown = Math.round(percent * 100) / 100.0;
        Sentence rule = Sentence.of(key, shown);
        return new Word(this, says, doubtful,
                Sentence.of("mites.says." + says.name() + (doubtful ? ".doubtful" : ""), rule));
    }

    /** Two rules that say the opposite of one count. */
    public static boolean disagree(List<Word> words) {
        return words.stream().map(Word::says).distinct().count() > 1;
    }
}

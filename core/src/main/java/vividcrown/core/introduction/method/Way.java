package vividcrown.core.introduction.method;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.introduction.Given;
import vividcrown.core.odds.Rate;
import vividcrown.core.reason.Sentence;
import vividcrown.core.round.Item;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * A way of giving a queen, as data.
 *
 * @param prior chance that she is laying and kept after three weeks where nothing royal is in there; of a cell or virgin, that she is
 *        kept until she mates. Common practice, from memory
 * @param gives what it can give
 * @param release days from giving to her being free among the bees
 * @param byHand somebody opens the cage: not before the gate
 * @param steps what is done, counted from the day of giving
 * @param eggs when to look for hers, counted from the release; of one that must mate empty: the mating calendar says it
 * @param kit what is carried
 */
public record Way(Rate prior, Given.Kind gives, DaySpan release, boolean byHand, List<Due> steps,
        Optional<DaySpan> eggs, List<Item> kit) {

    public Way {
        steps = List.copyOf(steps);
        kit = List.copyOf(kit);
    }

    /** @param key of its sentence, after {@code introduction.step.} */
    public record Due(DaySpan when, String key) {
    }

    /** A step with its days. */
    public record Step(DatedSpan when, Sentence what) {
    }

    /** After an introduction the colony stays shut until the eggs. Common practice. */
    static final DaySpan EGGS = DaySpan.ofDays(7, 8, 10);

    /**
     * @param day of giving
     * @param notBefore the day before which no cage is opened: until then new cells can be begun
     */
    public DatedSpan releasedOn(LocalDate day, LocalDate notBefore) {
        return release.from(day).notBefore(byHand ? notBefore : day);
    }

    /** @return empty for one that must mate: her calendar says when */
    public Optional<HerEggs> herEggs(DatedSpan free, BeeYear year) {
        return eggs.map(span -> HerEggs.of(new DatedSpan(span.from(free.earliest()).earliest(),
                free.likely().plusDays(span.likelyDay()), free.latest().plusDays(span.latestDay())), year));
    }

    /** Every step, the first day first. */
    public List<Step> on(LocalDate day, LocalDate notBefore, BeeYear year) {
        List<Step> all = new ArrayList<>();
        steps.forEach(due -> all.add(new Step(due.when().from(day), Sentence.of("introduction.step." + due.key()))));
        DatedSpan free = releasedOn(day, notBefore);
        if (byHand) {
            all.add(new Step(free, Sentence.of("introduction.step.open")));
        }
        herEggs(free, year).ifPresent(look -> all.add(look.step()));
        all.sort(Comparator.comparing(step -> step.when().earliest()));
        return all;
    }
}

package vividcrown.core.introduction;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.introduction.CageReading.Act;
import vividcrown.core.introduction.CageReading.SecondLook;
import vividcrown.core.introduction.IntroductionDeed.Begun;
import vividcrown.core.introduction.IntroductionDeed.Cause;
import vividcrown.core.introduction.IntroductionDeed.Freeing;
import vividcrown.core.introduction.IntroductionDeed.Outcome;
import vividcrown.core.introduction.method.HerEggs;
import vividcrown.core.introduction.method.Method;
import vividcrown.core.introduction.method.Way;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * A queen on her way into a colony: what was seen at her cage, what was found, how it came out, what is due next.
 *
 * @param since the day on which she was put in
 * @param freedOn the day from which she has been among the bees
 */
public record Introduction(Begun begun, LocalDate since, List<CageReading> readings, List<SecondLook> looks,
        Optional<LocalDate> freedOn, Optional<Closing> closing, List<Contradiction> contradictions) {

    /** A young queen's eggs, counted from her giving: she has to mate first. Common practice. */
    private static final DaySpan MUST_MATE = DaySpan.ofDays(10, 16, 28);
    private static final DaySpan FIRST_LOOK = DaySpan.ofDays(0, 1, 1);
    private static final DaySpan NEXT_LOOK = DaySpan.ofDays(1, 1, 2);
    private static final DaySpan RELEASED_LOOK = DaySpan.ofDays(4, 4, 4);
    private static final DaySpan THERE_LOOK = DaySpan.ofDays(2, 3, 4);
    private static final DaySpan CHEWED_LOOK = DaySpan.ofDays(1, 1, 2);

    public Introduction {
        readings = List.copyOf(readings);
        looks = List.copyOf(looks);
        contradictions = List.copyOf(contradictions);
    }

    /** How it came out. */
    public record Closing(LocalDate day, Outcome outcome, Cause cause) {
    }

    /** What is to be done at her. */
    public enum Task {
        READ_BEES, SECOND_CUT, SECOND_LOOK, OPEN_CAGE, TAKE_HER_OUT, CHANGE_METHOD, RELEASED, THERE, EGGS, PLAN_B;

        /** Whether the cage is opened, or she is saved: it does not wait. */
        public boolean isUrgent() {
            return this == TAKE_HER_OUT || this == CHANGE_METHOD || this == PLAN_B;
        }
    }

    /** @param words what to do, and why now */
    public record Next(Task task, DatedSpan when, Sentence words) {
    }

    /** @return empty if nobody began it */
    public static Optional<Introduction> fold(List<Entry> record) {
        Optional<Introduction> now = Optional.empty();
        List<Contradiction> clashes = new ArrayList<>();
        for (Entry entry : record) {
            Optional<Introduction> before = now;
            if (entry.deed() instanceof Begun begun) {
                now = Optional.of(new Introduction(begun, entry.day(), List.of(), List.of(), Optional.empty(),
                        Optional.empty(), List.of()));
            } else if (entry.deed() instanceof IntroductionDeed deed) {
                // what was seen outlives its beginning where that was withdrawn
                before.flatMap(one -> one.against(deed, entry.day()))
                        .ifPresent(why -> clashes.add(new Contradiction(entry.id(), why)));
                now = before.map(one -> one.after(deed, entry.day()));
            }
        }
        return now.map(one -> new Introduction(one.begun, one.since, one.readings, one.looks, one.freedOn, one.closing,
                clashes));
    }

    private Introduction after(IntroductionDeed deed, LocalDate day) {
        return switch (deed) {
            case Begun _ -> this;
            case IntroductionDeed.CageRead read -> with(
                    plus(readings, new CageReading(day, read.seen(), read.minutes())), looks, freedOn, closing);
            case IntroductionDeed.LookedThrough look -> with(readings,
                    plus(looks, new SecondLook(day, look.eggs(), look.virgin(), look.cells())), freedOn, closing);
            case IntroductionDeed.Freed _ -> with(readings, looks, Optional.of(day), closing);
            case IntroductionDeed.Closed closed -> with(readings, looks, freedOn,
                    Optional.of(new Closing(day, closed.outcome(), closed.cause())));
        };
    }

    private Introduction with(List<CageReading> read, List<SecondLook> looked, Optional<LocalDate> freed,
            Optional<Closing> closed) {
        return new Introduction(begun, since, read, looked, freed, closed, contradictions);
    }

    private static <T> List<T> plus(List<T> all, T one) {
        List<T> more = new ArrayList<>(all);
        more.add(one);
        return more;
    }

    /** What speaks against it: a cage opened before its gate, anything after the end. */
    private Optional<Sentence> against(IntroductionDeed deed, LocalDate day) {
        if (closing.isPresent()) {
            return Optional.of(Sentence.of("introduction.over", closing.get().day()));
        }
        if (day.isBefore(since)) {
            return Optional.of(Sentence.of("introduction.beforeIt", since));
        }
        boolean opens = deed instanceof IntroductionDeed.Freed(_, Freeing how) && how == Freeing.BY_HAND;
        if (!opens || !isInCage()) {
            return Optional.empty();
        }
        CageReading.Answer answer = answer(day);
        if (method().way().byHand()) {
            return answer.act() == Act.RELEASE
                    ? Optional.empty()
                    : Optional.of(Sentence.of("introduction.gate", answer.why()));
        }
        // where the bees were to do it: at least they are not hostile, and no new cell is on the way
        boolean hostile = answer.act() == Act.TAKE_HER_OUT || answer.act() == Act.ABORT
                || answer.act() == Act.CHANGE_METHOD || day.isBefore(begun.opens());
        return hostile ? Optional.of(Sentence.of("introduction.gate", answer.why())) : Optional.empty();
    }

    public Method method() {
        return begun.method();
    }

    /** Whether she hangs in a cage at which the bees can be read. */
    public boolean isInCage() {
        return freedOn.isEmpty() && switch (method()) {
            case PUSH_IN_CAGE, CAGE_BY_HAND, CAGE_CANDY, CAGED_VIRGIN -> true;
            case WITH_HER_NUC, RIPE_CELL, NEW_VIRGIN -> false;
        };
    }

    public boolean isOpen() {
        return closing.isEmpty();
    }

    /** What the bees at the cage say today. */
    public CageReading.Answer answer(LocalDate today) {
        return CageReading.answer(readings, since, begun.opens(), looks, today);
    }

    /** Friendly readings on different days. */
    public int goodReadings() {
        return (int) readings.stream().filter(one -> one.mood() == CageReading.Mood.FRIENDLY).map(CageReading::day)
                .distinct().count();
    }

    /**
     * What is to be done next, the soonest first; nothing once it is closed.
     *
     * @param year of the bees where she is
     */
    public List<Next> ahead(LocalDate today, BeeYear year) {
        List<Next> all = new ArrayList<>();
        if (closing.isPresent()) {
            return all;
        }
        begun.noNewCellsFrom().filter(since::isBefore).filter(from -> lookedSince(from).isEmpty())
                .ifPresent(from -> all.add(next(Task.SECOND_CUT, DatedSpan.on(from),
                        Sentence.of("introduction.step.secondCut"))));
        if (freedOn.isPresent()) {
            all.add(eggs(freedOn.get(), today, year));
        } else if (isInCage()) {
            atCage(today, all);
        } else {
            all.add(next(Task.THERE, (method() == Method.WITH_HER_NUC ? CHEWED_LOOK : THERE_LOOK).from(since),
                    Sentence.of("introduction.step." + switch (method()) {
                        case WITH_HER_NUC -> "chewed";
                        case RIPE_CELL -> "roundLid";
                        default -> "virginThere";
                    })));
        }
        all.sort(Comparator.comparing(one -> one.when().earliest()));
        return all;
    }

    private Optional<SecondLook> lookedSince(LocalDate day) {
        return looks.stream().filter(one -> !one.day().isBefore(day)).findFirst();
    }

    private void atCage(LocalDate today, List<Next> all) {
        CageReading.Answer answer = answer(today);
        Optional<LocalDate> last = readings.stream().map(CageReading::day).max(Comparator.naturalOrder());
        switch (answer.act()) {
            case WAIT -> {
                if (method().way().byHand() || last.isEmpty() || isHostile()) {
                    all.add(next(Task.READ_BEES, last.map(NEXT_LOOK::from).orElseGet(() -> FIRST_LOOK.from(since)),
                            answer.why()));
                }
            }
            case SECOND_LOOK -> {
                if (method().way().byHand()) {
                    all.add(next(Task.SECOND_LOOK, NEXT_LOOK.from(today.minusDays(1)), answer.why()));
                }
            }
            case RELEASE -> {
                if (method().way().byHand()) {
                    all.add(next(Task.OPEN_CAGE, NEXT_LOOK.from(today.minusDays(1)), answer.why()));
                }
            }
            case TAKE_HER_OUT, ABORT -> all.add(next(Task.TAKE_HER_OUT, DatedSpan.on(today), answer.why()));
            case CHANGE_METHOD -> all.add(next(Task.CHANGE_METHOD, DatedSpan.on(today), answer.why()));
        }
        if (!method().way().byHand()) {
            all.add(next(Task.RELEASED, RELEASED_LOOK.from(since).notBefore(begun.opens()),
                    Sentence.of("introduction.step.releasedLook")));
        }
    }

    private boolean isHostile() {
        return readings.stream().max(Comparator.comparing(CageReading::day))
                .filter(one -> one.mood() == CageReading.Mood.HOSTILE).isPresent();
    }

    private Next eggs(LocalDate freed, LocalDate today, BeeYear year) {
        Optional<HerEggs> hers = method().way().herEggs(DatedSpan.on(freed), year);
        Way.Step look = hers.map(HerEggs::step)
                .orElseGet(() -> new Way.Step(MUST_MATE.from(freed), Sentence.of("introduction.step.eggs")));
        if (look.when().latest().isBefore(today)) {
            look = hers.flatMap(HerEggs::inSpring).orElse(look);
        }
        LocalDate last = look.when().latest();
        return last.isBefore(today)
                ? next(Task.PLAN_B, DatedSpan.on(last.plusDays(1)),
                        hers.map(HerEggs::planB).orElseGet(() -> Sentence.of("introduction.planB.young", last)))
                : next(Task.EGGS, look.when(), look.what());
    }

    private static Next next(Task task, DatedSpan when, Sentence words) {
        return new Next(task, when, words);
    }

    /** Whose it is, for the boards. */
    public UUID hive() {
        return begun.hive();
    }
}

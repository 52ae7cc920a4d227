package vividcrown.core.split.making;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.Due;
import vividcrown.core.split.making.SplitDeed.How;
import vividcrown.core.split.making.SplitSheet.Giver;
import vividcrown.core.split.making.SplitSheet.NewHive;
import vividcrown.core.time.DaySpan;

/**
 * How far a split has come: the sheet as it was planned, and beside it what was really done.
 *
 * @param done by the step's key; the last word on a step counts
 * @param dropped nobody follows it any longer
 */
public record Making(SplitSheet sheet, Map<String, Done> done, boolean dropped,
        List<Contradiction> contradictions) {

    private static final DaySpan STILL_THERE = DaySpan.ofDays(3, 4, 5);

    public Making {
        done = Map.copyOf(done);
        contradictions = List.copyOf(contradictions);
    }

    /**
     * What was said of a step.
     *
     * @param seenOn of a look for the queen, on which day she was last seen to stay, or taken in hand
     */
    public record Done(How how, LocalDate day, Optional<LocalDate> seenOn) {

        /** @param before what was said of it until then; what is said of the same day takes its place, whenever it is written down */
        public static Done said(How how, LocalDate day, Optional<Done> before) {
            Optional<LocalDate> otherDay = before.flatMap(Done::seenOn).filter(seen -> !seen.equals(day));
            return new Done(how, day, how == How.SEEN_STAYS || how == How.IN_HAND
                    ? otherDay.filter(day::isBefore).or(() -> Optional.of(day))
                    : otherDay);
        }

        /**
         * Whether combs can go on that day because of it. A frame that was set aside is back in its hive by the evening, and she walks free on it; caged
         * she stays where she is. Common practice.
         */
        public boolean isSeenFor(LocalDate on) {
            return how == How.IN_HAND || seenOn.filter(seen -> !seen.isBefore(on)).isPresent();
        }

        /** Whether it tells no longer where she is: she was seen, and not caged, on a day before. */
        public boolean isOver(LocalDate today) {
            return how == How.SEEN_STAYS && !isSeenFor(today);
        }

        /**
         * Whether for that day the queen of a hive that gives was seen on a frame that stays, is in hand, or her fresh eggs were found there since.
         *
         * @param find key of the look for her
         * @param stillThere key of the look for her eggs
         */
        public static boolean isKnown(Map<String, Done> done, String find, String stillThere, LocalDate day) {
            return Optional.ofNullable(done.get(find)).filter(one -> one.isSeenFor(day)).isPresent()
                    || Optional.ofNullable(done.get(stillThere)).filter(one -> one.how() == How.SEEN_STAYS).isPresent();
        }

        /** Whether with a step something left that nobody searched, and she was not known that day: the gate was passed over, or what was said of her was taken back. */
        public static boolean wentUnseen(Map<String, Done> done, String step, String find, String stillThere) {
            return Optional.ofNullable(done.get(step)).filter(one -> one.how() != How.SEARCHED && one.how() != How.LEFT
                    && !isKnown(done, find, stillThere, one.day())).isPresent();
        }
    }

    /** Whether a step may be done now. */
    public enum Gate {
        OPEN,
        /** The hive that is given up may hold a queen: she is found and taken out, or every frame is searched twice. */
        NO_QUEEN_FIRST,
        /** The entrance of the better queen is guarded first. */
        GUARD_FIRST,
        /** Nobody has looked for the queen yet. */
        FIND_HER_FIRST,
        /** She goes along, and is not in hand. */
        TAKE_HER_FIRST,
        /** She was not found: both sides are searched before it goes. */
        SEARCH_BOTH_SIDES,
        /** She was not found: no bees are shaken off combs both sides of which were not searched. */
        NOT_FROM_THESE
    }

    /** @return empty if nobody began it */
    public static Optional<Making> fold(List<Entry> record) {
        Optional<SplitSheet> sheet = Optional.empty();
        boolean dropped = false;
        Map<String, Done> done = new HashMap<>();
        List<Contradiction> clashes = new ArrayList<>();
        for (Entry entry : record) {
            switch (entry.deed()) {
                case SplitDeed.Begun(_, SplitSheet begun) -> sheet = Optional.of(begun);
                case SplitDeed.Dropped _ -> dropped = true;
                case SplitDeed.StepDone(_, String step, How how) -> {
                    boolean over = dropped;
                    // a step outlives its beginning where that was withdrawn
                    sheet.flatMap(begun -> new Making(begun, done, over, List.of()).against(step, how, entry.day()))
                            .ifPresent(why -> clashes.add(new Contradiction(entry.id(), why)));
                    done.compute(step,
                            (_, before) -> Done.said(how, entry.day(), Optional.ofNullable(before)));
                }
                default -> {
                    // of another thing that the split is only named in
                }
            }
        }
        boolean nobody = dropped;
        return sheet.map(one -> new Making(one, done, nobody, clashes));
    }

    /** What speaks against this being done so, that day. */
    private Optional<Sentence> against(String step, How how, LocalDate day) {
        return MakingStep.of(sheet).stream().filter(one -> one.key().equals(step)).findFirst().flatMap(one -> {
            Gate gate = how == How.LEFT ? Gate.OPEN : gate(one, day);
            return switch (gate) {
                case FIND_HER_FIRST, TAKE_HER_FIRST, NO_QUEEN_FIRST, GUARD_FIRST -> shut(gate);
                case NOT_FROM_THESE -> how == How.SEARCHED ? Optional.empty() : shut(gate);
                case SEARCH_BOTH_SIDES -> how == How.SEARCHED || how == How.UNSEARCHED
                        ? Optional.empty()
                        : shut(gate);
                case OPEN -> Optional.empty();
            };
        });
    }

    private static Optional<Sentence> shut(Gate gate) {
        return Optional.of(Sentence.of("split.gate." + gate.name()));
    }

    /** Whether it may be done that day, and what must be so before. */
    public Gate gate(MakingStep step, LocalDate day) {
        return switch (step) {
            case MakingStep.Frame frame -> gate(frame.giver(), day);
            case MakingStep.Shaken shaken when shaken.shake().aboveExcluder() -> Gate.OPEN;
            case MakingStep.Shaken shaken -> gate(shaken.giver(), day) == Gate.SEARCH_BOTH_SIDES
                    ? Gate.NOT_FROM_THESE
                    : gate(shaken.giver(), day);
            case MakingStep.SetUp _,MakingStep.Find _,MakingStep.Comb _,MakingStep.Close _,MakingStep.Load _,MakingStep.AtOnce _ ->
                Gate.OPEN;
        };
    }

    private Gate gate(Giver giver, LocalDate day) {
        Optional<Done> found = Optional.ofNullable(done.get(new MakingStep.Find(giver).key()));
        if (sheet.takesTheQueen()) {
            return found.filter(one -> one.how() == How.IN_HAND).isPresent() ? Gate.OPEN : Gate.TAKE_HER_FIRST;
        }
        if (found.isEmpty() || found.get().isOver(day)) {
            return Gate.FIND_HER_FIRST;
        }
        return Done.isKnown(done, new MakingStep.Find(giver).key(), keyOf(giver), day)
                ? Gate.OPEN
                : Gate.SEARCH_BOTH_SIDES;
    }

    /** What stands of it: a look for the queen of another day is to be made again while combs of hers are to go. */
    public Optional<Done> standing(MakingStep step, LocalDate today) {
        return Optional.ofNullable(done.get(step.key())).filter(one -> !(step instanceof MakingStep.Find find
                && one.isOver(today) && MakingStep.of(sheet).stream().anyMatch(
                        other -> leaves(other, find.giver()) && how(other).isEmpty())));
    }

    /** Whether with it combs or bees of the brood nest leave a hive. */
    private static boolean leaves(MakingStep step, Giver giver) {
        return step instanceof MakingStep.Frame frame && frame.giver().equals(giver)
                || step instanceof MakingStep.Shaken shaken && shaken.giver().equals(giver)
                        && !shaken.shake().aboveExcluder();
    }

    public Optional<How> how(MakingStep step) {
        return Optional.ofNullable(done.get(step.key())).map(Done::how);
    }

    /** Whether every step was done or left. */
    public boolean isMade() {
        return MakingStep.of(sheet).stream().allMatch(step -> done.containsKey(step.key()));
    }

    /** Whether anything came into a unit: what was left out altogether needs no looks. */
    public boolean stands(NewHive unit) {
        return how(new MakingStep.SetUp(unit)).filter(how -> how != How.LEFT).isPresent();
    }

    /** Whether the queen of a hive that gave may be in a unit: something went there unsearched, and nobody saw her since. */
    public boolean mayHoldHer(NewHive unit) {
        return !sheet.takesTheQueen() && MakingStep.of(sheet).stream().anyMatch(step -> switch (step) {
            case MakingStep.Frame frame -> frame.unit().equals(unit) && isUnsafe(step, frame.giver());
            case MakingStep.Shaken shaken -> shaken.unit().equals(unit) && !shaken.shake().aboveExcluder()
                    && isUnsafe(step, shaken.giver());
            default -> false;
        });
    }

    private boolean isUnsafe(MakingStep step, Giver giver) {
        return Done.wentUnseen(done, step.key(), new MakingStep.Find(giver).key(), keyOf(giver));
    }

    /**
     * What is still to come at a new unit, counted from the day on which it was really made; the soonest first. While the old
     * queen may be in it nothing is given: a queen or a cell would be killed by her, or she by them.
     */
    public List<Due> ahead(NewHive unit) {
        LocalDate made = dayOf(new MakingStep.SetUp(unit).key()).orElse(sheet.day());
        int late = (int) ChronoUnit.DAYS.between(sheet.day(), made);
        String look = keyOf(unit, Due.Work.MAY_HOLD_HER);
        Optional<How> found = Optional.ofNullable(done.get(look)).map(Done::how);
        boolean waits = mayHoldHer(unit) && found.isEmpty();
        boolean isIn = found.filter(How.SEEN_STAYS::equals).isPresent();
        // what waited for the look begins with it
        int after = found.isPresent() && !isIn ? daysTo(made, dayOf(look).orElse(made)) : 0;
        Stream<Due> search = waits && unit.due().stream().noneMatch(due -> due.work() == Due.Work.MAY_HOLD_HER)
                ? Stream.of(new Due(Due.Work.MAY_HOLD_HER, STILL_THERE.from(sheet.day())))
                : Stream.of();
        return Stream.concat(search, unit.due().stream())
                .filter(due -> !due.work().isAtOnce() && due.work() != Due.Work.HANDS_OFF)
                // planned for want of a look; she was seen or searched for when it was made
                .filter(due -> due.work() != Due.Work.MAY_HOLD_HER || waits || !isMade())
                .filter(due -> !due.work().isForANewQueen() || !(waits || isIn))
                .filter(due -> !done.containsKey(keyOf(unit, due.work())))
                .map(due -> new Due(due.work(),
                        due.when().plusDays(late + (due.work().isForANewQueen() ? after : 0))))
                .sorted(Comparator.comparing(due -> due.when().earliest())).toList();
    }

    private Optional<LocalDate> dayOf(String key) {
        return Optional.ofNullable(done.get(key)).map(Done::day);
    }

    private static int daysTo(LocalDate from, LocalDate to) {
        return Math.max(0, (int) ChronoUnit.DAYS.between(from, to));
    }

    /** The look for her eggs in a hive that gave; empty if she went along, was seen to stay, or it was done. */
    public Optional<Due> ahead(Giver giver) {
        boolean known = sheet.takesTheQueen()
                || how(new MakingStep.Find(giver)).filter(How.SEEN_STAYS::equals).isPresent() && MakingStep.of(sheet)
                        .stream().noneMatch(step -> leaves(step, giver) && isUnsafe(step, giver));
        Optional<LocalDate> closed = dayOf(new MakingStep.Close(giver).key());
        return known || done.containsKey(keyOf(giver))
                ? Optional.empty()
                : closed.map(day -> new Due(Due.Work.STILL_THERE, STILL_THERE.from(day)));
    }

    /** Whether a key names something that follows at a unit or at a hive that gave. */
    public boolean isALaterStep(String key) {
        return sheet.givers().stream().anyMatch(giver -> keyOf(giver).equals(key))
                || sheet.units().stream().anyMatch(unit -> key.equals(keyOf(unit, Due.Work.MAY_HOLD_HER))
                        || unit.due().stream().anyMatch(due -> key.equals(keyOf(unit, due.work()))));
    }

    /** The key under which a look at a unit is recorded. */
    public static String keyOf(NewHive unit, Due.Work work) {
        return "%s %s".formatted(work.name().toLowerCase(Locale.ROOT).replace('_', '-'), unit.code());
    }

    /** The key under which the look for the queen's eggs in a hive that gave is recorded. */
    public static String keyOf(Giver giver) {
        return "still-there " + giver.code();
    }
}

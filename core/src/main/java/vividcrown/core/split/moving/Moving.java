package vividcrown.core.split.moving;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.UnitePlan;
import vividcrown.core.split.making.Making.Done;
import vividcrown.core.split.making.Making.Gate;
import vividcrown.core.split.making.SplitDeed;
import vividcrown.core.split.making.SplitDeed.How;
import vividcrown.core.split.moving.MoveSheet.Stand;
import vividcrown.core.split.moving.MoveSheet.Union;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * How far strength that is moved has come: the sheet as it was planned, and beside it what was really done.
 *
 * @param done by the step's key; the last word on a step counts
 * @param dropped nobody follows it any longer
 */
public record Moving(MoveSheet sheet, Map<String, Done> done, boolean dropped, List<Contradiction> contradictions) {

    public Moving {
        done = Map.copyOf(done);
        contradictions = List.copyOf(contradictions);
    }

    /** What is looked at or done afterwards. Common practice. */
    public enum After {
        /** Chewed paper, no fighting. */
        PAPER(DaySpan.ofDays(1, 1, 2)),
        /** The queen of the small unit lives. */
        QUEEN(DaySpan.ofDays(2, 2, 3)),
        /** What was shaken out is in. */
        ALL_IN(DaySpan.ofDays(1, 1, 2)),
        /** The guard is taken away. */
        GUARD_OFF(DaySpan.ofDays(2, 2, 3)),
        /** A frame went unsearched: a second queen may have gone along with it, at the risk of the first. */
        TWO_QUEENS(DaySpan.ofDays(0, 0, 1)),
        /** Her eggs say that she is still in the hive that gave. */
        STILL_THERE(DaySpan.ofDays(3, 4, 5)),
        /** The better queen lays on. */
        HER_EGGS(DaySpan.ofDays(7, 7, 10)),
        /** The brood that was given has emerged. */
        EMERGED(DaySpan.ofDays(12, 13, 14)),
        /** Against its target once more. */
        COUNT(DaySpan.ofDays(10, 10, 14));

        private final DaySpan days;

        After(DaySpan days) {
            this.days = days;
        }
    }

    /** @param key under which it is recorded */
    public record Look(Stand at, After after, DatedSpan when, String key) {
        public Sentence words() {
            return Sentence.of("moves.after." + after.name());
        }
    }

    /** @return empty if nobody began it */
    public static Optional<Moving> fold(List<Entry> record) {
        Optional<MoveSheet> sheet = Optional.empty();
        boolean dropped = false;
        Map<String, Done> done = new HashMap<>();
        List<Contradiction> clashes = new ArrayList<>();
        for (Entry entry : record) {
            switch (entry.deed()) {
                case SplitDeed.MovesBegun(_, MoveSheet begun) -> sheet = Optional.of(begun);
                case SplitDeed.Dropped _ -> dropped = true;
                case SplitDeed.StepDone(_, String step, How how) -> {
                    sheet.flatMap(begun -> new Moving(begun, done, false, List.of()).against(step, how, entry.day()))
                            .ifPresent(why -> clashes.add(new Contradiction(entry.id(), why)));
                    done.compute(step,
                            (_, before) -> Done.said(how, entry.day(), Optional.ofNullable(before)));
                }
                default -> {
                    // of another thing that the sheet is only named in
                }
            }
        }
        boolean nobody = dropped;
        return sheet.map(one -> new Moving(one, done, nobody, clashes));
    }

    private Optional<Sentence> against(String key, How how, LocalDate day) {
        if (how == How.LEFT) {
            return Optional.empty();
        }
        return step(key).map(one -> gate(one, day)).filter(gate -> switch (gate) {
            case OPEN -> false;
            case SEARCH_BOTH_SIDES -> how != How.SEARCHED && how != How.UNSEARCHED;
            case NOT_FROM_THESE -> how != How.SEARCHED;
            case FIND_HER_FIRST, TAKE_HER_FIRST, NO_QUEEN_FIRST, GUARD_FIRST -> true;
        }).map(gate -> Sentence.of("split.gate." + gate.name()));
    }

    public Optional<MoveStep> step(String key) {
        return MoveStep.of(sheet).stream().filter(one -> one.key().equals(key)).findFirst();
    }

    public Optional<How> how(MoveStep step) {
        return Optional.ofNullable(done.get(step.key())).map(Done::how);
    }

    /** Whether it may be done that day, and what must be so before. */
    public Gate gate(MoveStep step, LocalDate day) {
        return switch (step) {
            case MoveStep.Frame frame -> ofGiver(frame.at(), Gate.SEARCH_BOTH_SIDES, day);
            case MoveStep.Shaken shaken -> shaken.gift().aboveExcluder()
                    ? Gate.OPEN
                    : ofGiver(shaken.at(), Gate.NOT_FROM_THESE, day);
            case MoveStep.Join join when join.how() == UnitePlan.How.PAPER
                    || join.how() == UnitePlan.How.NUC_INTO_HIVE ->
                hasNoQueen(join.at()) ? Gate.OPEN : Gate.NO_QUEEN_FIRST;
            case MoveStep.Join join -> isGuarded(join.keeps()) ? Gate.OPEN : Gate.GUARD_FIRST;
            case MoveStep.Find _,MoveStep.OwnQueen _,MoveStep.Close _,MoveStep.OverPaper _,MoveStep.TakeOut _,MoveStep.Guard _,MoveStep.OldSpot _ ->
                Gate.OPEN;
        };
    }

    private Gate ofGiver(Stand giver, Gate unfound, LocalDate day) {
        Optional<Done> found = Optional.ofNullable(done.get(new MoveStep.Find(giver).key()));
        if (found.isEmpty() || found.get().isOver(day)) {
            return Gate.FIND_HER_FIRST;
        }
        return found.get().isSeenFor(day) ? Gate.OPEN : unfound;
    }

    /** What stands of it: a look for the queen of another day is to be made again while combs of hers are to go. */
    public Optional<Done> standing(MoveStep step, LocalDate today) {
        return Optional.ofNullable(done.get(step.key()))
                .filter(one -> !(step instanceof MoveStep.Find && one.isOver(today) && MoveStep.of(sheet).stream()
                        .anyMatch(other -> leaves(other, step.at()) && how(other).isEmpty())));
    }

    private boolean hasNoQueen(Stand gives) {
        return how(new MoveStep.TakeOut(gives))
                .filter(how -> how == How.IN_HAND || how == How.KILLED || how == How.SEARCHED).isPresent();
    }

    private boolean isGuarded(Stand keeps) {
        return sheet.union().map(Union::takesPlace).orElse(false)
                || how(new MoveStep.Guard(keeps)).filter(How.DONE::equals).isPresent();
    }

    /** Whether every step was done or left. */
    public boolean isMade() {
        return MoveStep.of(sheet).stream().allMatch(step -> done.containsKey(step.key()));
    }

    /** Whether a second queen may have come into a hive: what came went unsearched, and nobody saw her stay. */
    public boolean mayHoldTwo(Stand to) {
        return MoveStep.of(sheet).stream().anyMatch(step -> switch (step) {
            case MoveStep.Frame frame -> frame.to().equals(to) && isUnsafe(frame, frame.at());
            case MoveStep.Shaken shaken -> shaken.to().equals(to) && !shaken.gift().aboveExcluder()
                    && isUnsafe(shaken, shaken.at());
            default -> false;
        });
    }

    private boolean isUnsafe(MoveStep step, Stand giver) {
        return Done.wentUnseen(done, step.key(), new MoveStep.Find(giver).key(), key(After.STILL_THERE, giver));
    }

    /** What is still to come, the soonest first; of what was not done nothing follows. */
    public List<Look> ahead() {
        List<Look> looks = new ArrayList<>();
        sheet.receivers().forEach(to -> lastGift(to).ifPresent(day -> {
            if (mayHoldTwo(to)) {
                looks.add(look(After.TWO_QUEENS, to, day));
            }
            switch (sheet.act()) {
                case BOOST -> {
                    looks.add(look(After.QUEEN, to, day));
                    looks.add(look(After.EMERGED, to, day));
                }
                case BOOST_WITH_BEES -> {
                    looks.add(look(After.PAPER, to, day));
                    looks.add(look(After.QUEEN, to, day));
                }
                case EQUALISE -> looks.add(look(After.COUNT, to, day));
                case UNITE -> {
                    // two hives that become one have a look of their own
                }
            }
        }));
        sheet.givers().stream().filter(this::gaveUnseen).forEach(giver -> dayOf(new MoveStep.Find(giver))
                .ifPresent(day -> looks.add(look(After.STILL_THERE, giver, day))));
        sheet.union().ifPresent(union -> {
            Stand keeps = sheet.stand(union.keeps());
            dayOf(new MoveStep.Join(sheet.stand(union.gives()), keeps, union.how())).ifPresent(day -> {
                looks.add(look(union.isShaken() ? After.ALL_IN : After.PAPER, keeps, day));
                if (how(new MoveStep.Guard(keeps)).filter(How.DONE::equals).isPresent()) {
                    looks.add(look(After.GUARD_OFF, keeps, day));
                }
                looks.add(look(After.HER_EGGS, keeps, day));
            });
        });
        return looks.stream().filter(look -> !done.containsKey(look.key()))
                .sorted(Comparator.comparing(look -> look.when().earliest())).toList();
    }

    /** Every look that can follow, whether it does by now or not: what may be recorded under its key. */
    public boolean isALook(String key) {
        return sheet.hives().stream()
                .anyMatch(stand -> List.of(After.values()).stream().anyMatch(after -> key(after, stand).equals(key)));
    }

    private boolean gaveUnseen(Stand giver) {
        return MoveStep.of(sheet).stream().anyMatch(step -> leaves(step, giver) && isUnsafe(step, giver));
    }

    /** Whether with it combs or bees of the brood nest leave a hive. */
    private static boolean leaves(MoveStep step, Stand giver) {
        return step.at().equals(giver) && (step instanceof MoveStep.Frame
                || step instanceof MoveStep.Shaken shaken && !shaken.gift().aboveExcluder());
    }

    private Optional<LocalDate> lastGift(Stand to) {
        return MoveStep.of(sheet).stream().filter(step -> switch (step) {
            case MoveStep.Frame frame -> frame.to().equals(to);
            case MoveStep.Shaken shaken -> shaken.to().equals(to);
            default -> false;
        }).flatMap(step -> dayOf(step).stream()).max(Comparator.naturalOrder());
    }

    /** The day on which it was done; empty if it was left. */
    private Optional<LocalDate> dayOf(MoveStep step) {
        return Optional.ofNullable(done.get(step.key())).filter(one -> one.how() != How.LEFT).map(Done::day);
    }

    private static Look look(After after, Stand at, LocalDate day) {
        return new Look(at, after, after.days.from(day), key(after, at));
    }

    private static String key(After after, Stand at) {
        return "%s %s".formatted(after.name().toLowerCase(Locale.ROOT).replace('_', '-'), at.code());
    }
}

package vividcrown.core.swarm;

import java.util.ArrayList;
import java.util.List;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reason.Sentence;

/**
 * Nothing is shaken before she is in hand: a queen among shaken bees is lost. Common practice. Whoever records a shake is
 * asked where she was; that it was done is recorded all the same.
 */
public final class SwarmGates {

    /** A queen caught longer ago than this may be anywhere again. */
    private static final int IN_HAND_DAYS = 10;

    private SwarmGates() {
    }

    /** @param record what stands of a hive's record */
    public static List<Contradiction> clashes(List<Entry> record) {
        List<Contradiction> clashes = new ArrayList<>();
        List<Entry> ordered = record.stream().sorted(Entry.AS_IT_HAPPENED).toList();
        for (int index = 0; index < ordered.size(); index++) {
            Entry entry = ordered.get(index);
            if (isShake(entry) && ordered.subList(0, index).stream().noneMatch(before -> isInHand(before, entry))) {
                clashes.add(new Contradiction(entry.id(), Sentence.of("clash.shakenBeforeCaught")));
            }
        }
        return clashes;
    }

    private static boolean isShake(Entry entry) {
        return entry.deed() instanceof SwarmDeed.StepDone(var _, SwarmStep.Kind step, var _)
                && step == SwarmStep.Kind.SHAKE_AND_DESTROY;
    }

    private static boolean isInHand(Entry before, Entry shake) {
        if (before.day().isBefore(shake.day().minusDays(IN_HAND_DAYS))) {
            return false;
        }
        return switch (before.deed()) {
            case SwarmDeed.StepDone(var _, SwarmStep.Kind step, var _) ->
                step == SwarmStep.Kind.CATCH_QUEEN || step == SwarmStep.Kind.MAKE_NUC
                        || step == SwarmStep.Kind.SEE_HER_CAGED;
            case HiveDeed.Happened(var _, EventKind event, var _, var _) ->
                event == EventKind.QUEEN_REMOVED || event == EventKind.QUEEN_CAGED || event == EventKind.SWARMED
                        || event == EventKind.SPLIT_WITHOUT_QUEEN;
            default -> false;
        };
    }
}

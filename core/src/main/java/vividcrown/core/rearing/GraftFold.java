package vividcrown.core.rearing;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.reason.Sentence;

/** Folds a graft's record, in the order in which it was written, into how it stands. */
public final class GraftFold {

    /**
     * How a graft stands.
     *
     * @param planned as it was planned last
     * @param graftDay the day it was done, or is planned for
     * @param shares for whom it is now
     */
    public record State(RearingDeed.Planned planned, LocalDate graftDay, boolean isDone, boolean isCancelled,
            Set<StepKind> steps, List<GraftShare> shares) {
    }

    /** @param state empty if nobody planned it */
    public record Folded(Optional<State> state, List<Contradiction> contradictions) {
    }

    private final List<Contradiction> contradictions = new ArrayList<>();
    private final Set<StepKind> steps = EnumSet.noneOf(StepKind.class);
    private Optional<RearingDeed.Planned> planned = Optional.empty();
    private Optional<LocalDate> done = Optional.empty();
    private Optional<List<GraftShare>> shares = Optional.empty();
    private boolean cancelled;

    private GraftFold() {
    }

    /** @param zone of the operation: which day an hour belongs to */
    public static Folded fold(List<Entry> record, ZoneId zone) {
        GraftFold fold = new GraftFold();
        record.forEach(fold::apply);
        return new Folded(fold.planned.map(plan -> new State(plan,
                fold.done.orElse(plan.plannedFor().withZoneSameInstant(zone).toLocalDate()), fold.done.isPresent(),
                fold.cancelled && fold.done.isEmpty(), fold.steps, fold.shares.orElse(plan.shares()))),
                List.copyOf(fold.contradictions));
    }

    private void apply(Entry entry) {
        if (!(entry.deed() instanceof RearingDeed deed)) {
            return;
        }
        switch (deed) {
            case RearingDeed.Planned one -> {
                planned = Optional.of(one);
                shares = Optional.empty();
                cancelled = false;
            }
            case RearingDeed.Done _ -> {
                if (cancelled) {
                    clash(entry, "clash.graftCancelled");
                }
                if (done.isPresent() && !done.get().equals(entry.day())) {
                    clash(entry, "clash.graftDoneTwice", done.get());
                }
                done = Optional.of(entry.day());
            }
            case RearingDeed.Cancelled _ -> {
                done.ifPresent(day -> clash(entry, "clash.graftDone", day));
                cancelled = true;
            }
            case RearingDeed.StepDone one -> steps.add(one.step());
            case RearingDeed.MeantFor one -> shares = Optional.of(one.shares());
            case RearingDeed.BuilderRun _,RearingDeed.Noted _ -> {
                // concerns a hive, or changes nothing that is reckoned with
            }
        }
    }

    private void clash(Entry entry, String key, Object... arguments) {
        contradictions.add(new Contradiction(entry.id(), Sentence.of(key, arguments)));
    }
}

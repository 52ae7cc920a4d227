package vividcrown.core.hive;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.reading.Sign;
import vividcrown.core.reading.Suspicion;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;

/**
 * Folds a hive's record, in the order in which things happened, into its facts. A deed that clashes with an earlier one is
 * applied all the same where it can be, and reported.
 */
public final class HiveFold {

    /**
     * @param state empty if nobody set the hive up
     * @param contradictions deeds that clash with earlier ones, in order
     */
    public record Folded(Optional<HiveState> state, List<Contradiction> contradictions) {
    }

    private final UUID hive;
    private final List<Contradiction> contradictions = new ArrayList<>();
    private final List<Box> stack = new ArrayList<>();
    private Optional<HiveDeed.SetUp> setUp = Optional.empty();
    private LocalDate setUpOn = LocalDate.MIN;
    private UUID yard = new UUID(0, 0);
    private String code = "";
    private int position;
    private Purpose purpose = Purpose.PRODUCTION;
    private HiveState.By purposedBy = new HiveState.By(new UUID(0, 0), 0);
    private HiveState.By codedBy = new HiveState.By(new UUID(0, 0), 0);
    private Optional<HiveState.End> end = Optional.empty();
    private Optional<LocalDate> lastRead = Optional.empty();
    private Suspicion suspicion = Suspicion.NONE;
    private Optional<LocalDate> droneComb = Optional.empty();
    private Optional<DatedSpan> droneCombMeant = Optional.empty();
    private String reservedFor = "";

    private HiveFold(UUID hive) {
        this.hive = hive;
    }

    /** @param record everything that touches the hive, in any order; what does not concern it is passed over */
    public static Folded fold(UUID hive, List<Entry> record) {
        HiveFold fold = new HiveFold(hive);
        List<Entry> ordered = record.stream().sorted(Entry.AS_IT_HAPPENED).toList();
        ordered.stream().filter(entry -> entry.deed() instanceof HiveDeed.SetUp).forEach(fold::apply);
        ordered.stream().filter(entry -> !(entry.deed() instanceof HiveDeed.SetUp)).forEach(fold::apply);
        return new Folded(fold.state(), List.copyOf(fold.contradictions));
    }

    private Optional<HiveState> state() {
        return setUp.map(
                _ -> new HiveState(yard, code, codedBy, position, purpose, purposedBy, setUpOn, stack, end, lastRead,
                        droneComb,
                        droneComb.isPresent() ? Optional.empty() : droneCombMeant, reservedFor));
    }

    private void apply(Entry entry) {
        end.ifPresent(last -> clash(entry, "clash.hiveEnded", code, last.day()));
        if (!(entry.deed() instanceof HiveDeed deed)) {
            return;
        }
        if (entry.day().isBefore(setUpOn)) {
            clash(entry, "clash.beforeSetUp", code, setUpOn);
        }
        switch (deed) {
            case HiveDeed.SetUp one -> setUp(entry, one);
            case HiveDeed.Moved one -> {
                if (!one.yard().equals(yard)) {
                    suspicion.lastSeen().ifPresent(day -> clash(entry, "clash.diseaseHere", code, day));
                }
                yard = one.yard();
                position = one.position();
            }
            case HiveDeed.Renamed one -> {
                code = one.code();
                codedBy = by(entry);
            }
            case HiveDeed.Repurposed one -> {
                purpose = one.purpose();
                purposedBy = by(entry);
            }
            case HiveDeed.Ended one -> {
                if (end.isEmpty()
                        && !new HashSet<>(one.boxes()).equals(new HashSet<>(stack.stream().map(Box::id).toList()))) {
                    clash(entry, "clash.otherBoxes", code, stack.size(), one.boxes().size());
                }
                combsLeave(entry, stack);
                end = end.or(() -> Optional.of(new HiveState.End(entry.day(), one.why(), by(entry))));
                stack.clear();
            }
            case HiveDeed.BoxPutOn one -> putOn(entry, one);
            case HiveDeed.BoxTakenOff one -> {
                combsLeave(entry, stack.stream().filter(box -> box.id().equals(one.box())).toList());
                if (!stack.removeIf(box -> box.id().equals(one.box()))) {
                    clash(entry, "clash.boxNotHere", code);
                }
            }
            case HiveDeed.Read one -> {
                lastRead = Optional.of(entry.day());
                suspicion = suspicion.after(one.notes().on(entry.day()));
            }
            case HiveDeed.DroneCombIn _ -> droneComb = Optional.of(entry.day());
            case HiveDeed.DroneCombOut _ -> droneComb = Optional.empty();
            case HiveDeed.DroneCombMeant one -> droneCombMeant = Optional.of(one.days());
            case HiveDeed.DroneCombNotMeant _ -> droneCombMeant = Optional.empty();
            case HiveDeed.Reserved one -> reservedFor = one.forWhat().strip();
            case HiveDeed.FramesMoved one -> moved(entry, one);
            case HiveDeed.BeesShaken one -> {
                if (one.from().equals(hive)) {
                    suspicion.lastSeen().ifPresent(day -> clash(entry, "clash.diseaseSeen", code, day));
                }
            }
            case HiveDeed.Happened _,HiveDeed.FramesAdded _,HiveDeed.Noted _ -> {
                // bears on its bees and frames, not on what and where it is
            }
        }
    }

    private void moved(Entry entry, HiveDeed.FramesMoved one) {
        boolean leaves = one.moves().stream().anyMatch(move -> isHere(move.from()) && !isHere(move.to()));
        if (leaves) {
            suspicion.lastSeen().ifPresent(day -> clash(entry, "clash.diseaseSeen", code, day));
        }
        if (one.moves().stream().anyMatch(move -> isHere(move.from()) != isHere(move.to())
                && !(move.to() instanceof Spot.Away) && move.signs().stream().anyMatch(Sign::stopsTheWork))) {
            clash(entry, "clash.diseaseOnFrame");
        }
    }

    /** Boxes with combs in them go elsewhere. */
    private void combsLeave(Entry entry, List<Box> boxes) {
        if (boxes.stream().anyMatch(box -> box.kind().hasFrames())) {
            suspicion.lastSeen().ifPresent(day -> clash(entry, "clash.diseaseSeen", code, day));
        }
    }

    private boolean isHere(Spot spot) {
        return spot instanceof Spot.InHive(UUID at, UUID _, int _) && at.equals(hive);
    }

    private void setUp(Entry entry, HiveDeed.SetUp one) {
        if (setUp.isPresent()) {
            clash(entry, "clash.setUpTwice", code, setUpOn);
            return;
        }
        setUp = Optional.of(one);
        setUpOn = entry.day();
        yard = one.yard();
        code = one.code();
        codedBy = by(entry);
        position = one.position();
        purpose = one.purpose();
        purposedBy = by(entry);
        stack.addAll(one.stack());
    }

    private void putOn(Entry entry, HiveDeed.BoxPutOn one) {
        if (!one.hive().equals(hive)) {
            return;
        }
        if (stack.removeIf(box -> box.id().equals(one.box().id()))) {
            clash(entry, "clash.boxIsHere", code);
        }
        stack.add(Math.min(one.level() - 1, stack.size()), one.box());
    }

    private static HiveState.By by(Entry entry) {
        return new HiveState.By(entry.id(), entry.sequence());
    }

    private void clash(Entry entry, String key, Object... arguments) {
        contradictions.add(new Contradiction(entry.id(), Sentence.of(key, arguments)));
    }
}

package vividcrown.core.introduction;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.introduction.CageReading.Behaviour;
import vividcrown.core.introduction.method.Method;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Faults;
import vividcrown.core.journal.Role;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;
import vividcrown.core.queen.QueenDeed;

/** What people do and see while a colony takes a queen. */
public sealed interface IntroductionDeed extends Deed {

    SubjectKind INTRODUCTION = new SubjectKind("INTRODUCTION");

    UUID introduction();

    @Override
    default List<Touch> touches() {
        return List.of(Touch.itself(INTRODUCTION, introduction()));
    }

    /**
     * She was put in.
     *
     * @param queen her record; empty if she has none
     * @param method how she is given
     * @param code what she is called, 1–40 characters
     * @param opens the first day on which she may be let out
     * @param noNewCellsFrom until then new queen cells can be begun; empty if that is over
     * @param sprayed with syrup
     * @param cost of her, in whatever money, 0–10,000
     */
    record Begun(UUID introduction, UUID hive, Optional<UUID> queen, String code, Method method, LocalDate opens,
            Optional<LocalDate> noNewCellsFrom, boolean sprayed, double cost) implements IntroductionDeed {
        public Begun {
            new Faults().text("code", code, 1, 40).within("cost", cost, 0, 10_000).refuse();
        }

        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>(IntroductionDeed.super.touches());
            touches.add(new Touch(HiveDeed.HIVE, hive, Role.CONTEXT));
            queen.ifPresent(one -> touches.add(new Touch(QueenDeed.QUEEN, one, Role.CONTEXT)));
            return touches;
        }
    }

    /**
     * The bees at the cage were read.
     *
     * @param minutes watched, 0–60
     */
    record CageRead(UUID introduction, Set<Behaviour> seen, double minutes) implements IntroductionDeed {
        public CageRead {
            seen = Set.copyOf(seen);
            new CageReading(LocalDate.EPOCH, seen, minutes);
        }
    }

    /**
     * Every frame was looked at once more while she was in.
     *
     * @param eggs of another queen
     * @param virgin seen
     * @param cells found, and destroyed
     */
    record LookedThrough(UUID introduction, boolean eggs, boolean virgin, boolean cells) implements IntroductionDeed {
    }

    /**
     * She is among the bees.
     *
     * @param how she came out
     */
    record Freed(UUID introduction, Freeing how) implements IntroductionDeed {
    }

    /** How she came out. */
    enum Freeing {
        /** Somebody opened the cage. */
        BY_HAND,
        /** The bees did, or she walked out of her cell or nuc. */
        BY_BEES
    }

    /**
     * It came out; nothing is due any more.
     *
     * @param outcome what became of her there
     * @param cause why she was lost, as far as is known; of a loss only
     */
    record Closed(UUID introduction, Outcome outcome, Cause cause) implements IntroductionDeed {
        public Closed {
            new Faults().unless(outcome == Outcome.LOST || cause == Cause.NONE, "fault.introduction.causeOfNoLoss")
                    .refuse();
        }
    }

    /** What became of her there. */
    enum Outcome {
        /** Her eggs were seen, after three weeks or before. */
        KEPT, LOST,
        /** Taken out again alive: it says nothing of the way. */
        TAKEN_BACK
    }

    /** Why she was lost, as far as is known. */
    enum Cause {
        NONE, ANOTHER_QUEEN, VIRGIN_THERE, CELLS_THERE, WORKERS_LAY, BALLED, TOO_FEW_YOUNG_BEES, ROBBED, DID_NOT_MATE,
        UNKNOWN
    }
}

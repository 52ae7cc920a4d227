package vividcrown.core.rearing;

import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Faults;
import vividcrown.core.journal.Role;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;

/** What people do with grafts and cell builders. */
public sealed interface RearingDeed extends Deed {

    SubjectKind GRAFT = new SubjectKind("GRAFT");

    /**
     * A graft is planned.
     *
     * @param code year and number, as 26-06; empty where it is asked for, the record gives it
     * @param mother the breeder queen
     * @param builder the hive that brings it up
     * @param grafter who grafts, 1–60 characters
     * @param plannedFor day and hour
     * @param bars number of bars, 1–6
     * @param cupsPerBar cups on each, 1–30; together no more than an exceptional builder brings up
     * @param shares for whom it is, empty if for nobody yet
     * @param fixed planned or moved by hand: it stays when the season is planned again
     */
    record Planned(UUID graft, String code, UUID mother, UUID builder, String grafter, ZonedDateTime plannedFor,
            LarvaAge larvaAge, Placing placing, double incubatorCelsius, int bars, int cupsPerBar,
            List<GraftShare> shares, boolean fixed) implements RearingDeed {
        public Planned {
            shares = List.copyOf(shares);
            new Faults().text("grafter", grafter, 1, 60).within("incubatorCelsius", incubatorCelsius, 20, 45)
                    .within("bars", bars, 1, 6).within("cupsPerBar", cupsPerBar, 1, 30)
                    .unless(bars * cupsPerBar <= BuilderSchool.EXCEPTIONAL_LOAD,
                            "fault.cups",
                            bars * cupsPerBar, BuilderSchool.EXCEPTIONAL_LOAD)
                    .refuse();
        }

        /** The same with the code that the record gives it. */
        public Planned called(String given) {
            return new Planned(graft, given, mother, builder, grafter, plannedFor, larvaAge, placing, incubatorCelsius,
                    bars,
                    cupsPerBar, shares, fixed);
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(GRAFT, graft), new Touch(MOTHER, mother, Role.CONTEXT),
                    new Touch(HiveDeed.HIVE, builder, Role.CONTEXT));
        }
    }

    /** The planned graft was done. */
    record Done(UUID graft) implements OfGraft {
    }

    /** The planned graft will not be done. */
    record Cancelled(UUID graft) implements OfGraft {
    }

    /** A step of its calendar was done. */
    record StepDone(UUID graft, StepKind step) implements OfGraft {
    }

    /** For whom it is, from now on. */
    record MeantFor(UUID graft, List<GraftShare> shares) implements OfGraft {
        public MeantFor {
            shares = List.copyOf(shares);
        }
    }

    /** @param text 1–2,000 characters */
    record Noted(UUID graft, String text) implements OfGraft {
        public Noted {
            new Faults().text("text", text, 1, 2_000).refuse();
        }
    }

    /**
     * How a hive is run as a cell builder, from now on: what it brings up is said in cups, or follows from its strength.
     *
     * @param load cups that it brings up at a time, 1–45
     * @param framesOfBees frames densely covered with bees, 5–40
     */
    record BuilderRun(UUID hive, BuilderSchool school, Optional<Integer> load, Optional<Double> framesOfBees)
            implements
                RearingDeed {
        public BuilderRun {
            Faults faults = new Faults().unless(load.isPresent() != framesOfBees.isPresent(),
                    "fault.loadOrStrength");
            load.ifPresent(cups -> faults.within("load", cups, 1, BuilderSchool.EXCEPTIONAL_LOAD));
            framesOfBees.ifPresent(frames -> faults.within("framesOfBees", frames, 0, 40).unless(
                    BuilderRhythm.load(frames) > 0,
                    "fault.notCrowded", frames));
            faults.refuse();
        }

        /** Cups that it brings up at a time. */
        public int cups() {
            return load.orElseGet(() -> BuilderRhythm.load(framesOfBees.orElseThrow()));
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HiveDeed.HIVE, hive));
        }
    }

    /** A deed that concerns one graft and nothing else. */
    sealed interface OfGraft extends RearingDeed {
        UUID graft();

        @Override
        default List<Touch> touches() {
            return List.of(Touch.itself(GRAFT, graft()));
        }
    }

    /** Queens have deeds of their own, in a part that knows of grafts. */
    SubjectKind MOTHER = new SubjectKind("QUEEN");
}

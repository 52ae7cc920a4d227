package vividcrown.core.queen;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Faults;
import vividcrown.core.journal.Role;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;
import vividcrown.core.rearing.RearingDeed;
import vividcrown.core.reason.Wrong;

/** What people see of cells and queens, and do with them. */
public sealed interface QueenDeed extends AffectsQueens {

    SubjectKind QUEEN = new SubjectKind("QUEEN");

    /**
     * A queen comes into the record that was here before it, or was bought.
     *
     * @param code her code, 1–40 characters
     * @param name what people call her, may be empty
     * @param breeder a mother to graft from
     * @param mother her mother, if she is known
     * @param stage how far she has come: a virgin or older
     * @param emergenceYear year of her colour, 0 if unknown
     * @param line the line she belongs to; empty if it is not known
     * @param origin where she comes from; empty if nobody said
     * @param wears the mark she came with; empty if none
     */
    record Known(UUID queen, String code, String name, boolean breeder, Optional<UUID> mother, Stage stage,
            int emergenceYear, String line, Optional<Origin> origin, Optional<YearColour> wears) implements QueenDeed {
        public Known {
            new Faults().text("code", code, 1, 40).text("name", name, 0, 60).text("line", line, 0, 60)
                    .unless(!stage.isCell() && !stage.isEnd(),
                            "fault.knownStage", stage)
                    .unless(emergenceYear == 0 || emergenceYear >= 1950 && emergenceYear <= 2200,
                            "fault.emergenceYear", String.valueOf(emergenceYear))
                    .unless(mother.filter(queen::equals).isEmpty(), "fault.ownMother").refuse();
        }

        /** Without a mark. */
        public Known(UUID queen, String code, String name, boolean breeder, Optional<UUID> mother, Stage stage,
                int emergenceYear, String line, Optional<Origin> origin) {
            this(queen, code, name, breeder, mother, stage, emergenceYear, line, origin, Optional.empty());
        }

        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>();
            touches.add(Touch.itself(QUEEN, queen));
            mother.ifPresent(one -> touches.add(new Touch(QUEEN, one, Role.CONTEXT)));
            origin.flatMap(Origin::hive).ifPresent(hive -> touches.add(new Touch(HiveDeed.HIVE, hive, Role.CONTEXT)));
            return touches;
        }

        @Override
        public Optional<QueenEvent> eventFor(UUID one) {
            return one.equals(queen)
                    ? Optional.of(new QueenEvent.Known(stage, emergenceYear, wears))
                    : Optional.empty();
        }
    }

    /**
     * The bars of a graft were looked over, 24 h after it or later.
     *
     * @param took cups whose larva was accepted
     * @param didNotTake cups that are empty
     */
    record TakeCounted(UUID graft, Set<UUID> took, Set<UUID> didNotTake) implements QueenDeed {
        public TakeCounted {
            took = Set.copyOf(took);
            didNotTake = Set.copyOf(didNotTake);
            if (took.isEmpty() && didNotTake.isEmpty()) {
                throw Wrong.of("wrong.QueenDeed");
            }
            Set<UUID> both = new HashSet<>(took);
            both.retainAll(didNotTake);
            if (!both.isEmpty()) {
                throw Wrong.of("wrong.QueenDeed.2", both);
            }
        }

        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>();
            touches.add(new Touch(RearingDeed.GRAFT, graft, Role.CONTEXT));
            took.stream().sorted().forEach(cup -> touches.add(Touch.itself(QUEEN, cup)));
            didNotTake.stream().sorted().forEach(cup -> touches.add(Touch.itself(QUEEN, cup)));
            return touches;
        }

        @Override
        public Optional<QueenEvent> eventFor(UUID one) {
            return took.contains(one)
                    ? Optional.of(new QueenEvent.Took())
                    : didNotTake.contains(one) ? Optional.of(new QueenEvent.DidNotTake()) : Optional.empty();
        }
    }

    /** She, or her cell, was seen so. */
    record Seen(UUID queen, Sight sight) implements OfOne {
        @Override
        public QueenEvent event() {
            return sight.event();
        }
    }

    /** A cell was not used. */
    record Culled(UUID queen, CullReason reason) implements OfOne {
        @Override
        public QueenEvent event() {
            return new QueenEvent.Culled(reason);
        }
    }

    /**
     * A cell, virgin or queen was put into a hive.
     *
     * @param given as what
     * @param place where a cell hangs, if recorded
     * @param besideAnother it is known that another is in there, and both are left
     */
    record Placed(UUID queen, UUID hive, GivenAs given, Optional<CellPlace> place,
            boolean besideAnother) implements QueenDeed {

        /** A ripe cell, alone. */
        public static Placed cell(UUID queen, UUID hive) {
            return new Placed(queen, hive, GivenAs.CELL, Optional.empty(), false);
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(QUEEN, queen), new Touch(HiveDeed.HIVE, hive, Role.TO));
        }

        @Override
        public Optional<QueenEvent> eventFor(UUID one) {
            return one.equals(queen)
                    ? Optional.of(new QueenEvent.Placed(hive, given, besideAnother))
                    : Optional.empty();
        }
    }

    /**
     * She is in a cage.
     *
     * @param cage its number, from 1
     * @param bank the hive in which the cage hangs; empty if it lies in the incubator, or nobody said
     * @param attendants workers in it, 0–20; none hang with her in a bank
     */
    record Caged(UUID queen, int cage, Optional<UUID> bank, Optional<Integer> attendants) implements OfOne {
        public Caged {
            Faults faults = new Faults().within("cage", cage, 1, 100_000);
            attendants.ifPresent(bees -> faults.within("attendants", bees, 0, 20));
            faults.refuse();
        }

        /** In the incubator. */
        public Caged(UUID queen, int cage) {
            this(queen, cage, Optional.empty(), Optional.empty());
        }

        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>(OfOne.super.touches());
            bank.ifPresent(hive -> touches.add(new Touch(HiveDeed.HIVE, hive, Role.CONTEXT)));
            return touches;
        }

        @Override
        public QueenEvent event() {
            return new QueenEvent.CagedInIncubator(cage);
        }
    }

    /**
     * She wears a mark.
     *
     * @param colour empty for a number without a colour
     * @param number on the disc, empty if none; at most 8 characters
     */
    record Marked(UUID queen, Optional<YearColour> colour, String number) implements OfOne {
        public Marked {
            new Faults().text("number", number, 0, 8)
                    .unless(colour.isPresent() || !number.isBlank(), "fault.markOfNothing").refuse();
        }

        @Override
        public QueenEvent event() {
            return new QueenEvent.Marked(colour, number);
        }
    }

    /**
     * She left the operation for good.
     *
     * @param whereTo in words, may be empty
     * @param why empty if nobody said
     */
    record TakenOut(UUID queen, String whereTo, Optional<Leaving> why) implements OfOne {
        public TakenOut {
            new Faults().text("whereTo", whereTo, 0, 200).refuse();
        }

        @Override
        public QueenEvent event() {
            return new QueenEvent.TakenOut();
        }
    }

    /**
     * A mother to graft from, or no longer one.
     *
     * @param daughters that the season is to bring of her, 1–100,000; empty if nobody said: then about as many as of any other
     */
    record BreederSaid(UUID queen, boolean breeder, Optional<Integer> daughters) implements OfOne {
        public BreederSaid {
            daughters.ifPresent(many -> new Faults().within("daughters", many, 1, 100_000)
                    .unless(breeder, "fault.noBreeder").refuse());
        }

        @Override
        public QueenEvent event() {
            return new QueenEvent.Noted();
        }
    }

    /** @param text 1–2,000 characters */
    record Noted(UUID queen, String text) implements OfOne {
        public Noted {
            new Faults().text("text", text, 1, 2_000).refuse();
        }

        @Override
        public QueenEvent event() {
            return new QueenEvent.Noted();
        }
    }

    /** A deed that concerns one queen and nothing else. */
    sealed interface OfOne extends QueenDeed {
        UUID queen();

        QueenEvent event();

        @Override
        default List<Touch> touches() {
            return List.of(Touch.itself(QUEEN, queen()));
        }

        @Override
        default Optional<QueenEvent> eventFor(UUID one) {
            return one.equals(queen()) ? Optional.of(event()) : Optional.empty();
        }
    }
}

package vividcrown.server.split;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.BoxKind;
import vividcrown.core.hive.Comb;
import vividcrown.core.hive.FrameKind;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.ReadingNotes;
import vividcrown.core.hive.SinceRead;
import vividcrown.core.hive.Strength;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.journal.Entry;
import vividcrown.core.judgement.Status;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Sentence;
import vividcrown.server.colony.ColonyBook;
import vividcrown.server.colony.ColonyStanding;
import vividcrown.server.colony.ColonyStandings;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.StackBox;
import vividcrown.server.hive.Stacks;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Yard;

/** Hives of the operation as core's units: their frames as they were read last, their queen as she is judged. */
@Component
class HiveUnits {

    /** Of the five grades of temper. */
    private static final int BOILS_OVER = 4;
    private static final double NO_AREA = 0;
    private static final int FLYERS_GONE_DAYS = 2;
    private static final int BROOD_BEGINS_TO_TELL_DAYS = 6;

    private final ColonyBook book;
    private final ColonyStandings standings;
    private final Stacks stacks;
    private final SettingsInForce settings;

    HiveUnits(ColonyBook book, ColonyStandings standings, Stacks stacks, SettingsInForce settings) {
        this.book = book;
        this.standings = standings;
        this.stacks = stacks;
        this.settings = settings;
    }

    /**
     * One hive.
     *
     * @param unit empty if it was never read frame by frame
     * @param sides what stands on its frames: as it was read, and what came and went since
     * @param unread why there is no unit
     */
    record HiveUnit(Hive hive, Optional<Unit> unit, List<ReadingNotes.Side> sides, Optional<Sentence> unread,
            List<Counted> earlier) {
    }

    /**
     * The hive as it was counted before, and what was counted next, with no frame moved in between.
     *
     * @param framesOfBees at the next count
     */
    record Counted(Unit before, LocalDate on, double framesOfBees) {
    }

    /** To be asked outside of any transaction, see {@link ColonyStandings#of}. */
    List<HiveUnit> of(Collection<Hive> hives, Map<UUID, Yard> yards, LocalDate today) {
        Map<UUID, ColonyStanding> standing = standings.of(hives, yards, today);
        Map<UUID, ColonyBook.Facts> facts = book.facts(hives, today);
        Map<UUID, List<StackBox>> boxes = stacks.of(hives);
        Map<String, Double> areas = settings.current().frameFormats();
        List<HiveUnit> units = new ArrayList<>();
        for (Hive hive : hives) {
            units.add(unit(hive, Objects.requireNonNull(yards.get(hive.yardId())),
                    Objects.requireNonNull(facts.get(hive.id())), Objects.requireNonNull(standing.get(hive.id())),
                    boxes.getOrDefault(hive.id(), List.of()), areas, today));
        }
        return units;
    }

    private static HiveUnit unit(Hive hive, Yard yard, ColonyBook.Facts facts, ColonyStanding standing,
            List<StackBox> stack, Map<String, Double> areas, LocalDate today) {
        int newest = -1;
        for (int at = 0; at < facts.reads().size(); at++) {
            newest = facts.notes().get(at).sides().isEmpty() ? newest : at;
        }
        List<StackBox> brood = stack.stream().filter(box -> box.kind() == BoxKind.BROOD && !box.frames().isEmpty())
                .toList();
        double area = brood.isEmpty() ? NO_AREA : areas.getOrDefault(brood.getFirst().format(), NO_AREA);
        Optional<Entry> read = newest < 0 ? Optional.empty() : Optional.of(facts.reads().get(newest));
        Optional<ReadingNotes> notes = newest < 0 ? Optional.empty() : Optional.of(facts.notes().get(newest));
        SinceRead now = now(hive, facts, read, notes, stack);
        if (area <= 0 || now.sides().isEmpty()) {
            return new HiveUnit(hive, Optional.empty(), List.of(), Optional.of(Sentence.of("split.unread")),
                    List.of());
        }
        try {
            return new HiveUnit(hive,
                    Optional.of(unit(hive, yard, read.map(Entry::day).orElse(hive.setUpOn()), now,
                            notes.map(ReadingNotes::cells).orElse(List.of()), facts, standing, stack, brood, area,
                            today)),
                    now.sides(), Optional.empty(), earlier(hive, yard, facts, standing, stack, brood, area, today));
        } catch (IllegalArgumentException impossible) {
            // what was noted cannot be: it says so instead of being reckoned with
            return new HiveUnit(hive, Optional.empty(), now.sides(), Optional
                    .of(Sentence.of("split.impossible", hive.code(), String.valueOf(impossible.getMessage()))),
                    List.of());
        }
    }

    /** As it was read last, with what came and went since; a new unit nobody has read is what came into it. */
    private static SinceRead now(Hive hive, ColonyBook.Facts facts, Optional<Entry> read,
            Optional<ReadingNotes> notes, List<StackBox> stack) {
        Map<UUID, Integer> levels = stack.stream().collect(Collectors.toMap(StackBox::id, StackBox::level));
        return SinceRead.of(notes.map(ReadingNotes::sides).orElse(List.of()), notes.flatMap(ReadingNotes::covered),
                facts.movedSince(read), hive.id(), levels);
    }

    /** Its queen and what is so about it are today's. */
    private static Unit unit(Hive hive, Yard yard, LocalDate readOn, SinceRead seen, List<ReadingNotes.Cells> cells,
            ColonyBook.Facts facts, ColonyStanding standing, List<StackBox> stack, List<StackBox> brood,
            double area, LocalDate today) {
        List<FrameSeen> frames = new ArrayList<>();
        for (StackBox box : brood) {
            box.frames().forEach(frame -> frames.add(frame(seen.sides(), cells, box.level(), frame.slot())));
        }
        int slots = brood.stream().mapToInt(StackBox::slots).sum();
        return new Unit(hive.code(), yard.name(), hive.purpose(), readOn, new Strength(area), slots,
                frames, seen.covered(), queen(standing), traits(hive, facts, standing, stack, today), Optional.empty(),
                Optional.empty());
    }

    private static List<Counted> earlier(Hive hive, Yard yard, ColonyBook.Facts facts, ColonyStanding standing,
            List<StackBox> stack, List<StackBox> brood, double area, LocalDate today) {
        List<Counted> all = new ArrayList<>();
        for (int at = 0; at + 1 < facts.reads().size(); at++) {
            LocalDate from = facts.reads().get(at).day();
            LocalDate to = facts.reads().get(at + 1).day();
            Optional<Double> counted = facts.notes().get(at + 1).covered();
            boolean moved = Stream.concat(facts.moves().stream(), facts.added().stream())
                    .anyMatch(move -> !move.day().isBefore(from) && !move.day().isAfter(to));
            boolean whole = !facts.notes().get(at).sides().isEmpty() && facts.notes().get(at).covered().isPresent();
            if (whole && counted.isPresent() && !moved && to.isAfter(from)
                    && standing.leading() == Status.LAYING_QUEEN) {
                ReadingNotes then = facts.notes().get(at);
                all.add(new Counted(unit(hive, yard, from, new SinceRead(then.sides(), then.covered()), then.cells(),
                        facts, standing, stack, brood, area, today), to, counted.get()));
            }
        }
        return all;
    }

    /**
     * A unit as it was made, and as it was counted first once its flyers had gone.
     *
     * @param put frames of bees that came with its combs
     * @param stayed frames of bees at the count
     */
    record FirstCount(double put, double stayed) {
    }

    /** Of units that were counted within the first days and neither gave nor got a comb before. */
    Map<UUID, FirstCount> firstCounts(Collection<Hive> hives, LocalDate today) {
        Map<UUID, ColonyBook.Facts> facts = book.facts(hives, today);
        Map<UUID, List<StackBox>> boxes = stacks.of(hives);
        Map<UUID, FirstCount> counts = new HashMap<>();
        for (Hive hive : hives) {
            ColonyBook.Facts of = Objects.requireNonNull(facts.get(hive.id()));
            Map<UUID, Integer> levels = boxes.getOrDefault(hive.id(), List.of()).stream()
                    .collect(Collectors.toMap(StackBox::id, StackBox::level));
            double put = SinceRead.of(List.of(), Optional.empty(), of.moves().stream()
                    .filter(move -> !move.day().isAfter(hive.setUpOn())).toList(), hive.id(), levels).covered()
                    .orElse(0.0);
            for (int at = 0; at < of.reads().size(); at++) {
                LocalDate day = of.reads().get(at).day();
                boolean inTime = !day.isBefore(hive.setUpOn().plusDays(FLYERS_GONE_DAYS))
                        && !day.isAfter(hive.setUpOn().plusDays(BROOD_BEGINS_TO_TELL_DAYS));
                boolean moved = of.moves().stream()
                        .anyMatch(move -> move.day().isAfter(hive.setUpOn()) && !move.day().isAfter(day));
                Optional<Double> counted = of.notes().get(at).covered();
                if (inTime && !moved && counted.isPresent() && put > 0) {
                    counts.putIfAbsent(hive.id(), new FirstCount(put, counted.get()));
                }
            }
        }
        return counts;
    }

    private static FrameSeen frame(List<ReadingNotes.Side> sides, List<ReadingNotes.Cells> cellsSeen, int level,
            int slot) {
        List<Sign> near = signs(sides, level, slot, FrameSide.NEAR);
        List<Sign> far = signs(sides, level, slot, FrameSide.FAR);
        Comb comb = near.isEmpty() && far.isEmpty() ? FrameKind.DRAWN.usual() : Comb.ofSides(near, far);
        Set<Sign> all = EnumSet.noneOf(Sign.class);
        near.forEach(sign -> all.addAll(sign.upwards()));
        far.forEach(sign -> all.addAll(sign.upwards()));
        boolean cells = cellsSeen.stream().anyMatch(one -> one.look().isAlive()
                && one.box().orElse(0) == level && one.slot().orElse(0) == slot);
        return new FrameSeen(level, slot, comb, comb.usuallyCovered(), all.contains(Sign.QUEEN), false, cells);
    }

    private static List<Sign> signs(List<ReadingNotes.Side> sides, int level, int slot, FrameSide which) {
        return sides.stream()
                .filter(side -> side.box() == level && side.slot() == slot && side.side() == which)
                .flatMap(side -> side.signs().stream()).toList();
    }

    private static UnitQueen queen(ColonyStanding standing) {
        return new UnitQueen(standing.odds().is(), Optional.empty(), Optional.empty(), standing.odds().sure());
    }

    private static Set<UnitTrait> traits(Hive hive, ColonyBook.Facts facts, ColonyStanding standing,
            List<StackBox> stack, LocalDate today) {
        Set<UnitTrait> traits = EnumSet.noneOf(UnitTrait.class);
        if (standing.stop()) {
            traits.add(UnitTrait.SUSPECT);
        }
        if (facts.mites().holdsCombsBack(today)) {
            traits.add(UnitTrait.TREATED);
        }
        if (standing.leading() == Status.CELLS) {
            traits.add(UnitTrait.SWARM_CELLS);
        }
        facts.notes().reversed().stream().flatMap(notes -> notes.temper().stream()).findFirst()
                .filter(temper -> temper >= BOILS_OVER).ifPresent(_ -> traits.add(UnitTrait.DEFENSIVE));
        if (hive.purpose() == Purpose.PRODUCTION) {
            traits.add(UnitTrait.FOR_THE_CROP);
        }
        if (hive.purpose() == Purpose.DRONE_COLONY || hive.droneCombOn().isPresent()) {
            traits.add(UnitTrait.DRONE_MOTHER);
        }
        boolean excluder = stack.stream().anyMatch(box -> box.kind() == BoxKind.EXCLUDER);
        if (excluder && stack.stream().anyMatch(box -> box.kind() == BoxKind.HONEY)) {
            traits.add(UnitTrait.HAS_SUPERS);
        }
        return traits;
    }
}

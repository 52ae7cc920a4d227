package vividcrown.server.search;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.BoxKind;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.hive.ReadingNotes;
import vividcrown.core.hive.SinceRead;
import vividcrown.core.journal.Entry;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Contents.QueenIs;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.queen.Stage;
import vividcrown.core.queen.Thread;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Sign;
import vividcrown.core.search.BoxThere;
import vividcrown.core.search.CombThere;
import vividcrown.core.search.HiveSearched;
import vividcrown.core.search.Place;
import vividcrown.core.search.QueenTrait;
import vividcrown.core.search.SearchDeed;
import vividcrown.server.colony.ColonyBook;
import vividcrown.server.colony.ColonyJudge;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.StackBox;
import vividcrown.server.hive.Stacks;
import vividcrown.server.queen.QueenReader;
import vividcrown.server.queen.QueenView;
import vividcrown.server.queen.Queens;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** A hive of the record as it is searched: its combs as they were read last, where she was seen, who she is, how surely she is there. */
@Component
class HivesSearched {

    private static final double LIKELY = 0.3;

    private final Stacks stacks;
    private final Yards yards;
    private final ColonyBook book;
    private final ColonyJudge judges;
    private final Queens queens;
    private final QueenReader reader;

    HivesSearched(Stacks stacks, Yards yards, ColonyBook book, ColonyJudge judges, Queens queens, QueenReader reader) {
        this.stacks = stacks;
        this.yards = yards;
        this.book = book;
        this.judges = judges;
        this.queens = queens;
        this.reader = reader;
    }

    /**
     * @param traits as the record has her
     * @param laying of her full laying, what a queen does on that day there
     * @param mayMate a virgin who may fly is likely in there, though nobody recorded her
     * @param caged its queen was caged in it, and not let out since
     * @param levels of each box with combs, its place in the whole stack
     */
    record Known(HiveSearched hive, Set<QueenTrait> traits, double laying, Optional<Integer> queenGivenDays,
            Optional<Integer> virginDays, boolean mayMate, boolean caged,
            List<Integer> levels) {
    }

    /** Who looked over so much of the sides has read the hive, whatever for. */
    private static final double AS_GOOD_AS_READ = 0.5;

    private record Noted(Entry entry, List<ReadingNotes.Side> sides) {
        LocalDate day() {
            return entry.day();
        }
    }

    /**
     * @param but a search that is just being corrected
     * @return empty if nothing in it holds combs
     */
    Optional<Known> of(Hive hive, LocalDate day, Optional<UUID> but) {
        Yard yard = yards.findById(hive.yardId()).orElseThrow();
        ColonyBook.Facts facts = book.facts(hive, day, but);
        List<StackBox> stack = stacks.of(hive.id());
        List<StackBox> combs = stack.stream().filter(box -> box.kind().hasFrames() && !box.frames().isEmpty())
                .toList();
        if (combs.isEmpty()) {
            return Optional.empty();
        }
        Optional<Noted> read = Stream
                .concat(facts.reads().stream().map(entry -> new Noted(entry, ColonyBook.notes(entry).sides()))
                        .filter(one -> !one.sides().isEmpty()),
                        facts.searches().stream().map(entry -> new Noted(entry, sides(entry, combs)))
                                .filter(one -> one.sides().size() >= AS_GOOD_AS_READ * sidesOf(combs)))
                .max(Comparator.comparing(Noted::entry, Entry.AS_IT_HAPPENED));
        List<ReadingNotes.Side> sides = SinceRead.of(read.map(Noted::sides).orElse(List.of()), Optional.empty(),
                facts.movedSince(read.map(Noted::entry)), hive.id(),
                stack.stream().collect(Collectors.toMap(StackBox::id, StackBox::level))).sides();
        List<QueenView> inside = reader.view(queens.livingIn(hive.id()), day);
        Verdict verdict = judges.verdict(facts, yard, day);
        List<BoxThere> boxes = new ArrayList<>();
        for (StackBox box : combs) {
            boxes.add(there(box, isUnderExcluder(stack, box), sides));
        }
        HiveSearched searched = new HiveSearched(boxes,
                read.map(one -> daysAgo(one.day(), day)).orElse(HiveSearched.LONGEST_DAYS),
                lastSeen(read.map(Noted::day), sides, facts.searches(), combs, boxes, day),
                1 - verdict.contents().queen().getOrDefault(QueenIs.NONE, 0.0));
        return Optional.of(new Known(searched, traits(inside, verdict),
                yard.year().laying(day), given(facts, day),
                virginDays(inside, day), mayMate(verdict), isCaged(facts),
                combs.stream().map(StackBox::level).toList()));
    }

    private static int daysAgo(LocalDate then, LocalDate day) {
        return (int) Math.clamp(ChronoUnit.DAYS.between(then, day), 0, HiveSearched.LONGEST_DAYS);
    }

    private static boolean isUnderExcluder(List<StackBox> stack, StackBox box) {
        int at = stack.indexOf(box);
        return at + 1 < stack.size() && stack.get(at + 1).kind() == BoxKind.EXCLUDER;
    }

    /** What the looks of a search showed, in the boxes as they stand now. */
    private static List<ReadingNotes.Side> sides(Entry search, List<StackBox> combs) {
        Map<Place, ReadingNotes.Side> newest = new LinkedHashMap<>();
        for (SearchDeed.SearchLook look : ((SearchDeed.Searched) search.deed()).looks()) {
            if (look.at() == Place.Kind.COMB && look.box() <= combs.size() && !look.shows().signs().isEmpty()) {
                newest.put(new Place.OnComb(look.box(), look.slot(), look.side().orElseThrow()),
                        new ReadingNotes.Side(combs.get(look.box() - 1).level(), look.slot(),
                                look.side().orElseThrow(), look.shows().signs()));
            }
        }
        return List.copyOf(newest.values());
    }

    private static int sidesOf(List<StackBox> combs) {
        return combs.stream().mapToInt(box -> 2 * box.frames().size()).sum();
    }

    private static BoxThere there(StackBox box, boolean excluderAbove, List<ReadingNotes.Side> read) {
        Map<Integer, Map<FrameSide, List<Sign>>> bySlot = new HashMap<>();
        read.stream().filter(side -> side.box() == box.level())
                .forEach(side -> bySlot.computeIfAbsent(side.slot(), _ -> new HashMap<>()).put(side.side(),
                        side.signs().stream().filter(sign -> !sign.upwards().contains(Sign.QUEEN)).toList()));
        return new BoxThere(box.kind() == BoxKind.HONEY, box.slots(), excluderAbove,
                box.frames().stream().map(frame -> {
                    Map<FrameSide, List<Sign>> sides = bySlot.getOrDefault(frame.slot(), Map.of());
                    return new CombThere(frame.slot(), sides.getOrDefault(FrameSide.NEAR, List.of()),
                            sides.getOrDefault(FrameSide.FAR, List.of()), Optional.empty(), false);
                }).toList());
    }

    /** The newest of what a reading or a search noted. */
    private static Optional<HiveSearched.LastSeen> lastSeen(Optional<LocalDate> readOn, List<ReadingNotes.Side> sides,
            List<Entry> searches, List<StackBox> combs, List<BoxThere> boxes, LocalDate day) {
        Optional<HiveSearched.LastSeen> found = searches.reversed().stream()
                .flatMap(entry -> ((SearchDeed.Searched) entry.deed()).place().stream()
                        .map(place -> new HiveSearched.LastSeen(place, daysAgo(entry.day(), day))))
                .filter(seen -> HiveSearched.placesOf(boxes).contains(seen.place())).findFirst();
        return Stream.concat(found.stream(), noted(readOn, sides, combs, boxes, day).stream())
                .min(Comparator.comparingInt(HiveSearched.LastSeen::days));
    }

    private static Optional<HiveSearched.LastSeen> noted(Optional<LocalDate> readOn, List<ReadingNotes.Side> sides,
            List<StackBox> combs, List<BoxThere> boxes, LocalDate day) {
        return readOn.flatMap(on -> sides.stream()
                .filter(side -> side.signs().stream().anyMatch(sign -> sign.upwards().contains(Sign.QUEEN)))
                .findFirst().flatMap(side -> {
                    int box = combs.stream().map(StackBox::level).toList().indexOf(side.box());
                    boolean hangs = box >= 0
                            && boxes.get(box).combs().stream().anyMatch(comb -> comb.slot() == side.slot());
                    return hangs
                            ? Optional.of(new HiveSearched.LastSeen(
                                    new Place.OnComb(box + 1, side.slot(), side.side()), daysAgo(on, day)))
                            : Optional.<HiveSearched.LastSeen>empty();
                }));
    }

    private static boolean isCaged(ColonyBook.Facts facts) {
        return facts.events().stream().map(ColonyEvent::kind)
                .filter(kind -> kind == EventKind.QUEEN_CAGED || kind == EventKind.QUEEN_RELEASED
                        || kind == EventKind.QUEEN_REMOVED)
                .reduce((_, last) -> last).filter(EventKind.QUEEN_CAGED::equals).isPresent();
    }

    private static boolean mayMate(Verdict verdict) {
        return verdict.contents().cases().getOrDefault(Case.VIRGIN_IN_TIME, 0.0) >= LIKELY;
    }

    /** Of those that are recorded in there; a virgin, where one is likelier than any other queen. */
    private static Set<QueenTrait> traits(List<QueenView> inside, Verdict verdict) {
        EnumSet<QueenTrait> traits = EnumSet.noneOf(QueenTrait.class);
        if (verdict.contents().queen().getOrDefault(QueenIs.VIRGIN, 0.0) > 0.5) {
            traits.add(QueenTrait.VIRGIN);
        }
        inside.stream().findFirst().ifPresent(her -> {
            if (her.stage() == Stage.VIRGIN) {
                traits.add(QueenTrait.VIRGIN);
            }
            if (!her.mark().isBlank() && !traits.contains(QueenTrait.VIRGIN)) {
                traits.add(QueenTrait.MARKED);
            }
        });
        return traits;
    }

    private static Optional<Integer> given(ColonyBook.Facts facts, LocalDate day) {
        return facts.events().stream().filter(event -> event.kind() == EventKind.QUEEN_GIVEN).map(ColonyEvent::day)
                .max(LocalDate::compareTo).map(on -> daysAgo(on, day));
    }

    private static Optional<Integer> virginDays(List<QueenView> inside, LocalDate day) {
        return inside.stream().filter(her -> her.stage() == Stage.VIRGIN)
                .flatMap(her -> her.thread().strands().stream())
                .filter(strand -> strand.character() == Thread.Character.VIRGIN && !strand.from().isAfter(day))
                .map(strand -> daysAgo(strand.from(), day)).findFirst();
    }
}

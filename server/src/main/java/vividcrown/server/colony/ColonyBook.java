package vividcrown.server.colony;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.FrameMove;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.ReadingNotes;
import vividcrown.core.hive.Spot;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Entry;
import vividcrown.core.judgement.JudgementDeed;
import vividcrown.core.judgement.Option;
import vividcrown.core.judgement.SeenOfHer;
import vividcrown.core.merit.MeritDeed;
import vividcrown.core.mite.MiteDeed;
import vividcrown.core.mite.MiteRecord;
import vividcrown.core.queen.GivenAs;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.Sight;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.search.SearchDeed;
import vividcrown.core.swarm.SwarmDeed;
import vividcrown.core.swarm.SwarmPath;
import vividcrown.server.hive.Hive;
import vividcrown.server.journal.Records;
import vividcrown.server.queen.Queens;

/** What the record holds of colonies, as core's facts. */
@Component
public class ColonyBook {

    /** What was seen longer ago tells nothing of today's queen and brood; no worker of then is alive. */
    private static final int TELLS_DAYS = 400;
    private static final int SAME_DEED_DAYS = 2;

    private final Records records;
    private final Queens queens;

    ColonyBook(Records records, Queens queens) {
        this.records = records;
        this.queens = queens;
    }

    /**
     * Everything known of one colony that bears on today.
     *
     * @param reads entries of readings, the oldest first
     * @param readings what core argues from: the readings, and what was seen of its queens, the oldest first
     * @param chosen the action that was chosen last
     * @param steps steps of swarm plans that were done
     * @param moves frames that were moved, in the hive or out of it or into it
     * @param added frames that came from the store, and bees that were shaken in or out
     * @param mites what is known of its mites, and what was put in against them
     * @param harvests honey that was taken
     * @param searches for its queen, the oldest first
     */
    public record Facts(List<Entry> reads, List<Reading> readings, List<ColonyEvent> events, Optional<Entry> chosen,
            List<SwarmPath.Done> steps, List<Entry> moves, List<Entry> added,
            MiteRecord mites, List<Entry> harvests, List<Entry> searches) {

        static final Facts NOTHING = new Facts(List.of(), List.of(), List.of(), Optional.empty(), List.of(), List.of(),
                List.of(), MiteRecord.NOTHING, List.of(), List.of());

        /** With one more reading, not recorded yet. */
        Facts with(Reading reading) {
            List<Reading> all = new ArrayList<>(readings);
            all.add(reading);
            all.sort(Comparator.comparing(Reading::day));
            return new Facts(reads, all, events, chosen, steps, moves, added, mites, harvests, searches);
        }

        Optional<LocalDate> lastRead() {
            return readings.isEmpty() ? Optional.empty() : Optional.of(readings.getLast().day());
        }

        /** What was noted at each reading, the oldest first. */
        public List<ReadingNotes> notes() {
            return reads.stream().map(ColonyBook::notes).toList();
        }

        /** Frames moved and added, and bees shaken, after an entry; all of them where there is none. */
        public List<Entry> movedSince(Optional<Entry> read) {
            return Stream.concat(moves.stream(), added.stream())
                    .filter(entry -> read.filter(one -> Entry.AS_IT_HAPPENED.compare(one, entry) > 0).isEmpty())
                    .toList();
        }

        /** Follow-ups of the chosen action that no reading has answered yet. */
        public List<Option.FollowUp> open() {
            LocalDate read = lastRead().orElse(LocalDate.MIN);
            return chosen.map(entry -> ((JudgementDeed.ActionChosen) entry.deed()).followUps()).orElse(List.of())
                    .stream().filter(followUp -> followUp.days().earliest().isAfter(read)).toList();
        }
    }

    public static ReadingNotes notes(Entry read) {
        return ((HiveDeed.Read) read.deed()).notes();
    }

    /** Of many colonies at once; each of them is in it. */
    public Map<UUID, Facts> facts(Collection<Hive> hives, LocalDate today) {
        return facts(hives, today, Optional.empty());
    }

    private Map<UUID, Facts> facts(Collection<Hive> hives, LocalDate today, Optional<UUID> but) {
        LocalDate since = today.minusDays(TELLS_DAYS);
        List<UUID> ids = hives.stream().map(Hive::id).toList();
        Map<UUID, List<Entry>> ofHive = records.standing(ids, since);
        Map<UUID, List<Entry>> ofQueens = sightings(ids, since);
        Map<UUID, Facts> facts = new HashMap<>();
        ids.forEach(id -> facts.put(id, facts(id, ofHive.getOrDefault(id, List.of()).stream()
                .filter(entry -> but.filter(entry.id()::equals).isEmpty()).toList(),
                ofQueens.getOrDefault(id, List.of()))));
        return facts;
    }

    public Facts facts(Hive hive, LocalDate today) {
        return facts(hive, today, Optional.empty());
    }

    /** @param but an entry that is just being corrected */
    public Facts facts(Hive hive, LocalDate today, Optional<UUID> but) {
        return facts(List.of(hive), today, but).getOrDefault(hive.id(), Facts.NOTHING);
    }

    /** What was seen of the queens that are, or were last, in these hives, since they came there. */
    private Map<UUID, List<Entry>> sightings(List<UUID> hives, LocalDate since) {
        Map<UUID, UUID> hiveOf = new HashMap<>();
        queens.inHives(hives, since).forEach(one -> hiveOf.put(one.queen(), one.hive()));
        Map<UUID, List<Entry>> seen = new HashMap<>();
        records.standing(hiveOf.keySet(), since).forEach((queen, record) -> {
            UUID hive = hiveOf.get(queen);
            long placed = record.stream().filter(entry -> entry.deed() instanceof QueenDeed.Placed to
                    && to.hive().equals(hive)).mapToLong(Entry::sequence).max().orElse(Long.MAX_VALUE);
            LocalDate from = record.stream().filter(entry -> entry.sequence() == placed).map(Entry::day).findFirst()
                    .orElse(LocalDate.MAX);
            record.stream().filter(entry -> entry.deed() instanceof QueenDeed.Seen && !entry.day().isBefore(from))
                    .forEach(entry -> seen.computeIfAbsent(hive, _ -> new ArrayList<>()).add(entry));
        });
        return seen;
    }

    private static Facts facts(UUID hive, List<Entry> record, List<Entry> sightings) {
        List<Entry> ordered = record.stream().sorted(Entry.AS_IT_HAPPENED).toList();
        List<Entry> reads = ofKind(ordered, HiveDeed.Read.class).toList();
        List<SwarmPath.Done> steps = ofKind(ordered, SwarmDeed.StepDone.class).map(ColonyBook::step).toList();
        List<Entry> moves = ofKind(ordered, HiveDeed.FramesMoved.class).toList();
        List<ColonyEvent> events = new ArrayList<>(SwarmPath.events(steps));
        ordered.forEach(entry -> event(hive, entry).filter(kind -> !(entry.deed() instanceof JudgementDeed.ActionChosen)
                || events.stream().noneMatch(other -> other.kind() == kind && isNear(other.day(), entry.day())))
                .ifPresent(kind -> events.add(eventOf(entry, kind))));
        List<Reading> readings = new ArrayList<>();
        Optional<ReadingNotes> earlier = Optional.empty();
        for (Entry entry : reads) {
            ReadingNotes notes = notes(entry);
            readings.add(earlier.map(notes::after).orElse(notes).on(entry.day()));
            earlier = Optional.of(notes);
        }
        for (Entry entry : sightings) {
            Sight sight = ((QueenDeed.Seen) entry.deed()).sight();
            SeenOfHer.reading(sight, entry.day()).ifPresent(readings::add);
            SeenOfHer.event(sight).ifPresent(kind -> events.add(new ColonyEvent(entry.day(), kind)));
        }
        List<Entry> searches = ofKind(ordered, SearchDeed.Searched.class).toList();
        for (Entry entry : searches) {
            SearchDeed.Searched search = (SearchDeed.Searched) entry.deed();
            if (search.tells()) {
                readings.add(search.on(entry.day()));
            }
        }
        readings.sort(Comparator.comparing(Reading::day));
        events.sort(Comparator.comparing(ColonyEvent::day));
        return new Facts(reads, readings, events,
                ofKind(ordered, JudgementDeed.ActionChosen.class).reduce((_, last) -> last), steps, moves,
                ordered.stream().filter(entry -> entry.deed() instanceof HiveDeed.FramesAdded
                        || entry.deed() instanceof HiveDeed.BeesShaken).toList(),
                MiteRecord.fold(ordered), ofKind(ordered, MeritDeed.Harvested.class).toList(), searches);
    }

    private static Stream<Entry> ofKind(List<Entry> entries, Class<? extends Deed> kind) {
        return entries.stream().filter(entry -> kind.isInstance(entry.deed()));
    }

    private static SwarmPath.Done step(Entry entry) {
        SwarmDeed.StepDone done = (SwarmDeed.StepDone) entry.deed();
        return new SwarmPath.Done(entry.day(), done.step(), done.school());
    }

    /** What a deed did to this colony's queen and brood, if anything. */
    private static Optional<EventKind> event(UUID hive, Entry entry) {
        return switch (entry.deed()) {
            case HiveDeed.Happened one -> Optional.of(one.event());
            case HiveDeed.FramesMoved one when one.moves().stream()
                    .anyMatch(move -> bringsOpenBrood(hive, move, entry)) ->
                Optional.of(EventKind.BROOD_GIVEN);
            case QueenDeed.Placed one -> Optional.of(given(one.given()));
            case MiteDeed.BroodStopped _ -> Optional.of(EventKind.QUEEN_CAGED);
            case JudgementDeed.ActionChosen one -> one.action().does();
            case SearchDeed.Searched one -> one.does();
            default -> Optional.empty();
        };
    }

    /** Written down as what was done, too: then it is not counted twice. */
    private static boolean isNear(LocalDate one, LocalDate other) {
        return Math.abs(ChronoUnit.DAYS.between(one, other)) <= SAME_DEED_DAYS;
    }

    private static ColonyEvent eventOf(Entry entry, EventKind kind) {
        return entry.deed() instanceof HiveDeed.Happened happened
                ? new ColonyEvent(entry.day(), kind, happened.cell(), happened.virginDays())
                : new ColonyEvent(entry.day(), kind);
    }

    private static EventKind given(GivenAs as) {
        return switch (as) {
            case CELL -> EventKind.CELL_GIVEN;
            case VIRGIN -> EventKind.VIRGIN_GIVEN;
            case LAYING_QUEEN -> EventKind.QUEEN_GIVEN;
        };
    }

    private static boolean bringsOpenBrood(UUID hive, FrameMove move, Entry entry) {
        boolean comes = move.to() instanceof Spot.InHive to && to.hive().equals(hive)
                && !(move.from() instanceof Spot.InHive from && from.hive().equals(hive));
        return comes && move.signs().stream().anyMatch(
                sign -> Reading.of(entry.day(), sign).saw(Sign.OPEN_BROOD));
    }
}

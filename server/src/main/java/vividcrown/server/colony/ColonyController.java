package vividcrown.server.colony;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import vividcrown.core.hive.FrameMove;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.ReadingNotes;
import vividcrown.core.hive.Spot;
import vividcrown.core.journal.Entry;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Advice;
import vividcrown.core.judgement.JudgementDeed;
import vividcrown.core.judgement.Status;
import vividcrown.core.judgement.ThreeVerdicts;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.swarm.SwarmSchool;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.HiveBox;
import vividcrown.server.hive.Hives;
import vividcrown.server.hive.StackBox;
import vividcrown.server.hive.Stacks;
import vividcrown.server.journal.Deeds;
import vividcrown.server.journal.Records;
import vividcrown.server.person.People;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.QueenReader;
import vividcrown.server.queen.QueenView;
import vividcrown.server.queen.Queens;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Colonies: which need a decision, what each one's readings mean, what was chosen. */
@RestController
@RequestMapping("/api/v1/colonies")
class ColonyController {

    private static final int MOST_READINGS = 100;

    /**
     * @param frames places for frames in its lowest box
     * @param format of the frames in its lowest box
     * @param need how much it needs a decision, 0 and up: doubt, trouble and late looks together; the list is sorted by it
     * @param due what is to be looked for, and when
     * @param stop signs of disease stand: nothing may be moved
     * @param clash readings and events cannot all be true
     * @param daysSinceRead days since the last reading, left out if it was never read
     */
    record ColonyLine(UUID id, String code, Purpose purpose, UUID yard, String yardName, int frames, String format,
            Status leading, String text, double chance, double need, @Nullable LocalDate lastRead,
            @Nullable Integer daysSinceRead, VerdictView.@Nullable FollowUpView due, boolean overdue, boolean stop,
            boolean clash) {
    }

    /**
     * @param stack its boxes from the bottom up
     * @param droneCombOn the day its drone comb was put in, if it is kept for its drones
     * @param queens those in it that have records of their own, the last placed first
     * @param readings the newest first, at most a hundred
     * @param three verdicts on the newest reading; left out if it was never read
     */
    record ColonyPage(ColonyLine colony, int position, List<StackBox> stack, @Nullable LocalDate droneCombOn,
            @Nullable LocalDate endedOn, List<QueenView> queens, Inside.@Nullable StrengthView strength,
            VerdictView verdict, List<ReadingLine> readings, @Nullable ChosenLine chosen,
            List<VerdictView.FollowUpView> open, @Nullable ThreeVerdictsView three, @Nullable SwarmPlanView swarm,
            Inside.@Nullable StoresView stores,
            List<MoveLine> moves) {
    }

    /** What a reading that is being tapped would mean. */
    record ReadingPreview(VerdictView verdict, List<Inside.FrameDoubt> frameDoubts) {
    }

    /**
     * A frame that came or went, or changed its place here.
     *
     * @param from code of the hive it left, left out if it came from the stock
     * @param to code of the hive it went to, left out if it went into the stock or for good
     * @param signs what was on it
     */
    record MoveLine(UUID entry, UUID frame, LocalDate day, String by, @Nullable String from, @Nullable Integer fromSlot,
            @Nullable String to, @Nullable Integer toSlot, List<Sign> signs) {
    }

    record ReadingLine(UUID entry, LocalDate day, String by, ReadingNotes reading) {
    }

    /**
     * Three verdicts on the newest reading, never one for all.
     *
     * @param queen who is there, and how sure that is, by all that is known
     * @param brood how the brood stands for the time of year
     * @param strength how strong it is for the time of year; stores are told apart
     */
    record ThreeVerdictsView(LocalDate day, String queen, double queenChance, String brood,
            List<ReasonView> broodReasons,
            String strength, List<ReasonView> strengthReasons) {
    }

    record ChosenLine(UUID entry, LocalDate day, Action action, String text) {
    }

    private final Hives hives;
    private final Stacks stacks;
    private final ColonyBook book;
    private final ColonyJudge judges;
    private final ColonyStandings standings;
    private final Yards yards;
    private final Queens queens;
    private final QueenReader reader;
    private final Swarms swarms;
    private final Inside inside;
    private final People people;
    private final Records records;
    private final Today today;

    ColonyController(Hives hives, Stacks stacks, ColonyBook book, ColonyJudge judges, ColonyStandings standings,
            Yards yards, Queens queens, QueenReader reader, Swarms swarms, Inside inside, People people,
            Records records,
            Today today) {
        this.hives = hives;
        this.stacks = stacks;
        this.book = book;
        this.judges = judges;
        this.standings = standings;
        this.yards = yards;
        this.queens = queens;
        this.reader = reader;
        this.swarms = swarms;
        this.inside = inside;
        this.people = people;
        this.records = records;
        this.today = today;
    }

    @GetMapping
    @Operation(operationId = "colonies", summary = "Production and drone colonies, those that need a decision first")
    List<ColonyLine> all() {
        List<Hive> rows = hives.colonies();
        Map<UUID, Yard> places = yards.byId();
        Map<UUID, HiveBox> lowest = stacks.lowest(rows);
        LocalDate day = today.day();
        Map<UUID, ColonyStanding> standing = standings.of(rows, places, day);
        return rows.stream().map(row -> line(row, Objects.requireNonNull(standing.get(row.id())),
                Objects.requireNonNull(places.get(row.yardId())),
                Optional.ofNullable(lowest.get(row.id())).map(box -> new Lowest(box.slots(), box.format())), day))
                .sorted(Comparator.comparingDouble(ColonyLine::need).reversed().thenComparing(ColonyLine::code))
                .toList();
    }

    @GetMapping("/{id}")
    @Operation(operationId = "colony", summary = "One hive of any purpose: its verdict, options, stack, readings, moves")
    @Transactional(readOnly = true)
    public ColonyPage one(@PathVariable UUID id, @RequestParam(required = false) @Nullable SwarmSchool school) {
        Hive hive = require(id);
        Yard yard = yards.findById(hive.yardId()).orElseThrow();
        LocalDate day = today.day();
        ColonyBook.Facts facts = book.facts(hive, day);
        Verdict verdict = judges.verdict(facts, yard, day);
        List<StackBox> stack = stacks.of(id);
        List<Entry> reads = facts.reads().reversed().stream().limit(MOST_READINGS).toList();
        Map<UUID, String> by = by(facts, reads);
        List<Inside.Noted> noted = reads.stream().map(entry -> new Inside.Noted(entry.day(), ColonyBook.notes(entry)))
                .toList();
        Advice advice = judges.advice(verdict, facts, yard);
        ColonyStanding standing = standings.standing(hive, facts, yard, verdict, advice.decide(), day);
        return new ColonyPage(
                line(hive, standing, yard, stack.stream().filter(box -> box.kind().hasFrames()).findFirst()
                        .map(box -> new Lowest(box.slots(), box.format())), day),
                hive.position(), stack, hive.droneCombOn().orElse(null), hive.endedOn().orElse(null),
                reader.view(queens.livingIn(id), day), inside.strength(hive, stack, noted),
                VerdictView.of(verdict, advice),
                reads.stream()
                        .map(entry -> new ReadingLine(entry.id(), entry.day(),
                                Objects.requireNonNull(by.get(entry.id())),
                                ColonyBook.notes(entry)))
                        .toList(),
                facts.chosen().map(ColonyController::chosenLine).orElse(null),
                ProofView.each(facts.open(), VerdictView.FollowUpView::of), three(reads, verdict, yard),
                swarms.of(facts, yard, Optional.ofNullable(school), day)
                        .map(one -> SwarmPlanView.of(one.swarm().plan(), one.school(), one.swarm().begun(),
                                Optional.of(day)))
                        .orElse(null),
                inside.stores(stack, yard, noted, day), moves(id, facts, by));
    }

    /** The verdict as it would be with one more reading: grows while one taps. */
    @PostMapping("/{id}/preview")
    @Operation(operationId = "previewReading", summary = "What a reading would mean; nothing is kept")
    @Transactional(readOnly = true)
    public ReadingPreview preview(@PathVariable UUID id,
            @RequestBody @Schema(implementation = ReadingNotes.class) JsonNode sent) {
        ReadingNotes notes = Deeds.preview(sent, ReadingNotes.class);
        Hive hive = require(id);
        Yard yard = yards.findById(hive.yardId()).orElseThrow();
        LocalDate day = today.day();
        ColonyBook.Facts facts = book.facts(hive, day);
        Reading look = notes.on(day);
        ColonyBook.Facts with = facts.with(look);
        Verdict verdict = judges.verdict(with, yard, day);
        return new ReadingPreview(VerdictView.of(verdict, judges.advice(verdict, with, yard)),
                Inside.frameDoubts(facts.notes(), notes));
    }

    private static @Nullable ThreeVerdictsView three(List<Entry> newestFirst, Verdict verdict, Yard yard) {
        if (newestFirst.isEmpty()) {
            return null;
        }
        Entry newest = newestFirst.getFirst();
        ReadingNotes notes = ColonyBook.notes(newest);
        ThreeVerdicts three = ThreeVerdicts.of(notes.on(newest.day()), notes.covered(), newest.day(),
                ColonyJudge.season(yard));
        return new ThreeVerdictsView(newest.day(), verdict.contents().who().toString(),
                verdict.contents().queen().values().stream().mapToDouble(Double::doubleValue).max().orElse(0),
                three.brood().sentence().toString(), ReasonView.of(three.broodReasons()),
                three.strength().sentence().toString(), ReasonView.of(three.strengthReasons()));
    }

    private Hive require(UUID id) {
        return hives.findById(id).orElseThrow(() -> Refusal.notHere(HiveDeed.HIVE, id));
    }

    private Map<UUID, String> by(ColonyBook.Facts facts, List<Entry> reads) {
        Set<UUID> entries = new HashSet<>();
        reads.forEach(entry -> entries.add(entry.id()));
        facts.moves().forEach(entry -> entries.add(entry.id()));
        Map<UUID, String> names = people.names();
        return records.recordedBy(entries).entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, one -> names.getOrDefault(one.getValue(), "?")));
    }

    private static ChosenLine chosenLine(Entry entry) {
        Action action = ((JudgementDeed.ActionChosen) entry.deed()).action();
        return new ChosenLine(entry.id(), entry.day(), action, action.sentence().toString());
    }

    private List<MoveLine> moves(UUID hive, ColonyBook.Facts facts, Map<UUID, String> by) {
        List<MoveLine> lines = new ArrayList<>();
        Map<UUID, String> codes = hives.findAllById(facts.moves().stream()
                .flatMap(entry -> entry.deed().touches().stream())
                .filter(touch -> touch.kind().equals(HiveDeed.HIVE)).map(touch -> touch.id()).distinct().toList())
                .stream().collect(Collectors.toMap(Hive::id, Hive::code));
        for (Entry entry : facts.moves().reversed()) {
            for (FrameMove move : ((HiveDeed.FramesMoved) entry.deed()).moves()) {
                if (isAt(move.from(), hive) || isAt(move.to(), hive)) {
                    lines.add(new MoveLine(entry.id(), move.frame(), entry.day(), by.getOrDefault(entry.id(), "?"),
                            of(move.from(), at -> codes.get(at.hive())), of(move.from(), Spot.InHive::slot),
                            of(move.to(), at -> codes.get(at.hive())), of(move.to(), Spot.InHive::slot),
                            move.signs().stream().sorted().toList()));
                }
            }
        }
        return lines;
    }

    private static boolean isAt(Spot spot, UUID hive) {
        return spot instanceof Spot.InHive at && at.hive().equals(hive);
    }

    private static <T> @Nullable T of(Spot spot, Function<Spot.InHive, T> what) {
        return spot instanceof Spot.InHive at ? what.apply(at) : null;
    }

    /** The lowest box that holds frames. */
    private record Lowest(int slots, String format) {
    }

    private static ColonyLine line(Hive hive, ColonyStanding standing, Yard yard, Optional<Lowest> lowest,
            LocalDate day) {
        return new ColonyLine(hive.id(), hive.code(), hive.purpose(), hive.yardId(), yard.name(),
                lowest.map(Lowest::slots).orElse(0), lowest.map(Lowest::format).orElse(""), standing.leading(),
                standing.leading().sentence().toString(), standing.chance(),
                standing.need(), standing.lastRead().orElse(null),
                standing.lastRead().map(last -> (int) ChronoUnit.DAYS.between(last, day)).orElse(null),
                standing.due().map(VerdictView.FollowUpView::of).orElse(null), standing.overdue(), standing.stop(),
                standing.clash());
    }
}

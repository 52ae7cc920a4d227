package vividcrown.server.colony;

import com.fasterxml.uuid.Generators;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Status;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.swarm.SwarmSchool;
import vividcrown.server.clock.Today;
import vividcrown.server.journal.ColonyDetail;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.ReadingDetail;
import vividcrown.server.journal.Recorder;
import vividcrown.server.journal.SubjectKind;
import vividcrown.server.person.People;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.QueenReader;
import vividcrown.server.queen.QueenView;
import vividcrown.server.queen.Queens;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Colonies: which need a decision, what each one's readings mean, what was chosen. */
@RestController
@RequestMapping("/api/v1/colonies")
class ColonyController {

    /**
     * @param need how much it needs a decision, 0 and up: doubt, trouble and late looks together; the list is sorted by it
     * @param due what is to be looked for, and when
     * @param stop signs of disease in the newest reading: nothing may be moved
     * @param clash readings and events cannot all be true
     * @param daysSinceRead days since the last reading, left out if it was never read
     */
    record ColonyLine(UUID id, String code, UUID yard, String yardName, int frames, String format, Status leading,
            String text, double chance, double need, @Nullable LocalDate lastRead, @Nullable Integer daysSinceRead,
            VerdictView.@Nullable FollowUpView due, boolean overdue,
            boolean stop, boolean clash) {
    }

    /**
     * @param droneCombOn the day its drone comb was put in, if it is kept for its drones
     * @param readings the newest first
     */
    record ColonyPage(ColonyLine colony, int position, @Nullable LocalDate droneCombOn, @Nullable QueenView queen,
            Inside.@Nullable StrengthView strength,
            VerdictView verdict, List<ReadingLine> readings, @Nullable ChosenLine chosen,
            List<VerdictView.FollowUpView> open, @Nullable SwarmPlanView swarm, Inside.@Nullable StoresView stores,
            List<MoveLine> moves) {
    }

    /** What a reading that is being tapped would mean. */
    record ReadingPreview(VerdictView verdict, List<Inside.FrameDoubt> frameDoubts) {
    }

    /**
     * A frame that came or went.
     *
     * @param came true if it came, false if it went
     * @param other the code of the other colony
     * @param signs what was on it
     */
    record MoveLine(UUID entry, LocalDate day, String by, int slot, boolean came, String other, List<Sign> signs) {
    }

    record ReadingLine(UUID entry, LocalDate day, String by, ReadingDetail reading) {
    }

    record ChosenLine(UUID entry, LocalDate day, Action action, String text) {
    }

    record Choice(@NotNull Action action) {
    }

    private final Colonies colonies;
    private final ColonyBook book;
    private final Yards yards;
    private final Queens queens;
    private final QueenReader reader;
    private final SettingsInForce settings;
    private final Swarms swarms;
    private final Inside inside;
    private final People people;
    private final Recorder recorder;
    private final Payloads payloads;
    private final Today today;

    ColonyController(Colonies colonies, ColonyBook book, Yards yards, Queens queens, QueenReader reader,
            SettingsInForce settings, Swarms swarms, Inside inside, People people, Recorder recorder,
            Payloads payloads, Today today) {
        this.colonies = colonies;
        this.book = book;
        this.yards = yards;
        this.queens = queens;
        this.reader = reader;
        this.settings = settings;
        this.swarms = swarms;
        this.inside = inside;
        this.people = people;
        this.recorder = recorder;
        this.payloads = payloads;
        this.today = today;
    }

    @GetMapping
    List<ColonyLine> all() {
        List<Colony> rows = colonies.findAllByOrderByYardIdAscPositionAsc();
        Map<UUID, ColonyBook.Facts> facts = book.facts(rows.stream().map(Colony::id).toList());
        Map<UUID, Yard> places = yards.findAll().stream().collect(Collectors.toMap(Yard::id, Function.identity()));
        return rows.stream().map(row -> line(row, facts.get(row.id()), places.get(row.yardId())))
                .sorted(Comparator.comparingDouble(ColonyLine::need).reversed().thenComparing(ColonyLine::code))
                .toList();
    }

    @GetMapping("/{id}")
    ColonyPage one(@PathVariable UUID id, @RequestParam(required = false) @Nullable SwarmSchool school) {
        Colony colony = require(id);
        ColonyBook.Facts facts = book.facts(id);
        Map<UUID, String> names = people.names();
        List<ReadingLine> readings = new ArrayList<>();
        for (JournalEntry entry : facts.reads().reversed()) {
            readings.add(new ReadingLine(entry.id(), entry.happenedOn(), names.getOrDefault(entry.recordedBy(), "?"),
                    book.detail(entry)));
        }
        Yard yard = yards.findById(colony.yardId()).orElseThrow();
        return new ColonyPage(line(colony, facts, yard), colony.position(), colony.droneCombOn().orElse(null),
                colony.queenId().flatMap(queens::findById)
                        .map(queen -> reader.view(List.of(queen), today.day()).getFirst()).orElse(null),
                inside.strength(colony, readings), book.view(facts, colony, today.day()), readings,
                facts.chosen().map(this::chosenLine).orElse(null), book.open(facts),
                swarms.of(facts, yard, Optional.ofNullable(school), today.day())
                        .map(one -> SwarmPlanView.of(one.plan(), one.school(), one.path())).orElse(null),
                inside.stores(colony, yard, readings, today.day()), moves(facts, names));
    }

    /** The verdict as it would be with one more reading: grows while one taps. */
    @PostMapping("/{id}/preview")
    ReadingPreview preview(@PathVariable UUID id, @Valid @RequestBody ReadingDetail reading) {
        Colony colony = require(id);
        Reading look;
        try {
            look = reading.on(today.day());
        } catch (IllegalArgumentException both) {
            throw Refusal.invalid("reading", both.getMessage() + ". Take one of the two back.");
        }
        ColonyBook.Facts facts = book.facts(id);
        List<ReadingDetail> before = facts.reads().stream().map(book::detail).toList();
        return new ReadingPreview(book.view(facts.with(look), colony, today.day()),
                Inside.frameDoubts(before, reading));
    }

    @PutMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void setUp(@PathVariable UUID id, @Valid @RequestBody ColonySetUp asked) {
        recorder.takeTurn();
        List<Refusal.Finding> findings = new ArrayList<>();
        if (!yards.existsById(asked.yard())) {
            findings.add(new Refusal.Finding("yard", "There is no yard with this id. Choose one from the list."));
        }
        if (!settings.current().frameFormats().containsKey(asked.format())) {
            findings.add(new Refusal.Finding("format", "There is no frame format \"%s\". Choose one of %s, or add it."
                    .formatted(asked.format(), settings.current().frameFormats().keySet())));
        }
        if (asked.queen() != null && !queens.existsById(asked.queen())) {
            findings.add(new Refusal.Finding("queen", "There is no queen with this id. Choose one from the list."));
        }
        colonies.findByCode(asked.code().strip()).filter(other -> !other.id().equals(id))
                .ifPresent(_ -> findings.add(new Refusal.Finding("code",
                        "There is a colony %s already. Choose another code.".formatted(asked.code()))));
        if (!findings.isEmpty()) {
            throw Refusal.invalid(findings);
        }
        record(id, EntryKind.COLONY_SET_UP, asked);
    }

    /** Writes the dated follow-ups of an action that the advice of today holds. */
    @PostMapping("/{id}/choose")
    @Transactional
    public ColonyPage choose(@PathVariable UUID id, @Valid @RequestBody Choice asked) {
        recorder.takeTurn();
        Colony colony = require(id);
        VerdictView verdict = book.view(book.facts(id), colony, today.day());
        VerdictView.OptionView option = verdict.options().stream().filter(one -> one.action() == asked.action())
                .findFirst()
                .orElseThrow(() -> Refusal.invalid("action",
                        "%s is not advised for \"%s\". Choose one of the options shown."
                                .formatted(asked.action(), verdict.text())));
        record(id, EntryKind.ACTION_CHOSEN, new Chosen(option.action(), option.followUps()));
        return one(id, null);
    }

    private void record(UUID colony, EntryKind kind, Object detail) {
        recorder.record(List.of(new JournalEntry(Generators.timeBasedEpochGenerator().generate(), today.now(),
                today.recordedAt(), SignedIn.require().id(), SubjectKind.COLONY, colony, kind,
                payloads.write(detail), null)), true);
    }

    private Colony require(UUID id) {
        return colonies.findById(id).orElseThrow(
                () -> Refusal.notFound("There is no colony with this id. Go back to the list and choose again."));
    }

    private ChosenLine chosenLine(JournalEntry entry) {
        Action action = book.chosen(entry).action();
        return new ChosenLine(entry.id(), entry.happenedOn(), action, action.sentence().toString());
    }

    private List<MoveLine> moves(ColonyBook.Facts facts, Map<UUID, String> names) {
        List<MoveLine> lines = new ArrayList<>();
        for (JournalEntry entry : facts.moves().reversed()) {
            ColonyDetail moved = book.colonyDetail(entry);
            lines.add(new MoveLine(entry.id(), entry.happenedOn(), names.getOrDefault(entry.recordedBy(), "?"),
                    Objects.requireNonNull(moved.slot()), entry.kind() == EntryKind.FRAME_GIVEN,
                    colonies.findById(Objects.requireNonNull(moved.other())).map(Colony::code).orElse("?"),
                    Objects.requireNonNullElse(moved.signs(), List.of())));
        }
        return lines;
    }

    private ColonyLine line(Colony colony, ColonyBook.Facts facts, Yard yard) {
        LocalDate day = today.day();
        Verdict verdict = book.judge(facts, colony, day);
        Optional<VerdictView.FollowUpView> due = book.open(facts).stream().filter(one -> !one.shut()).findFirst();
        boolean overdue = due.map(one -> one.days().latest().isBefore(day)).orElse(false);
        Optional<LocalDate> read = facts.lastRead();
        boolean stop = !facts.readings().isEmpty()
                && facts.readings().getLast().seen().stream().anyMatch(Sign::stopsTheWork);
        boolean clash = !verdict.proof().clashes().isEmpty();
        double need = Need.of(verdict, read, overdue, ColonyBook.season(yard)) + (stop ? Need.STOP : 0);
        return new ColonyLine(colony.id(), colony.code(), colony.yardId(), yard.name(), colony.frames(),
                colony.format(), verdict.leading(), verdict.leading().sentence().toString(),
                verdict.chance(verdict.leading()), need,
                read.orElse(null), read.map(last -> (int) ChronoUnit.DAYS.between(last, day)).orElse(null),
                due.orElse(null), overdue, stop, clash);
    }
}

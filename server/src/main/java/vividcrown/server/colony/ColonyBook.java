package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
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
import vividcrown.core.journal.Corrections;
import vividcrown.core.judgement.Advisor;
import vividcrown.core.judgement.Judge;
import vividcrown.core.judgement.Season;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.swarm.SwarmPath;
import vividcrown.server.journal.ColonyDetail;
import vividcrown.server.journal.Detail;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.Journal;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.ReadingDetail;
import vividcrown.server.settings.Settings;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.weather.WeatherStation;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** What the journal holds of colonies, as core's facts, and what core makes of them. */
@Component
public class ColonyBook {
    private final Journal journal;
    private final Payloads payloads;
    private final SettingsInForce settings;
    private final Yards yards;

    ColonyBook(Journal journal, Payloads payloads, SettingsInForce settings, Yards yards) {
        this.journal = journal;
        this.payloads = payloads;
        this.settings = settings;
        this.yards = yards;
    }

    /**
     * Everything known of one colony.
     *
     * @param reads entries of readings, the oldest first, each at the place of its reading
     * @param steps steps of swarm plans that were done
     * @param moves frames that came or went
     */
    public record Facts(List<JournalEntry> reads, List<Reading> readings, List<ColonyEvent> events,
            Optional<JournalEntry> chosen, List<SwarmPath.Done> steps, List<JournalEntry> moves) {

        /** With one more reading, not recorded yet. */
        Facts with(Reading reading) {
            List<Reading> all = new ArrayList<>(readings);
            all.add(reading);
            return new Facts(reads, all, events, chosen, steps, moves);
        }

        Optional<LocalDate> lastRead() {
            return readings.isEmpty() ? Optional.empty() : Optional.of(readings.getLast().day());
        }
    }

    /** Of many colonies at once; one that has no entry is not in it. */
    public Map<UUID, Facts> facts(Collection<UUID> colonies) {
        Map<UUID, List<JournalEntry>> entries = journal.findBySubjectIdInOrderBySequence(colonies).stream()
                .collect(Collectors.groupingBy(JournalEntry::subjectId));
        Map<UUID, Facts> facts = new HashMap<>();
        entries.forEach((colony, all) -> facts.put(colony, facts(Corrections.standing(all))));
        return facts;
    }

    public Facts facts(UUID colony) {
        return facts(journal.standing(colony));
    }

    private Facts facts(List<JournalEntry> standing) {
        List<JournalEntry> ordered = standing.stream()
                .sorted(Comparator.comparing(JournalEntry::happenedOn).thenComparing(JournalEntry::sequence)).toList();
        List<JournalEntry> reads = ofKind(ordered, EntryKind.READ).toList();
        List<SwarmPath.Done> steps = ofKind(ordered, EntryKind.SWARM_STEP_DONE).map(this::step).toList();
        List<JournalEntry> moves = ordered.stream()
                .filter(entry -> entry.kind() == EntryKind.FRAME_TAKEN || entry.kind() == EntryKind.FRAME_GIVEN)
                .toList();
        List<ColonyEvent> events = new ArrayList<>(SwarmPath.events(steps));
        ofKind(ordered, EntryKind.HAPPENED).map(entry -> new ColonyEvent(entry.happenedOn(),
                Objects.requireNonNull(payloads.read(entry, Detail.class).event()))).forEach(events::add);
        moves.stream().filter(this::bringsOpenBrood)
                .forEach(entry -> events.add(new ColonyEvent(entry.happenedOn(), EventKind.BROOD_GIVEN)));
        events.sort(Comparator.comparing(ColonyEvent::day));
        return new Facts(reads, reads.stream().map(this::reading).toList(), events,
                ofKind(ordered, EntryKind.ACTION_CHOSEN).reduce((_, last) -> last), steps, moves);
    }

    private static Stream<JournalEntry> ofKind(List<JournalEntry> entries, EntryKind kind) {
        return entries.stream().filter(entry -> entry.kind() == kind);
    }

    private SwarmPath.Done step(JournalEntry entry) {
        ColonyDetail done = colonyDetail(entry);
        return new SwarmPath.Done(entry.happenedOn(), Objects.requireNonNull(done.swarmStep()),
                Objects.requireNonNull(done.swarmSchool()));
    }

    private boolean bringsOpenBrood(JournalEntry move) {
        List<Sign> signs = colonyDetail(move).signs();
        return move.kind() == EntryKind.FRAME_GIVEN && signs != null && signs.stream()
                .anyMatch(sign -> new Reading(move.happenedOn(), Set.of(sign), Set.of(), List.of())
                        .saw(Sign.OPEN_BROOD));
    }

    ColonyDetail colonyDetail(JournalEntry entry) {
        return Objects.requireNonNull(payloads.read(entry, Detail.class).colony());
    }

    private Reading reading(JournalEntry entry) {
        return Objects.requireNonNull(payloads.read(entry, Detail.class).reading()).on(entry.happenedOn());
    }

    public Verdict judge(Facts facts, Colony colony, LocalDate today) {
        return new Judge(settings.assumptions(), season(yard(colony))).judge(facts.readings(), facts.events(), today);
    }

    public VerdictView view(Facts facts, Colony colony, LocalDate today) {
        Settings own = settings.current();
        Yard yard = yard(colony);
        Verdict verdict = new Judge(own.assumptions(), season(yard)).judge(facts.readings(), facts.events(), today);
        return VerdictView.of(verdict,
                new Advisor(own.assumptions(), climate(yard), own.preferredActions()).advise(verdict,
                        facts.readings()));
    }

    private Yard yard(Colony colony) {
        return yards.findById(colony.yardId()).orElseThrow();
    }

    static Season season(Yard yard) {
        return new Season(yard.latitude() < 0);
    }

    /** The share of afternoons fit for mating in the same week of the last twenty years, from the yard's station. */
    private static MatingClimate climate(Yard yard) {
        WeatherStation station = new WeatherStation(yard.id(), yard.elevationMetres());
        Map<LocalDate, Double> known = new HashMap<>();
        return day -> known.computeIfAbsent(day, station::oddsOfMatingAfternoon);
    }

    /** Follow-ups of the chosen action that no reading has answered yet. */
    public List<VerdictView.FollowUpView> open(Facts facts) {
        if (facts.chosen().isEmpty()) {
            return List.of();
        }
        LocalDate read = facts.lastRead().orElse(LocalDate.MIN);
        return payloads.read(facts.chosen().get(), Chosen.class).followUps().stream()
                .filter(followUp -> followUp.days().earliest().isAfter(read)).toList();
    }

    public Chosen chosen(JournalEntry entry) {
        return payloads.read(entry, Chosen.class);
    }

    ReadingDetail detail(JournalEntry entry) {
        return Objects.requireNonNull(payloads.read(entry, Detail.class).reading());
    }
}

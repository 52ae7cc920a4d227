package vividcrown.server.round;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.mating.Afternoon;
import vividcrown.core.mating.MatingHours;
import vividcrown.core.queen.Whereabouts;
import vividcrown.core.round.Caution;
import vividcrown.core.round.Round;
import vividcrown.core.round.Stop;
import vividcrown.server.clock.Today;
import vividcrown.server.journal.Detail;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.Journal;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.SubjectKind;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.QueenReader;
import vividcrown.server.queen.QueenView;
import vividcrown.server.round.RoundController.CautionView;
import vividcrown.server.round.RoundController.Late;
import vividcrown.server.round.RoundController.RoundPage;
import vividcrown.server.round.RoundController.StopView;
import vividcrown.server.round.RoundController.YardStops;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.weather.WeatherStation;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;
import vividcrown.server.yard.Nuc;
import vividcrown.server.yard.Yard;

/** Puts today's round together: due jobs less those put off today, who stays shut, who is late. */
@Service
class RoundPlanner {

    private static final List<Caution> EVERY_ROUND = List.of(Caution.STINGS, Caution.SMOKE_AND_FIRE, Caution.DISEASE,
            Caution.LIVESTOCK_AND_WEATHER);

    private final Jobs jobs;
    private final QueenReader reader;
    private final Journal journal;
    private final Payloads payloads;
    private final Today today;
    private final SettingsInForce settings;

    RoundPlanner(Jobs jobs, QueenReader reader, Journal journal, Payloads payloads, Today today,
            SettingsInForce settings) {
        this.jobs = jobs;
        this.reader = reader;
        this.journal = journal;
        this.payloads = payloads;
        this.today = today;
        this.settings = settings;
    }

    @Transactional(readOnly = true)
    RoundPage plan() {
        LocalDate day = today.day();
        Jobs.Found found = jobs.find(day);
        Set<String> putOff = journal.standingOn(day, EntryKind.NOT_POSSIBLE).stream()
                .map(entry -> key(entry.subjectId(), payloads.read(entry, Detail.class).job()))
                .collect(Collectors.toSet());
        List<Stop> wanted = found.stops().stream().filter(stop -> !putOff.contains(key(stop.subject(), stop.job())))
                .toList();
        Round round = Round.of(wanted, day);
        Map<UUID, QueenView> views = views(round, found, day);
        Map<UUID, List<String>> shut = shut(found, day);
        return new RoundPage(day, yards(round, found, views, shut, day), new TreeMap<>(round.kit().items()),
                late(found, day),
                EVERY_ROUND.stream().map(one -> new CautionView(one, one.sentence().toString())).toList());
    }

    private static String key(UUID subject, Object job) {
        return subject + " " + job;
    }

    private Map<UUID, QueenView> views(Round round, Jobs.Found found, LocalDate day) {
        Set<UUID> wanted = round.stops().stream().filter(stop -> Jobs.isAtQueen(stop.job())).map(Stop::subject)
                .collect(Collectors.toSet());
        List<Queen> rows = found.expected().stream().map(QueenReader.Expected::queen)
                .filter(queen -> wanted.contains(queen.id())).toList();
        return reader.view(rows, day).stream().collect(Collectors.toMap(QueenView::id, Function.identity()));
    }

    /** By yard, the codes of nucs whose queens may fly today. */
    private static Map<UUID, List<String>> shut(Jobs.Found found, LocalDate day) {
        return found.expected().stream().filter(one -> one.life().where() instanceof Whereabouts.InNuc)
                .filter(one -> one.outlook().handsOff().stream().anyMatch(shut -> shut.days().contains(day)))
                .map(one -> found.nucs().get(one.queen().nucId().orElseThrow()))
                .sorted(Comparator.comparingInt(Nuc::position)).collect(Collectors.groupingBy(Nuc::yardId,
                        Collectors.mapping(Nuc::code, Collectors.toList())));
    }

    private List<YardStops> yards(Round round, Jobs.Found found, Map<UUID, QueenView> views,
            Map<UUID, List<String>> shut, LocalDate day) {
        Map<UUID, List<Stop>> byYard = round.stops().stream().collect(
                Collectors.groupingBy(stop -> stop.box().yard(), LinkedHashMap::new, Collectors.toList()));
        List<YardStops> yards = new ArrayList<>();
        byYard.forEach((yard, stops) -> {
            List<StopView> stopViews = stops.stream().map(stop -> stopView(stop, views, found, day)).toList();
            yards.add(Optional.ofNullable(found.yards().get(yard)).map(
                    place -> yardStops(place, stopViews, shut.getOrDefault(yard, List.of()), day, today.zone()))
                    .orElseGet(() -> new YardStops(yard, stops.getFirst().box().yardName(), "", stopViews, List.of(),
                            null, null, null, null)));
        });
        return yards;
    }

    private static YardStops yardStops(Yard yard, List<StopView> stops, List<String> shut, LocalDate day,
            ZoneId zone) {
        MatingHours hours = MatingHours.at(day, yard.latitude(), yard.longitude(), zone);
        Afternoon weather = new WeatherStation(yard.id(), yard.elevationMetres()).afternoon(day);
        return new YardStops(yard.id(), yard.name(), yard.caution(), stops, shut,
                hours.from().toLocalTime().truncatedTo(ChronoUnit.MINUTES),
                hours.until().toLocalTime().truncatedTo(ChronoUnit.MINUTES), weather.fitness(), weather.airCelsius());
    }

    private static StopView stopView(Stop stop, Map<UUID, QueenView> views, Jobs.Found found,
            LocalDate day) {
        boolean atQueen = Jobs.isAtQueen(stop.job());
        UUID nuc = found.nucOfCell().get(stop.subject());
        boolean atColony = ColonyJobs.isAtColony(stop.job());
        boolean ofBatch = !atQueen && !atColony && nuc == null;
        return new StopView(stop.job(), atColony ? SubjectKind.COLONY : ofBatch ? SubjectKind.GRAFT : SubjectKind.QUEEN,
                stop.subject(),
                stop.box().code(), stop.toDo().toString(), SpanView.of(stop.window()), stop.window().isOverBy(day),
                ReasonView.of(stop.reasons()), atQueen ? views.get(stop.subject()) : null, atQueen ? null : nuc,
                ofBatch ? stop.subject() : null);
    }

    private List<Late> late(Jobs.Found found, LocalDate day) {
        int dronesOnly = settings.assumptions().dronesOnly();
        return found.expected().stream().filter(one -> one.outlook().comesGood().isPresent()).map(one -> {
            LocalDate emerged = one.outlook().emergence().orElseThrow().likely();
            Queen queen = one.queen();
            return new Late(queen.id(), queen.code(),
                    queen.nucId().map(found.nucs()::get).map(Nuc::code).orElse(null),
                    (int) ChronoUnit.DAYS.between(emerged, day), one.outlook().comesGood().orElseThrow(),
                    emerged.plusDays(dronesOnly));
        }).sorted(Comparator.comparingDouble(Late::comesGood)).toList();
    }
}

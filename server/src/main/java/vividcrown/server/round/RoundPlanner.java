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
import vividcrown.core.colony.ColonyWork;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.introduction.IntroductionDeed;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.mating.Afternoon;
import vividcrown.core.mating.MatingHours;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.Whereabouts;
import vividcrown.core.rearing.RearingDeed;
import vividcrown.core.round.Caution;
import vividcrown.core.round.Round;
import vividcrown.core.round.Stop;
import vividcrown.core.split.making.SplitDeed;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.queen.Agendas;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.QueenReader;
import vividcrown.server.queen.QueenView;
import vividcrown.server.queen.Queens;
import vividcrown.server.round.RoundController.CautionView;
import vividcrown.server.round.RoundController.Late;
import vividcrown.server.round.RoundController.RoundPage;
import vividcrown.server.round.RoundController.StopView;
import vividcrown.server.round.RoundController.YardStops;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.weather.Weathers;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;
import vividcrown.server.yard.Yard;

/** Puts today's round together: due jobs less those put off today, who stays shut, who is late. */
@Service
class RoundPlanner {

    private static final List<Caution> EVERY_ROUND = List.of(Caution.STINGS, Caution.SMOKE_AND_FIRE, Caution.DISEASE,
            Caution.LIVESTOCK_AND_WEATHER);

    private final Jobs jobs;
    private final QueenReader reader;
    private final Queens queens;
    private final Hives hives;
    private final Agendas agendas;
    private final PutOffs putOffs;
    private final Weathers weathers;
    private final Today today;
    private final SettingsInForce settings;

    RoundPlanner(Jobs jobs, QueenReader reader, Queens queens, Hives hives, Agendas agendas, PutOffs putOffs,
            Weathers weathers,
            Today today, SettingsInForce settings) {
        this.jobs = jobs;
        this.reader = reader;
        this.queens = queens;
        this.hives = hives;
        this.agendas = agendas;
        this.putOffs = putOffs;
        this.weathers = weathers;
        this.today = today;
        this.settings = settings;
    }

    RoundPage plan() {
        LocalDate day = today.day();
        Jobs.Found found = jobs.dueBy(day);
        Set<String> putOff = putOffs.on(day).stream().map(one -> Jobs.keyOf(one.subjectId(), one.job()))
                .collect(Collectors.toSet());
        List<Stop> wanted = found.stops().stream()
                .filter(stop -> !putOff.contains(Jobs.keyOf(stop.subject(), stop.job())))
                .toList();
        Round round = Round.of(wanted, day);
        Map<UUID, QueenView> views = views(round, found, day);
        Map<UUID, List<String>> shut = shut(day);
        return new RoundPage(day, yards(round, found, views, shut, day), new TreeMap<>(round.kit().items()),
                late(day),
                EVERY_ROUND.stream().map(one -> new CautionView(one, one.sentence().toString())).toList());
    }

    private Map<UUID, QueenView> views(Round round, Jobs.Found found, LocalDate day) {
        Set<UUID> wanted = round.stops().stream().filter(stop -> Jobs.isAtQueen(stop.job())).map(Stop::subject)
                .collect(Collectors.toSet());
        List<Queen> rows = found.expected().stream().map(QueenReader.Expected::queen)
                .filter(queen -> wanted.contains(queen.id())).toList();
        return reader.view(rows, day).stream().collect(Collectors.toMap(QueenView::id, Function.identity()));
    }

    /** By yard, the codes of hives whose queens may fly today. */
    private Map<UUID, List<String>> shut(LocalDate day) {
        List<UUID> flying = queens.findAllById(agendas.shutOn(day)).stream()
                .filter(queen -> queen.life().where() instanceof Whereabouts.InHive)
                .flatMap(queen -> queen.hiveId().stream()).distinct().toList();
        return hives.findAllById(flying).stream().sorted(Comparator.comparingInt(Hive::position))
                .collect(Collectors.groupingBy(Hive::yardId, Collectors.mapping(Hive::code, Collectors.toList())));
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
                            null, null, null, null, null, null)));
        });
        return yards;
    }

    private YardStops yardStops(Yard yard, List<StopView> stops, List<String> shut, LocalDate day,
            ZoneId zone) {
        MatingHours hours = MatingHours.at(day, yard.latitude(), yard.longitude(), zone);
        Weathers.AtYard weather = weathers.at(yard, day);
        Optional<Weathers.Known> known = weather.on(day);
        return new YardStops(yard.id(), yard.name(), yard.caution(), stops, shut,
                hours.from().toLocalTime().truncatedTo(ChronoUnit.MINUTES),
                hours.until().toLocalTime().truncatedTo(ChronoUnit.MINUTES),
                known.map(Weathers.Known::fitness).orElse(null), known.flatMap(Weathers.Known::celsius).orElse(null),
                known.isPresent() ? null : weather.odds(day),
                known.map(Weathers.Known::by).orElseGet(weather::oddsBy));
    }

    private static StopView stopView(Stop stop, Map<UUID, QueenView> views, Jobs.Found found,
            LocalDate day) {
        boolean atQueen = Jobs.isAtQueen(stop.job());
        UUID hive = found.hiveOfCell().get(stop.subject());
        UUID split = found.splitOf().get(Jobs.keyOf(stop.subject(), stop.job()));
        boolean atColony = ColonyWork.isAtColony(stop.job()) || MiteStops.isOne(stop.job())
                || split != null && !split.equals(stop.subject());
        boolean toMake = stop.subject().equals(split);
        boolean ofIntroduction = IntroductionStops.isOne(stop.job());
        boolean ofBatch = !atQueen && !atColony && !toMake && !ofIntroduction && hive == null;
        SubjectKind kind = toMake
                ? SplitDeed.SPLIT
                : ofIntroduction
                        ? IntroductionDeed.INTRODUCTION
                        : atColony ? HiveDeed.HIVE : ofBatch ? RearingDeed.GRAFT : QueenDeed.QUEEN;
        return new StopView(stop.job(), kind.name(), stop.subject(),
                stop.box().code(), stop.toDo().toString(), SpanView.of(stop.window()), stop.window().isOverBy(day),
                ReasonView.of(stop.reasons()), atQueen ? views.get(stop.subject()) : null, atQueen ? null : hive,
                ofBatch ? stop.subject() : null, split, ofIntroduction ? stop.subject() : null);
    }

    private List<Late> late(LocalDate day) {
        int dronesOnly = settings.assumptions().dronesOnly();
        List<QueenReader.Expected> doubtful = reader.expect(queens.findAllById(agendas.inDoubtOn(day)), day).stream()
                .filter(one -> one.outlook().comesGood().isPresent()).toList();
        Map<UUID, String> codes = hives.findAllById(doubtful.stream().flatMap(one -> one.queen().hiveId().stream())
                .toList()).stream().collect(Collectors.toMap(Hive::id, Hive::code));
        return doubtful.stream().map(one -> {
            LocalDate emerged = one.outlook().emergence().orElseThrow().likely();
            Queen queen = one.queen();
            return new Late(queen.id(), queen.code(), queen.hiveId().map(codes::get).orElse(null),
                    (int) ChronoUnit.DAYS.between(emerged, day), one.outlook().comesGood().orElseThrow(),
                    emerged.plusDays(dronesOnly));
        }).sorted(Comparator.comparingDouble(Late::comesGood).thenComparing(Late::code)).toList();
    }
}

package vividcrown.server.lineage;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.ReadingNotes;
import vividcrown.core.journal.Entry;
import vividcrown.core.merit.Merit;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Sign;
import vividcrown.core.reading.Suspicion;
import vividcrown.core.requeening.Age;
import vividcrown.core.requeening.Requeening;
import vividcrown.core.requeening.SwarmOdds;
import vividcrown.core.yard.Flow;
import vividcrown.core.yard.SiteCondition;
import vividcrown.server.clock.Today;
import vividcrown.server.colony.ColonyBook;
import vividcrown.server.colony.ColonyStanding;
import vividcrown.server.colony.ColonyStandings;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.lineage.LineageViews.RequeeningView;
import vividcrown.server.lineage.Stocks.Bee;
import vividcrown.server.mating.YardFlow;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Which colonies get another queen, and how many queens that wants. */
@RestController
class RequeeningController {

    private static final int UNWORKABLE = 4;
    private static final int A_YEAR_DAYS = 365;
    /** Two looks nearer than that are one. */
    private static final int APART_DAYS = 14;
    private static final double USUAL_SPARES = 0.1;
    private static final double TWO_LIKELY = 0.3;

    /**
     * A colony and its queen.
     *
     * @param ageText how old she is
     * @param merit over all traits, in marks; left out where nothing is known
     */
    record RequeeningLine(UUID hive, String code, String yardName, @Nullable UUID queen, String queenCode, String line,
            String ageText, @Nullable Double merit, @Nullable Double reliability, RequeeningView requeening) {
    }

    /**
     * @param policy the house rule in force
     * @param colonies those to be changed first
     * @param wanted queens: for those to be changed, and to keep spare
     * @param toChange of these for colonies
     * @param spares of these to keep
     * @param atHand living queens in cages and judged queens in mating hives
     */
    record RequeeningPage(Requeening.Policy policy, List<RequeeningLine> colonies, int wanted, int toChange, int spares,
            int atHand) {
    }

    private final Hives hives;
    private final Yards yards;
    private final ColonyStandings standings;
    private final ColonyBook book;
    private final Lineages lineages;
    private final YardFlow flows;
    private final QueenListController list;
    private final SettingsInForce settings;
    private final Today today;

    RequeeningController(Hives hives, Yards yards, ColonyStandings standings, ColonyBook book, Lineages lineages,
            YardFlow flows,
            QueenListController list, SettingsInForce settings, Today today) {
        this.hives = hives;
        this.yards = yards;
        this.standings = standings;
        this.book = book;
        this.lineages = lineages;
        this.flows = flows;
        this.list = list;
        this.settings = settings;
        this.today = today;
    }

    @GetMapping("/api/v1/requeening")
    @Operation(operationId = "requeening", summary = "Which colonies get another queen: now, after the flow, keep, watch; how many queens that wants")
    public RequeeningPage requeening(@RequestParam(required = false) @Nullable UUID yard,
            @RequestParam(required = false) Requeening.@Nullable Policy policy) {
        LocalDate day = today.day();
        Requeening.Policy rule = policy != null
                ? policy
                : settings.current().requeening().orElse(Requeening.Policy.AT_TWO_YEARS);
        Map<UUID, Yard> places = yards.byId();
        List<Hive> rows = hives.keptFor(Purpose.PRODUCTION, Purpose.DRONE_COLONY, Purpose.NUC).stream()
                .filter(hive -> yard == null || hive.yardId().equals(yard)).toList();
        Map<UUID, ColonyStanding> standing = standings.of(rows, places, day);
        Map<UUID, ColonyBook.Facts> facts = book.facts(rows, day);
        Lineages.Known known = lineages.known(day);
        MarkingScheme scheme = settings.scheme();
        Map<UUID, Flow> flowOf = new HashMap<>();
        List<RequeeningLine> lines = new ArrayList<>();
        List<Requeening> all = new ArrayList<>();
        for (Hive hive : rows) {
            Yard place = Objects.requireNonNull(places.get(hive.yardId()));
            Optional<Bee> queen = hive.queenId().filter(known.stock()::knows).map(known.stock()::bee);
            BeeYear year = place.year();
            Age age = Age.of(queen.map(Bee::born).orElse(0), queen.flatMap(bee -> Optional.ofNullable(bee.wears())),
                    scheme, day, year);
            Optional<Merit.Estimate> merit = queen.flatMap(bee -> known.together(bee.id()));
            Requeening found = Requeening
                    .of(colony(hive, Objects.requireNonNull(standing.get(hive.id())).odds(),
                            Objects.requireNonNull(facts.get(hive.id())), place, queen, age, merit,
                            flowOf.computeIfAbsent(place.id(), _ -> flows.at(place, day)
                                    .map(YardFlow.FlowView::flow).orElse(Flow.LITTLE)),
                            day), rule, day, year, settings.assumptions());
            all.add(found);
            lines.add(new RequeeningLine(hive.id(), hive.code(), place.name(), queen.map(Bee::id).orElse(null),
                    queen.map(Bee::said).orElse(""), queen.map(Bee::line).orElse(""), age.sentence().toString(),
                    merit.map(one -> LineageViews.thousandth(one.value())).orElse(null),
                    merit.map(one -> LineageViews.thousandth(one.reliability())).orElse(null),
                    RequeeningView.of(found)));
        }
        lines.sort(Comparator.comparing((RequeeningLine one) -> one.requeening().action())
                .thenComparing(RequeeningLine::code));
        double spares = settings.current().spares().orElse(USUAL_SPARES);
        int change = Requeening.wanted(all, 0);
        int wanted = Requeening.wanted(all, spares);
        return new RequeeningPage(rule, lines, wanted, change, wanted - change,
                list.atHand());
    }

    private static Requeening.Colony colony(Hive hive, ColonyStanding.QueenOdds odds, ColonyBook.Facts facts,
            Yard place,
            Optional<Bee> queen, Age age, Optional<Merit.Estimate> merit, Flow flow, LocalDate day) {
        Optional<LocalDate> given = Marks.changed(facts);
        List<Entry> hers = facts.reads().stream()
                .filter(entry -> given.filter(entry.day()::isBefore).isEmpty()).toList();
        boolean people = place.conditions().contains(SiteCondition.NEIGHBOURS)
                || place.conditions().contains(SiteCondition.LIVESTOCK);
        // temper is that of the bees: another queen's, until hers have taken their place
        double bad = hers.stream().filter(entry -> entry.day().isAfter(day.minusDays(A_YEAR_DAYS)))
                .filter(entry -> given.filter(from -> entry.day().isBefore(from.plusDays(Marks.NOT_YET_HERS_DAYS)))
                        .isEmpty())
                .filter(entry -> ColonyBook.notes(entry).temper().filter(grade -> grade >= UNWORKABLE).isPresent())
                .count();
        return new Requeening.Colony(hive.code(), age,
                odds.laying(), odds.droneLayer(), spotty(hers, day), solid(hers), (int) bad, people,
                superseding(odds, hers), queen.filter(Bee::breeder).isPresent(),
                Suspicion.of(facts.readings()).stops(), merit.map(Merit.Estimate::value),
                merit.map(Merit.Estimate::reliability).orElse(0.0),
                given.map(from -> (int) ChronoUnit.DAYS.between(from, day)).filter(days -> days >= 0),
                history(facts, day), flow);
    }

    /** Looks of this season with holes, two within a fortnight counted once. */
    private static int spotty(List<Entry> hers, LocalDate day) {
        int count = 0;
        Optional<LocalDate> last = Optional.empty();
        for (Entry entry : hers) {
            if (entry.day().getYear() == day.getYear()
                    && ColonyBook.notes(entry).seen().contains(Sign.SEALED_WORKER_SPOTTY)
                    && last.filter(before -> before.plusDays(APART_DAYS).isAfter(entry.day())).isEmpty()) {
                count++;
                last = Optional.of(entry.day());
            }
        }
        return count;
    }

    private static boolean solid(List<Entry> hers) {
        return hers.reversed().stream().map(ColonyBook::notes)
                .filter(notes -> notes.seen().contains(Sign.SEALED_WORKER_SOLID)
                        || notes.seen().contains(Sign.SEALED_WORKER_SPOTTY))
                .findFirst().map(notes -> notes.seen().contains(Sign.SEALED_WORKER_SOLID)).orElse(false);
    }

    private static boolean superseding(ColonyStanding.QueenOdds odds, List<Entry> hers) {
        // a daughter lays beside her already
        if (odds.two() > TWO_LIKELY) {
            return true;
        }
        boolean cells = !hers.isEmpty() && ColonyBook.notes(hers.getLast()).cells().stream()
                .anyMatch(one -> one.look().isAlive());
        return cells && odds.supersedure() > 0.5;
    }

    private static SwarmOdds.History history(ColonyBook.Facts facts, LocalDate day) {
        boolean last = false;
        boolean now = false;
        for (Entry entry : facts.reads()) {
            if (Marks.swarmCells(ColonyBook.notes(entry))) {
                now |= entry.day().getYear() == day.getYear();
                last |= entry.day().getYear() == day.getYear() - 1;
            }
        }
        boolean divided = facts.events().stream().anyMatch(event -> event.day().getYear() == day.getYear()
                && (event.kind() == EventKind.SPLIT_WITHOUT_QUEEN || event.kind() == EventKind.SPLIT_WITH_QUEEN
                        || event.kind() == EventKind.SPLIT_WITHOUT_EGGS));
        boolean crowded = !facts.reads().isEmpty() && crowded(ColonyBook.notes(facts.reads().getLast()));
        return new SwarmOdds.History(last, now, crowded, divided);
    }

    private static boolean crowded(ReadingNotes notes) {
        return notes.seen().contains(Sign.CROWDED) || notes.seen().contains(Sign.BEARDING);
    }
}

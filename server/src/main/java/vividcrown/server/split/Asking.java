package vividcrown.server.split;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.ReadingNotes;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.hive.forecast.OwnGrowth;
import vividcrown.core.hive.forecast.Surroundings;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.OwnDrift;
import vividcrown.core.split.Place;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.yard.Flow;
import vividcrown.core.yard.SiteCondition;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.mating.YardFlow;
import vividcrown.server.problem.Refusal;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.weather.Weathers;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Puts a question about the operation's own hives: which hives, where, what comes in, how fast things grow here. */
@Component
class Asking {

    private static final int LONGEST_AHEAD_DAYS = 14;
    /** Nothing that was read earlier says what a hive is today. */
    private static final int MEASURED_DAYS = 60;

    /**
     * A hive as its boxes from above show it.
     *
     * @param readOn the day on which it looked like this; left out if it was never read frame by frame
     * @param sides what stood on each side of each frame then
     * @param queen as she is judged
     * @param unread why it cannot be reckoned with
     */
    record UnitLine(UUID id, String code, String yardName, Purpose purpose, @Nullable LocalDate readOn, int slots,
            List<FrameAt> frames, List<ReadingNotes.Side> sides, double framesOfBees, int broodFrames,
            UnitQueen.@Nullable Is queen, List<UnitTrait> traits, @Nullable String unread) {
        private static UnitLine of(HiveUnits.HiveUnit one, String yard) {
            Optional<Unit> unit = one.unit();
            return new UnitLine(one.hive().id(), one.hive().code(), yard, one.hive().purpose(),
                    unit.map(Unit::readOn).orElse(null), unit.map(Unit::slots).orElse(0),
                    unit.map(of -> of.frames().stream().map(frame -> frame.at()).toList()).orElse(List.of()),
                    one.sides(),
                    unit.map(of -> Math.round(of.framesOfBees() * 10) / 10.0).orElse(0.0),
                    unit.map(Unit::broodFrames).orElse(0), unit.map(of -> of.queen().is()).orElse(null),
                    unit.map(of -> of.traits().stream().sorted().toList()).orElse(List.of()),
                    one.unread().map(Sentence::toString).orElse(null));
        }
    }

    /**
     * What it was reckoned with, said on the screen.
     *
     * @param flow what the bees find
     * @param flowAssumed nobody said so and too few hives were looked at
     * @param beetles small hive beetle is about
     * @param ownGrowth by the operation's own counts, its units grow so many times as fast as is usual
     * @param ownCounts pairs of counts that this rests on; 0 if it is the trade's
     * @param daysBy where the weather of the days since the hives were read is known from; days to come are the
     *     climate's
     */
    record ReckonedWith(LocalDate day, String yardName, Flow flow, boolean flowAssumed, boolean beetles,
            double ownGrowth, int ownCounts, Weathers.By daysBy) {
    }

    private final Hives hives;
    private final Yards yards;
    private final HiveUnits units;
    private final YardFlow flows;
    private final Makings makings;
    private final Weathers weathers;
    private final SettingsInForce settings;
    private final Today today;

    Asking(Hives hives, Yards yards, HiveUnits units, YardFlow flows, Makings makings, Weathers weathers,
            SettingsInForce settings,
            Today today) {
        this.hives = hives;
        this.yards = yards;
        this.units = units;
        this.flows = flows;
        this.makings = makings;
        this.weathers = weathers;
        this.settings = settings;
        this.today = today;
    }

    /** What was asked, with all that is known about it. */
    record Asked(Conditions at, ReckonedWith with, List<HiveUnits.HiveUnit> hives, Map<UUID, Yard> yards) {
        List<Unit> known() {
            return hives.stream().flatMap(one -> one.unit().stream()).toList();
        }

        /** Bees of a yard that the new units go to would be at home there. */
        Asked without(Optional<Yard> to) {
            return new Asked(at, with, hives.stream()
                    .filter(one -> to.filter(yard -> yard.id().equals(one.hive().yardId())).isEmpty()).toList(), yards);
        }

        List<UnitLine> lines() {
            // mating nucs are seldom read: those that were are shown
            return hives.stream().filter(one -> one.unit().isPresent() || !one.hive().purpose().isForMating())
                    .map(one -> UnitLine.of(one, nameOf(one.hive()))).toList();
        }

        private String nameOf(Hive hive) {
            return Optional.ofNullable(yards.get(hive.yardId())).map(Yard::name).orElse("");
        }
    }

    /**
     * @param yard whose hives are asked; all if empty
     * @param on the day it is for, at most two weeks ahead; today if left out
     * @param kilometres to where new units go
     */
    Asked of(@Nullable UUID yard, @Nullable LocalDate on, double kilometres, Purpose... purposes) {
        LocalDate now = today.day();
        LocalDate day = on == null ? now : on;
        if (day.isBefore(now) || day.isAfter(now.plusDays(LONGEST_AHEAD_DAYS))) {
            throw Refusal.invalid("day", Sentence.of("split.dayTooFar", now.toString(),
                    now.plusDays(LONGEST_AHEAD_DAYS).toString()));
        }
        Map<UUID, Yard> places = yards.byId();
        List<Hive> rows = hives.keptFor(purposes).stream()
                .filter(hive -> yard == null || hive.yardId().equals(yard)).toList();
        Yard place = Optional.ofNullable(places.get(yard))
                .or(() -> rows.stream().findFirst().map(hive -> places.get(hive.yardId())))
                .or(() -> places.values().stream().findFirst())
                .orElseThrow(() -> Refusal.notFound(Sentence.of("split.noYard")));
        Optional<YardFlow.FlowView> flow = flows.at(place, now);
        boolean beetles = place.conditions().contains(SiteCondition.BEETLES);
        Weathers.AtYard weather = weathers.at(place, now.minusDays(MEASURED_DAYS));
        Conditions at = new Conditions(day,
                new BeeYear(place.isSouthern(), place.climateOfPlace(), measured(weather, now)),
                flow.map(YardFlow.FlowView::flow).orElse(Flow.LITTLE), beetles, kilometres, settings.assumptions());
        List<HiveUnits.HiveUnit> known = units.of(rows, places, now);
        OwnGrowth own = own(known, at);
        return new Asked(at, new ReckonedWith(day, place.name(), at.flow(), flow.isEmpty(), beetles,
                Math.round(100 * own.factor()) / 100.0, own.pairs(), weather.measuredBy()), known, places);
    }

    /** What the days since the hives were read were really like. What is to come nobody measured. */
    private static Map<LocalDate, Double> measured(Weathers.AtYard weather, LocalDate now) {
        Map<LocalDate, Double> highs = new HashMap<>();
        for (LocalDate day = now.minusDays(MEASURED_DAYS); !day.isAfter(now); day = day.plusDays(1)) {
            LocalDate on = day;
            weather.on(on).flatMap(Weathers.Known::celsius).ifPresent(high -> highs.put(on, high));
        }
        return highs;
    }

    /** What was foreseen at each count held against the next. What came in then is not known: a little is taken. */
    private static OwnGrowth own(List<HiveUnits.HiveUnit> known, Conditions at) {
        List<OwnGrowth.Pair> pairs = new ArrayList<>();
        known.forEach(one -> one.earlier()
                .forEach(counted -> pairs.add(new OwnGrowth.Pair(counted.before(), counted.on(),
                        counted.framesOfBees(),
                        new Surroundings(counted.before().readOn(), at.year(), Flow.LITTLE, true, 1,
                                at.assumptions())))));
        return OwnGrowth.of(pairs);
    }

    /** What came into units when they were made, held against what was counted once their flyers had gone. */
    OwnDrift ownDrift() {
        List<OwnDrift.Pair> pairs = new ArrayList<>();
        // units that got bees shaken in as well are left out: nobody weighed those
        Map<UUID, Place> made = makings.madeOfFramesAlone(today.day());
        units.firstCounts(hives.findAllById(made.keySet()), today.day())
                .forEach((hive, count) -> pairs.add(new OwnDrift.Pair(Objects.requireNonNull(made.get(hive)),
                        count.put(), count.stayed())));
        return OwnDrift.of(pairs);
    }
}

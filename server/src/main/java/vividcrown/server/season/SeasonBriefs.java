package vividcrown.server.season;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.demand.OrderState;
import vividcrown.core.demand.OrderTerms;
import vividcrown.core.mating.Distance;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.queen.Milestone;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.Placing;
import vividcrown.core.season.BatchLock;
import vividcrown.core.season.BreederQueen;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.Crew;
import vividcrown.core.season.DroneColony;
import vividcrown.core.season.DroneMother;
import vividcrown.core.season.Drones;
import vividcrown.core.season.Expectation;
import vividcrown.core.season.Means;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.Underway;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.plan.DroneStart;
import vividcrown.core.settings.SeasonHands;
import vividcrown.core.settings.Settings;
import vividcrown.server.clock.Today;
import vividcrown.server.demand.CountAsked;
import vividcrown.server.demand.PromisedQueen;
import vividcrown.server.demand.PromisedQueens;
import vividcrown.server.demand.QueenOrder;
import vividcrown.server.demand.QueenOrders;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.QueenReader;
import vividcrown.server.queen.Queens;
import vividcrown.server.rearing.CellBuilders;
import vividcrown.server.rearing.Graft;
import vividcrown.server.rearing.Grafts;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.weather.Weathers;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Makes the brief of a season from the records: codes and names stand for boxes, mothers and orders. */
@Component
class SeasonBriefs {

    static final int DAYS_OF_BATCHES = 70;
    /** More to choose from makes no better choice. */
    private static final int MOST_DRONE_MOTHERS = 30;

    private final Today today;
    private final SettingsInForce settings;
    private final QueenOrders orders;
    private final PromisedQueens promised;
    private final Queens queens;
    private final Grafts grafts;
    private final CellBuilders builders;
    private final Hives hives;
    private final Yards yards;
    private final Weathers weathers;
    private final RatePools rates;
    private final SeasonNucs matingNucs;

    SeasonBriefs(Today today, SettingsInForce settings, QueenOrders orders, PromisedQueens promised, Queens queens,
            Grafts grafts, CellBuilders builders, Hives hives, Yards yards, Weathers weathers, RatePools rates,
            SeasonNucs matingNucs) {
        this.today = today;
        this.settings = settings;
        this.orders = orders;
        this.promised = promised;
        this.queens = queens;
        this.grafts = grafts;
        this.builders = builders;
        this.hives = hives;
        this.yards = yards;
        this.weathers = weathers;
        this.rates = rates;
        this.matingNucs = matingNucs;
    }

    /**
     * What would be otherwise.
     *
     * @param assurance for every order that names none, 0.5–0.999
     * @param moreNucs nucs that one would add, at most 2,000
     * @param moreBuilders builders that one would add, of load 30; at most 100
     * @param hoursADay instead of the usual, above 0
     * @param workDaysOff work on days off
     * @param locks ids of planned grafts that stay as they are; those planned by hand stay anyway
     * @param grafter who grafts; anybody if left out
     */
    record WhatIf(@DecimalMin("0.5") @DecimalMax("0.999") @Nullable Double assurance,
            @Min(0) @Max(2_000) @Nullable Integer moreNucs, @Min(0) @Max(100) @Nullable Integer moreBuilders,
            @DecimalMin(value = "0", inclusive = false) @DecimalMax("24") @Nullable Double hoursADay,
            @Nullable Boolean workDaysOff,
            @Size(max = 500) @Nullable List<UUID> locks, @Size(max = 80) @Nullable String grafter) {
        static final WhatIf NOTHING = new WhatIf(null, null, null, null, null, null, null);

        WhatIf graftedBy(String person) {
            return grafter != null
                    ? this
                    : new WhatIf(assurance, moreNucs, moreBuilders, hoursADay, workDaysOff, locks, person);
        }
    }

    /**
     * The brief with what it was made from, so that a plan finds its way back to the records.
     *
     * @param builders by their codes
     * @param names of queens, by the ids that the brief knows them by
     */
    record Made(SeasonBrief brief, Map<String, UUID> builders, Map<String, String> names, List<Graft> planned,
            Map<UUID, String> builderCodes, Map<UUID, Queen> mothers, List<QueenOrder> open,
            RatePools.Learnt learnt) {

        /** How people call a queen of the brief. */
        String nameOf(String queen) {
            return names.getOrDefault(queen, queen);
        }
    }

    Made make(WhatIf whatIf) {
        LocalDate day = today.day();
        Settings own = settings.current();
        Assumptions assumptions = own.assumptions();
        List<CellBuilders.CellBuilder> boxes = builders.standing();
        List<Queen> mothers = queens.findByBreederTrueAndAliveTrueOrderByCode();
        List<Graft> batches = grafts
                .findByGraftDayGreaterThanEqualOrderByGraftDayAscCodeAsc(day.minusDays(DAYS_OF_BATCHES)).stream()
                .filter(graft -> !graft.cancelled()).toList();
        Map<UUID, String> codes = builders.of(batches.stream().map(Graft::builderId).distinct().toList()).values()
                .stream().collect(Collectors.toMap(CellBuilders.CellBuilder::id, CellBuilders.CellBuilder::code));
        List<Graft> planned = batches.stream().filter(graft -> !graft.grafted() && !graft.graftDay().isBefore(day))
                .toList();
        List<QueenOrder> open = orders.findByStateInOrderByUntilDayAscCodeAsc(
                List.of(OrderState.ASKED, OrderState.PROMISED));
        List<Demand> demands = demands(open, whatIf, own, day);
        Map<UUID, Queen> motherOf = queens.findAllById(batches.stream().map(Graft::motherId).distinct().toList())
                .stream().collect(Collectors.toMap(Queen::id, Function.identity()));
        Set<UUID> locked = new HashSet<>(Objects.requireNonNullElse(whatIf.locks(), List.of()));
        List<BatchLock> before = new ArrayList<>();
        List<BatchLock> locks = new ArrayList<>();
        for (Graft graft : planned) {
            BatchLock lock = new BatchLock(codes.getOrDefault(graft.builderId(), "?"), graft.graftDay(),
                    graft.bars() * graft.cupsPerBar(),
                    Optional.of(Objects.requireNonNull(motherOf.get(graft.motherId())).line()));
            before.add(lock);
            if (graft.fixed() || locked.contains(graft.id())) {
                locks.add(lock);
            }
        }
        SeasonHands hands = own.season();
        Set<DayOfWeek> daysOff = Boolean.TRUE.equals(whatIf.workDaysOff()) ? Set.of() : hands.daysOff();
        LocalDate until = demands.stream().map(Demand::until).max(LocalDate::compareTo).orElse(day).plusWeeks(2);
        LocalDate most = day.plusDays(SeasonBrief.LONGEST_DAYS);
        Optional<Weathers.AtYard> weather = weather(day);
        RatePools.Learnt learnt = rates.learn(weather, day);
        List<Hives.Stand> boxesOfQueens = hives.matingStands();
        Map<UUID, Yard> places = yards.byId();
        Map<UUID, String> names = yards.names();
        Map<UUID, String> yardOf = boxesOfQueens.stream()
                .collect(Collectors.toMap(Hives.Stand::hive,
                        stand -> Objects.requireNonNull(names.get(stand.yard()))));
        List<Hive> nearby = nearMatingYards(boxesOfQueens, places);
        Map<UUID, String> drones = queensOf(nearby);
        Set<UUID> withNucs = boxesOfQueens.stream().map(Hives.Stand::yard).collect(Collectors.toSet());
        Function<Hive, Set<String>> reaches = colony -> withNucs.stream().map(places::get)
                .filter(yard -> reaches(colony, Objects.requireNonNull(yard), places))
                .map(yard -> Objects.requireNonNull(names.get(Objects.requireNonNull(yard).id())))
                .collect(Collectors.toSet());
        SeasonNucs.Taken nucs = matingNucs.taken(batches, boxesOfQueens, assumptions, day);
        int more = Objects.requireNonNullElse(whatIf.moreNucs(), 0);
        Means means = new Means(mothers.stream().map(one -> new BreederQueen(one.id().toString(), one.line(),
                one.wishedDaughters().map(OptionalInt::of).orElse(OptionalInt.empty()))).toList(),
                cellBuilders(boxes, batches, day, Objects.requireNonNullElse(whatIf.moreBuilders(), 0)),
                boxesOfQueens.size() + more, nucs.all(),
                matingNucs.yards(boxesOfQueens, nucs, more, day),
                hands.cages(), new Crew(
                        Objects.requireNonNullElse(whatIf.hoursADay(), hands.hoursADay()), daysOff, Set.of(),
                        Optional.ofNullable(whatIf.grafter())));
        SeasonBrief brief = new SeasonBrief(day, until.isAfter(most) ? most : until, demands, means,
                new Drones(droneColonies(nearby, drones, reaches, assumptions),
                        droneMothers(nearby, drones, reaches)),
                new Underway(running(batches, motherOf, codes, yardOf), before, locks),
                new Expectation(learnt.rates(), weather.map(at -> at.asOf(day)).orElse(MatingClimate.UPLAND_46_NORTH),
                        GraftPlan.usual(day, BuilderSchool.STARTER_THEN_FINISHER, Placing.CELLS_TO_NUCS), assumptions,
                        own.worth().orElse(SeasonWorth.USUAL)));
        boxes.forEach(box -> codes.put(box.id(), box.code()));
        return new Made(brief, boxes.stream().collect(Collectors.toMap(CellBuilders.CellBuilder::code,
                CellBuilders.CellBuilder::id, (one, _) -> one)), names(mothers, motherOf.values(), nearby), planned,
                codes,
                motherOf, open, learnt);
    }

    private Map<String, String> names(Collection<Queen> mothers, Collection<Queen> others, List<Hive> nearby) {
        Map<String, String> names = new HashMap<>();
        List<UUID> ofDrones = nearby.stream().flatMap(hive -> hive.queenId().stream()).toList();
        Stream.of(mothers, others, queens.findAllById(ofDrones)).flatMap(Collection::stream)
                .forEach(queen -> names.put(queen.id().toString(), QueenReader.called(queen)));
        return names;
    }

    private List<Demand> demands(List<QueenOrder> open, WhatIf whatIf, Settings own, LocalDate day) {
        Map<UUID, Long> promisedTo = promised.findByDeliveredOnIsNull().stream()
                .collect(Collectors.groupingBy(PromisedQueen::orderId, Collectors.counting()));
        double usual = Objects.requireNonNullElse(whatIf.assurance(), own.season().assurance());
        List<Demand> demands = new ArrayList<>();
        for (QueenOrder order : open) {
            OrderTerms taken = order.terms();
            int left = CountAsked.of(order, open) - order.delivered()
                    - promisedTo.getOrDefault(order.id(), 0L).intValue();
            if (left > 0) {
                LocalDate until = taken.until().isBefore(day) ? day : taken.until();
                demands.add(new Demand(order.code(), taken.product(), Math.min(left, Demand.MOST),
                        taken.from().isAfter(until) ? until : taken.from(), until, taken.line(),
                        taken.priority(), whatIf.assurance() != null
                                ? usual
                                : taken.assurance().orElse(usual)));
            }
        }
        return demands;
    }

    private static List<CellBuilder> cellBuilders(List<CellBuilders.CellBuilder> boxes, List<Graft> batches,
            LocalDate day, int more) {
        List<CellBuilder> builders = new ArrayList<>();
        for (CellBuilders.CellBuilder box : boxes) {
            List<LocalDate> grafted = batches.stream()
                    .filter(graft -> graft.grafted() && graft.builderId().equals(box.id())).map(Graft::graftDay)
                    .distinct().sorted().toList();
            CellBuilder builder = new CellBuilder(box.code(), box.school(),
                    Math.clamp(box.load(), 1, BuilderSchool.EXCEPTIONAL_LOAD), day, grafted);
            LocalDate ready = grafted.isEmpty()
                    ? day
                    : grafted.getLast().plusDays(builder.rhythm().daysBetweenLoads());
            builders.add(new CellBuilder(builder.id(), builder.school(), builder.load(),
                    ready.isAfter(day) ? ready : day, grafted));
        }
        for (int index = 1; index <= more; index++) {
            builders.add(new CellBuilder("+" + index, BuilderSchool.STARTER_THEN_FINISHER, 30, day.plusDays(2),
                    List.of()));
        }
        return builders;
    }

    /** Those whose drones reach a mating yard. */
    private List<Hive> nearMatingYards(List<Hives.Stand> boxesOfQueens, Map<UUID, Yard> places) {
        Set<UUID> mating = boxesOfQueens.stream().map(Hives.Stand::yard).collect(Collectors.toSet());
        return hives.colonies().stream().filter(colony -> mating.stream()
                .anyMatch(yard -> reaches(colony, Objects.requireNonNull(places.get(yard)), places))).toList();
    }

    private static boolean reaches(Hive colony, Yard yard, Map<UUID, Yard> places) {
        return metres(yard, Objects.requireNonNull(places.get(colony.yardId()))) <= Distance.MATING_METRES;
    }

    /** By the hive; its own code where its queen is not known. */
    private static Map<UUID, String> queensOf(List<Hive> heads) {
        return heads.stream().collect(Collectors.toMap(Hive::id,
                colony -> colony.queenId().map(UUID::toString).orElse(colony.code())));
    }

    private static List<DroneColony> droneColonies(List<Hive> nearby, Map<UUID, String> mothers,
            Function<Hive, Set<String>> reaches, Assumptions assumptions) {
        int lead = assumptions.span(Figure.DRONE_LEAD).earliestDay();
        return nearby.stream().filter(colony -> colony.droneCombOn().isPresent())
                .map(colony -> new DroneColony(colony.code(), Objects.requireNonNull(mothers.get(colony.id())),
                        colony.droneCombOn().orElseThrow().plusDays(lead), reaches.apply(colony)))
                .toList();
    }

    /** Those that the plan before wanted drones of come first: it should change little. */
    private static List<DroneMother> droneMothers(List<Hive> nearby, Map<UUID, String> mothers,
            Function<Hive, Set<String>> reaches) {
        return nearby.stream().filter(colony -> colony.droneCombOn().isEmpty())
                .sorted(Comparator.comparing((Hive colony) -> colony.droneCombMeant().isEmpty()))
                .map(colony -> new DroneMother(colony.code(), Objects.requireNonNull(mothers.get(colony.id())),
                        colony.droneCombMeant().isPresent(), reaches.apply(colony)))
                .limit(MOST_DRONE_MOTHERS).toList();
    }

    /** Those that the plan wants drone comb in, and that have none yet. */
    List<Hive> droneCombsMeant() {
        return hives.droneCombMeant();
    }

    /** The same as the plan knows them; which graft they were for is not kept. */
    List<DroneStart> droneStartsMeant(SeasonBrief brief) {
        Map<String, String> mothers = brief.drones().mothers().stream()
                .collect(Collectors.toMap(DroneMother::colony, DroneMother::mother));
        return droneCombsMeant().stream().map(colony -> new DroneStart(colony.code(),
                mothers.getOrDefault(colony.code(), colony.code()), colony.droneCombMeant().orElseThrow(),
                brief.today())).toList();
    }

    private static double metres(Yard one, Yard other) {
        return Distance.metres(one.latitude(), one.longitude(), other.latitude(), other.longitude());
    }

    /** The weather of the first yard on the way, if there is one. */
    private Optional<Weathers.AtYard> weather(LocalDate today) {
        return yards.findAll().stream().min(Comparator.comparingInt(Yard::walkOrder))
                .map(yard -> weathers.at(yard, today.minusYears(RatePools.YEARS_LEARNT_FROM)));
    }

    /** Queens of one batch that have come equally far, and wait for their eggs in one yard. */
    private record Alike(List<LossStep> passed, Optional<String> yard) {
    }

    /** What lives of the batches, by how far it has come; what is promised or a mother is not to be had. */
    private List<RunningBatch> running(List<Graft> batches, Map<UUID, Queen> motherOf, Map<UUID, String> builderCodes,
            Map<UUID, String> yardOf) {
        List<Graft> grafted = batches.stream().filter(Graft::grafted).toList();
        Set<UUID> spoken = promised.findByDeliveredOnIsNull().stream().map(PromisedQueen::queenId)
                .collect(Collectors.toSet());
        Map<UUID, Map<Alike, Integer>> alive = new HashMap<>();
        for (Queen queen : queens.findByAliveTrueAndGraftIdIn(grafted.stream().map(Graft::id).toList())) {
            Optional<List<LossStep>> passed = passed(queen);
            if (passed.isPresent() && !spoken.contains(queen.id()) && !queen.breeder()) {
                // a queen that lays has nothing before her that her yard would change
                Optional<String> yard = passed.get().contains(LossStep.MATING)
                        ? Optional.empty()
                        : queen.hiveId().map(yardOf::get);
                alive.computeIfAbsent(queen.graftId().orElseThrow(), _ -> new HashMap<>())
                        .merge(new Alike(passed.get(), yard), 1, Integer::sum);
            }
        }
        List<RunningBatch> running = new ArrayList<>();
        for (Graft graft : grafted) {
            Optional<Queen> mother = Optional.ofNullable(motherOf.get(graft.motherId()));
            Around around = Around.NOTHING_KNOWN
                    .with(Circumstance.BUILDER, builderCodes.getOrDefault(graft.builderId(), "?"))
                    .with(Circumstance.MOTHER, mother.map(queen -> queen.id().toString()))
                    .with(Circumstance.PERSON, graft.grafter());
            alive.getOrDefault(graft.id(), Map.of()).entrySet().stream()
                    .sorted(Comparator.comparingInt((Map.Entry<Alike, Integer> one) -> -one.getKey().passed().size())
                            .thenComparing(one -> one.getKey().yard().orElse("")))
                    .forEach(one -> running.add(new RunningBatch(nameOf(graft, one.getKey()), mother.map(Queen::line),
                            graft.graftDay(), one.getValue(), one.getKey().passed(),
                            around.with(Circumstance.YARD, one.getKey().yard()))));
        }
        return running;
    }

    private static String nameOf(Graft graft, Alike alike) {
        return "%s (%s%s)".formatted(graft.code(), word(alike.passed().size()),
                alike.yard().map(yard -> ", " + yard).orElse(""));
    }

    private static String word(int stepsPassed) {
        return switch (stepsPassed) {
            case 0 -> "grafts";
            case 1 -> "taken";
            case 2 -> "cells";
            case 3 -> "virgins";
            default -> "laying";
        };
    }

    /** Losses that lie behind a living queen; empty if nothing more is to be had of her. */
    private static Optional<List<LossStep>> passed(Queen queen) {
        boolean given = queen.life().has(Milestone.PLACED_AS_CELL) || queen.life().has(Milestone.CAGED);
        return switch (queen.stage()) {
            case GRAFTED -> Optional.of(List.of());
            case TAKEN, SEALED -> Optional.of(given ? List.of(LossStep.TAKE, LossStep.SOUND) : List.of(LossStep.TAKE));
            case VIRGIN -> Optional.of(List.of(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE));
            case LAYING, JUDGED ->
                Optional.of(List.of(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE, LossStep.MATING));
            case DRONE_LAYER, NOT_TAKEN, CULLED, DUD, DEAD, TAKEN_OUT -> Optional.empty();
        };
    }
}

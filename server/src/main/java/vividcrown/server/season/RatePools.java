package vividcrown.server.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vividcrown.core.mating.Afternoon;
import vividcrown.core.mating.MatingWeather;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.Interval;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.odds.StepOdds;
import vividcrown.core.season.SeasonRates;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.weather.Weathers;

/**
 * The operation's own losses, learnt by month, builder, mother, person, yard and weather, each borrowing from the others.
 * Of mating, the weather stands for the month.
 */
@Component
class RatePools {

    private static final String TO_VIRGINS = """
            select g.graft_day, h.code as builder, g.mother_id as mother, g.grafter,
                t.counted, t.took, t.judged, t.sound, t.checked, t.emerged
            from graft_tally t join graft g on g.id = t.graft_id join hive h on h.id = g.builder_id
            where g.graft_day >= :since order by g.graft_day, g.id
            """;
    private static final String MATED = """
            select g.graft_day, g.mother_id as mother, y.name as yard, t.settled, t.mated
            from mating_tally t join graft g on g.id = t.graft_id left join yard y on y.id = t.yard_id
            where g.graft_day >= :since order by g.graft_day, g.id, t.yard_id
            """;
    /** Older seasons had other hands, boxes and mothers; and so the learning stays quick for ever. */
    static final int YEARS_LEARNT_FROM = 4;
    /** From the graft to the first and after the last day on which its virgins may mate: emergence + 5 to + 21. */
    private static final int MATING_FROM = 17;
    private static final int MATING_DAYS = 17;

    private static final int MOST_REMEMBERED = 50;

    private final JdbcClient jdbc;
    /** What was learnt last for an operation, so that the same counts are not learnt from twice; any node can do it again. */
    private final Map<UUID, Learnt> last = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<UUID, Learnt> eldest) {
            return size() > MOST_REMEMBERED;
        }
    });

    RatePools(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * A share and what it rests on.
     *
     * @param group which month, builder … ; empty for all together
     * @param low lower end of the 90 % credible interval
     * @param tried own counts in this group
     */
    record RateLine(String group, double mean, double low, double high, int tried) {
        static RateLine of(String group, Rate rate, int tried) {
            Interval interval = rate.credible(0.9);
            return new RateLine(group, rate.mean(), interval.low(), interval.high(), tried);
        }
    }

    /**
     * @param all the operation as a whole
     * @param oneGraft a graft of which nothing is known, with the luck of its day
     * @param by each group as if all else were as usual
     */
    record StepRates(LossStep step, RateLine all, RateLine oneGraft, Map<Circumstance, List<RateLine>> by) {
    }

    /** A batch with its counts up to the virgin, as the database has it. */
    record Batch(LocalDate graftDay, String builder, UUID mother, String grafter, int counted, int took,
            int judged, int sound, int checked, int emerged) {

        private StepOdds.Batch at(LossStep step) {
            Around around = Around.graftOf(graftDay).with(Circumstance.BUILDER, builder)
                    .with(Circumstance.MOTHER, mother.toString()).with(Circumstance.PERSON, grafter);
            return new StepOdds.Batch(around, switch (step) {
                case TAKE -> new StepOdds.Count(counted, took);
                case SOUND -> new StepOdds.Count(judged, sound);
                case EMERGENCE -> new StepOdds.Count(checked, emerged);
                case MATING, ACCEPTANCE -> new StepOdds.Count(0, 0);
            });
        }
    }

    /** Virgins of a batch in one yard that laid or never will. */
    record Mated(LocalDate graftDay, UUID mother, @Nullable String yard, int settled, int mated) {

        private StepOdds.Batch batch(Optional<MatingWeather> weather) {
            return new StepOdds.Batch(Around.NOTHING_KNOWN
                    .with(Circumstance.MOTHER, mother.toString())
                    .with(Circumstance.YARD, Optional.ofNullable(yard))
                    .with(Circumstance.WEATHER, weather.map(MatingWeather::name)),
                    new StepOdds.Count(settled, mated));
        }
    }

    private Map<LossStep, List<StepOdds.Batch>> counted(Optional<Weathers.AtYard> at, LocalDate today) {
        LocalDate since = today.minusYears(YEARS_LEARNT_FROM);
        List<Batch> batches = jdbc.sql(TO_VIRGINS).param("since", since).query(Batch.class).list();
        Map<LossStep, List<StepOdds.Batch>> counted = new EnumMap<>(LossStep.class);
        for (LossStep step : List.of(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE)) {
            counted.put(step, batches.stream().map(batch -> batch.at(step)).toList());
        }
        Map<LocalDate, Optional<MatingWeather>> weather = new HashMap<>();
        counted.put(LossStep.MATING, jdbc.sql(MATED).param("since", since).query(Mated.class).list().stream()
                .map(mated -> mated.batch(
                        weather.computeIfAbsent(mated.graftDay(),
                                day -> at.flatMap(yard -> weather(yard, day, today)))))
                .toList());
        return counted;
    }

    /**
     * What was counted, and what is learnt from it.
     *
     * @param batches by step
     * @param rates what the plan reckons with
     */
    record Learnt(Map<LossStep, List<StepOdds.Batch>> batches, SeasonRates rates) {
    }

    Learnt learn(Optional<Weathers.AtYard> at, LocalDate today) {
        Map<LossStep, List<StepOdds.Batch>> counted = counted(at, today);
        Learnt before = last.get(CurrentOperation.require());
        if (before != null && before.batches().equals(counted)) {
            return before;
        }
        Map<LossStep, StepOdds> steps = new EnumMap<>(LossStep.class);
        counted.forEach((step, batches) -> steps.put(step, StepOdds.learnt(step.prior(), batches)));
        Learnt learnt = new Learnt(counted, new SeasonRates(steps));
        last.put(CurrentOperation.require(), learnt);
        return learnt;
    }

    /** Everything, for the screen. */
    static List<StepRates> table(Learnt learnt, Map<String, String> names) {
        List<StepRates> table = new ArrayList<>();
        learnt.batches().forEach((step, batches) -> {
            StepOdds odds = Objects.requireNonNull(learnt.rates().steps().get(step));
            Map<Circumstance, List<RateLine>> by = new EnumMap<>(Circumstance.class);
            for (Circumstance kind : Circumstance.values()) {
                Map<String, Integer> tried = new LinkedHashMap<>();
                batches.stream().filter(batch -> batch.count().tried() > 0).forEach(batch -> batch.around().get(kind)
                        .ifPresent(group -> tried.merge(group, batch.count().tried(), Integer::sum)));
                if (!tried.isEmpty()) {
                    by.put(kind,
                            tried.entrySet().stream()
                                    .map(group -> RateLine.of(names.getOrDefault(group.getKey(), group.getKey()),
                                            odds.group(kind, group.getKey()), group.getValue()))
                                    .toList());
                }
            }
            int all = batches.stream().mapToInt(batch -> batch.count().tried()).sum();
            table.add(new StepRates(step, RateLine.of("", odds.overall(), all),
                    RateLine.of("", odds.at(Around.NOTHING_KNOWN), all), by));
        });
        return table;
    }

    /** What the afternoons were like on which a batch could mate; empty while they are not over, or where a day of them is not known. */
    private static Optional<MatingWeather> weather(Weathers.AtYard at, LocalDate graft, LocalDate today) {
        LocalDate first = graft.plusDays(MATING_FROM);
        if (!first.plusDays(MATING_DAYS).isBefore(today)) {
            return Optional.empty();
        }
        List<Weathers.Known> known = Stream.iterate(first, day -> day.plusDays(1)).limit(MATING_DAYS)
                .flatMap(day -> at.on(day).stream()).toList();
        if (known.size() < MATING_DAYS) {
            return Optional.empty();
        }
        return Optional.of(MatingWeather
                .of((int) known.stream().filter(day -> day.fitness() != Afternoon.Fitness.UNFIT).count()));
    }
}

package vividcrown.server.season;

import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vividcrown.core.mating.Afternoon;
import vividcrown.core.odds.Interval;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Pooling;
import vividcrown.core.odds.Rate;
import vividcrown.core.season.SeasonRates;
import vividcrown.server.weather.WeatherStation;

/** The operation's own losses by month, builder, mother, person, yard and weather, each borrowing from the others. */
@Component
class RatePools {

    private static final String BATCHES = """
            select g.graft_day, b.code as builder, coalesce(nullif(m.name, ''), m.code) as mother, g.grafter,
                t.counted, t.took, t.judged, t.sound, t.checked, t.emerged, t.settled, t.mated
            from graft_tally t join graft g on g.id = t.graft_id join builder b on b.id = g.builder_id
            left join queen m on m.id = g.mother_id
            """;
    private static final String BY_YARD = """
            select y.name, count(*) as settled,
                count(*) filter (where q.eggs_seen_on is not null and q.drone_brood_seen_on is null) as mated
            from queen q join nuc n on n.id = q.nuc_id join yard y on y.id = n.yard_id
            where q.graft_id is not null and q.emerged_seen_on is not null
                and (q.eggs_seen_on is not null or q.drone_brood_seen_on is not null or q.ended_on is not null)
            group by y.name
            """;
    private static final List<LossStep> STEPS = List.of(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE,
            LossStep.MATING);
    /** Fit afternoons of a batch's mating time from which it is called fine; fewer than half of them poor. */
    private static final int FINE_AFTERNOONS = 8;

    private final JdbcClient jdbc;

    RatePools(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** By what batches are told apart. */
    enum Grouping {
        MONTH, BUILDER, MOTHER, PERSON, YARD, WEATHER
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

    record StepRates(LossStep step, RateLine all, Map<Grouping, List<RateLine>> by) {
    }

    /** A batch with its counts, as the database has it. */
    record Batch(LocalDate graftDay, String builder, String mother, String grafter, int counted, int took, int judged,
            int sound, int checked, int emerged, int settled, int mated) {

        private Pooling.Count count(LossStep step) {
            return switch (step) {
                case TAKE -> new Pooling.Count(counted, took);
                case SOUND -> new Pooling.Count(judged, sound);
                case EMERGENCE -> new Pooling.Count(checked, emerged);
                case MATING -> new Pooling.Count(settled, mated);
                case ACCEPTANCE -> new Pooling.Count(0, 0);
            };
        }
    }

    record YardCount(String name, int settled, int mated) {
    }

    private List<Batch> batches() {
        return jdbc.sql(BATCHES).query(Batch.class).list();
    }

    /** What the plan reckons with: each step by the month of the graft. */
    SeasonRates rates() {
        List<Batch> batches = batches();
        Map<LossStep, Rate> overall = new EnumMap<>(LossStep.class);
        Map<Month, Map<LossStep, Rate>> byMonth = new EnumMap<>(Month.class);
        for (LossStep step : STEPS) {
            Pooling<Month> pooled = pool(batches, step, batch -> batch.graftDay().getMonth());
            overall.put(step, pooled.overall());
            pooled.groups().forEach((month, rate) -> byMonth.computeIfAbsent(month, _ -> new EnumMap<>(LossStep.class))
                    .put(step, rate));
        }
        return new SeasonRates(overall, byMonth);
    }

    /** Everything, for the screen. */
    List<StepRates> table(WeatherStation station, LocalDate today) {
        List<Batch> batches = batches();
        List<StepRates> table = new ArrayList<>();
        for (LossStep step : STEPS) {
            Map<Grouping, List<RateLine>> by = new EnumMap<>(Grouping.class);
            by.put(Grouping.MONTH, lines(batches, step, batch -> batch.graftDay().getMonth().name()));
            by.put(Grouping.BUILDER, lines(batches, step, Batch::builder));
            by.put(Grouping.MOTHER, lines(batches, step, Batch::mother));
            by.put(Grouping.PERSON, lines(batches, step, Batch::grafter));
            if (step == LossStep.MATING) {
                by.put(Grouping.WEATHER, lines(batches.stream()
                        .filter(batch -> batch.graftDay().plusDays(33).isBefore(today)).toList(), step,
                        batch -> weather(station, batch.graftDay())));
                by.put(Grouping.YARD, yards());
            }
            Pooling<String> pooled = pool(batches, step, _ -> "");
            table.add(new StepRates(step, RateLine.of("", pooled.overall(), tried(batches, step)), by));
        }
        return table;
    }

    private List<RateLine> yards() {
        Map<String, Pooling.Count> counts = new LinkedHashMap<>();
        jdbc.sql(BY_YARD).query(YardCount.class).list()
                .forEach(one -> counts.put(one.name(), new Pooling.Count(one.settled(), one.mated())));
        return lines(Pooling.of(LossStep.MATING.prior(), counts), counts);
    }

    /** What the afternoons were like on which a batch could mate. */
    private static String weather(WeatherStation station, LocalDate graft) {
        long fit = Stream.iterate(graft.plusDays(17), day -> day.plusDays(1)).limit(17)
                .filter(day -> station.afternoon(day).fitness() != Afternoon.Fitness.UNFIT).count();
        return fit >= FINE_AFTERNOONS ? "FINE" : fit >= FINE_AFTERNOONS / 2 ? "FAIR" : "POOR";
    }

    private static <K> Map<K, Pooling.Count> counts(List<Batch> batches, LossStep step, Function<Batch, K> group) {
        Map<K, Pooling.Count> counts = new LinkedHashMap<>();
        batches.stream().filter(batch -> batch.count(step).tried() > 0)
                .forEach(batch -> counts.merge(group.apply(batch), batch.count(step), Pooling.Count::plus));
        return counts;
    }

    private static <K> Pooling<K> pool(List<Batch> batches, LossStep step, Function<Batch, K> group) {
        return Pooling.of(step.prior(), counts(batches, step, group));
    }

    private static List<RateLine> lines(List<Batch> batches, LossStep step, Function<Batch, String> group) {
        Map<String, Pooling.Count> counts = counts(batches, step, group);
        return lines(Pooling.of(step.prior(), counts), counts);
    }

    private static List<RateLine> lines(Pooling<String> pooled, Map<String, Pooling.Count> counts) {
        return counts.entrySet().stream()
                .map(one -> RateLine.of(one.getKey(), pooled.of(one.getKey()), one.getValue().tried())).toList();
    }

    private static int tried(List<Batch> batches, LossStep step) {
        return batches.stream().mapToInt(batch -> batch.count(step).tried()).sum();
    }

    /** Ids of queens that are promised to somebody or were handed over. */
    List<UUID> promised() {
        return jdbc.sql("select queen_id from order_queen").query(UUID.class).list();
    }
}

package vividcrown.server.yard;

import java.sql.Types;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.yard.YardDeed;
import vividcrown.core.yard.YardFold;
import vividcrown.server.journal.Admission;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;
import vividcrown.server.journal.Projector;
import vividcrown.server.operation.CurrentOperation;

/** Makes the rows of yards: what was said of them last. */
@Configuration
@Order(10)
class YardProjector implements Projector {

    private final YardTable yards;
    private final JdbcClient jdbc;

    YardProjector(YardTable yards, JdbcClient jdbc) {
        this.yards = yards;
        this.jdbc = jdbc;
    }

    @Bean
    static DeedKinds yardDeeds() {
        return DeedKinds.of(DeedKind.of("YARD_OPENED", YardDeed.Opened.class).bringing(YardDeed.YARD).ofOwner(),
                DeedKind.of("YARD_CLIMATE_SAID", YardDeed.ClimateSaid.class).ofOwner(),
                DeedKind.of("YARD_STATION_SWITCHED", YardDeed.StationSwitched.class).ofOwner(),
                DeedKind.of("YARD_SITE_DESCRIBED", YardDeed.SiteDescribed.class),
                DeedKind.of("YARD_MATING_SAID", YardDeed.MatingSaid.class).ofOwner(),
                DeedKind.of("YARD_FLOW_SAID", YardDeed.FlowSaid.class),
                DeedKind.of("YARD_WEATHER_NOTED", YardDeed.WeatherNoted.class).through(YardProjector::noted));
    }

    /** What is ahead nobody has seen. */
    private static YardDeed.WeatherNoted noted(YardDeed.WeatherNoted asked, Admission admission) {
        asked.days().stream().map(YardDeed.DayNoted::day).filter(day -> day.isAfter(admission.today()))
                .max(Comparator.naturalOrder())
                .ifPresent(day -> admission.refuse("days", "refusal.liesAhead", day.toString(),
                        admission.today().toString()));
        return asked;
    }

    @Override
    public SubjectKind subjectKind() {
        return YardDeed.YARD;
    }

    @Override
    public void project(Map<UUID, List<Entry>> records) {
        records.forEach((id, record) -> YardFold.fold(record).ifPresentOrElse(state -> {
            yards.save(new YardRow(state));
            write(id, state.days());
        }, () -> {
            yards.deleteAllByIdInBatch(List.of(id));
            write(id, Map.of());
        }));
        yards.flush();
    }

    /** Days that stay as they were are left alone: a day more must not cost ten years of them. */
    private void write(UUID yard, Map<LocalDate, YardDeed.DayNoted> days) {
        Map<LocalDate, Day> wanted = new HashMap<>();
        days.forEach((day, noted) -> wanted.put(day,
                new Day(day, noted.highCelsius().orElse(null), noted.fitness().name())));
        Map<LocalDate, Day> written = jdbc.sql("select day, high_celsius, fitness from yard_weather where yard_id = ?")
                .param(yard).query(Day.class).list().stream().collect(Collectors.toMap(Day::day, Function.identity()));
        written.forEach((day, was) -> {
            if (!was.equals(wanted.get(day))) {
                jdbc.sql("delete from yard_weather where yard_id = ? and day = ?").params(yard, day).update();
            }
        });
        wanted.values().stream().filter(day -> !day.equals(written.get(day.day()))).forEach(day -> jdbc.sql("""
                insert into yard_weather (yard_id, day, operation_id, high_celsius, fitness)
                values (:yard, :day, :operation, :high, :fitness)""").param("yard", yard).param("day", day.day())
                .param("operation", CurrentOperation.require()).param("high", day.highCelsius(), Types.DOUBLE)
                .param("fitness", day.fitness()).update());
    }

    private record Day(LocalDate day, @Nullable Double highCelsius, String fitness) {
    }

    @Override
    public void clear() {
        jdbc.sql("delete from yard_weather").update();
        yards.deleteAllInBatch();
    }

    @Override
    public Set<UUID> existing(Collection<UUID> subjects) {
        return yards.findAllById(subjects).stream().map(YardRow::id).collect(Collectors.toSet());
    }
}

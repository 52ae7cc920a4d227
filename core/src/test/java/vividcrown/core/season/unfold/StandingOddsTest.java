package vividcrown.core.season.unfold;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.supply.Supply;

/** What is said of an order if nothing more is grafted, against how often it is kept when nothing more is. */
class StandingOddsTest {

    private static final int DRAWS = 512;

    /** The program until a day; on it, it says how each order stands, and from then on grafts nothing. */
    private static final class UntilThen implements LivedSeason.Keeper {
        private final LocalDate last;
        private final LivedSeason.Keeper program = new Keepers.Program(SeasonWorth.USUAL, Set.of(DayOfWeek.MONDAY), 32);
        private final Map<String, Double> said = new HashMap<>();

        UntilThen(LocalDate last) {
            this.last = last;
        }

        @Override
        public List<Ahead.Graft> grafts(LivedSeason season) {
            if (season.today().isBefore(last)) {
                return program.grafts(season);
            }
            SeasonBrief known = season.known();
            if (said.isEmpty() && !known.demands().isEmpty()) {
                Supply supply = new Supply(known);
                Map<String, Double> chances = NothingMore.chances(known, supply, season.stocks(),
                        new Draws(supply, DRAWS, season.today().toEpochDay()));
                // whose day is past is late by then, whatever comes
                known.demands().stream().filter(one -> one.until().isAfter(season.today()))
                        .forEach(one -> said.put(one.id(), Objects.requireNonNull(chances.get(one.id()))));
            }
            return List.of();
        }

        @Override
        public int place(LivedSeason season, LivedSeason.Batch batch, int ripe, int nucs) {
            return season.today().isBefore(last) ? program.place(season, batch, ripe, nucs) : batch.meant();
        }

        @Override
        public int gives(LivedSeason season, Demand order, int there) {
            return program.gives(season, order, there);
        }
    }

    /** Of a tenth: orders, what was said of them, what was kept. */
    record Tenth(int orders, double said, double kept) {
        Tenth with(double chance, boolean whole) {
            return new Tenth(orders + 1, said + chance, kept + (whole ? 1 : 0));
        }
    }

    /** In the middle of so many seasons. */
    static Map<Integer, Tenth> tenths(int seasons) {
        Map<Integer, Tenth> tenths = new TreeMap<>();
        IntStream.rangeClosed(1, seasons).parallel().mapToObj(number -> {
            SeasonBrief brief = Seasons.random(8, 4, 240, 5_000 + number);
            UntilThen keeper = new UntilThen(brief.today().plusDays(25 + number % 4 * 10));
            LivedSeason lived = new LivedSeason(brief, 31L * number, 0);
            lived.live(keeper);
            return Map.entry(keeper.said, lived.keptOrders());
        }).toList()
                .forEach(one -> one.getKey().forEach((order, chance) -> tenths.compute((int) Math.min(9, chance * 10),
                        (_, before) -> (before == null ? new Tenth(0, 0, 0) : before).with(chance,
                                one.getValue().contains(order)))));
        return tenths;
    }

    /** The bench counts many more, tenth by tenth. */
    @Test
    void orders_are_kept_as_often_as_is_said_if_nothing_more_is_grafted() {
        Map<Integer, Tenth> tenths = tenths(240);
        assertThat(tenths).hasSizeGreaterThan(8);
        Tenth sureNot = Objects.requireNonNull(tenths.remove(0));
        assertThat(sureNot.kept() / sureNot.orders()).isLessThan(0.02);
        // of those that hang in the balance few are in each tenth: together they tell sooner
        int orders = tenths.values().stream().mapToInt(Tenth::orders).sum();
        double said = tenths.values().stream().mapToDouble(Tenth::said).sum() / orders;
        double kept = tenths.values().stream().mapToDouble(Tenth::kept).sum() / orders;
        assertThat(kept).as("of %d orders", orders).isCloseTo(said, within(0.02));
    }
}

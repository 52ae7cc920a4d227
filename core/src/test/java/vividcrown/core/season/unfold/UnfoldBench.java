package vividcrown.core.season.unfold;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.Seasons;

/** Seasons lived week by week: the program against rules of thumb, tuned. Prints the frontier, asserts nothing of it. */
@EnabledIfSystemProperty(named = "crown.bench", matches = "true")
class UnfoldBench {

    private static final int SEASONS = Integer.getInteger("crown.seasons", 200);
    private static final long FIRST_SEED = 1;
    private static final long SECOND_SEED = 40_001;
    private static final Set<DayOfWeek> TWICE = Set.of(DayOfWeek.MONDAY, DayOfWeek.FRIDAY);

    @Test
    void frontier() {
        for (String season : List.of("usual", "poor", "scarce")) {
            System.out.printf("%n%s season, %d times with each of two seeds%n", season, SEASONS);
            for (double safety : new double[]{0.2, 0.4, 0.6, 1}) {
                for (int lead : new int[]{28, 33, 40}) {
                    tell(season, "Mondays +%.0f %% %d d".formatted(100 * safety, lead),
                            new Keepers.Mondays(safety, lead));
                }
                tell(season, "back +%.0f %% 34/28 d".formatted(100 * safety),
                        new Keepers.BackFromEach(safety, 34, 28));
            }
            for (double late : new double[]{120, 300, 800, 2_400, 7_200}) {
                tell(season, "program, an order worth %.0f h".formatted(late / 60),
                        new Keepers.Program(new SeasonWorth(60, late, 20, 0.2), TWICE, 48));
            }
        }
        assertThat(SEASONS).isPositive();
    }

    /** How much of a poor season is that nobody knows how poor it is: the same where all own shares are known from the first day. */
    @Test
    void a_poor_season_that_is_known_to_be_poor() {
        System.out.printf("%npoor season, own shares known, %d times with each of two seeds%n", SEASONS);
        for (double safety : new double[]{0.2, 0.6, 1}) {
            tell("poor, known", "Mondays +%.0f %% 40 d".formatted(100 * safety), new Keepers.Mondays(safety, 40));
        }
        for (double late : new double[]{2_400, 7_200}) {
            tell("poor, known", "program, an order worth %.0f h".formatted(late / 60),
                    new Keepers.Program(new SeasonWorth(60, late, 20, 0.2), TWICE, 48));
        }
        assertThat(SEASONS).isPositive();
    }

    /** What is said in May of each order, against how often it was kept when the season was lived. */
    @Test
    void stated_odds() {
        int lives = 60;
        double[][] deciles = new double[10][3];
        double seconds = 0;
        for (int number = 1; number <= SEASONS; number++) {
            SeasonBrief brief = Seasons.random(8, 4, 240, number);
            long begun = System.nanoTime();
            Map<String, Double> said = Lives.odds(brief, lives).chances();
            seconds += (System.nanoTime() - begun) / 1e9;
            int season = number;
            List<Set<String>> kept = IntStream.range(0, lives).parallel().mapToObj(life -> {
                LivedSeason lived = new LivedSeason(brief, season * 1_000L + life, 0);
                lived.live(new Keepers.Program(SeasonWorth.USUAL, TWICE, 32));
                return lived.keptOrders();
            }).toList();
            said.forEach((order, odds) -> {
                double[] of = deciles[Math.min(9, (int) (odds * 10))];
                of[0]++;
                of[1] += odds;
                of[2] += (double) kept.stream().filter(one -> one.contains(order)).count() / lives;
            });
        }
        System.out.printf(Locale.ROOT, "stated with planning again, %.1f s a season%n", seconds / SEASONS);
        for (double[] of : deciles) {
            if (of[0] > 0) {
                System.out.printf(Locale.ROOT, "  %4.0f orders: said %5.1f %%, kept %5.1f %%%n", of[0],
                        100 * of[1] / of[0], 100 * of[2] / of[0]);
            }
        }
        assertThat(seconds).isPositive();
    }

    /** What is said in the middle of a season of each order if nothing more is grafted, against how often it was kept when nothing was. */
    @Test
    void stated_odds_if_nothing_more_is_grafted() {
        Map<Integer, StandingOddsTest.Tenth> tenths = StandingOddsTest.tenths(7 * SEASONS);
        System.out.println("stated if nothing more is grafted");
        tenths.values().forEach(of -> System.out.printf(Locale.ROOT, "  %4d orders: said %5.1f %%, kept %5.1f %%%n",
                of.orders(), 100 * of.said() / of.orders(), 100 * of.kept() / of.orders()));
        assertThat(tenths).isNotEmpty();
    }

    /** A poor season has every rate at its 5 % quantile, a scarce one boxes for seven in ten. Each seed on its own, and both together. */
    private static void tell(String season, String name, LivedSeason.Keeper keeper) {
        List<LivedSeason.Lived> first = lived(season, keeper, FIRST_SEED);
        List<LivedSeason.Lived> second = lived(season, keeper, SECOND_SEED);
        List<LivedSeason.Lived> both = new ArrayList<>(first);
        both.addAll(second);
        System.out.printf(Locale.ROOT, "%-34s %6.1f %% on time %7.1f wasted %7.1f h   (seeds: %.1f and %.1f %%)%n",
                name,
                onTime(both), both.stream().mapToInt(LivedSeason.Lived::wasted).average().orElseThrow(),
                both.stream().mapToDouble(LivedSeason.Lived::hours).average().orElseThrow(), onTime(first),
                onTime(second));
    }

    private static List<LivedSeason.Lived> lived(String season, LivedSeason.Keeper keeper, long firstSeed) {
        return LongStream.range(firstSeed, firstSeed + SEASONS).parallel()
                .mapToObj(seed -> new LivedSeason(season.equals("scarce")
                        ? Seasons.random(8, 3, 240, seed).with(Seasons.random(8, 3, 90, seed).means())
                        : Seasons.random(8, 4, 240, seed), seed * 7L, season.startsWith("poor") ? 0.05 : 0,
                        season.endsWith("known"))
                        .live(keeper))
                .toList();
    }

    private static double onTime(List<LivedSeason.Lived> lived) {
        return 100.0 * lived.stream().mapToInt(LivedSeason.Lived::onTime).sum()
                / lived.stream().mapToInt(LivedSeason.Lived::orders).sum();
    }
}

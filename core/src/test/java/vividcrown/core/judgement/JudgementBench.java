package vividcrown.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/** Measures a judgement: a season of thirty readings, and five hundred colonies at a glance. Prints, asserts no time. */
@EnabledIfSystemProperty(named = "crown.bench", matches = "true")
class JudgementBench {

    private static final int RUNS = 200;
    private static final int COLONIES = 500;

    @Test
    void a_season_of_thirty_readings_and_five_hundred_colonies() {
        LocalDate first = LocalDate.of(2026, 4, 10);
        List<Reading> readings = new ArrayList<>();
        for (int look = 0; look < 30; look++) {
            readings.add(
                    Reading.of(first.plusDays(look * 5L), Sign.EGGS_SINGLE, Sign.LARVAE, Sign.SEALED_WORKER, Sign.CALM)
                            .without(Sign.QUEEN_CELLS, Sign.QUEEN));
        }
        LocalDate today = first.plusDays(147);
        Judge judge = new Judge(Assumptions.standard(), Season.NORTHERN);
        Advisor advisor = new Advisor(Assumptions.standard(), MatingClimate.UPLAND_46_NORTH, Set.of());
        for (int warm = 0; warm < 300; warm++) {
            assertThat(judge.judge(readings, List.of(), today).odds()).isNotEmpty();
        }
        long start = System.nanoTime();
        for (int run = 0; run < RUNS; run++) {
            judge.atAGlance(readings, List.of(), today);
        }
        long glance = System.nanoTime();
        for (int run = 0; run < RUNS; run++) {
            judge.judge(readings, List.of(), today);
        }
        long whole = System.nanoTime();
        for (int run = 0; run < RUNS; run++) {
            advisor.advise(judge.judge(readings, List.of(), today), readings);
        }
        long advised = System.nanoTime();
        for (int colony = 0; colony < COLONIES; colony++) {
            SimulatedYard.Known known = SimulatedYard.colony(colony);
            judge.atAGlance(known.readings(), known.events(), known.today());
        }
        long many = System.nanoTime();
        System.out.printf(Locale.ROOT,
                "%nA season of 30 readings: at a glance %.2f ms, with looks and reasons %.2f ms, with advice %.2f ms;"
                        + " %d colonies at a glance %.0f ms%n",
                (glance - start) / 1e6 / RUNS, (whole - glance) / 1e6 / RUNS, (advised - whole) / 1e6 / RUNS, COLONIES,
                (many - advised) / 1e6);
    }
}

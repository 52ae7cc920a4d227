package vividcrown.core.merit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vividcrown.core.merit.Breeders.Candidate;
import vividcrown.core.merit.Breeders.Wish;

/** Who is grafted from: against every choice there is, and against what breeders know. */
class BreedersTest {

    /** The best of all ways to share twenty parts among four, counted through. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void it_is_the_best_of_all_that_keep_the_bounds(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Candidate> candidates = new ArrayList<>();
        double[][] kinship = new double[4][4];
        for (int one = 0; one < 4; one++) {
            candidates.add(new Candidate("q" + one, one < 2 ? "A" : "B" + one, random.nextInt(300) / 100.0, 0.6));
            kinship[one][one] = 0.5;
            for (int other = 0; other < one; other++) {
                kinship[one][other] = kinship[other][one] = random.nextInt(20) / 100.0;
            }
        }
        Wish wish = new Wish(100, 0.28, 2, 0.6);
        double best = -1;
        for (int a = 0; a <= 12; a++) {
            for (int b = 0; b <= 12; b++) {
                for (int c = 0; c <= 12; c++) {
                    int d = 20 - a - b - c;
                    if (d < 0 || d > 12) {
                        continue;
                    }
                    int[] parts = {a, b, c, d};
                    double akin = 0;
                    double merit = 0;
                    for (int one = 0; one < 4; one++) {
                        merit += parts[one] / 20.0 * candidates.get(one).merit();
                        for (int other = 0; other < 4; other++) {
                            akin += parts[one] / 20.0 * parts[other] / 20.0 * kinship[one][other];
                        }
                    }
                    int lines = (a + b > 0 ? 1 : 0) + (c > 0 ? 1 : 0) + (d > 0 ? 1 : 0);
                    if (akin <= 0.28 + 1e-9 && lines >= 2) {
                        best = Math.max(best, merit);
                    }
                }
            }
        }
        Optional<Breeders> found = Breeders.choose(candidates, kinship, wish, 20);
        if (best < 0) {
            assertThat(found).isEmpty();
        } else {
            assertThat(found.orElseThrow().merit()).isCloseTo(best, within(1e-3));
            assertThat(found.orElseThrow().gap()).isCloseTo(0, within(1e-6));
            assertThat(found.orElseThrow().kinship()).isLessThanOrEqualTo(0.28 + 1e-3);
            assertThat(found.orElseThrow().chosen().stream().mapToInt(Breeders.Chosen::daughters).sum()).isEqualTo(100);
        }
    }

    @Test
    void one_more_line_has_its_price_and_a_guess_is_called_one() {
        List<Candidate> three = List.of(new Candidate("best", "A", 2, 0.8), new Candidate("next", "B", 1.5, 0.2),
                new Candidate("last", "C", 0.5, 0.7));
        double[][] apart = {{0.5, 0, 0}, {0, 0.5, 0}, {0, 0, 0.5}};
        Breeders two = Breeders.choose(three, apart, new Wish(60, 0.5, 2, 1), 20).orElseThrow();
        assertThat(two.chosen().getFirst().queen()).isEqualTo("best");
        assertThat(two.warnings()).singleElement().asString().contains("next");
        assertThat(two.lineMore().orElseThrow()).isCloseTo(0.05 * 1.5 - 0.05 * 0 + 0.05 * 0 - 0.0, within(0.08));
        assertThat(Breeders.choose(three, apart, new Wish(60, 0.1, 2, 1), 20)).as("three cannot be so far apart")
                .isEmpty();
    }

    @Test
    void test_groups_stand_as_evenly_as_it_goes() {
        TestGroups groups = TestGroups.of(new TreeMap<>(Map.of("A", 10, "B", 9, "C", 2)),
                new TreeMap<>(Map.of("north", 8, "south", 8, "hill", 8)));
        groups.byYard().values().forEach(stands -> {
            assertThat(stands.getOrDefault("A", 0)).isBetween(3, 4);
            assertThat(stands.getOrDefault("B", 0)).isEqualTo(3);
        });
        assertThat(groups.warnings()).singleElement().asString().contains("C sends 2");
        assertThatThrownBy(() -> TestGroups.of(Map.of("A", 10), Map.of("north", 8))).hasMessageContaining("8 places");
        assertThat(TestGroups.of(Map.of("A", 3), Map.of("north", 8)).warnings()).anyMatch(
                one -> one.toString().contains("stands alone"));
    }
}

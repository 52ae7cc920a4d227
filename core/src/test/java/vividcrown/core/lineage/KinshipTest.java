package vividcrown.core.lineage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static vividcrown.core.lineage.Pedigree.Descent.founder;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vividcrown.core.lineage.MatingOutlook.Who;
import vividcrown.core.lineage.Pedigree.Descent;

/**
 * Kinship of bees against published values (Crow &amp; Roberts 1950; Hamilton 1964; Laidlaw &amp; Page 1997; all from memory) and against
 * genes dropped through random pedigrees.
 */
class KinshipTest {

    private static final double EXACT = 1e-12;

    private static Kinship of(Descent... descents) {
        return new Kinship(Pedigree.of(List.of(descents)));
    }

    /** Crow &amp; Roberts 1950: a queen mated with her own drone: her daughters have F = 1/2 (from memory). */
    @Test
    void a_queen_and_her_own_drone() {
        Kinship kinship = of(founder("q").mated(new Mating.OneDrone("q")), Descent.of("d", "q"));
        assertThat(kinship.inbreeding("d")).isCloseTo(0.5, within(EXACT));
    }

    /** The same authors: sister queen and brother drone, F = 1/4 (from memory). */
    @Test
    void a_queen_and_her_brother() {
        Kinship kinship = of(founder("q"), Descent.of("sister", "q").mated(new Mating.OneDrone("q")),
                Descent.of("d", "sister"));
        assertThat(kinship.inbreeding("d")).isCloseTo(0.25, within(EXACT));
    }

    /** Hamilton 1964: full sisters 3/4, half-sisters 1/4; mother and daughter 1/2 (from memory). */
    @Test
    void sisters_of_one_father_and_of_two() {
        Kinship one = of(founder("q").mated(new Mating.OneDrone("f")), founder("f"), Descent.of("a", "q"),
                Descent.of("b", "q"));
        assertThat(one.relatedness("a", "b")).isCloseTo(0.75, within(EXACT));
        assertThat(one.relatedness("a", "q")).isCloseTo(0.5, within(EXACT));
        Kinship two = of(founder("q"), founder("p").mated(new Mating.OneDrone("f")), founder("f"),
                Descent.of("a", "p"), Descent.of("b", "f"));
        assertThat(two.relatedness("a", "b")).as("her aunt by her father's mother").isCloseTo(0.25, within(EXACT));
        assertThat(two.relatedness("a", "q")).isZero();
    }

    /** Workers of a colony with k equally used fathers: 1/4 + 1/(2k) (Laidlaw &amp; Page 1997, from memory). */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 5, 12, 20})
    void workers_of_a_colony(int drones) {
        Kinship kinship = of(founder("q"), founder("f"));
        MatingOutlook outlook = MatingOutlook.of(kinship, "q", Who.SHE, new Mating.Flying(Map.of(), drones), 12);
        assertThat(outlook.workers()).isCloseTo(0.25 + 0.5 / drones, within(EXACT));
    }

    /** Brood viability is 1 − 1/n with n equally common alleles; a queen who shares one with p of her mates loses p/2 (Woyke 1976). */
    @Test
    void brood_that_is_lost() {
        Kinship kinship = of(founder("q"), founder("f"));
        assertThat(MatingOutlook.of(kinship, "q", Who.SHE, new Mating.OneDrone("f"), 8).loss().viable())
                .isCloseTo(1 - 1.0 / 8, within(EXACT));
        assertThat(BroodLoss.known("a", "b", Map.of("a", 0.3, "c", 0.7)).share().likely())
                .isCloseTo(0.15, within(EXACT));
        assertThatThrownBy(() -> BroodLoss.known("a", "a", Map.of("c", 1.0))).hasMessageContaining("cannot be both");
        // one drone is all or nothing: half of the brood, or none
        BroodLoss one = BroodLoss.byKinship(0, 10, 1);
        assertThat(one.share().least()).isZero();
        assertThat(one.share().most()).isEqualTo(0.5);
        assertThat(BroodLoss.byKinship(0.25, 10, 12).shows()).isTrue();
        // she has two different ones: half is the most that can be lost
        assertThat(BroodLoss.byKinship(0.9, 10, 12).share().likely()).isEqualTo(0.5);
    }

    /** Daughters of one mother mated at a station of her own daughters: what sisters and brothers are, on average. */
    @Test
    void a_station_of_sisters_is_nearly_one_queen_and_not_quite() {
        Mating strangers = new Mating.Flying(Map.of(), 12);
        Descent grandam = founder("g").mated(strangers);
        Kinship kinship = of(grandam, founder("q").mated(new Mating.Sisters("g", 8, 12)), Descent.of("a", "q"),
                Descent.of("b", "q"), Descent.of("c", "g"));
        // two sisters of 12 fathers: r = 1/4 + 1/24, kinship half of it; drones of the station: 1 in 8 of one sister
        double sisters = (0.25 + 0.5 / 12) / 2;
        double drones = sisters + (0.5 - sisters) / 8;
        double mates = 1.0 / 12 + 11.0 / 12 * drones;
        assertThat(kinship.of("a", "b")).isCloseTo((0.5 + mates) / 4, within(EXACT));
        assertThat(kinship.of("a", "c")).isCloseTo(sisters / 2, within(EXACT));
        MatingOutlook planned = MatingOutlook.of(kinship, "q", Who.SHE, new Mating.Sisters("g", 8, 12), 12);
        assertThat(planned.workers()).isCloseTo((0.5 + mates) / 2, within(EXACT));
        assertThat(kinship.of("g", "q")).isZero();
    }

    @Test
    void a_mated_daughter_can_be_asked_of_before_she_is_raised() {
        Kinship kinship = of(founder("q").mated(new Mating.OneDrone("f")), founder("f"),
                Descent.of("a", "q").mated(new Mating.OneDrone("f")));
        MatingOutlook raised = MatingOutlook.of(kinship, "a", Who.SHE, new Mating.OneDrone("f"), 12);
        MatingOutlook planned = MatingOutlook.of(kinship, "q", Who.HER_DAUGHTER, new Mating.OneDrone("f"), 12);
        assertThat(planned.inbreeding()).isCloseTo(raised.inbreeding(), within(EXACT)).isCloseTo(0.25, within(EXACT));
        assertThat(planned.workers()).isCloseTo(raised.workers(), within(EXACT));
        assertThat(planned.advice()).isEqualTo(MatingOutlook.Advice.APART);
    }

    /** Every pair of random pedigrees against 100,000 drops of genes; three standard errors of so many, with some to spare. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void genes_dropped_through_random_pedigrees_say_the_same(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Descent> descents = new ArrayList<>();
        for (int queen = 0; queen < 14; queen++) {
            Optional<String> mother = queen < 4
                    ? Optional.empty()
                    : Optional.of("q" + random.nextInt(queen));
            List<String> before = descents.stream().map(Descent::id).toList();
            descents.add(
                    new Descent("q" + queen, mother, before.isEmpty() ? Mating.UNKNOWN : mating(random, before), 0));
        }
        Pedigree pedigree = Pedigree.of(descents);
        Kinship kinship = new Kinship(pedigree);
        List<String> ids = descents.stream().map(Descent::id).toList();
        double[][] reckoned = kinship.among(ids);
        int drops = 100_000;
        double[][] dropped = new GeneDrop(pedigree).run(drops, seed);
        for (int one = 0; one < ids.size(); one++) {
            for (int other = 0; other <= one; other++) {
                double expected = reckoned[one][other];
                double error = Math.sqrt(Math.max(1e-4, expected * (1 - expected)) / drops);
                assertThat(dropped[one][other]).as("%s and %s", ids.get(one), ids.get(other))
                        .isCloseTo(expected, within(4.5 * error));
                assertThat(kinship.of(ids.get(one), ids.get(other))).isCloseTo(expected, within(EXACT));
            }
        }
    }

    private static Mating mating(SplittableRandom random, List<String> before) {
        String one = before.get(random.nextInt(before.size()));
        String other = before.get(random.nextInt(before.size()));
        return switch (random.nextInt(3)) {
            case 0 -> new Mating.OneDrone(one);
            case 1 -> new Mating.Sisters(one, 1 + random.nextInt(6), 1 + random.nextInt(12));
            default -> one.equals(other)
                    ? new Mating.Flying(Map.of(one, 0.6), 1 + random.nextInt(12))
                    : new Mating.Flying(Map.of(one, 0.5, other, 0.3), 1 + random.nextInt(12));
        };
    }

    @Test
    void what_cannot_be_is_refused_with_what_to_change() {
        assertThatThrownBy(() -> of(Descent.of("a", "b"), Descent.of("b", "a"))).hasMessageContaining("own ancestor");
        assertThatThrownBy(() -> of(Descent.of("a", "m"), Descent.of("a", "n")))
                .hasMessageContaining("written down twice");
        assertThatThrownBy(() -> of(new Descent("a", Optional.of("m"), Mating.UNKNOWN, 2023),
                new Descent("m", Optional.empty(), Mating.UNKNOWN, 2025)))
                .hasMessageContaining("older than her mother");
        assertThatThrownBy(() -> Descent.of("a", "a")).hasMessageContaining("mother");
        assertThatThrownBy(() -> new Mating.Flying(Map.of("a", 0.7, "b", 0.7), 12)).hasMessageContaining("140");
        // through drones, too: her mates came from her granddaughter
        assertThatThrownBy(() -> of(founder("a").mated(new Mating.OneDrone("c")), Descent.of("b", "a"),
                Descent.of("c", "b"))).hasMessageContaining("own ancestor");
        Pedigree gaps = Pedigree.of(List.of(Descent.of("a", "lost"), Descent.of("a", "lost")));
        assertThat(gaps.flags()).singleElement().asString().contains("lost").contains("founder");
        assertThat(gaps.size()).isEqualTo(2);
    }

    /** Lacy 1989: the effective number of founders is one over the sum of squared contributions (from memory). */
    @Test
    void a_stock_is_as_broad_as_its_founders_are_even() {
        List<Descent> descents = new ArrayList<>();
        for (String mother : List.of("a", "b", "c", "d")) {
            descents.add(founder(mother).mated(new Mating.OneDrone(mother.equals("a") ? "b" : "a")));
            descents.add(Descent.of(mother + "1", mother));
        }
        Kinship kinship = new Kinship(Pedigree.of(descents));
        Breadth breadth = Breadth.of(kinship, Map.of("A", List.of("a1"), "B", List.of("b1"), "C", List.of("c1"), "D",
                List.of("d1")), 0.1);
        assertThat(breadth.lines()).isCloseTo(4, within(EXACT));
        // a gives half of three and half of her own daughter: 4/8, b 2/8, c and d 1/8 each
        assertThat(breadth.founders()).isCloseTo(1 / (0.25 + 0.0625 + 2.0 / 64), within(1e-9));
        assertThat(breadth.strangers()).isCloseTo(0, within(EXACT));
        assertThat(breadth.apart()).isNotEmpty().allMatch(pair -> pair.kinship() > 0.1);
    }
}

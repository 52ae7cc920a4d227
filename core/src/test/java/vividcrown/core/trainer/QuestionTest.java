package vividcrown.core.trainer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vividcrown.core.introduction.CageReading;
import vividcrown.core.reading.CellLook;

/** Pictures show what they are named, at every level and with any luck. What tells one from another is common practice. */
class QuestionTest {

    private static final int SEEDS = 40;

    private static Question question(Skill skill, int level, long seed) {
        return Question.of(new Exercise(skill, level, Season.SUMMER, seed));
    }

    private static CombPicture comb(Skill skill, int level, long seed) {
        return ((Shown.Comb) question(skill, level, seed).shown()).picture();
    }

    @ParameterizedTest
    @EnumSource(value = Skill.class, names = "FIND_.*", mode = EnumSource.Mode.MATCH_NONE)
    void every_answer_of_the_task_is_offered_and_the_order_tells_nothing(Skill skill) {
        Set<Integer> places = new HashSet<>();
        for (long seed = 0; seed < SEEDS; seed++) {
            Question asked = question(skill, 1, seed);
            assertThat(asked.answers()).containsExactlyInAnyOrderElementsOf(Skill.of(skill.task()));
            assertThat(asked.said()).isNotEmpty();
            places.add(asked.answers().indexOf(skill));
        }
        assertThat(places).hasSizeGreaterThan(2);
        assertThat(question(skill, 2, 7)).isEqualTo(question(skill, 2, 7));
    }

    /** Handbook of the trade, common practice: gaps tell shot brood from a ring between two cycles. */
    @Test
    void a_ring_between_two_cycles_has_no_gaps_and_shot_brood_has_many() {
        for (int level = 1; level <= Exercise.LEVELS; level++) {
            for (long seed = 0; seed < SEEDS; seed++) {
                double shot = comb(Skill.SHOT_BROOD, level, seed).gaps();
                assertThat(shot).isGreaterThan(0.2);
                assertThat(comb(Skill.BETWEEN_CYCLES, level, seed).gaps()).isLessThan(shot - 0.08);
                assertThat(comb(Skill.LAYS_WELL, level, seed).gaps()).isLessThan(shot - 0.08);
            }
        }
    }

    @Test
    void domed_caps_and_doubled_eggs_tell_drone_layer_and_laying_workers_apart() {
        for (int level = 1; level <= Exercise.LEVELS; level++) {
            for (long seed = 0; seed < SEEDS; seed++) {
                Map<CellContent, Integer> layer = comb(Skill.DRONE_LAYER, level, seed).counts();
                assertThat(layer).doesNotContainKeys(CellContent.EGGS, CellContent.EGG_ON_WALL);
                assertThat(layer.get(CellContent.DOMED)).isGreaterThan(layer.getOrDefault(CellContent.SEALED, 0));
                Map<CellContent, Integer> workers = comb(Skill.LAYING_WORKERS, level, seed).counts();
                assertThat(workers).doesNotContainKey(CellContent.SEALED).containsKey(CellContent.EGG_ON_WALL);
                assertThat(workers.get(CellContent.EGGS) + workers.get(CellContent.EGG_ON_WALL))
                        .isGreaterThan(workers.getOrDefault(CellContent.EGG, 0));
            }
        }
    }

    /** Nothing of a disease is ever drawn where none is meant: it would teach the wrong thing. */
    @ParameterizedTest
    @EnumSource(value = Skill.class, names = {"LAYS_WELL", "BETWEEN_CYCLES", "SHOT_BROOD", "DRONE_LAYER",
            "LAYING_WORKERS", "QUEEN_EXPECTED", "NO_QUEEN_EXPECTED"})
    void nothing_sick_is_drawn_where_nothing_sick_is_meant(Skill skill) {
        Set<CellContent> sick = EnumSet.of(CellContent.SUNKEN, CellContent.SICK_LARVA, CellContent.MUMMY);
        for (long seed = 0; seed < SEEDS; seed++) {
            assertThat(comb(skill, 2, seed).counts().keySet()).doesNotContainAnyElementsOf(sick);
        }
        assertThat(comb(Skill.DISEASE_SUSPECTED, 3, 1).counts()).containsKeys(CellContent.SUNKEN,
                CellContent.SICK_LARVA);
        assertThat(comb(Skill.CHALK_BROOD, 3, 1).counts().get(CellContent.MUMMY)).isGreaterThan(5);
    }

    @Test
    void no_brood_is_polished_where_they_expect_a_queen_and_wet_where_they_do_not() {
        for (long seed = 0; seed < SEEDS; seed++) {
            Map<CellContent, Integer> expected = comb(Skill.QUEEN_EXPECTED, 3, seed).counts();
            assertThat(expected).doesNotContainKeys(CellContent.EGG, CellContent.YOUNG_LARVA, CellContent.SEALED);
            assertThat(comb(Skill.NO_QUEEN_EXPECTED, 3, seed).counts()).doesNotContainKeys(CellContent.POLISHED,
                    CellContent.EGG, CellContent.SEALED);
        }
    }

    /** Bottom bars: swarm. The face, few, of one age: supersedure. Scattered on brood, of one age, no eggs: emergency. Common practice. */
    @Test
    void queen_cells_hang_where_their_kind_hangs() {
        for (int level = 1; level <= Exercise.LEVELS; level++) {
            for (long seed = 0; seed < SEEDS; seed++) {
                List<Shown.CellAt> swarm = cells(Skill.SWARM_CELLS, level, seed);
                assertThat(swarm).hasSizeGreaterThan(5)
                        .allSatisfy(cell -> assertThat(cell.down() > 0.9 || cell.across() < 0.1 || cell.across() > 0.9)
                                .isTrue());
                assertThat(swarm.stream().map(Shown.CellAt::look).distinct()).hasSizeGreaterThan(1);
                List<Shown.CellAt> supersedure = cells(Skill.SUPERSEDURE_CELLS, level, seed);
                assertThat(supersedure).hasSizeBetween(1, 3);
                assertThat(supersedure.stream().map(Shown.CellAt::look).distinct()).hasSize(1);
                List<Shown.CellAt> emergency = cells(Skill.EMERGENCY_CELLS, level, seed);
                assertThat(emergency).hasSizeGreaterThan(5).allMatch(cell -> cell.down() < 0.8);
                assertThat(comb(Skill.EMERGENCY_CELLS, level, seed).counts()).doesNotContainKey(CellContent.EGG);
                assertThat(cells(Skill.CUPS_ONLY, level, seed)).isNotEmpty()
                        .allMatch(cell -> cell.look() == CellLook.CUP_EMPTY);
            }
        }
    }

    private static List<Shown.CellAt> cells(Skill skill, int level, long seed) {
        return ((Shown.Comb) question(skill, level, seed).shown()).cells();
    }

    /** What is right at a cage is what the program says at a real one. */
    @Test
    void a_cage_means_what_a_reading_of_it_means() {
        for (long seed = 0; seed < SEEDS; seed++) {
            for (Skill skill : Skill.of(Task.CAGE)) {
                Shown.Cage cage = (Shown.Cage) question(skill, 1, seed).shown();
                CageReading read = new CageReading(LocalDate.of(2026, 6, 1), cage.behaviours(),
                        cage.minutes());
                assertThat(read.mood()).isEqualTo(switch (skill) {
                    case CAGE_FRIENDLY -> CageReading.Mood.FRIENDLY;
                    case CAGE_WATCH_LONGER -> CageReading.Mood.UNDECIDED;
                    default -> CageReading.Mood.HOSTILE;
                });
                assertThat(cage.behaviours().contains(CageReading.Behaviour.BALLING))
                        .isEqualTo(skill == Skill.CAGE_BALLED);
            }
        }
    }

    @Test
    void a_picture_in_words_names_what_stands_there_and_not_what_it_means() {
        assertThat(question(Skill.LAYING_WORKERS, 1, 3).said().toString()).contains("several eggs to a cell")
                .doesNotContain("Laying workers");
        assertThat(question(Skill.LOOK_RIPE, 1, 3).said()).singleElement().asString().contains("brown")
                .doesNotContain("ripe");
    }

    @Test
    void what_is_no_picture_is_refused_with_what_to_ask_instead() {
        assertThatIllegalArgumentException().isThrownBy(() -> question(Skill.FIND_OLD, 1, 1))
                .withMessageContaining("Lift its combs");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> HiveToSearch.of(new Exercise(Skill.SHOT_BROOD, 1, Season.SPRING, 1)))
                .withMessageContaining("Ask for the question");
        assertThatIllegalArgumentException().isThrownBy(() -> question(Skill.SHOT_BROOD, 4, 1))
                .withMessageContaining("levels 1 to 3");
        assertThatIllegalArgumentException().isThrownBy(() -> question(Skill.SHOT_BROOD, 1, -1));
    }

    @Test
    void every_skill_says_what_tells_it() {
        assertThat(Skill.values()).allSatisfy(skill -> {
            assertThat(skill.sentence().toString()).isNotBlank().doesNotContain("trainer.");
            assertThat(skill.why().toString()).isNotBlank().doesNotContain("trainer.");
        });
        assertThat(CellContent.values()).extracting(CellContent::letter).doesNotHaveDuplicates();
    }
}

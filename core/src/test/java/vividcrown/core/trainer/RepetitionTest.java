package vividcrown.core.trainer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividcrown.core.trainer.Drill.Done;
import vividcrown.core.trainer.Quality.Sureness;

/** When what is drilled again. The figures are those of SM-2 as Wozniak published it in 1990, from memory. */
class RepetitionTest {

    private static final LocalDate DAY = LocalDate.of(2026, 12, 1);

    /** SM-2: EF' = EF + (0.1 − (5 − q)(0.08 + (5 − q) 0.02)); below 3 it stays. */
    @ParameterizedTest
    @CsvSource({"AT_ONCE, 2.6", "WELL, 2.5", "HARDLY, 2.36", "NEARLY, 2.5", "WRONG, 2.5", "NOTHING, 2.5"})
    void the_ease_changes_as_published(Quality quality, double ease) {
        assertThat(Repetition.first(quality, DAY).ease()).isCloseTo(ease, within(1e-9));
    }

    /** SM-2: I(1) = 1, I(2) = 6, I(n) = I(n − 1) · EF, rounded up; with 4 each time the ease stays 2.5: 15, 38, 95 days. */
    @Test
    void the_waits_grow_as_published() {
        Repetition now = Repetition.first(Quality.WELL, DAY);
        List<Integer> waits = new ArrayList<>(List.of(now.days()));
        for (int nth = 0; nth < 4; nth++) {
            now = now.after(Quality.WELL, now.due());
            waits.add(now.days());
        }
        assertThat(waits).containsExactly(1, 6, 15, 38, 95);
    }

    /** SM-2: the ease never falls below 1.3, and a lapse begins anew with one day. */
    @Test
    void a_lapse_begins_anew_and_the_ease_has_a_floor() {
        Repetition now = Repetition.first(Quality.HARDLY, DAY);
        for (int day = 1; day < 20; day++) {
            now = now.after(Quality.HARDLY, DAY.plusDays(40L * day));
        }
        assertThat(now.ease()).isCloseTo(1.3, within(1e-9));
        Repetition lapsed = now.after(Quality.NOTHING, now.on().plusDays(30));
        assertThat(lapsed.days()).isEqualTo(1);
        assertThat(lapsed.times()).isZero();
        assertThat(lapsed.due()).isEqualTo(lapsed.on());
    }

    /** SM-2: whatever scored below 4 is asked again the same day until it does not. */
    @Test
    void what_was_not_known_is_asked_again_the_same_day() {
        Repetition once = Repetition.first(Quality.HARDLY, DAY);
        assertThat(once.due()).isEqualTo(DAY);
        Repetition again = once.after(Quality.AT_ONCE, DAY);
        assertThat(again.due()).isEqualTo(DAY.plusDays(1));
        assertThat(again.times()).as("the same day counts once").isEqualTo(1);
        assertThat(again.ease()).isEqualTo(once.ease());
    }

    @Test
    void nothing_waits_for_more_than_a_year() {
        Repetition now = Repetition.first(Quality.AT_ONCE, DAY);
        for (int nth = 0; nth < 30; nth++) {
            now = now.after(Quality.AT_ONCE, now.due());
        }
        assertThat(now.days()).isEqualTo(365);
    }

    @Test
    void sure_and_wrong_is_worse_than_guessed_and_wrong() {
        List<Quality> all = Stream.of(false, true).flatMap(right -> Stream.of(Sureness.values())
                .map(sure -> Quality.of(right, sure))).sorted().toList();
        assertThat(all).containsExactly(Quality.values());
        assertThat(Quality.of(false, Sureness.SURE)).isEqualTo(Quality.NOTHING);
    }

    @Test
    void weak_spots_come_first_then_new_ones_and_never_the_same_twice_running() {
        Random luck = new Random(1);
        Drill nobody = Drill.after(List.of());
        assertThat(nobody.next(Task.CAGE, DAY, luck).task()).isEqualTo(Task.CAGE);
        assertThat(nobody.next(Task.FIND, DAY, luck)).as("the plain one first").isEqualTo(Skill.FIND_LAYING);

        Drill some = Drill.after(List.of(new Done(Skill.DRONE_LAYER, 1, Quality.NOTHING, DAY),
                new Done(Skill.SHOT_BROOD, 1, Quality.AT_ONCE, DAY)));
        assertThat(some.next(Task.PATTERN, DAY, luck)).isEqualTo(Skill.DRONE_LAYER);
        assertThat(some.due(DAY)).containsExactly(Skill.DRONE_LAYER);
        assertThat(some.due(DAY.plusDays(1))).containsExactlyInAnyOrder(Skill.DRONE_LAYER, Skill.SHOT_BROOD);

        Drill justWrong = Drill.after(List.of(new Done(Skill.CAGE_HOSTILE, 1, Quality.NOTHING, DAY)));
        assertThat(justWrong.next(Task.CAGE, DAY, luck)).isNotEqualTo(Skill.CAGE_HOSTILE);

        List<Done> all = Skill.of(Task.CAGE).stream().map(skill -> new Done(skill, 1, Quality.AT_ONCE, DAY)).toList();
        assertThat(Drill.after(all).next(Task.CAGE, DAY, luck)).isNotEqualTo(all.getLast().skill());
    }

    @Test
    void three_known_in_a_row_make_it_harder_and_three_not_known_easier() {
        List<Done> done = new ArrayList<>();
        assertThat(Drill.after(done).level(Task.CAGE)).isEqualTo(1);
        for (int nth = 0; nth < 3; nth++) {
            done.add(new Done(Skill.CAGE_HOSTILE, 1, Quality.AT_ONCE, DAY));
        }
        assertThat(Drill.after(done).level(Task.CAGE)).isEqualTo(2);
        assertThat(Drill.after(done).level(Task.PATTERN)).as("each task by itself").isEqualTo(1);
        done.add(new Done(Skill.CAGE_FRIENDLY, 2, Quality.WRONG, DAY));
        assertThat(Drill.after(done).level(Task.CAGE)).isEqualTo(2);
        done.add(new Done(Skill.CAGE_FRIENDLY, 2, Quality.WRONG, DAY));
        done.add(new Done(Skill.CAGE_FRIENDLY, 2, Quality.HARDLY, DAY));
        assertThat(Drill.after(done).level(Task.CAGE)).isEqualTo(1);
        done.add(new Done(Skill.CAGE_FRIENDLY, 3, Quality.WELL, DAY));
        assertThat(Drill.after(done).level(Task.CAGE)).as("who chose a level stays there").isEqualTo(3);
    }
}

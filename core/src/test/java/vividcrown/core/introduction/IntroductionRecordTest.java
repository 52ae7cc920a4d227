package vividcrown.core.introduction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.introduction.CageReading.Behaviour;
import vividcrown.core.introduction.Introduction.Task;
import vividcrown.core.introduction.IntroductionDeed.Begun;
import vividcrown.core.introduction.IntroductionDeed.CageRead;
import vividcrown.core.introduction.IntroductionDeed.Cause;
import vividcrown.core.introduction.IntroductionDeed.Closed;
import vividcrown.core.introduction.IntroductionDeed.Freed;
import vividcrown.core.introduction.IntroductionDeed.Freeing;
import vividcrown.core.introduction.IntroductionDeed.LookedThrough;
import vividcrown.core.introduction.IntroductionDeed.Outcome;
import vividcrown.core.introduction.method.Method;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.Faults;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.odds.Rate;

/** From the cage to the eggs: gates and days are common practice. */
class IntroductionRecordTest {

    private static final LocalDate JUN_8 = LocalDate.of(2026, 6, 8);
    private static final UUID ID = new UUID(0, 1);
    private static final Set<Behaviour> FRIENDLY = Set.of(Behaviour.FEEDING, Behaviour.BRUSHES_OFF);
    private static final Set<Behaviour> HOSTILE = Set.of(Behaviour.BITING);

    private static final BeeYear YEAR = new BeeYear(false, MatingClimate.UPLAND_46_NORTH);

    private final List<Entry> record = new ArrayList<>();

    private void note(int day, Deed deed) {
        record.add(new Entry(new UUID(9, record.size()), JUN_8.plusDays(day), record.size(), deed));
    }

    private void begun(Method method, int opens, Optional<LocalDate> noNewCells) {
        note(0, new Begun(ID, new UUID(1, 1), Optional.empty(), "26-7", method, JUN_8.plusDays(opens), noNewCells,
                false, 25));
    }

    private void read(int day, Set<Behaviour> seen) {
        note(day, new CageRead(ID, seen, 5));
    }

    private Introduction now() {
        return Introduction.fold(record).orElseThrow();
    }

    /** She may lay none before spring: common practice. Searching for her in the cold, or giving another, would cost her. */
    @Test
    void no_eggs_in_november_are_no_loss_before_spring() {
        int october = 120;
        note(october,
                new Begun(ID, new UUID(1, 1), Optional.empty(), "26-7", Method.CAGE_BY_HAND, JUN_8.plusDays(october),
                        Optional.empty(), false, 25));
        note(october + 5, new IntroductionDeed.Freed(ID, IntroductionDeed.Freeing.BY_HAND));
        assertThat(now().ahead(JUN_8.plusDays(october + 10), YEAR).getFirst().words().toString())
                .contains("no eggs say nothing against her");
        Introduction.Next late = now().ahead(JUN_8.plusDays(october + 40), YEAR).getFirst();
        assertThat(late.task()).isEqualTo(Task.EGGS);
        assertThat(late.when().earliest()).isBetween(LocalDate.of(2027, 3, 1), LocalDate.of(2027, 3, 31));
        assertThat(now().ahead(LocalDate.of(2027, 4, 20), YEAR).getFirst().task()).isEqualTo(Task.PLAN_B);
    }

    private List<Task> ahead(int day) {
        return now().ahead(JUN_8.plusDays(day), YEAR).stream().map(Introduction.Next::task).toList();
    }

    @Test
    void bees_are_read_on_two_days_every_frame_is_looked_at_and_only_then_the_cage_opens() {
        begun(Method.CAGE_BY_HAND, 3, Optional.empty());
        assertThat(ahead(0)).containsExactly(Task.READ_BEES);
        read(2, FRIENDLY);
        assertThat(ahead(2)).containsExactly(Task.READ_BEES);
        read(3, FRIENDLY);
        assertThat(ahead(3)).containsExactly(Task.SECOND_LOOK);
        note(3, new LookedThrough(ID, false, false, false));
        assertThat(ahead(3)).containsExactly(Task.OPEN_CAGE);
        note(3, new Freed(ID, Freeing.BY_HAND));
        assertThat(now().contradictions()).isEmpty();
        assertThat(ahead(3)).containsExactly(Task.EGGS);
        assertThat(now().ahead(JUN_8.plusDays(3), YEAR).getFirst().when().earliest()).isEqualTo(JUN_8.plusDays(10));
    }

    @Test
    void a_cage_opened_before_its_gate_is_kept_with_a_flag() {
        begun(Method.CAGE_BY_HAND, 3, Optional.empty());
        read(1, FRIENDLY);
        note(1, new Freed(ID, Freeing.BY_HAND));
        assertThat(now().contradictions()).singleElement()
                .satisfies(clash -> assertThat(clash.clash().key()).isEqualTo("introduction.gate"));
        assertThat(now().freedOn()).contains(JUN_8.plusDays(1));
    }

    @Test
    void a_virgin_found_takes_the_caged_queen_out_whatever_the_bees_say() {
        begun(Method.PUSH_IN_CAGE, 4, Optional.empty());
        read(3, FRIENDLY);
        read(4, FRIENDLY);
        note(4, new LookedThrough(ID, false, true, false));
        assertThat(ahead(4)).containsExactly(Task.TAKE_HER_OUT);
    }

    @Test
    void hostility_after_days_changes_the_way() {
        begun(Method.CAGE_BY_HAND, 3, Optional.empty());
        read(2, HOSTILE);
        assertThat(ahead(2)).containsExactly(Task.READ_BEES);
        read(5, HOSTILE);
        assertThat(ahead(5)).containsExactly(Task.CHANGE_METHOD);
    }

    @Test
    void the_second_cut_is_due_on_the_day_from_which_no_cell_can_be_begun() {
        begun(Method.CAGE_BY_HAND, 6, Optional.of(JUN_8.plusDays(6)));
        assertThat(ahead(1)).contains(Task.SECOND_CUT);
        note(5, new LookedThrough(ID, false, false, true));
        // a look before that day leaves larvae on which others are begun
        assertThat(ahead(5)).contains(Task.SECOND_CUT);
        note(6, new LookedThrough(ID, false, false, true));
        assertThat(ahead(6)).doesNotContain(Task.SECOND_CUT);
    }

    @Test
    void candy_is_looked_at_on_day_four_and_what_bites_first_is_read_again() {
        begun(Method.CAGE_CANDY, 1, Optional.empty());
        assertThat(ahead(0)).containsExactly(Task.READ_BEES, Task.RELEASED);
        read(0, FRIENDLY);
        assertThat(ahead(0)).containsExactly(Task.RELEASED);
        read(1, HOSTILE);
        assertThat(ahead(1)).containsExactly(Task.READ_BEES, Task.RELEASED);
        assertThat(now().ahead(JUN_8, YEAR).getLast().when().earliest()).isEqualTo(JUN_8.plusDays(4));
    }

    @Test
    void without_eggs_in_time_plan_b_stands_and_a_young_queen_has_longer() {
        begun(Method.CAGE_CANDY, 1, Optional.empty());
        note(4, new Freed(ID, Freeing.BY_BEES));
        assertThat(ahead(14)).containsExactly(Task.EGGS);
        assertThat(ahead(15)).containsExactly(Task.PLAN_B);
        record.clear();
        begun(Method.RIPE_CELL, 0, Optional.empty());
        assertThat(ahead(0)).containsExactly(Task.THERE);
        note(3, new Freed(ID, Freeing.BY_BEES));
        assertThat(ahead(20)).containsExactly(Task.EGGS);
        assertThat(ahead(32)).containsExactly(Task.PLAN_B);
    }

    @Test
    void once_it_came_out_nothing_is_due_and_nothing_more_is_noted_unflagged() {
        begun(Method.CAGE_CANDY, 1, Optional.empty());
        note(4, new Closed(ID, Outcome.LOST, Cause.VIRGIN_THERE));
        assertThat(ahead(5)).isEmpty();
        read(6, FRIENDLY);
        assertThat(now().contradictions()).hasSize(1);
        assertThatThrownBy(() -> new Closed(ID, Outcome.KEPT, Cause.VIRGIN_THERE)).isInstanceOf(Faults.Found.class);
    }

    /** A virgin overlooked is no fault of the cage; ten kept of ten raise what is believed of it, in that yard most. */
    @Test
    void the_operations_own_results_speak_for_their_way_where_the_way_was_to_blame() {
        assertThat(OwnAcceptance.saysOfTheWay(Cause.VIRGIN_THERE)).isFalse();
        assertThat(OwnAcceptance.saysOfTheWay(Cause.BALLED)).isTrue();
        List<OwnAcceptance.Result> results = new ArrayList<>();
        for (int at = 0; at < 30; at++) {
            results.add(new OwnAcceptance.Result(Method.CAGE_CANDY, JUN_8, "good", true, false));
            results.add(new OwnAcceptance.Result(Method.CAGE_CANDY, JUN_8, "bad", at % 2 == 0, false));
        }
        OwnAcceptance own = new OwnAcceptance(results);
        Rate good = own.at(JUN_8, "good").get(Method.CAGE_CANDY);
        Rate bad = own.at(JUN_8, "bad").get(Method.CAGE_CANDY);
        Rate never = own.at(JUN_8, "new").get(Method.CAGE_CANDY);
        assertThat(bad.mean()).isLessThan(never.mean());
        assertThat(never.mean()).isLessThan(good.mean());
        assertThat(bad.mean()).as("borrows from the other yard").isGreaterThan(0.5);
        assertThat(own.at(JUN_8, "good").get(Method.PUSH_IN_CAGE))
                .isEqualTo(Method.PUSH_IN_CAGE.way().prior());
        assertThat(own.counted(Method.CAGE_CANDY)).isEqualTo(60);
    }

    @Test
    void a_spray_is_compared_only_where_both_were_tried_and_few_say_little() {
        List<OwnAcceptance.Result> results = new ArrayList<>();
        for (int at = 0; at < 12; at++) {
            results.add(new OwnAcceptance.Result(Method.CAGE_CANDY, JUN_8, "yard", at > 0, true));
        }
        assertThat(OwnAcceptance.spray(results)).isEmpty();
        results.add(new OwnAcceptance.Result(Method.CAGE_CANDY, JUN_8, "yard", true, false));
        OwnAcceptance.Spray one = OwnAcceptance.spray(results).orElseThrow();
        assertThat(one.with().tried()).isEqualTo(12);
        assertThat(one.without().succeeded()).isEqualTo(1);
        assertThat(one.better()).isBetween(0.5, 0.85);
        for (int at = 0; at < 12; at++) {
            results.add(new OwnAcceptance.Result(Method.CAGE_CANDY, JUN_8, "yard", at > 6, false));
        }
        assertThat(OwnAcceptance.spray(results).orElseThrow().better()).isGreaterThan(0.97);
    }
}

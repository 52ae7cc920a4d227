package vividcrown.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/** What events make of a colony, and how it goes on from there: common practice. */
class HappeningsTest {

    private static final LocalDate JUN_1 = LocalDate.of(2026, 6, 1);
    private final Judge judge = new Judge(Assumptions.standard(), Season.NORTHERN);

    private Map<Status, Double> after(int days, EventKind... events) {
        List<ColonyEvent> happened = Arrays.stream(events).map(kind -> new ColonyEvent(JUN_1, kind)).toList();
        return judge.judge(List.of(), happened, JUN_1.plusDays(days)).odds();
    }

    private static Status leading(Map<Status, Double> odds) {
        return odds.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
    }

    @ParameterizedTest(name = "{0}, {1} days later: {2}")
    @CsvSource({"QUEEN_REMOVED, 0, RECENTLY_QUEENLESS", "QUEEN_REMOVED, 5, CELLS", "QUEEN_REMOVED, 16, VIRGIN",
            "QUEEN_REMOVED, 35, LAYING_QUEEN", "SPLIT_WITHOUT_QUEEN, 0, RECENTLY_QUEENLESS",
            "SPLIT_WITH_QUEEN, 3, LAYING_QUEEN", "SWARMED, 2, JUST_SWARMED", "SWARMED, 12, VIRGIN",
            "SWARMED, 30, LAYING_QUEEN", "CAST, 2, VIRGIN", "CELL_GIVEN, 6, VIRGIN", "CELL_GIVEN, 25, LAYING_QUEEN",
            "VIRGIN_GIVEN, 3, VIRGIN", "QUEEN_GIVEN, 10, LAYING_QUEEN", "UNITED, 3, LAYING_QUEEN",
            "STARTED, 5, LAYING_QUEEN"})
    void a_colony_goes_its_way(EventKind event, int days, Status expected) {
        assertThat(leading(after(days, event))).isEqualTo(expected);
    }

    @ParameterizedTest
    @EnumSource(EventKind.class)
    void every_event_keeps_chances_that_make_one(EventKind event) {
        for (int days : new int[]{0, 7, 40}) {
            assertThat(after(days, event).values().stream().mapToDouble(Double::doubleValue).sum())
                    .isCloseTo(1, Offset.offset(1e-9));
        }
    }

    @Test
    void cells_cut_late_leave_it_hopeless_and_cut_early_do_not() {
        List<ColonyEvent> late = List.of(new ColonyEvent(JUN_1, EventKind.QUEEN_REMOVED),
                new ColonyEvent(JUN_1.plusDays(8), EventKind.CELLS_DESTROYED));
        List<ColonyEvent> early = List.of(new ColonyEvent(JUN_1, EventKind.QUEEN_REMOVED),
                new ColonyEvent(JUN_1.plusDays(3), EventKind.CELLS_DESTROYED));
        double hopeless = judge.judge(List.of(), late, JUN_1.plusDays(9)).chance(Status.HOPELESSLY_QUEENLESS);
        double again = judge.judge(List.of(), early, JUN_1.plusDays(9)).chance(Status.HOPELESSLY_QUEENLESS);
        assertThat(hopeless).isGreaterThan(0.7);
        assertThat(again).isLessThan(hopeless / 2);
    }

    @Test
    void one_of_two_queens_removed_leaves_a_laying_queen() {
        Reading two = Reading.of(JUN_1, Sign.TWO_QUEENS, Sign.EGGS_SINGLE, Sign.SEALED_WORKER);
        Verdict verdict = judge.judge(List.of(two), List.of(new ColonyEvent(JUN_1, EventKind.QUEEN_REMOVED)), JUN_1);
        assertThat(verdict.leading()).isEqualTo(Status.LAYING_QUEEN);
    }

    /** Open brood keeps workers from laying; without it they begin after three to four weeks (common practice). */
    @Test
    void laying_workers_come_with_the_weeks() {
        List<ColonyEvent> events = List.of(new ColonyEvent(JUN_1, EventKind.QUEEN_REMOVED),
                new ColonyEvent(JUN_1.plusDays(8), EventKind.CELLS_DESTROYED));
        double before = judge.judge(List.of(), events, JUN_1.plusDays(18)).chance(Status.LAYING_WORKERS);
        double later = judge.judge(List.of(), events, JUN_1.plusDays(45)).chance(Status.LAYING_WORKERS);
        assertThat(before).isLessThan(0.1);
        assertThat(later).isGreaterThan(5 * before);
    }

    @Test
    void the_order_in_which_facts_are_given_does_not_matter() {
        Reading first = Reading.of(JUN_1, Sign.EGGS);
        Reading second = Reading.of(JUN_1.plusDays(20)).without(Sign.OPEN_BROOD);
        assertThat(judge.judge(List.of(first, second), List.of(), JUN_1.plusDays(20)).odds())
                .isEqualTo(judge.judge(List.of(second, first), List.of(), JUN_1.plusDays(20)).odds());
    }

    @Test
    void facts_after_the_day_asked_about_are_left_out() {
        Reading first = Reading.of(JUN_1, Sign.EGGS);
        Reading later = Reading.of(JUN_1.plusDays(9)).without(Sign.BROOD);
        assertThat(judge.judge(List.of(first, later), List.of(), JUN_1.plusDays(3)).odds())
                .isEqualTo(judge.judge(List.of(first), List.of(), JUN_1.plusDays(3)).odds());
    }
}

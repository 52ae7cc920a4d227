package vividcrown.core.round;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.Work;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.time.DatedSpan;

class RoundTest {

    private static final LocalDate JUN_9 = LocalDate.of(2026, 6, 9);
    private static final Reason REASON = Reason.of(Source.COMMON_PRACTICE, "graft.take");

    private static Stop stop(int yard, int position, String code, LocalDate first, LocalDate last, Kit kit) {
        Stop.Box box = new Stop.Box(new UUID(0, yard), "yard " + yard, yard, position, code);
        return new Stop(box, Work.LOOK_FOR_EGGS.name(), new UUID(1, position), Sentence.of("work.LOOK_FOR_EGGS"),
                DatedSpan.ofClosed(first, last), List.of(REASON), kit);
    }

    @Test
    void goes_yard_by_yard_overdue_boxes_first_then_as_they_stand() {
        Round round = Round.of(List.of(stop(2, 1, "T 01", JUN_9, JUN_9, Kit.NOTHING),
                stop(1, 7, "W 07", JUN_9.minusDays(4), JUN_9.minusDays(1), Kit.NOTHING),
                stop(1, 2, "W 02", JUN_9, JUN_9, Kit.NOTHING),
                stop(1, 9, "W 09", JUN_9.minusDays(9), JUN_9.minusDays(2), Kit.NOTHING)), JUN_9);
        assertThat(round.stops()).extracting(stop -> stop.box().code()).containsExactly("W 07", "W 09", "W 02",
                "T 01");
    }

    @Test
    void leaves_out_what_is_not_due_yet() {
        Stop tomorrow = stop(1, 1, "W 01", JUN_9.plusDays(1), JUN_9.plusDays(3), Kit.NOTHING);
        Stop lastDay = stop(1, 2, "W 02", JUN_9.minusDays(3), JUN_9, Kit.NOTHING);
        Round round = Round.of(List.of(tomorrow, lastDay), JUN_9);
        assertThat(round.stops()).containsExactly(lastDay);
        assertThat(round.stops().getFirst().window().isOverBy(JUN_9)).isFalse();
    }

    @Test
    void says_what_to_carry_in_total() {
        Round round = Round.of(List.of(stop(1, 1, "W 01", JUN_9, JUN_9, Kit.toGiveACell()),
                stop(2, 1, "T 01", JUN_9, JUN_9, Kit.toGiveACell()),
                stop(2, 2, "T 02", JUN_9, JUN_9, Kit.toDo(Work.MARK, 2026, MarkingScheme.INTERNATIONAL))), JUN_9);
        assertThat(round.kit().items()).isEqualTo(
                Map.of(Item.RIPE_CELLS, 2, Item.SYRUP_DECILITRES, 6, Item.PAINT_WHITE, 1));
    }

    @Test
    void a_look_takes_nothing_along_and_an_unknown_year_no_paint() {
        assertThat(Kit.toDo(Work.LOOK_FOR_EGGS, 2026, MarkingScheme.INTERNATIONAL)).isEqualTo(Kit.NOTHING);
        assertThat(Kit.toDo(Work.MARK, 0, MarkingScheme.INTERNATIONAL)).isEqualTo(Kit.NOTHING);
    }

    @Test
    void a_stop_without_a_reason_is_refused() {
        assertThatThrownBy(() -> new Stop(new Stop.Box(new UUID(0, 1), "Weir", 1, 1, "W 01"), "MARK", new UUID(0, 2),
                Sentence.of("work.MARK"), DatedSpan.on(JUN_9), List.of(), Kit.NOTHING))
                .hasMessageStartingWith("A stop needs a reason, but MARK at ");
    }

    @Test
    void every_caution_defers_to_somebody_or_says_what_to_do() {
        for (Caution caution : Caution.values()) {
            assertThat(caution.sentence().toString()).isNotBlank();
        }
        assertThat(Caution.DISEASE.sentence().toString()).contains("tell the bee authority");
        assertThat(Caution.CHEMICALS.sentence().toString()).contains("gives no doses");
    }
}

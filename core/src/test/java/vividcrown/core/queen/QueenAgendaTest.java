package vividcrown.core.queen;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.queen.Lives.day;
import static vividcrown.core.queen.Lives.placed;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.odds.LossStep;
import vividcrown.core.queen.QueenAgenda.Line;

class QueenAgendaTest {

    private static List<Line> agenda(Lives lives) {
        return QueenAgenda.of(lives.life(), Optional.of(Lives.plan()), Assumptions.standard(), LossStep.MATING.prior(),
                MarkingScheme.INTERNATIONAL);
    }

    private static boolean holds(Line line, LocalDate day) {
        return !day.isBefore(line.from()) && !day.isAfter(line.until());
    }

    /** What is seen after placing, by the day after the graft on which it is seen. */
    @Provide
    Arbitrary<Lives> lives() {
        Arbitrary<QueenEvent> sights = Arbitraries.of(new QueenEvent.Emerged(), new QueenEvent.VirginSeen(),
                new QueenEvent.NoEggsYet(), new QueenEvent.EggsSeen(), new QueenEvent.SealedWorkerBroodSeen(),
                new QueenEvent.NotFound(), new QueenEvent.DroneBroodOnly(), new QueenEvent.Dud(),
                new QueenEvent.MarkLost());
        return sights.list().ofMaxSize(5).flatMap(seen -> Arbitraries.integers().between(11, 60).list()
                .ofSize(seen.size()).map(days -> {
                    Lives lives = placed();
                    List<Integer> ordered = days.stream().sorted().toList();
                    for (int index = 0; index < seen.size(); index++) {
                        lives.on(ordered.get(index), seen.get(index));
                    }
                    return lives;
                }));
    }

    /** The agenda is the outlook of every day to come, written down once. */
    @Property(tries = 400)
    void on_every_day_after_the_last_entry_it_says_what_the_outlook_says(@ForAll("lives") Lives lives) {
        List<Line> lines = agenda(lives);
        LocalDate known = lives.life().milestones().values().stream().max(LocalDate::compareTo).orElseThrow();
        for (LocalDate today = known; today.isBefore(known.plusDays(80)); today = today.plusDays(1)) {
            LocalDate on = today;
            QueenOutlook outlook = QueenOutlook.of(lives.life(), Optional.of(Lives.plan()), Assumptions.standard(),
                    LossStep.MATING.prior(), MarkingScheme.INTERNATIONAL, on);
            List<Line> holding = lines.stream().filter(line -> holds(line, on)).toList();
            assertThat(holding.stream().filter(Line.IsDue.class::isInstance).map(Line.IsDue.class::cast)
                    .map(line -> line.work() + " " + line.window()))
                    .as("due on %s", on)
                    .containsExactlyElementsOf(
                            outlook.due().stream().map(due -> due.work() + " " + due.window()).toList());
            assertThat(holding.stream().anyMatch(Line.IsInDoubt.class::isInstance)).as("in doubt on %s", on)
                    .isEqualTo(outlook.comesGood().isPresent());
            assertThat(holding.stream().anyMatch(Line.StaysShut.class::isInstance)).as("shut on %s", on)
                    .isEqualTo(outlook.handsOff().stream().anyMatch(shut -> shut.days().contains(on)));
        }
    }

    @Test
    void a_cell_is_checked_first_and_looked_for_eggs_two_weeks_after_placing() {
        List<Line.IsDue> due = agenda(placed()).stream().filter(Line.IsDue.class::isInstance)
                .map(Line.IsDue.class::cast)
                .toList();
        assertThat(due).extracting(Line.IsDue::work).startsWith(Work.CHECK_EMERGENCE).endsWith(Work.LOOK_FOR_EGGS);
        assertThat(due.getLast().until()).isEqualTo(QueenAgenda.FOREVER);
        assertThat(due.stream().filter(line -> line.work() == Work.LOOK_FOR_EGGS).findFirst().orElseThrow().from())
                .isEqualTo(day(24));
    }

    @Test
    void of_one_that_has_ended_nothing_is_said() {
        assertThat(agenda(placed().on(13, new QueenEvent.Dud()))).isEmpty();
    }
}

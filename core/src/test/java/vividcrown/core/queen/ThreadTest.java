package vividcrown.core.queen;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.queen.Lives.day;
import static vividcrown.core.queen.Lives.placed;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;

class ThreadTest {

    private static Thread thread(Lives lives, int today) {
        return Thread.of(lives.life(), lives.outlookOn(today), Assumptions.standard(), day(today));
    }

    @Test
    void changes_character_at_each_stage() {
        Thread thread = thread(placed().on(12, new QueenEvent.Emerged()).on(24, new QueenEvent.EggsSeen()), 26);
        assertThat(thread.strands()).extracting(Thread.Strand::character).containsExactly(Thread.Character.CELL,
                Thread.Character.VIRGIN, Thread.Character.MATING, Thread.Character.LAYING);
    }

    @Test
    void ends_where_her_record_ends() {
        Thread thread = thread(placed().on(13, new QueenEvent.Dud()), 20);
        assertThat(thread.end()).contains(day(13));
        assertThat(thread.strands().getLast().until()).isEqualTo(day(13));
        assertThat(thread.unsure()).isEmpty();
    }

    /** On any day of any unfinished life the strands join without gap or overlap. */
    @Property
    void strands_join(@ForAll @IntRange(min = 1, max = 60) int today) {
        Lives lives = today >= 13 ? placed().on(13, new QueenEvent.Emerged()) : placed();
        Thread thread = thread(lives, today);
        for (int index = 1; index < thread.strands().size(); index++) {
            assertThat(thread.strands().get(index).from()).isEqualTo(thread.strands().get(index - 1).until());
        }
    }
}

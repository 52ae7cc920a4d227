package vividcrown.core.hive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividcrown.core.hive.ReadingNotes.Side;
import vividcrown.core.journal.Entry;
import vividcrown.core.reading.Sign;

class SinceReadTest {

    private static final LocalDate JUN_8 = LocalDate.of(2026, 6, 8);
    private static final UUID HIVE = new UUID(0, 1);
    private static final UUID BOX = new UUID(0, 2);
    private static final UUID OTHER = new UUID(0, 3);
    private static final UUID OTHER_BOX = new UUID(0, 4);
    private static final Map<UUID, Integer> LEVELS = Map.of(BOX, 1);
    private static final List<Side> READ = sides(Map.of(1, Sign.SEALED_HONEY, 2, Sign.SEALED_WORKER, 3,
            Sign.EGGS_SINGLE));

    private static List<Side> sides(Map<Integer, Sign> signs) {
        List<Side> sides = new ArrayList<>();
        signs.forEach((slot, sign) -> {
            sides.add(new Side(1, slot, FrameSide.NEAR, List.of(sign)));
            sides.add(new Side(1, slot, FrameSide.FAR, List.of(sign)));
        });
        return sides;
    }

    private static Spot here(int slot) {
        return new Spot.InHive(HIVE, BOX, slot);
    }

    private static Spot there(int slot) {
        return new Spot.InHive(OTHER, OTHER_BOX, slot);
    }

    private static FrameMove move(int frame, Spot from, Spot to, Sign... signs) {
        return new FrameMove(new UUID(7, frame), from, to, Set.of(signs));
    }

    private static Entry entry(int sequence, HiveDeed deed) {
        return new Entry(new UUID(9, sequence), JUN_8, sequence, deed);
    }

    private static SinceRead after(HiveDeed... deeds) {
        List<Entry> since = new ArrayList<>();
        for (HiveDeed deed : deeds) {
            since.add(entry(since.size(), deed));
        }
        return SinceRead.of(READ, Optional.of(6.0), since, HIVE, LEVELS);
    }

    private static List<Sign> at(SinceRead now, int slot) {
        return now.sides().stream().filter(side -> side.slot() == slot).flatMap(side -> side.signs().stream())
                .distinct().toList();
    }

    @Test
    void a_frame_that_was_given_away_hangs_there_no_more_and_its_bees_went_along() {
        SinceRead now = after(new HiveDeed.FramesMoved(List.of(move(3, here(3), there(1)))));
        assertThat(at(now, 3)).isEmpty();
        assertThat(at(now, 2)).containsExactly(Sign.SEALED_WORKER);
        assertThat(now.covered().orElseThrow()).isBetween(3.0, 4.6);
    }

    @Test
    void bees_shaken_out_are_missing_here_and_count_where_they_came() {
        HiveDeed.BeesShaken away = new HiveDeed.BeesShaken(HIVE, OTHER, 1.5);
        assertThat(after(away).covered().orElseThrow()).isCloseTo(4.5, within(1e-9));
        assertThat(at(after(away), 3)).containsExactly(Sign.EGGS_SINGLE);
        assertThat(after(new HiveDeed.BeesShaken(OTHER, HIVE, 1.5)).covered().orElseThrow()).isCloseTo(7.5,
                within(1e-9));
        // nobody can shake out more than there are
        assertThat(after(away, away, away, away, away).covered()).contains(0.0);
    }

    @Test
    void what_comes_in_is_what_was_seen_on_it() {
        SinceRead now = after(new HiveDeed.FramesMoved(List.of(move(3, here(3), there(1)))),
                new HiveDeed.FramesAdded(List.of(new HiveDeed.FramesAdded.Added(new UUID(7, 9), here(3),
                        Set.of(Sign.EMPTY_COMB)))));
        assertThat(at(now, 3)).containsExactly(Sign.EMPTY_COMB);
        SinceRead given = after(new HiveDeed.FramesMoved(List.of(move(5, there(2), here(4), Sign.SEALED_WORKER,
                Sign.QUEEN))));
        // she does not come along because she was once seen on it
        assertThat(at(given, 4)).containsExactly(Sign.SEALED_WORKER);
        assertThat(given.covered().orElseThrow()).isGreaterThan(6);
    }

    @Test
    void frames_that_change_places_keep_what_stands_on_them_and_their_bees() {
        SinceRead now = after(new HiveDeed.FramesMoved(List.of(move(2, here(2), here(3)), move(3, here(3), here(2)))));
        assertThat(at(now, 2)).containsExactly(Sign.EGGS_SINGLE);
        assertThat(at(now, 3)).containsExactly(Sign.SEALED_WORKER);
        assertThat(now.covered().orElseThrow()).isEqualTo(6, within(1e-9));
    }

    @Test
    void a_new_unit_that_nobody_read_is_what_came_into_it() {
        SinceRead now = SinceRead.of(List.of(), Optional.empty(),
                List.of(entry(0, new HiveDeed.FramesMoved(List.of(move(5, there(2), here(2), Sign.SEALED_WORKER))))),
                HIVE, LEVELS);
        assertThat(at(now, 2)).containsExactly(Sign.SEALED_WORKER);
        assertThat(now.covered().orElseThrow()).isGreaterThan(0.5);
    }

    @Test
    void with_nothing_since_it_is_as_it_was_read() {
        assertThat(after().sides()).containsExactlyInAnyOrderElementsOf(READ);
        assertThat(after().covered()).contains(6.0);
    }
}

package vividcrown.server.rearing;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.rearing.GraftFold;
import vividcrown.core.rearing.RearingDeed;
import vividcrown.server.clock.Today;
import vividcrown.server.journal.Contradictions;
import vividcrown.server.journal.Projector;
import vividcrown.server.queen.Cups;

/** Makes a graft's row, and through {@link Cups} its cups. */
@Component
@Order(30)
class GraftProjector implements Projector {

    private static final String FOUND_IN = "GRAFT";
    private static final int GRAFTS_AT_ONCE = 25;

    private final GraftTable grafts;
    private final Cups cups;
    private final Contradictions contradictions;
    private final Today today;

    GraftProjector(GraftTable grafts, Cups cups, Contradictions contradictions, Today today) {
        this.grafts = grafts;
        this.cups = cups;
        this.contradictions = contradictions;
        this.today = today;
    }

    @Override
    public SubjectKind subjectKind() {
        return RearingDeed.GRAFT;
    }

    @Override
    public void project(Map<UUID, List<Entry>> records) {
        ZoneId zone = today.zone();
        Map<UUID, List<Contradiction>> clashes = new HashMap<>();
        List<Cups.DoneGraft> done = new ArrayList<>();
        records.forEach((id, record) -> {
            GraftFold.Folded folded = GraftFold.fold(record, zone);
            clashes.put(id, folded.contradictions());
            folded.state().ifPresentOrElse(state -> {
                Graft graft = grafts.saveAndFlush(new GraftRow(id, state));
                if (state.isDone()) {
                    done.add(new Cups.DoneGraft(id, graft.code(), graft.motherId(), graft.bars(), graft.cupsPerBar()));
                } else {
                    cups.drop(id);
                }
            }, () -> {
                cups.drop(id);
                grafts.deleteAllByIdInBatch(List.of(id));
            });
        });
        cups.follow(done);
        contradictions.replace(FOUND_IN, records.keySet(), clashes);
    }

    /** Each brings dozens of cups along. */
    @Override
    public int atOnce() {
        return GRAFTS_AT_ONCE;
    }

    @Override
    public void clear() {
        grafts.deleteAllInBatch();
    }

    @Override
    public Set<UUID> existing(Collection<UUID> subjects) {
        return grafts.findAllById(subjects).stream().map(GraftRow::id).collect(Collectors.toSet());
    }
}

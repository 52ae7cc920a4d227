package vividcrown.server.lineage;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.lineage.LineageDeed;
import vividcrown.core.merit.MeritDeed;
import vividcrown.core.queen.QueenDeed;
import vividcrown.server.journal.Projector;

/** Makes the rows of matings and marks. */
@Component
@Order(42)
class LineageProjector implements Projector {

    private final MatingTable matings;
    private final ScoreTable scores;

    LineageProjector(MatingTable matings, ScoreTable scores) {
        this.matings = matings;
        this.scores = scores;
    }

    @Override
    public SubjectKind subjectKind() {
        return QueenDeed.QUEEN;
    }

    @Override
    public void project(Map<UUID, List<Entry>> records) {
        List<MatingRow> mated = new ArrayList<>();
        List<UUID> unmated = new ArrayList<>();
        List<ScoreRow> marks = new ArrayList<>();
        records.forEach((queen, record) -> {
            record.stream().map(Entry::deed).filter(LineageDeed.Mated.class::isInstance)
                    .map(LineageDeed.Mated.class::cast)
                    .filter(one -> one.queen().equals(queen)).reduce((_, last) -> last)
                    .ifPresentOrElse(one -> mated.add(new MatingRow(one)), () -> unmated.add(queen));
            record.forEach(entry -> {
                if (entry.deed() instanceof MeritDeed.Scored scored) {
                    marks.add(new ScoreRow(entry, scored));
                }
            });
        });
        matings.deleteAllByIdInBatch(unmated);
        matings.saveAll(mated);
        scores.deleteByQueenIdIn(records.keySet());
        scores.flush();
        scores.saveAll(marks);
        scores.flush();
        matings.flush();
    }

    @Override
    public void clear() {
        matings.deleteAllInBatch();
        scores.deleteAllInBatch();
    }
}

package vividcrown.server.colony;

import io.swagger.v3.oas.annotations.Operation;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.judgement.Status;
import vividcrown.core.judgement.TrackRecord;
import vividcrown.server.clock.Today;

/** How right the judgement was in this operation. */
@RestController
@RequestMapping("/api/v1/colonies/track-record")
class TrackRecordController {

    /**
     * Answers of one chance, or of one state that was said to lead.
     *
     * @param from said at least this chance, 0–1
     * @param answers how many such answers were settled by what was found later
     * @param so of these, how many were so
     * @param low lower end of the 95 % interval of that share
     * @param high its upper end
     */
    record TrackLine(double from, int answers, int so, double low, double high) {
        private static TrackLine of(TrackRecord.Line line) {
            return new TrackLine(line.from(), line.answers(), line.so(), line.low(), line.high());
        }
    }

    record StateLine(Status state, String text, TrackLine line) {
    }

    /**
     * @param settled how many answers were settled
     * @param byChance in tens, the unlikeliest first
     * @param byState of each state that was said to be likelier than not
     */
    record TrackRecordView(int settled, List<TrackLine> byChance, List<StateLine> byState) {
    }

    private final Said said;
    private final Today today;

    TrackRecordController(Said said, Today today) {
        this.said = said;
        this.today = today;
    }

    @GetMapping
    @Operation(operationId = "trackRecord", summary = "How right the judgement was: said so likely, true so often")
    @Transactional(readOnly = true)
    public TrackRecordView get() {
        List<TrackRecord.Settled> settled = said.settled(today.day());
        return new TrackRecordView(settled.size() / Status.values().length,
                TrackRecord.lines(settled).stream().map(TrackLine::of).toList(),
                TrackRecord.byState(settled).entrySet().stream().sorted(Comparator.comparing(Map.Entry::getKey))
                        .map(one -> new StateLine(one.getKey(), one.getKey().sentence().toString(),
                                TrackLine.of(one.getValue())))
                        .toList());
    }
}

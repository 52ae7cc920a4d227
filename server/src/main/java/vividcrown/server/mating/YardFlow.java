package vividcrown.server.mating;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.ReadingNotes;
import vividcrown.core.journal.Entry;
import vividcrown.core.reading.Sign;
import vividcrown.core.yard.Flow;
import vividcrown.core.yard.YardFold;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.Records;
import vividcrown.server.yard.Yard;

/** What bees find at a yard: as somebody said of late, or as fresh nectar in its hives tells. */
@Component
public class YardFlow {

    /** A flow can end in a week of rain. Common practice. */
    private static final int DAYS_BELIEVED = 10;
    private static final List<Purpose> READ_FRAME_BY_FRAME = List.of(Purpose.PRODUCTION, Purpose.DRONE_COLONY,
            Purpose.NUC);

    private final Hives hives;
    private final Records records;

    YardFlow(Hives hives, Records records) {
        this.hives = hives;
        this.records = records;
    }

    /** Where a flow is known from. */
    public enum FlowBy {
        SAID, NECTAR
    }

    /**
     * What bees find at a yard.
     *
     * @param on the day on which somebody said so, or nectar was looked for last
     * @param by where this is known from
     */
    public record FlowView(Flow flow, LocalDate on, FlowBy by) {
    }

    /** Empty if nobody said so and too few hives were looked at. */
    public Optional<FlowView> at(Yard yard, LocalDate today) {
        LocalDate since = today.minusDays(DAYS_BELIEVED);
        Optional<YardFold.FlowNoted> said = yard.flowSaid().filter(one -> !one.on().isBefore(since));
        if (said.isPresent()) {
            return said.map(one -> new FlowView(one.flow(), one.on(), FlowBy.SAID));
        }
        Map<UUID, List<Entry>> looks = records.standing(
                hives.findByYardIdAndPurposeInAndEndedOnIsNull(yard.id(), READ_FRAME_BY_FRAME).stream().map(Hive::id)
                        .toList(),
                since);
        int looked = 0;
        int found = 0;
        LocalDate last = since;
        for (List<Entry> record : looks.values()) {
            Optional<Entry> newest = record.stream().filter(YardFlow::tellsOfNectar).reduce((_, later) -> later);
            if (newest.isPresent()) {
                looked++;
                found += hasNectar(notes(newest.get())) ? 1 : 0;
                last = newest.get().day().isAfter(last) ? newest.get().day() : last;
            }
        }
        LocalDate on = last;
        return Flow.ofNectar(looked, found).map(flow -> new FlowView(flow, on, FlowBy.NECTAR));
    }

    private static ReadingNotes notes(Entry entry) {
        return ((HiveDeed.Read) entry.deed()).notes();
    }

    private static boolean tellsOfNectar(Entry entry) {
        return entry.deed() instanceof HiveDeed.Read read && (!read.notes().sides().isEmpty()
                || hasNectar(read.notes()) || read.notes().absent().contains(Sign.NECTAR));
    }

    private static boolean hasNectar(ReadingNotes notes) {
        return notes.seen().contains(Sign.NECTAR) || notes.seen().contains(Sign.NECTAR_IN_NEST)
                || notes.sides().stream().anyMatch(side -> side.signs().contains(Sign.NECTAR));
    }
}

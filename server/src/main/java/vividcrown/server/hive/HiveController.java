package vividcrown.server.hive;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.hive.FrameHistory;
import vividcrown.core.hive.FramePlace;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.Purpose;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Sentence;
import vividcrown.server.journal.Records;
import vividcrown.server.problem.Refusal;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Hives as they stand, their stacks, and where single frames have been. */
@RestController
@RequestMapping("/api/v1")
class HiveController {

    /** A hive that stands. */
    record HiveLine(UUID id, String code, UUID yardId, String yard, int position, Purpose purpose) {
    }

    /** @param stored boxes in the store; @param combs frames in the comb stock */
    record StockPage(List<StackBox> stored, List<StockFrame> combs) {
    }

    record StockFrame(UUID frame, String store, LocalDate since) {
    }

    /**
     * A frame's way.
     *
     * @param now where it is, in words
     * @param stays the newest first
     */
    record FramePage(UUID frame, String now, List<FrameStay> stays) {
    }

    /**
     * @param hive code of the hive it was in, if it was in one
     * @param slot place in the box, from 1; left out if it hung in none
     * @param until the day it left, left out if it is still there
     * @param seen what stood on it there, at each reading
     */
    record FrameStay(@Nullable UUID hiveId, @Nullable String hive, @Nullable Integer box, @Nullable Integer slot,
            @Nullable String store, LocalDate since, @Nullable LocalDate until, List<FrameSight> seen) {
    }

    record FrameSight(LocalDate day, List<Sign> near, List<Sign> far) {
    }

    private final Hives hives;
    private final Stacks stacks;
    private final HiveBoxes boxes;
    private final Frames frames;
    private final Yards yards;
    private final Records records;

    HiveController(Hives hives, Stacks stacks, HiveBoxes boxes, Frames frames, Yards yards, Records records) {
        this.hives = hives;
        this.stacks = stacks;
        this.boxes = boxes;
        this.frames = frames;
        this.yards = yards;
        this.records = records;
    }

    @GetMapping("/hives")
    @Operation(operationId = "hives", summary = "Every hive that stands, whatever it is kept for, by code")
    @Transactional(readOnly = true)
    public List<HiveLine> standing() {
        Map<UUID, String> names = yards.findAll().stream().collect(Collectors.toMap(Yard::id, Yard::name));
        return hives.findByEndedOnIsNullOrderByCode().stream().map(hive -> new HiveLine(hive.id(), hive.code(),
                hive.yardId(), names.getOrDefault(hive.yardId(), "?"), hive.position(), hive.purpose())).toList();
    }

    @GetMapping("/hives/{id}/stack")
    @Operation(operationId = "stackOfHive", summary = "The boxes of a hive from the bottom up, with the frames in them")
    @Transactional(readOnly = true)
    public List<StackBox> stack(@PathVariable UUID id) {
        if (!hives.existsById(id)) {
            throw Refusal.notHere(HiveDeed.HIVE, id);
        }
        return stacks.of(id);
    }

    @GetMapping("/stock")
    @Operation(operationId = "stock", summary = "Boxes in the store and combs in the stock")
    @Transactional(readOnly = true)
    public StockPage stock() {
        List<HiveBox> stored = boxes.findByHiveIdIsNull();
        return new StockPage(stacks.withFrames(stored), frames.stock().stream()
                .map(frame -> new StockFrame(frame.id(), frame.stored().orElseThrow(), frame.since())).toList());
    }

    @GetMapping("/frames/{id}")
    @Operation(operationId = "frame", summary = "Where a frame has been, and what was seen on it there")
    @Transactional(readOnly = true)
    public FramePage frame(@PathVariable UUID id) {
        List<FrameHistory.Stay> stays = FrameHistory.of(id, records::standing);
        if (stays.isEmpty()) {
            throw Refusal.notHere(HiveDeed.FRAME, id);
        }
        Map<UUID, Hive> byId = hives
                .findAllById(stays.stream().flatMap(stay -> stay.hive().stream()).distinct().toList())
                .stream().collect(Collectors.toMap(Hive::id, Function.identity()));
        List<FrameStay> lines = new ArrayList<>();
        stays.reversed().forEach(stay -> lines.add(line(stay, byId)));
        return new FramePage(id, said(lines.getFirst()), lines);
    }

    private static FrameStay line(FrameHistory.Stay stay, Map<UUID, Hive> byId) {
        Optional<Hive> hive = stay.hive().map(byId::get);
        Optional<Integer> slot = stay.place() instanceof FramePlace.InBox(UUID _, int place)
                ? Optional.of(place)
                : Optional.empty();
        String store = stay.place() instanceof FramePlace.Stored(String where) ? where : null;
        return new FrameStay(stay.hive().orElse(null), hive.map(Hive::code).orElse(null), stay.level().orElse(null),
                slot.orElse(null), store, stay.since(), stay.until().orElse(null), stay.seen().stream()
                        .map(sight -> new FrameSight(sight.day(), sight.near(), sight.far())).toList());
    }

    private static String said(FrameStay stay) {
        if (stay.hive() != null) {
            return Sentence.of("place.hive", stay.hive(), String.valueOf(stay.slot())).toString();
        }
        return stay.store() == null
                ? Sentence.of(stay.slot() == null ? "place.gone" : "place.boxInStore").toString()
                : Sentence.of("place.stored", stay.store()).toString();
    }
}

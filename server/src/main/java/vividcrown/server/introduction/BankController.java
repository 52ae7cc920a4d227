package vividcrown.server.introduction;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.journal.Entry;
import vividcrown.core.queen.InCage;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.Records;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.Queens;

/** Virgins and queens that wait in cages: who, where, since when, how long at most. */
@RestController
class BankController {

    /**
     * One who waits.
     *
     * @param cage number of her cage
     * @param since the day on which she was caged
     * @param bank code of the hive in which it hangs; left out if it lies in the incubator, or nobody said
     * @param stageText how far she has come
     * @param attendants workers with her, if somebody said
     * @param latest the day by which she should be in a colony
     * @param over that day has passed
     * @param caution what to mind
     */
    record CagedQueen(UUID id, String code, String line, String stageText, @Nullable Integer cage, LocalDate since,
            @Nullable String bank, @Nullable Integer attendants, LocalDate latest, boolean over,
            @Nullable String caution) {
    }

    private final Queens queens;
    private final Hives hives;
    private final Records records;
    private final Today today;

    BankController(Queens queens, Hives hives, Records records, Today today) {
        this.queens = queens;
        this.hives = hives;
        this.records = records;
        this.today = today;
    }

    @GetMapping("/api/v1/bank")
    @Operation(operationId = "bank", summary = "Virgins and queens in cages, those that wait longest first")
    @Transactional(readOnly = true)
    public List<CagedQueen> bank() {
        List<Queen> caged = queens.caged().stream().filter(one -> !one.stage().isCell()).toList();
        Map<UUID, List<Entry>> standing = records.standing(caged.stream().map(Queen::id).toList());
        Map<UUID, Hive> banks = hives.findAllById(standing.values().stream().flatMap(record -> last(record).stream())
                .flatMap(entry -> deed(entry).bank().stream()).distinct().toList()).stream()
                .collect(Collectors.toMap(Hive::id, Function.identity()));
        return caged.stream().flatMap(queen -> last(standing.getOrDefault(queen.id(), List.of())).stream()
                .map(entry -> line(queen, entry, banks))).sorted(Comparator.comparing(CagedQueen::latest)).toList();
    }

    private static Optional<Entry> last(List<Entry> record) {
        return record.stream().filter(entry -> entry.deed() instanceof QueenDeed.Caged)
                .max((one, other) -> Entry.AS_IT_HAPPENED.compare(one, other));
    }

    private static QueenDeed.Caged deed(Entry entry) {
        return (QueenDeed.Caged) entry.deed();
    }

    private CagedQueen line(Queen queen, Entry entry, Map<UUID, Hive> banks) {
        QueenDeed.Caged caged = deed(entry);
        InCage waits = new InCage(queen.stage(), entry.day(), caged.bank(), caged.attendants());
        return new CagedQueen(queen.id(), queen.code(), queen.line(),
                Sentence.of("stage." + queen.stage().name()).toString(),
                queen.cage().orElse(null), waits.since(),
                caged.bank().flatMap(id -> Optional.ofNullable(banks.get(id))).map(Hive::code).orElse(null),
                caged.attendants().orElse(null), waits.latest(), waits.latest().isBefore(today.day()),
                waits.caution(today.day()).map(Object::toString).orElse(null));
    }
}

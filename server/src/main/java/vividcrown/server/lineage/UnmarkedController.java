package vividcrown.server.lineage;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.hive.ReadingNotes;
import vividcrown.core.queen.Milestone;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.requeening.Age;
import vividcrown.core.requeening.Unmarked;
import vividcrown.core.requeening.Unmarked.Seen;
import vividcrown.server.clock.Today;
import vividcrown.server.colony.ColonyBook;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.Queens;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** An unmarked queen where a marked one was: the question, with what the record says to it. Nobody's record is closed by it. */
@RestController
class UnmarkedController {

    private static final int MOST_MONTHS = 60;
    private static final int DAYS_A_MONTH = 30;

    /** @param was what became of the marked one @param chance 0–1 */
    record UnmarkedOdds(Unmarked.Was was, String text, double chance) {
    }

    /**
     * @param ask the question
     * @param odds the likeliest first, together 1
     * @param settles what would tell
     */
    record UnmarkedView(String ask, List<UnmarkedOdds> odds, List<String> settles) {
    }

    private final Queens queens;
    private final Hives hives;
    private final Yards yards;
    private final ColonyBook book;
    private final SettingsInForce settings;
    private final Today today;

    UnmarkedController(Queens queens, Hives hives, Yards yards, ColonyBook book, SettingsInForce settings,
            Today today) {
        this.queens = queens;
        this.hives = hives;
        this.yards = yards;
        this.book = book;
        this.settings = settings;
        this.today = today;
    }

    @GetMapping("/api/v1/queens/{id}/unmarked")
    @Operation(operationId = "unmarked", summary = "An unmarked queen was found where this marked one was: what became of her, with odds")
    @Transactional(readOnly = true)
    public UnmarkedView unmarked(@PathVariable UUID id) {
        Queen queen = queens.findById(id).orElseThrow(() -> Refusal.notHere(QueenDeed.QUEEN, id));
        LocalDate day = today.day();
        LocalDate seen = queen.life().on(Milestone.MARKED).orElse(day.minusDays(DAYS_A_MONTH));
        Optional<Hive> hive = queen.hiveId().flatMap(hives::findById);
        List<ReadingNotes> since = hive.map(one -> book.facts(one, day)).stream()
                .flatMap(facts -> facts.reads().stream()).filter(entry -> entry.day().isAfter(seen))
                .map(ColonyBook::notes).toList();
        List<Reading> looks = since.stream().map(notes -> notes.on(day)).toList();
        boolean swarmed = hive.map(one -> book.facts(one, day)).stream().flatMap(facts -> facts.events().stream())
                .anyMatch(event -> event.kind() == EventKind.SWARMED && event.day().isAfter(seen));
        Age age = hive.map(Hive::yardId).flatMap(yards::findById).map(yard -> age(queen, yard, day))
                .orElse(Age.UNKNOWN);
        boolean cells = since.stream().anyMatch(notes -> !notes.cells().isEmpty());
        Unmarked found = Unmarked.of(new Unmarked.Evidence((age.least() + age.most()) / 2,
                (int) Math.clamp(ChronoUnit.DAYS.between(seen, day) / DAYS_A_MONTH, 0, MOST_MONTHS), Seen.NOBODY_LOOKED,
                looked(looks, Sign.EGGS), cells
                        ? Seen.YES
                        : looks.stream().anyMatch(look -> look.missed(Sign.QUEEN_CELLS)) ? Seen.NO : Seen.NOBODY_LOOKED,
                cells ? said(since.stream().anyMatch(Marks::swarmCells)) : Seen.NOBODY_LOOKED,
                swarmed ? Seen.YES : Seen.NOBODY_LOOKED, Seen.NOBODY_LOOKED));
        return new UnmarkedView(found.ask().toString(), found.odds().entrySet().stream()
                .map(one -> new UnmarkedOdds(one.getKey(), one.getKey().sentence().toString(),
                        Math.round(100 * one.getValue()) / 100.0))
                .sorted(Comparator.comparingDouble(UnmarkedOdds::chance).reversed()).toList(),
                found.settles().stream().map(Object::toString).toList());
    }

    private Age age(Queen queen, Yard yard, LocalDate day) {
        return Age.of(queen.life().emergenceYear(), queen.wears(), settings.scheme(), day,
                yard.year());
    }

    private static Seen said(boolean so) {
        return so ? Seen.YES : Seen.NO;
    }

    /** A gap: a look since that found none. None: two looks and more that all found some. */
    private static Seen looked(List<Reading> looks, Sign sign) {
        if (looks.stream().anyMatch(look -> look.missed(sign))) {
            return Seen.YES;
        }
        return looks.stream().filter(look -> look.saw(sign)).count() >= 2 ? Seen.NO : Seen.NOBODY_LOOKED;
    }
}

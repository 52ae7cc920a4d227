package vividcrown.server.colony;

import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.colony.MoveOfHive;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.reading.Suspicion;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.Queens;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** What moving a hive to another yard would do. */
@RestController
class MoveController {

    /**
     * @param metres from the old stand to the new one; 0 within one yard
     * @param verdict whether to move it
     * @param reasons what becomes of its bees and its queen, and what to do about it
     */
    record MoveView(long metres, MoveOfHive.Verdict verdict, List<ReasonView> reasons) {
    }

    private final Hives hives;
    private final Yards yards;
    private final Queens queens;
    private final ColonyBook book;
    private final Today today;

    MoveController(Hives hives, Yards yards, Queens queens, ColonyBook book, Today today) {
        this.hives = hives;
        this.yards = yards;
        this.queens = queens;
        this.book = book;
        this.today = today;
    }

    /** What moving a hive there would do to its flying bees and to a queen that has not mated. */
    @GetMapping("/api/v1/hives/{id}/move")
    MoveView to(@PathVariable UUID id, @RequestParam UUID yard) {
        Hive hive = hives.findById(id).orElseThrow(() -> Refusal.notHere(HiveDeed.HIVE, id));
        Yard from = yards.findById(hive.yardId()).orElseThrow();
        Yard to = yards.findById(yard).orElseThrow(() -> Refusal.notHere(YardDeed.YARD, yard));
        double metres = from.id().equals(to.id())
                ? 0
                : 1000 * from.kilometresTo(to);
        MoveOfHive move = MoveOfHive.of(metres, queens.livingIn(id).stream().map(Queen::stage).toList(),
                Suspicion.of(book.facts(hive, today.day()).readings()).stops());
        return new MoveView(Math.round(metres), move.verdict(), ReasonView.of(move.reasons()));
    }
}

package vividcrown.server.split;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividcrown.core.queen.Stage;
import vividcrown.core.rearing.GraftCalendar;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.Queens;
import vividcrown.server.rearing.CellBuilders;
import vividcrown.server.rearing.Graft;
import vividcrown.server.rearing.Grafts;
import vividcrown.server.settings.SettingsInForce;

/** Cells and queens that wait for a place. */
@Component
class QueensAtHand {

    private static final int DAYS_OF_BATCHES = 20;

    /**
     * @param ripeCells cells on bars, their take counted, that are ripe on the day and not yet out
     * @param virgins in cages
     * @param matedQueens in cages
     */
    record AtHand(int ripeCells, int virgins, int matedQueens) {
    }

    private final Grafts grafts;
    private final CellBuilders builders;
    private final Queens queens;
    private final SettingsInForce settings;

    QueensAtHand(Grafts grafts, CellBuilders builders, Queens queens, SettingsInForce settings) {
        this.grafts = grafts;
        this.builders = builders;
        this.queens = queens;
        this.settings = settings;
    }

    AtHand on(LocalDate day) {
        Map<Stage, Long> caged = queens.caged().stream()
                .collect(Collectors.groupingBy(Queen::stage, Collectors.counting()));
        return new AtHand(ripeOn(day).size(), caged.getOrDefault(Stage.VIRGIN, 0L).intValue(),
                (int) (caged.getOrDefault(Stage.LAYING, 0L) + caged.getOrDefault(Stage.JUDGED, 0L)));
    }

    /** Cells on bars that are ripe on that day, their take counted; the oldest batch first. */
    List<Queen> ripeOn(LocalDate day) {
        List<Graft> running = grafts
                .findByGraftDayGreaterThanEqualOrderByGraftDayAscCodeAsc(day.minusDays(DAYS_OF_BATCHES)).stream()
                .filter(graft -> graft.grafted() && graft.graftDay().isBefore(day)).toList();
        Map<UUID, CellBuilders.CellBuilder> boxes = builders
                .of(running.stream().map(Graft::builderId).distinct().toList());
        List<UUID> ripe = running.stream().filter(graft -> GraftCalendar
                .of(graft.plan(Objects.requireNonNull(boxes.get(graft.builderId())).school()), settings.assumptions())
                .isRipeOn(day)).map(Graft::id).toList();
        return queens.onTheBar(ripe).stream().filter(cell -> cell.stage() != Stage.GRAFTED)
                .sorted(Comparator.comparing((Queen cell) -> ripe.indexOf(cell.graftId().orElseThrow()))
                        .thenComparing(Queen::bar).thenComparing(Queen::cup))
                .toList();
    }
}

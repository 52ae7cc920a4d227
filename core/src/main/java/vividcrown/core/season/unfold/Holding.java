package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.season.demand.SupplyKind;

/**
 * A batch in every draw.
 *
 * @param place cells that are placed at most
 * @param took by draw: larvae that are accepted, if that is not counted yet
 * @param had by order and draw: how many could be handed over for it; nobody for an order that they do not suit, or come too late for
 * @param total by draw: that come in the end
 * @param keeps the last day on which they are good for anything
 */
record Holding(Optional<String> line, SupplyKind kind, int place, int[] took, int[][] had, int[] total,
        LocalDate keeps) {

    /** For an order that gets nothing of it. */
    static final int[] NOBODY = {};

    /** What lives. */
    static Holding of(Stock stock, Draws draws, List<Wanted> orders, Timing timing) {
        return of(stock.line(), Counted.of(stock, draws), stock.batch().alive(), stock.meant(), orders, timing);
    }

    /**
     * @param cups of those drawn, the first
     * @param place cells of queens that are placed at most
     */
    static Holding of(Optional<String> line, Counted drawn, int cups, int place, List<Wanted> orders,
            Timing timing) {
        SupplyKind kind = drawn.kind();
        int[] took = new int[drawn.draws()];
        int[] cells = new int[drawn.draws()];
        Arrays.setAll(took, draw -> drawn.took(draw, cups));
        Arrays.setAll(cells, draw -> drawn.placed(draw, cups, place));
        Map<Double, int[]> byShare = new HashMap<>();
        int[][] had = new int[orders.size()][];
        for (int at = 0; at < had.length; at++) {
            Wanted order = orders.get(at);
            double share = order.kind() == kind && order.takes(line) ? timing.ready(order, drawn.graft()) : -1;
            had[at] = share < 0 ? NOBODY : byShare.computeIfAbsent(share, by -> come(drawn, by, cells));
        }
        return new Holding(line, kind, place, took, had, come(drawn, Counted.IN_THE_END, cells),
                timing.keepsUntil(kind, drawn.graft()));
    }

    private static int[] come(Counted drawn, double share, int[] cells) {
        int[][] by = drawn.come(share);
        int[] come = new int[cells.length];
        Arrays.setAll(come, draw -> by[draw][cells[draw]]);
        return come;
    }
}

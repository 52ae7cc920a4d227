package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import vividcrown.core.season.demand.SupplyKind;

/** A batch as it was drawn, counted up in every draw: of so many cups, and of so many ripe cells. */
final class Counted {

    /** Of those that lay in the end all do by then. */
    static final double IN_THE_END = 1;

    private final SupplyKind kind;
    private final Draws.Drawn drawn;
    /** By draw and cups. */
    private final int[][] took;
    private final int[][] ripe;
    /** By share of the time, draw and ripe cells. */
    private final Map<Double, int[][]> come = new HashMap<>();

    Counted(Draws.Drawn drawn, SupplyKind kind) {
        this.kind = kind;
        this.drawn = drawn;
        this.took = counted(drawn.took());
        this.ripe = counted(drawn.ripe());
    }

    static Counted of(Stock stock, Draws draws) {
        return new Counted(draws.of(stock.graft(), stock.batch().alive(), stock.batch().passed(),
                stock.batch().around()), stock.kind());
    }

    private static int[][] counted(boolean[][] cups) {
        int[][] counted = new int[cups.length][];
        for (int draw = 0; draw < counted.length; draw++) {
            int[] sofar = new int[cups[draw].length + 1];
            for (int cup = 0; cup < cups[draw].length; cup++) {
                sofar[cup + 1] = sofar[cup] + (cups[draw][cup] ? 1 : 0);
            }
            counted[draw] = sofar;
        }
        return counted;
    }

    SupplyKind kind() {
        return kind;
    }

    LocalDate graft() {
        return drawn.graft();
    }

    int draws() {
        return took.length;
    }

    int cups() {
        return took[0].length - 1;
    }

    /** Larvae that are accepted, of the first so many cups. */
    int took(int draw, int cups) {
        return took[draw][cups];
    }

    /** Ripe cells, of the first so many cups. */
    int ripe(int draw, int cups) {
        return ripe[draw][cups];
    }

    /** Ripe cells of these that go on: of those for queens no more than are placed. */
    int placed(int draw, int cups, int place) {
        return kind == SupplyKind.QUEENS ? Math.min(place, ripe[draw][cups]) : ripe[draw][cups];
    }

    /**
     * What comes of the first so many ripe cells: themselves, virgins, or queens that lay.
     *
     * @param share of the time that laying takes; {@link Draws#NEVER} to count those too that only emerge
     * @return by draw and ripe cells
     */
    int[][] come(double share) {
        return come.computeIfAbsent(share, this::comeBy);
    }

    private int[][] comeBy(double share) {
        int[][] by = new int[draws()][];
        for (int draw = 0; draw < by.length; draw++) {
            int[] sofar = new int[ripe[draw][cups()] + 1];
            int cells = 0;
            for (int cup = 0; cup < cups(); cup++) {
                if (drawn.ripe()[draw][cup]) {
                    sofar[cells + 1] = sofar[cells] + (comes(draw, cup, share) ? 1 : 0);
                    cells++;
                }
            }
            by[draw] = sofar;
        }
        return by;
    }

    private boolean comes(int draw, int cup, double share) {
        return switch (kind) {
            case CELLS -> true;
            case VIRGINS -> drawn.virgin()[draw][cup];
            case QUEENS -> drawn.virgin()[draw][cup] && drawn.laysAt()[draw][cup] <= share;
        };
    }
}

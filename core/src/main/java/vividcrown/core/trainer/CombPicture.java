package vividcrown.core.trainer;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import vividcrown.core.reason.Sentence;

/**
 * One side of a comb, cell by cell: 22 rows of 38, every second row half a cell to the right.
 *
 * @param cells row by row from the top
 */
public record CombPicture(List<CellContent> cells) {

    static final int ROWS = 22;
    static final int COLUMNS = 38;
    private static final int CELLS = ROWS * COLUMNS;
    private static final int EGG_DAYS = 3;
    private static final int YOUNG_UNTIL_DAYS = 6;
    private static final int SEALED_AFTER_DAYS = 9;
    private static final int EMERGING_AFTER_DAYS = 20;
    private static final int FREE_AFTER_DAYS = 21;
    private static final int NEVER = -1;
    private static final double RAGGED = 0.06;
    private static final double POLLEN_BAND = 0.1;
    private static final double NECTAR_BAND = 0.08;
    private static final double HONEY_ABOVE = 0.42;
    private static final double MIDDLE_ROW = 0.56;
    private static final double WIDE = 1.7;
    private static final int MOSTLY_SEALED_AROUND = 3;
    private static final int ENOUGH_TO_COUNT = 20;

    public CombPicture {
        cells = List.copyOf(cells);
    }

    private static CombPicture of(CellContent[] cells) {
        return new CombPicture(List.of(cells));
    }

    static CombPicture honey(RandomGenerator luck) {
        CellContent[] cells = new CellContent[CELLS];
        for (int cell = 0; cell < CELLS; cell++) {
            cells[cell] = luck.nextDouble() < 0.9 ? CellContent.HONEY : CellContent.NECTAR;
        }
        return of(cells);
    }

    /** What two months of laying left on a side. */
    static CombPicture of(LivedBrood brood, int side, RandomGenerator luck) {
        int[] order = outwards(luck);
        int[] laidOn = new int[CELLS];
        Arrays.fill(laidOn, NEVER);
        int patch = (int) (brood.patch(side) * CELLS);
        for (int day = 0; day < LivedBrood.DAYS; day++) {
            int eggs = (int) Math.round(brood.laid(side, LivedBrood.DAYS - 1 - day) * CELLS);
            for (int nth = 0; nth < patch && eggs > 0; nth++) {
                int cell = order[nth];
                if (laidOn[cell] == NEVER || day - laidOn[cell] >= FREE_AFTER_DAYS) {
                    laidOn[cell] = day;
                    eggs--;
                }
            }
        }
        CellContent[] cells = around(order, brood.isNest(side) ? patch : 0, luck);
        for (int nth = 0; nth < patch; nth++) {
            int cell = order[nth];
            int age = LivedBrood.DAYS - 1 - laidOn[cell];
            if (laidOn[cell] != NEVER && age < FREE_AFTER_DAYS) {
                cells[cell] = ofAge(age);
            } else if (brood.isNest(side)) {
                cells[cell] = CellContent.POLISHED;
            }
        }
        return of(cells);
    }

    /** How a picture fills the place of the brood nest. */
    interface Patch {
        /** @param out how far out in the patch, 0 in the middle, 1 at its edge */
        CellContent at(double out, RandomGenerator luck);
    }

    /** @param share of the comb that the patch takes, 0–1 */
    static CombPicture of(Patch patch, double share, RandomGenerator luck) {
        int[] order = outwards(luck);
        int size = (int) (share * CELLS);
        CellContent[] cells = around(order, size, luck);
        for (int nth = 0; nth < size; nth++) {
            cells[order[nth]] = patch.at((double) nth / size, luck);
        }
        return of(cells);
    }

    static CellContent ofAge(int days) {
        if (days < EGG_DAYS) {
            return CellContent.EGG;
        }
        if (days < SEALED_AFTER_DAYS) {
            return days < YOUNG_UNTIL_DAYS ? CellContent.YOUNG_LARVA : CellContent.OLD_LARVA;
        }
        return days < EMERGING_AFTER_DAYS ? CellContent.SEALED : CellContent.EMERGING;
    }

    /** Pollen and nectar around the brood, honey above, the rest empty. */
    private static CellContent[] around(int[] order, int patch, RandomGenerator luck) {
        CellContent[] cells = new CellContent[CELLS];
        int pollen = patch == 0 ? 0 : patch + (int) (POLLEN_BAND * CELLS);
        int nectar = pollen + (int) (NECTAR_BAND * CELLS);
        for (int nth = 0; nth < CELLS; nth++) {
            int cell = order[nth];
            boolean above = (double) (cell / COLUMNS) / ROWS < HONEY_ABOVE;
            double draw = luck.nextDouble();
            cells[cell] = nth < pollen && draw < 0.7
                    ? CellContent.POLLEN
                    : above
                            ? nth < nectar ? CellContent.NECTAR : CellContent.HONEY
                            : nth < nectar && draw < 0.4 ? CellContent.NECTAR : CellContent.EMPTY;
        }
        return cells;
    }

    private static int[] outwards(RandomGenerator luck) {
        double[] away = new double[CELLS];
        double middle = 0.5 + (luck.nextDouble() - 0.5) * 0.1;
        for (int cell = 0; cell < CELLS; cell++) {
            away[cell] = away(cell, middle) + luck.nextDouble() * RAGGED;
        }
        return IntStream.range(0, CELLS).boxed().sorted(Comparator.comparingDouble(cell -> away[cell]))
                .mapToInt(Integer::intValue).toArray();
    }

    private static double away(int cell, double middle) {
        double across = ((double) (cell % COLUMNS) / COLUMNS - middle) * WIDE;
        double down = (double) (cell / COLUMNS) / ROWS - MIDDLE_ROW;
        return Math.hypot(across, down);
    }

    /** The letters of its cells, row by row from the top. */
    public List<String> rows() {
        List<String> rows = new ArrayList<>();
        for (int row = 0; row < ROWS; row++) {
            StringBuilder letters = new StringBuilder();
            for (int column = 0; column < COLUMNS; column++) {
                letters.append(cells.get(row * COLUMNS + column).letter());
            }
            rows.add(letters.toString());
        }
        return rows;
    }

    Map<CellContent, Integer> counts() {
        return counts(IntStream.range(0, CELLS).toArray());
    }

    private Map<CellContent, Integer> counts(int[] some) {
        Map<CellContent, Integer> counts = new EnumMap<>(CellContent.class);
        for (int cell : some) {
            counts.merge(cells.get(cell), 1, Integer::sum);
        }
        return counts;
    }

    /** Of cells that lie among sealed brood, the share that is not sealed, 0–1; 0 where hardly any is sealed. */
    double gaps() {
        int among = 0;
        int open = 0;
        for (int cell = 0; cell < CELLS; cell++) {
            int row = cell / COLUMNS;
            int column = cell % COLUMNS;
            if (row < 1 || row > ROWS - 2 || column < 1 || column > COLUMNS - 2) {
                continue;
            }
            long sealed = IntStream.of(cell - 1, cell + 1, cell - COLUMNS, cell + COLUMNS)
                    .filter(near -> cells.get(near).isSealed()).count();
            if (sealed >= MOSTLY_SEALED_AROUND) {
                among++;
                open += cells.get(cell).isSealed() ? 0 : 1;
            }
        }
        return among < ENOUGH_TO_COUNT ? 0 : (double) open / among;
    }

    /** What stands on it in words: in the middle, around it, at the edge, the largest part first; and the gaps among sealed brood. */
    public List<Sentence> said() {
        List<Sentence> said = new ArrayList<>();
        String[] zones = {"middle", "around", "edge"};
        double[] from = {0, 0.22, 0.42, 9};
        for (int zone = 0; zone < zones.length; zone++) {
            double least = from[zone];
            double most = from[zone + 1];
            int[] there = IntStream.range(0, CELLS).filter(cell -> away(cell, 0.5) >= least && away(cell, 0.5) < most)
                    .toArray();
            String parts = counts(there).entrySet().stream().filter(one -> one.getValue() >= 3)
                    .sorted(Map.Entry.<CellContent, Integer>comparingByValue().reversed())
                    .map(one -> Sentence.of("trainer.share", one.getKey().sentence(),
                            (int) Math.ceil(100.0 * one.getValue() / there.length)).toString())
                    .collect(Collectors.joining(", "));
            said.add(Sentence.of("trainer.zone." + zones[zone], parts));
        }
        said.add(Sentence.of("trainer.gaps", (int) Math.round(100 * gaps())));
        return said;
    }
}

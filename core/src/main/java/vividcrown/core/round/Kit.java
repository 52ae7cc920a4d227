package vividcrown.core.round;

import java.util.EnumMap;
import java.util.Map;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.Work;
import vividcrown.core.queen.YearColour;

/**
 * What has to be in the box when one sets off.
 *
 * @param items how many of each; paints count the queens to mark, not the pots
 */
public record Kit(Map<Item, Integer> items) {

    public static final Kit NOTHING = new Kit(Map.of());
    /** Syrup for a mini nuc each time a cell or virgin is given: a quarter litre, rounded up. Common practice. */
    private static final int SYRUP_FOR_A_NUC_DECILITRES = 3;

    public Kit {
        items = Map.copyOf(items);
    }

    public static Kit of(Item item, int count) {
        return new Kit(Map.of(item, count));
    }

    public Kit plus(Kit other) {
        Map<Item, Integer> sum = new EnumMap<>(Item.class);
        sum.putAll(items);
        other.items.forEach((item, count) -> sum.merge(item, count, Integer::sum));
        return new Kit(sum);
    }

    /** To put a ripe cell into a nuc. */
    public static Kit toGiveACell() {
        return of(Item.RIPE_CELLS, 1).plus(of(Item.SYRUP_DECILITRES, SYRUP_FOR_A_NUC_DECILITRES));
    }

    /** For one job at a queen's box; {@code emergenceYear} tells the paint, 0 if unknown. */
    public static Kit toDo(Work work, int emergenceYear, MarkingScheme scheme) {
        return switch (work) {
            case CHECK_EMERGENCE, LOOK_FOR_EGGS, LOOK_AGAIN, FIND_AGAIN, JUDGE_BROOD -> NOTHING;
            case INTRODUCE_VIRGIN ->
                of(Item.INTRODUCTION_CAGES, 1).plus(of(Item.SYRUP_DECILITRES, SYRUP_FOR_A_NUC_DECILITRES));
            case MARK, CHECK_MARK -> scheme.colourOf(emergenceYear).map(colour -> of(paint(colour), 1)).orElse(NOTHING);
            case REPLACE -> toGiveACell();
        };
    }

    private static Item paint(YearColour colour) {
        return switch (colour) {
            case WHITE -> Item.PAINT_WHITE;
            case YELLOW -> Item.PAINT_YELLOW;
            case RED -> Item.PAINT_RED;
            case GREEN -> Item.PAINT_GREEN;
            case BLUE -> Item.PAINT_BLUE;
            case ORANGE -> Item.PAINT_ORANGE;
            case PINK -> Item.PAINT_PINK;
            case SILVER -> Item.PAINT_SILVER;
        };
    }
}

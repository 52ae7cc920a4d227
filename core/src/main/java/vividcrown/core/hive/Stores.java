package vividcrown.core.hive;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.reason.Wrong;

/**
 * What a colony has to live on, from a lift and the frames of honey counted, and what it wants fed.
 *
 * @param leastKg no less than this, kg
 * @param mostKg no more than this, kg
 */
public record Stores(double leastKg, double mostKg, List<Reason> reasons) {

    /** Sealed honey in one square decimetre of one comb side, kg. From memory of common tables (0.14–0.18). */
    private static final double LEAST_PER_DM2 = 0.14;
    private static final double MOST_PER_DM2 = 0.18;
    private static final double USUAL_PER_DM2 = 0.16;
    /** A kilogram of sugar makes about 1.2 kg of stores. Common practice. */
    public static final double STORES_PER_KG_OF_SUGAR = 1.2;
    private static final MonthDay AUTUMN_FEED_FROM = MonthDay.of(7, 20);
    private static final MonthDay AUTUMN_FEED_UNTIL = MonthDay.of(9, 20);

    public Stores {
        if (!(leastKg >= 0 && mostKg >= leastKg)) {
            throw Wrong.of("wrong.Stores", leastKg, mostKg);
        }
        reasons = List.copyOf(reasons);
    }

    /**
     * @param lift how heavy it felt, if it was lifted
     * @param honeySides comb sides full of sealed honey or nectar, in parts of a side, if they were counted
     * @return empty if neither is known
     */
    public static Optional<Stores> of(Optional<Lift> lift, OptionalDouble honeySides, double sideSquareDecimetres) {
        List<Reason> reasons = new ArrayList<>();
        double least = 0;
        double most = 60;
        if (lift.isPresent()) {
            double[] felt = felt(lift.get());
            least = felt[0];
            most = felt[1];
            reasons.add(Reason.of(Source.COMMON_PRACTICE, "stores.lift." + lift.get().name(), felt[0], felt[1]));
        }
        if (honeySides.isPresent()) {
            double area = honeySides.getAsDouble() * sideSquareDecimetres;
            double counted = area * LEAST_PER_DM2;
            double countedMost = area * MOST_PER_DM2;
            reasons.add(Reason.of(Source.COMMON_PRACTICE, "stores.counted", rounded(honeySides.getAsDouble()),
                    rounded(counted), rounded(countedMost)));
            // where hand and count disagree the count is believed: it was looked at
            boolean agree = countedMost >= least && counted <= most;
            least = agree ? Math.max(least, counted) : counted;
            most = agree ? Math.min(most, countedMost) : countedMost;
            if (!agree) {
                reasons.add(Reason.of(Source.COMMON_PRACTICE, "stores.disagree"));
            }
        }
        return reasons.isEmpty() ? Optional.empty() : Optional.of(new Stores(least, most, reasons));
    }

    /** What so many comb sides full of honey weigh, kg. */
    public static double kilograms(double fullSides, Strength side) {
        return fullSides * side.sideSquareDecimetres() * USUAL_PER_DM2;
    }

    /** Stores above the weight of box, comb and bees, as a hand judges them, kg. Common practice. */
    private static double[] felt(Lift lift) {
        return switch (lift) {
            case LIGHT -> new double[]{0, 5};
            case FAIR -> new double[]{5, 12};
            case HEAVY -> new double[]{12, 20};
            case FULL -> new double[]{20, 40};
        };
    }

    /**
     * What to feed, and when to judge again.
     *
     * @param targetKg stores it should have, kg
     * @param sugarLeastKg sugar it wants if it has the most that it may have, kg; 0 if none
     * @param sugarMostKg sugar it wants if it has the least, kg
     * @param judgeAgain the next lift
     */
    public record FeedPlan(double targetKg, double sugarLeastKg, double sugarMostKg, LocalDate judgeAgain,
            List<Reason> reasons) {

        public FeedPlan {
            reasons = List.copyOf(reasons);
        }

        public boolean isNeeded() {
            return sugarMostKg > 0.5;
        }
    }

    /**
     * @param southern seasons are half a year apart
     * @param untouched the last feed was not taken: more is not given
     */
    public FeedPlan feed(LocalDate today, boolean southern, boolean untouched) {
        LocalDate season = southern ? today.plusMonths(6) : today;
        MonthDay day = MonthDay.from(season);
        boolean autumn = !day.isBefore(AUTUMN_FEED_FROM) && !day.isAfter(AUTUMN_FEED_UNTIL);
        boolean winter = day.isAfter(AUTUMN_FEED_UNTIL) || day.isBefore(MonthDay.of(3, 1));
        double target = autumn ? 18 : winter ? 10 : 5;
        List<Reason> because = new ArrayList<>(reasons);
        because.add(Reason.of(Source.COMMON_PRACTICE,
                autumn ? "stores.targetAutumn" : winter ? "stores.targetWinter" : "stores.targetSeason", target));
        double sugarLeast = Math.max(0, target - mostKg) / STORES_PER_KG_OF_SUGAR;
        double sugarMost = Math.max(0, target - leastKg) / STORES_PER_KG_OF_SUGAR;
        if (untouched) {
            because.add(Reason.of(Source.COMMON_PRACTICE, "stores.untouched"));
            sugarLeast = 0;
            sugarMost = 0;
        } else if (sugarMost > 0) {
            because.add(Reason.of(Source.COMMON_PRACTICE, winter ? "stores.fondant" : "stores.syrup"));
        }
        return new FeedPlan(target, rounded(sugarLeast), rounded(sugarMost),
                today.plusDays(autumn ? 10 : winter ? 28 : 7),
                because);
    }

    private static double rounded(double kg) {
        return Math.round(kg * 10) / 10.0;
    }
}

package vividcrown.core.hive;

import java.util.List;
import java.util.Set;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Wrong;

/**
 * What is on one frame, as shares of both its sides together; what none of them says is bare comb.
 *
 * @param eggs worker eggs, 0–1
 * @param larvae open worker brood after the egg, 0–1
 * @param sealed sealed worker brood, 0–1
 * @param drone drone brood of any age, 0–1
 * @param pollen 0–1
 * @param honey honey and nectar, 0–1
 * @param drawn empty drawn comb, 0–1
 * @param foundation 0–1
 */
public record Comb(double eggs, double larvae, double sealed, double drone, double pollen, double honey, double drawn,
        double foundation) {

    public static final Comb EMPTY = new Comb(0, 0, 0, 0, 0, 0, 0, 0);
    private static final double ROUNDING = 0.011;
    /** From this share on a frame is called a frame of brood, and one of food. */
    private static final double IS_OF_BROOD = 0.25;
    private static final double IS_OF_FOOD = 0.5;
    private static final double COVERED_BROOD = 0.9;
    private static final double COVERED_FOOD = 0.5;
    private static final double COVERED_DRAWN = 0.35;
    private static final double COVERED_FOUNDATION = 0.05;
    private static final double HAS_EGGS = 0.03;
    private static final double MOSTLY_SEALED = 0.6;
    /** How much of a side the first, second and further things noted on it take. Common practice. */
    private static final double[] ALONE = {0.9};
    private static final double[] OF_TWO = {0.6, 0.3};
    private static final double[] OF_MANY = {0.45, 0.25, 0.15, 0.1};

    public Comb {
        double all = eggs + larvae + sealed + drone + pollen + honey + drawn + foundation;
        boolean negative = eggs < 0 || larvae < 0 || sealed < 0 || drone < 0 || pollen < 0 || honey < 0 || drawn < 0
                || foundation < 0;
        if (negative || !(all <= 1 + ROUNDING)) {
            throw Wrong.of("wrong.Comb", Math.round(all * 100));
        }
    }

    /** From what was noted on each side, the largest part first. */
    public static Comb ofSides(List<Sign> near, List<Sign> far) {
        return ofSide(near).plus(ofSide(far), 0.5);
    }

    private static Comb ofSide(List<Sign> signs) {
        List<Sign> areas = signs.stream().filter(Comb::isArea).toList();
        double[] shares = areas.size() == 1 ? ALONE : areas.size() == 2 ? OF_TWO : OF_MANY;
        Comb comb = EMPTY;
        for (int at = 0; at < Math.min(areas.size(), shares.length); at++) {
            comb = comb.plus(full(areas.get(at), shares[at]), 1);
        }
        return comb;
    }

    private static boolean isArea(Sign sign) {
        return !full(sign, 1).equals(EMPTY);
    }

    private static Comb full(Sign sign, double share) {
        Set<Sign> is = sign.upwards();
        if (is.contains(Sign.EGGS)) {
            return new Comb(share, 0, 0, 0, 0, 0, 0, 0);
        }
        if (is.contains(Sign.LARVAE)) {
            return new Comb(0, share, 0, 0, 0, 0, 0, 0);
        }
        if (is.contains(Sign.SEALED_DRONE)) {
            return new Comb(0, 0, 0, share, 0, 0, 0, 0);
        }
        if (is.contains(Sign.SEALED_BROOD)) {
            return new Comb(0, 0, share, 0, 0, 0, 0, 0);
        }
        if (is.contains(Sign.OPEN_BROOD)) {
            return new Comb(share / 3, 2 * share / 3, 0, 0, 0, 0, 0, 0);
        }
        return switch (sign) {
            case BROOD -> new Comb(share / 7, 2 * share / 7, 4 * share / 7, 0, 0, 0, 0, 0);
            case POLLEN -> new Comb(0, 0, 0, 0, share, 0, 0, 0);
            case NECTAR, SEALED_HONEY, NECTAR_IN_NEST -> new Comb(0, 0, 0, 0, 0, share, 0, 0);
            case EMPTY_COMB, POLISHED_CELLS -> new Comb(0, 0, 0, 0, 0, 0, share, 0);
            case FOUNDATION -> new Comb(0, 0, 0, 0, 0, 0, 0, share);
            default -> EMPTY;
        };
    }

    /** The same with so much of another on it. */
    private Comb plus(Comb other, double weight) {
        double mine = weight == 1 ? 1 : 1 - weight;
        return new Comb(mine * eggs + weight * other.eggs, mine * larvae + weight * other.larvae,
                mine * sealed + weight * other.sealed, mine * drone + weight * other.drone,
                mine * pollen + weight * other.pollen, mine * honey + weight * other.honey,
                mine * drawn + weight * other.drawn, mine * foundation + weight * other.foundation);
    }

    /** Worker brood of every age, 0–1. */
    public double brood() {
        return eggs + larvae + sealed;
    }

    /** Share of it that bees usually cover, where nobody noted it: common practice. */
    public double usuallyCovered() {
        if (isOfBrood()) {
            return COVERED_BROOD;
        }
        return isOfFood() ? COVERED_FOOD : foundation > COVERED_FOOD ? COVERED_FOUNDATION : COVERED_DRAWN;
    }

    public double open() {
        return eggs + larvae;
    }

    /** A frame of brood, as the trade counts them. */
    public boolean isOfBrood() {
        return brood() >= IS_OF_BROOD;
    }

    /** Eggs or larvae young enough that bees can raise a queen on it. */
    public boolean hasEggs() {
        return eggs >= HAS_EGGS;
    }

    /** Most of its brood is under caps: it asks no feeding, and its bees come soon. */
    public boolean isMostlySealed() {
        return isOfBrood() && sealed >= MOSTLY_SEALED * brood();
    }

    /** A frame of food: honey, or honey and pollen. */
    public boolean isOfFood() {
        return !isOfBrood() && honey + pollen >= IS_OF_FOOD;
    }

    /** Drawn comb with room to lay in. */
    public boolean isRoom() {
        return !isOfBrood() && !isOfFood() && foundation < 0.5;
    }
}

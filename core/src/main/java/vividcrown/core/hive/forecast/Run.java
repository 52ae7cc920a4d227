package vividcrown.core.hive.forecast;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.yard.Flow;

/** One run of a hive's course: poor, likely or good. */
final class Run {

    /** How long the flow that is said lasts in a poor, a likely and a good run, days. */
    enum Luck {
        POOR(Growth.LEAST, 6, Flow.DEARTH), LIKELY(Growth.LIKELY, 14, Flow.LITTLE), GOOD(Growth.MOST, 28, Flow.GOOD);

        final Growth growth;
        private final int flowDays;
        private final Flow afterwards;

        Luck(Growth growth, int flowDays, Flow afterwards) {
            this.growth = growth;
            this.flowDays = flowDays;
            this.afterwards = afterwards;
        }

        private Flow flow(Flow said, int day) {
            Flow worse = said.compareTo(afterwards) < 0 ? said : afterwards;
            return day < flowDays ? said : worse;
        }
    }

    /** What a hive uses a day whatever its size, and each bee on top: a strong colony 0.15 kg, a five-frame nuc 0.08. */
    private static final double USES_KG = 0.03;
    private static final double HONEY_IN_A_BEE_KG = 2e-5;
    private static final double EACH_BEE_USES_KG = 5e-6;
    static final int FEED_FOR_DAYS = 28;
    private static final double STARVE_A_DAY = 0.25;
    /** Of the comb in the brood boxes, what can hold brood. */
    private static final double FOR_BROOD = 0.62;
    private static final int YOUNG_QUEEN_DAYS = 21;
    private static final double YOUNG_QUEEN_BEGINS_WITH = 0.45;
    private static final double OLD_QUEEN_LAYS = 0.85;
    private static final int OLD_FROM_WINTERS = 2;
    /** A unit without a queen loses so much a day more to its queenright neighbours. */
    private static final double DRIFTS_A_DAY = 0.012;
    private static final double FEWEST_BEES = 800;
    private static final double HARDLY_A_NURSE = 0.12;
    private static final double NEARLY_ALL = 0.85;
    private static final double FULL_BOX_FRAMES = 8;
    private static final int FULL_BOX = 10;

    /** One day of it. */
    record Stand(double bees, double brood, double nurses, double food) {
    }

    private final List<Stand> course = new ArrayList<>();
    private Optional<LocalDate> starves = Optional.empty();
    private Optional<LocalDate> collapses = Optional.empty();
    private Optional<LocalDate> room = Optional.empty();
    private Optional<LocalDate> fullBox = Optional.empty();
    private LocalDate fewestOn;
    private double fewest = Double.MAX_VALUE;
    private double atRest = -1;
    private double missingKg;

    private final Unit unit;
    private final Surroundings at;
    private final Days days;
    private final Luck luck;
    private final Optional<LocalDate> lays;

    /** @param lays the day from which worker eggs are laid in this run; empty if they never are */
    Run(Unit unit, Surroundings at, Days days, Luck luck, Optional<LocalDate> lays) {
        this.unit = unit;
        this.at = at;
        this.days = days;
        this.luck = luck;
        this.lays = lays;
        this.fewestOn = at.today();
    }

    /** Follows it from the day it was read. @param ahead days from today */
    Run followed(int ahead, LocalDate rest) {
        Growth growth = luck.growth.times(at.ownGrowth());
        Population colony = Start.of(unit, growth, at.year());
        double food = unit.foodKg() + HONEY_IN_A_BEE_KG * colony.bees();
        LocalDate last = rest.isAfter(at.today().plusDays(ahead)) ? rest : at.today().plusDays(ahead);
        for (LocalDate day = unit.readOn(); !day.isAfter(last); day = day.plusDays(1)) {
            if (!day.isBefore(at.today())) {
                look(day, colony, food, (int) (day.toEpochDay() - at.today().toEpochDay()) <= ahead);
            }
            if (day.equals(rest)) {
                atRest = colony.bees();
            }
            double flying = days.flying(day);
            food += income(colony, day, flying) - USES_KG - EACH_BEE_USES_KG * colony.bees();
            double eggs = food <= 0 && !at.fed() ? 0 : eggs(colony, day, growth);
            colony.next(eggs, flying);
            if (!hasQueen(day)) {
                colony.leave(DRIFTS_A_DAY * flying);
            }
            if (food <= 0) {
                boolean soon = !day.isBefore(at.today()) && day.isBefore(at.today().plusDays(FEED_FOR_DAYS));
                missingKg += soon ? -food : 0;
                if (starves.isEmpty() && !day.isBefore(at.today()) && !day.isAfter(at.today().plusDays(ahead))) {
                    starves = Optional.of(day);
                }
                food = 0;
                if (!at.fed()) {
                    colony.starve(STARVE_A_DAY);
                }
            }
        }
        return this;
    }

    private boolean hasQueen(LocalDate day) {
        return lays.isPresent() && !day.isBefore(lays.get());
    }

    private double income(Population colony, LocalDate day, double flying) {
        double each = switch (luck.flow(at.flow(), (int) (day.toEpochDay() - at.today().toEpochDay()))) {
            case DEARTH -> 0;
            case LITTLE -> 1.2e-5;
            case GOOD -> 4e-5;
            case STRONG -> 1e-4;
        };
        return each * colony.foragers() * flying;
    }

    private double eggs(Population colony, LocalDate day, Growth growth) {
        if (!hasQueen(day)) {
            return 0;
        }
        double ofHer = 1;
        int laying = (int) (day.toEpochDay() - lays.orElseThrow().toEpochDay());
        boolean untried = unit.queen().is() != UnitQueen.Is.KEPT && unit.queen().winters().orElse(1) == 0;
        if (untried && laying < YOUNG_QUEEN_DAYS) {
            ofHer = YOUNG_QUEEN_BEGINS_WITH + (1 - YOUNG_QUEEN_BEGINS_WITH) * laying / YOUNG_QUEEN_DAYS;
        } else if (unit.queen().winters().orElse(1) >= OLD_FROM_WINTERS) {
            ofHer = OLD_QUEEN_LAYS;
        }
        double her = growth.eggsADay() * ofHer * days.laying(day);
        double nursed = colony.canRear() / 9;
        // who has filled its box is given room
        int frames = room.isPresent() ? Math.max(unit.slots(), FULL_BOX) : unit.slots();
        double comb = unit.side().cells(2.0 * frames) * FOR_BROOD - colony.broodCells();
        return Math.max(0, Math.min(Math.min(her, nursed), comb));
    }

    private void look(LocalDate day, Population colony, double food, boolean noted) {
        double bees = colony.bees();
        if (noted) {
            course.add(new Stand(bees, colony.broodCells(), colony.nurseShare(), Math.max(0, food)));
            if (bees < fewest) {
                fewest = bees;
                fewestOn = day;
            }
        }
        double frames = unit.side().framesCoveredBy((int) bees);
        boolean hardlyANurse = colony.nurseShare() < HARDLY_A_NURSE && days.flying(day) > 0.3;
        boolean broodless = colony.broodCells() < FEWEST_BEES / 4;
        if (collapses.isEmpty() && noted && (bees < FEWEST_BEES || broodless && hardlyANurse && !hasQueen(day))) {
            collapses = Optional.of(day);
        }
        if (room.isEmpty() && frames >= NEARLY_ALL * unit.slots()) {
            room = Optional.of(day);
        }
        if (fullBox.isEmpty() && noted && frames >= FULL_BOX_FRAMES) {
            fullBox = Optional.of(day);
        }
    }

    List<Stand> course() {
        return course;
    }

    Optional<LocalDate> starves() {
        return starves;
    }

    Optional<LocalDate> collapses() {
        return collapses;
    }

    Optional<LocalDate> room() {
        return room;
    }

    Optional<LocalDate> fullBox() {
        return fullBox;
    }

    Optional<LocalDate> lays() {
        return lays;
    }

    LocalDate fewestOn() {
        return fewestOn;
    }

    /** Bees on the day on which laying ends. */
    double atRest() {
        return atRest;
    }

    /** What it would have eaten in the next {@link #FEED_FOR_DAYS} days and did not have, kg. */
    double missingKg() {
        return missingKg;
    }
}

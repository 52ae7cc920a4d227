package vividcrown.core.split;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import vividcrown.core.hive.Unit;
import vividcrown.core.split.Layout.Taken;
import vividcrown.core.split.SplitModel.Group;
import vividcrown.core.split.recipe.SplitRecipe;

/**
 * Deals the frames of a group to its units: first eggs to each that needs them, then the biggest brood to whoever has least, then
 * food, then shakes of nurses where bees are fewest. Where two are alike, to the one that has frames of the same hive already, so
 * that fewer sources come together.
 */
final class Dealing {

    /** What one unit gets. */
    static final class Hand {
        private final List<Taken> frames = new ArrayList<>();
        private final Map<Integer, Double> shakes = new LinkedHashMap<>();
        private double bees;
        private double levelled;

        List<Taken> frames() {
            return frames;
        }

        /** Frames of nurses by hive. */
        Map<Integer, Double> shakes() {
            return shakes;
        }

        double bees() {
            return bees;
        }

        /** Frames of bees that came from the other hands, or went to them. */
        double levelled() {
            return levelled;
        }

        int brood() {
            return (int) frames.stream().filter(one -> one.frame().comb().isOfBrood()).count();
        }

        double cells() {
            return frames.stream().mapToDouble(one -> one.hive().side().cells(2 * one.frame().comb().brood())).sum();
        }

        private boolean isFrom(Unit hive) {
            return frames.stream().anyMatch(one -> one.hive().equals(hive));
        }

        private void takes(Taken one, Drift drift) {
            frames.add(one);
            bees += one.frame().covered() * drift.stayOnFrames();
        }
    }

    private Dealing() {
    }

    static List<Hand> deal(Group group, int units, Map<Integer, List<Taken>> frames, Map<Integer, Integer> shakes) {
        List<Hand> hands = new ArrayList<>();
        for (int unit = 0; unit < units; unit++) {
            hands.add(new Hand());
        }
        if (units == 0) {
            return hands;
        }
        SplitRecipe.Frames need = group.recipe().frames();
        List<Taken> all = new ArrayList<>(frames.values().stream().flatMap(List::stream)
                .sorted(Comparator.comparingDouble((Taken one) -> one.frame().comb().brood()).reversed()).toList());
        List<Taken> brood = new ArrayList<>(all.stream().filter(one -> one.frame().comb().isOfBrood()).toList());
        for (int round = 0; round < need.withEggs(); round++) {
            for (Hand hand : hands) {
                brood.stream().filter(one -> one.frame().comb().hasEggs())
                        .max(Comparator.comparingDouble(one -> one.frame().comb().eggs())).ifPresent(one -> {
                            brood.remove(one);
                            hand.takes(one, group.drift());
                        });
            }
        }
        for (int round = 0; round < need.mostlySealed(); round++) {
            for (Hand hand : hands) {
                boolean has = hand.frames().stream().anyMatch(one -> one.frame().comb().isMostlySealed());
                brood.stream().filter(one -> !has && one.frame().comb().isMostlySealed()).findFirst().ifPresent(one -> {
                    brood.remove(one);
                    hand.takes(one, group.drift());
                });
            }
        }
        for (Taken one : brood) {
            hands.stream().filter(hand -> hand.brood() < need.broodBest())
                    .min(Comparator.comparingInt((Hand hand) -> Math.min(hand.brood(), need.broodLeast()))
                            .thenComparingDouble(hand -> hand.cells() - (hand.isFrom(one.hive()) ? 1 : 0)))
                    .ifPresent(hand -> hand.takes(one, group.drift()));
        }
        for (Taken one : all.stream().filter(frame -> !frame.frame().comb().isOfBrood()).toList()) {
            hands.stream()
                    .min(Comparator.comparingInt((Hand hand) -> hand.frames().size() - hand.brood())
                            .thenComparing(hand -> hand.isFrom(one.hive()) ? 0 : 1))
                    .ifPresent(hand -> hand.takes(one, group.drift()));
        }
        double each = SplitModel.SHAKE_FRAMES * group.drift().stayOfShakes();
        boolean byTheCup = need.broodBest() == 0 && need.food() == 0;
        shakes.forEach((hive, count) -> {
            if (byTheCup) {
                // shaken together into one box, and cupped out
                hands.forEach(hand -> {
                    hand.shakes.merge(hive, (double) count / units, Double::sum);
                    hand.bees += each * count / units;
                });
            } else {
                for (int shake = 0; shake < count; shake++) {
                    Hand least = hands.stream().min(Comparator.comparingDouble(Hand::bees)).orElseThrow();
                    least.shakes.merge(hive, 1.0, Double::sum);
                    least.bees += each;
                }
            }
        });
        level(hands, group.recipe().beesLeast());
        return hands;
    }

    /** Before closing, bees of the strong go to those that would not have enough. */
    private static void level(List<Hand> hands, double least) {
        for (Hand poor : hands) {
            for (Hand rich : hands) {
                double moved = Math.min(least - poor.bees, rich.bees - least);
                if (moved > 0) {
                    poor.bees += moved;
                    poor.levelled += moved;
                    rich.bees -= moved;
                    rich.levelled -= moved;
                }
            }
        }
    }
}

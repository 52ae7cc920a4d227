package vividcrown.core.judgement;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * A day's course of every phase, worked out once for each time of year: where its weight goes, and which share. The same
 * numbers as {@link Course#step}, without reckoning them again for every day of every judgement.
 */
final class Flows {

    private static final Map<Double, Flows> BY_SWARM_SHARE = new ConcurrentHashMap<>();

    private final int[][] to;
    private final double[][] share;

    private Flows(double swarmShare) {
        List<Phase> phases = Phase.all();
        to = new int[phases.size()][];
        share = new double[phases.size()][];
        for (int at = 0; at < phases.size(); at++) {
            double[] next = new double[phases.size()];
            Course.step(phases.get(at), 1, swarmShare, next);
            int count = 0;
            for (double weight : next) {
                count += weight > 0 ? 1 : 0;
            }
            to[at] = new int[count];
            share[at] = new double[count];
            for (int target = 0, index = 0; target < next.length; target++) {
                if (next[target] > 0) {
                    to[at][index] = target;
                    share[at][index++] = next[target];
                }
            }
        }
    }

    static Flows of(double swarmShare) {
        return BY_SWARM_SHARE.computeIfAbsent(swarmShare, Flows::new);
    }

    double[] dayLater(double[] weights) {
        double[] next = new double[weights.length];
        for (int at = 0; at < weights.length; at++) {
            double weight = weights[at];
            if (weight > 0) {
                int[] targets = to[at];
                double[] shares = share[at];
                for (int index = 0; index < targets.length; index++) {
                    next[targets[index]] += weight * shares[index];
                }
            }
        }
        return next;
    }
}

package vividcrown.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;

/**
 * A graft of the plan.
 *
 * @param day of the graft
 * @param breeder the mother
 * @param cups how many larvae
 * @param shares for whom, and how many of the cups; what is over is spare
 * @param locked it was fixed by hand
 * @param grafter who grafts, if that is known
 * @param at yards where its virgins are to mate; empty if nobody asks where
 */
public record PlannedBatch(LocalDate day, String builder, String breeder, String line, int cups, List<Share> shares,
        boolean locked, Optional<String> grafter, List<At> at) {

    public PlannedBatch {
        shares = List.copyOf(shares);
        at = List.copyOf(at);
    }

    public PlannedBatch(LocalDate day, String builder, String breeder, String line, int cups, List<Share> shares,
            boolean locked, Optional<String> grafter) {
        this(day, builder, breeder, line, cups, shares, locked, grafter, List.of());
    }

    /**
     * @param demand whom it is for
     * @param delivery when its queens are handed over
     */
    public record Share(String demand, int cups, LocalDate delivery) {
    }

    /**
     * @param cells that were meant for nucs at that yard when it was chosen: with more or fewer cups, the same part of them
     */
    public record At(String yard, int cells) {
    }

    public int spare() {
        return cups - shares.stream().mapToInt(Share::cups).sum();
    }

    /** What surrounds it; the month comes with the day. */
    public Around around() {
        return Around.NOTHING_KNOWN.with(Circumstance.BUILDER, builder).with(Circumstance.MOTHER, breeder)
                .with(Circumstance.PERSON, grafter);
    }

    /** So many shared out over the yards as the cells are, whole ones, together as many; nothing if nobody asks where. */
    public List<Map.Entry<String, Integer>> sharedOut(int many) {
        int all = at.stream().mapToInt(At::cells).sum();
        List<Map.Entry<String, Integer>> shared = new ArrayList<>();
        int upToHere = 0;
        int given = 0;
        for (At one : at) {
            upToHere += one.cells();
            int upTo = all == 0 ? many : (int) Math.round((double) many * upToHere / all);
            if (upTo > given) {
                shared.add(Map.entry(one.yard(), upTo - given));
            }
            given = upTo;
        }
        return shared;
    }

    /** The part of its cells that goes to a yard, 0–1. */
    public double partAt(String yard) {
        double all = at.stream().mapToInt(At::cells).sum();
        return all == 0
                ? 0
                : at.stream().filter(one -> one.yard().equals(yard)).mapToInt(At::cells).sum() / all;
    }

    public PlannedBatch with(int otherCups, List<Share> otherShares) {
        return new PlannedBatch(day, builder, breeder, line, otherCups, otherShares, locked, grafter, at);
    }

    public PlannedBatch with(List<At> others) {
        return new PlannedBatch(day, builder, breeder, line, cups, shares, locked, grafter, others);
    }
}

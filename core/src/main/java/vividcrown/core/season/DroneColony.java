package vividcrown.core.season;

import java.time.LocalDate;
import java.util.NavigableMap;
import java.util.Set;

/**
 * A colony kept for its drones.
 *
 * @param mother its queen; her own daughters should not meet her drones
 * @param matureFrom the first day on which its drones fly ripe
 * @param reaches mating yards that its drones reach; none given: all
 */
public record DroneColony(String id, String mother, LocalDate matureFrom, Set<String> reaches) {

    /** Virgins that one strong drone colony serves at a time. From memory of Büchler et al. 2013 (25–50). */
    public static final int VIRGINS_EACH = 50;

    /** Virgins of grafts so many days apart fly together. */
    public static final int TOGETHER_DAYS = 7;
    /** From several mothers that are not sisters, however few the virgins: common practice. */
    public static final int LEAST = 2;

    public DroneColony {
        reaches = Set.copyOf(reaches);
    }

    public DroneColony(String id, String mother, LocalDate matureFrom) {
        this(id, mother, matureFrom, Set.of());
    }

    /** How many colonies those virgins want that fly together with those of a graft. @param virgins by the day of their graft */
    public static int wantedFor(NavigableMap<LocalDate, Double> virgins, LocalDate graft) {
        double together = virgins
                .subMap(graft.minusDays(TOGETHER_DAYS), true, graft.plusDays(TOGETHER_DAYS), true).values().stream()
                .mapToDouble(Double::doubleValue).sum();
        return Math.max(LEAST, (int) Math.ceil(together / VIRGINS_EACH));
    }

    /** Whether its drones fly at a yard on a day. */
    public boolean fliesAt(String yard, LocalDate day) {
        return !matureFrom.isAfter(day) && (reaches.isEmpty() || reaches.contains(yard));
    }
}

package vividcrown.core.season;

import java.time.LocalDate;

/**
 * A colony kept for its drones.
 *
 * @param mother its queen; her own daughters should not meet her drones
 * @param matureFrom the first day on which its drones fly ripe
 */
public record DroneColony(String id, String mother, LocalDate matureFrom) {

    /** Virgins that one strong drone colony serves at a time. From memory of Büchler et al. 2013 (25–50). */
    public static final int VIRGINS_EACH = 50;
}

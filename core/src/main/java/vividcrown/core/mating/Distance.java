package vividcrown.core.mating;

import net.sf.geographiclib.Geodesic;
import net.sf.geographiclib.GeodesicMask;

/** How far yards lie apart: the shortest way over the ellipsoid (WGS 84), by Karney 2013, J. Geodesy 87:43–55. */
public final class Distance {

    /**
     * Within this distance the drones of a colony and the queens of a yard meet: queens fly up to several kilometres.
     * Common practice.
     */
    public static final double MATING_METRES = 5_000;

    private Distance() {
    }

    /**
     * Metres between two places.
     *
     * @param latitude degrees, north positive, −90 to 90
     * @param longitude degrees, east positive
     */
    public static double metres(double latitude, double longitude, double otherLatitude, double otherLongitude) {
        return Geodesic.WGS84.Inverse(latitude, longitude, otherLatitude, otherLongitude, GeodesicMask.DISTANCE).s12;
    }
}

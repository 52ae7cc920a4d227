package vividcrown.core.mating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class DistanceTest {

    /** Geodetic survey test line Flinders Peak – Buninyong, Geoscience Australia (value from memory): 54,972.271 m. */
    @Test
    void flinders_peak_to_buninyong() {
        double flindersLatitude = -(37 + 57 / 60.0 + 3.72030 / 3600);
        double flindersLongitude = 144 + 25 / 60.0 + 29.52440 / 3600;
        double buninyongLatitude = -(37 + 39 / 60.0 + 10.15610 / 3600);
        double buninyongLongitude = 143 + 55 / 60.0 + 35.38390 / 3600;
        assertThat(Distance.metres(flindersLatitude, flindersLongitude, buninyongLatitude, buninyongLongitude))
                .isCloseTo(54_972.271, within(0.01));
    }

    /** Nearly antipodal points, the worked example of the geodesic routines' manual (value from memory). */
    @Test
    void wellington_to_salamanca() {
        assertThat(Distance.metres(-41.32, 174.81, 40.96, -5.50)).isCloseTo(19_959_679.267, within(0.01));
    }

    /** By hand: a minute of latitude is about a nautical mile, 1,852 m. */
    @Test
    void a_minute_of_latitude_is_about_a_nautical_mile() {
        assertThat(Distance.metres(46, 8, 46 + 1 / 60.0, 8)).isCloseTo(1_852, within(5.0));
        assertThat(Distance.metres(46, 8, 46, 8)).isZero();
    }
}

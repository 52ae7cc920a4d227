package vividcrown.core.yard;

import java.util.List;
import java.util.UUID;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Faults;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;

/** What is known of yards. */
public sealed interface YardDeed extends Deed {

    SubjectKind YARD = new SubjectKind("YARD");

    /**
     * A yard is opened, or described anew: the last to speak is right.
     *
     * @param name 1–60 characters
     * @param prefix begins the codes of its hives, may be empty
     * @param walkOrder place in the day's walk, from 1
     * @param latitude degrees north, −90 to 90
     * @param longitude degrees east, −180 to 180
     * @param elevationMetres above the sea, −430 to 6000
     * @param caution what to look out for here, empty if nothing
     */
    record Opened(UUID yard, String name, String prefix, int walkOrder, double latitude, double longitude,
            int elevationMetres, String caution) implements YardDeed {
        public Opened {
            new Faults().text("name", name, 1, 60).text("prefix", prefix, 0, 10).text("caution", caution, 0, 500)
                    .within("walkOrder", walkOrder, 1, 10_000).within("latitude", latitude, -90, 90)
                    .within("longitude", longitude, -180, 180).within("elevationMetres", elevationMetres, -430, 6_000)
                    .refuse();
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(YARD, yard));
        }
    }
}

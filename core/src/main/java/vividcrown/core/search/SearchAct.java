package vividcrown.core.search;

import java.util.Optional;
import vividcrown.core.reason.Wrong;

/** One thing done while searching, in the order in which it was done. */
public sealed interface SearchAct {

    /** Minutes since the act before it, if they were measured; as usual otherwise. */
    Optional<Double> minutes();

    /** A side, the lid, a wall was looked over, and she was not seen. */
    record Looked(Place place, Shows shows, Optional<Double> minutes) implements SearchAct {
        public Looked {
            check(minutes);
        }

        public Looked(Place place, Shows shows) {
            this(place, shows, Optional.empty());
        }
    }

    /** There she is. */
    record Found(Place place, Optional<Double> minutes) implements SearchAct {
        public Found {
            check(minutes);
        }

        public Found(Place place) {
            this(place, Optional.empty());
        }
    }

    /** Much smoke was given, or they began to boil: from now on she runs. */
    record Smoked(Optional<Double> minutes) implements SearchAct {
        public Smoked {
            check(minutes);
        }
    }

    /** The hive was shut. */
    record Closed(Optional<Double> minutes) implements SearchAct {
        public Closed {
            check(minutes);
        }
    }

    /** It was opened again. */
    record Opened(Optional<Double> minutes) implements SearchAct {
        public Opened {
            check(minutes);
        }
    }

    private static void check(Optional<Double> minutes) {
        double most = 100_000;
        minutes.ifPresent(passed -> {
            if (!(passed >= 0 && passed <= most)) {
                throw Wrong.of("wrong.search.minutes", passed);
            }
        });
    }
}

package vividcrown.server.search;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.reason.Sentence;
import vividcrown.core.search.AtTheHive;
import vividcrown.core.search.Circumstances;
import vividcrown.core.search.Held;
import vividcrown.core.search.OwnRecord;
import vividcrown.core.search.Place;
import vividcrown.core.search.QueenTrait;
import vividcrown.core.search.SearchAct;
import vividcrown.core.search.Searcher;
import vividcrown.core.search.Shows;
import vividcrown.core.search.WhySearch;
import vividcrown.server.problem.Refusal;

/**
 * What is asked while one searches, whatever the hive is known from.
 *
 * @param why what she is wanted for; SHOW if left out
 * @param traits what makes her easier or harder to see; an unmarked laying queen if left out
 * @param muchSmoke she was smoked heavily
 * @param uneasy the bees run or boil
 * @param poorLight dusk or glare
 * @param beginner whoever searches has found few so far
 * @param looks sides looked over on which she proved to be, in this person's own record
 * @param seen on so many of them she was seen
 * @param celsius in the shade, °C
 * @param rain it rains, or is about to
 * @param robbing bees of other hives rob
 * @param defensive they boil over
 * @param acts in the order in which they were done
 * @param leaving combs that are to leave the hive
 * @param held how she is kept, once found; NOTED if left out
 * @param verifiedMinutesAgo minutes since she was last seen there; 0 if left out
 */
public record SearchAsked(@Nullable WhySearch why, @Nullable @Size(max = 6) List<@NotNull QueenTrait> traits,
        @Nullable Boolean muchSmoke, @Nullable Boolean uneasy, @Nullable Boolean poorLight,
        @Nullable Boolean beginner, @Nullable @Min(0) @Max(100_000) Integer looks,
        @Nullable @Min(0) @Max(100_000) Integer seen, @Nullable @Min(-40) @Max(55) Double celsius,
        @Nullable Boolean rain, @Nullable Boolean robbing, @Nullable Boolean defensive,
        @Nullable @Size(max = MOST_ACTS) List<@NotNull @Valid ActInput> acts,
        @Nullable @Size(max = 300) List<@NotNull @Valid CombAt> leaving, @Nullable Held held,
        @Nullable @Min(0) @Max(100_000) Integer verifiedMinutesAgo) {

    private static final int MOST_ACTS = 600;
    /** Nothing said. */
    public static final SearchAsked NOTHING = new SearchAsked(null, null, null, null, null, null, null, null, null,
            null, null, null, null, null, null, null);

    /** What was done. */
    public enum ActKind {
        LOOKED, FOUND, SMOKED, CLOSED, OPENED
    }

    /**
     * A place in the hive.
     *
     * @param kind COMB if left out
     * @param box from 1 at the bottom; 1 if left out
     * @param slot from 1, as seen from the entrance; of a comb or a hole
     * @param side of a comb
     */
    public record PlaceAt(Place.@Nullable Kind kind, @Nullable @Min(1) @Max(12) Integer box,
            @Nullable @Min(1) @Max(24) Integer slot, @Nullable FrameSide side) {

        public static PlaceAt of(Place place) {
            return switch (place) {
                case Place.OnComb(int box, int slot, FrameSide side) -> new PlaceAt(Place.Kind.COMB, box, slot, side);
                case Place.InHole(int box, int slot) -> new PlaceAt(Place.Kind.HOLE, box, slot, null);
                case Place.Lid _ -> new PlaceAt(Place.Kind.LID, null, null, null);
                case Place.Walls(int box) -> new PlaceAt(Place.Kind.WALLS, box, null, null);
                case Place.Excluder(int box) -> new PlaceAt(Place.Kind.EXCLUDER, box, null, null);
                case Place.Floor _ -> new PlaceAt(Place.Kind.FLOOR, null, null, null);
            };
        }

        /** @param field where it stands in the request */
        public Place place(String field) {
            Place.Kind of = kind == null ? Place.Kind.COMB : kind;
            if (of == Place.Kind.COMB && side == null) {
                throw Refusal.invalid(field + ".side", Sentence.of("refusal.search.side"));
            }
            boolean comb = of == Place.Kind.COMB || of == Place.Kind.HOLE;
            return Place.of(of, box == null ? 1 : box, comb ? slot(field) : 0, Optional.ofNullable(side));
        }

        private int slot(String field) {
            if (slot == null) {
                throw Refusal.invalid(field + ".slot", Sentence.of("refusal.search.slot"));
            }
            return slot;
        }
    }

    /**
     * One thing that was done.
     *
     * @param kind LOOKED if left out: looked over in vain
     * @param place where; of LOOKED and FOUND
     * @param shows what the side showed by its largest part; NOTHING if left out
     * @param minutes since the act before it; as usual if left out
     */
    public record ActInput(@Nullable ActKind kind, @Nullable @Valid PlaceAt place, @Nullable Shows shows,
            @Nullable @Min(0) @Max(100_000) Double minutes) {

        private SearchAct act(String field) {
            Optional<Double> passed = Optional.ofNullable(minutes);
            return switch (kind == null ? ActKind.LOOKED : kind) {
                case LOOKED -> new SearchAct.Looked(where(field), shows == null ? Shows.NOTHING : shows, passed);
                case FOUND -> new SearchAct.Found(where(field), passed);
                case SMOKED -> new SearchAct.Smoked(passed);
                case CLOSED -> new SearchAct.Closed(passed);
                case OPENED -> new SearchAct.Opened(passed);
            };
        }

        private Place where(String field) {
            if (place == null) {
                throw Refusal.invalid(field + ".place", Sentence.of("refusal.search.place"));
            }
            return place.place(field + ".place");
        }
    }

    /** A comb. */
    public record CombAt(@Nullable @Min(1) @Max(12) Integer box, @NotNull @Min(1) @Max(24) Integer slot) {
        int inBox() {
            return box == null ? 1 : box;
        }
    }

    List<SearchAct> done() {
        return done(orNone(acts));
    }

    /** @throws Refusal if an act lacks its place */
    public static List<SearchAct> done(List<ActInput> said) {
        List<SearchAct> all = new ArrayList<>();
        for (int at = 0; at < said.size(); at++) {
            all.add(said.get(at).act("acts[" + at + "]"));
        }
        return all;
    }

    /**
     * @param laying as {@link Circumstances} has it
     * @param own of whoever asks, where nothing is told of it
     */
    public Circumstances circumstances(double laying, Set<QueenTrait> known, OwnRecord own) {
        Set<QueenTrait> all = traits == null ? known : Set.copyOf(traits);
        return Refusal.checked(() -> new Circumstances(all, laying, Boolean.TRUE.equals(muchSmoke),
                Boolean.TRUE.equals(uneasy), Boolean.TRUE.equals(poorLight),
                looks == null && seen == null
                        ? Searcher.byTheRecord(Boolean.TRUE.equals(beginner), own)
                        : Searcher.of(Boolean.TRUE.equals(beginner), looks == null ? 0 : looks,
                                seen == null ? 0 : seen)),
                "traits");
    }

    /**
     * @param mayMate it is judged likely that a virgin is in there who may fly
     * @param caged by the record its queen is shut in a cage in it
     */
    public AtTheHive there(Optional<Integer> queenGivenDays, Optional<Integer> virginDays, boolean mayMate,
            boolean caged) {
        return new AtTheHive(Optional.ofNullable(celsius), Boolean.TRUE.equals(rain), Boolean.TRUE.equals(robbing),
                queenGivenDays, virginDays, mayMate, caged, Boolean.TRUE.equals(defensive));
    }

    WhySearch wantedFor() {
        return why == null ? WhySearch.SHOW : why;
    }

    Held kept() {
        return held == null ? Held.NOTED : held;
    }

    /** When she was last seen where she is. */
    Instant verified(Instant now) {
        return now.minus(Duration.ofMinutes(verifiedMinutesAgo == null ? 0 : verifiedMinutesAgo));
    }

    static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }
}

package vividcrown.core.search;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Faults;
import vividcrown.core.journal.Touch;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/** What was done to find a queen. */
public sealed interface SearchDeed extends Deed {

    int MOST_LOOKS = 600;

    /**
     * A queen was searched for, with every look.
     *
     * @param looks in the order in which they were done, 1–600
     * @param muchSmoke she was smoked heavily
     * @param poorLight dusk or glare
     * @param beginner whoever searched had found few so far
     * @param held how she is kept since, if she was found
     * @param known what was known of the hive when it was begun; filled in where it is recorded
     */
    record Searched(UUID hive, WhySearch why, Set<QueenTrait> traits, boolean muchSmoke, boolean poorLight,
            boolean beginner, List<SearchLook> looks, Optional<Held> held,
            Optional<KnownOfHive> known) implements SearchDeed {

        public Searched {
            traits = Set.copyOf(traits);
            looks = List.copyOf(looks);
            new Faults().within("looks", looks.size(), 1, MOST_LOOKS)
                    .unless(looks.stream().filter(SearchLook::found).count() <= 1
                            && looks.subList(0, Math.max(0, looks.size() - 1)).stream().noneMatch(SearchLook::found),
                            "fault.search.found")
                    .unless(held.isEmpty() || looks.stream().anyMatch(SearchLook::found), "fault.search.held").refuse();
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HiveDeed.HIVE, hive));
        }

        public boolean isFound() {
            return looks.stream().anyMatch(SearchLook::found);
        }

        /** The same, with what was known of the hive. */
        public Searched with(Optional<KnownOfHive> hives) {
            return new Searched(hive, why, traits, muchSmoke, poorLight, beginner, looks, held, hives);
        }

        /** The same, with what it tells of the eye of whoever searched. @throws IllegalArgumentException as {@link #missed()} */
        public Searched told() {
            return with(known.map(before -> before.telling(tellsOfTheEye(before))));
        }

        /**
         * The chance that it would have missed her, were she laying in there; empty if she was found, or nobody knows how the hive stood.
         *
         * @throws IllegalArgumentException if a look is at a place that was not there
         */
        public Optional<Double> missed() {
            return isFound()
                    ? Optional.empty()
                    : known.map(before -> search(before, before.own().orElse(OwnRecord.NONE)).missed());
        }

        /** Something can be said of the colony by it: she was found, brood was seen, or so much was looked over that not seeing her counts. */
        public boolean tells() {
            double hardlyAny = 0.9;
            return isFound() || looks.stream().anyMatch(look -> look.shows().isBrood())
                    || missed().map(chance -> chance < hardlyAny).orElse(true);
        }

        /** What was done to her, if she was found: shut in a cage in her hive, or taken out of it. */
        public Optional<EventKind> does() {
            return held.flatMap(how -> switch (how) {
                case CATCHER, CAGE -> why == WhySearch.TAKE_OUT
                        ? Optional.of(EventKind.QUEEN_REMOVED)
                        : how == Held.CAGE ? Optional.of(EventKind.QUEEN_CAGED) : Optional.empty();
                case PRESS_IN_CAGE -> Optional.of(EventKind.QUEEN_CAGED);
                case NOTED, COMB_APART -> Optional.empty();
            });
        }

        /** Where she was found. */
        public Optional<Place> place() {
            return looks.stream().filter(SearchLook::found).map(SearchLook::place).findFirst();
        }

        /** By the figures of the trade. */
        private OwnRecord tellsOfTheEye(KnownOfHive before) {
            return new OwnRecord(search(before, OwnRecord.NONE).expected(), isFound() ? 1 : 0);
        }

        private Search search(KnownOfHive before, OwnRecord own) {
            return Search.after(new HiveSearched(before.boxes(), before.readDays(), Optional.empty(), before.chance()),
                    new Circumstances(traits, before.laying(), muchSmoke, false, poorLight,
                            Searcher.byTheRecord(beginner, own)),
                    looks.stream().<SearchAct>map(SearchLook::act).toList());
        }

        /** What it tells of the colony: what stood on the sides, and the queen, seen or not. */
        public Reading on(LocalDate day) {
            Set<Sign> seen = EnumSet.noneOf(Sign.class);
            looks.forEach(look -> seen.addAll(look.shows().signs()));
            if (isFound()) {
                seen.add(traits.contains(QueenTrait.VIRGIN)
                        ? Sign.VIRGIN
                        : traits.contains(QueenTrait.MARKED) || traits.contains(QueenTrait.MARK_WORN)
                                ? Sign.QUEEN_MARKED
                                : Sign.QUEEN);
            }
            if (muchSmoke) {
                seen.add(Sign.SMOKED_HEAVILY);
            }
            return new Reading(day, seen, isFound() ? Set.of() : Set.of(Sign.QUEEN), List.of(), missed());
        }
    }

    /**
     * One look.
     *
     * @param at what was looked at
     * @param box from 1 at the bottom; 1 for the lid and the floor
     * @param slot of a comb or a hole, from 1; 0 elsewhere
     * @param side of a comb
     * @param shows what stood on it
     * @param found there she was
     * @param minutes since the look before, 0–240
     */
    record SearchLook(Place.Kind at, int box, int slot, Optional<FrameSide> side, Shows shows, boolean found,
            double minutes) {

        public SearchLook {
            new Faults().within("box", box, 1, 12).within("slot", slot, 0, 24).within("minutes", minutes, 0, 240)
                    .unless(at != Place.Kind.COMB || side.isPresent() && slot > 0, "fault.search.side").refuse();
        }

        Place place() {
            return Place.of(at, box, slot, side);
        }

        private SearchAct act() {
            return found
                    ? new SearchAct.Found(place(), Optional.of(minutes))
                    : new SearchAct.Looked(place(), shows, Optional.of(minutes));
        }
    }

    /**
     * What was known of a hive when it was searched.
     *
     * @param readDays days since its combs were read
     * @param laying of her full laying, what a queen does on that day, 0–1
     * @param chance that she was in it at all, 0–1
     * @param own what the earlier searches of whoever searched told of their eye
     * @param tells what this one told of it
     */
    record KnownOfHive(List<BoxThere> boxes, int readDays, double laying, double chance, Optional<OwnRecord> own,
            Optional<OwnRecord> tells) {
        public KnownOfHive {
            boxes = List.copyOf(boxes);
        }

        KnownOfHive telling(OwnRecord eye) {
            return new KnownOfHive(boxes, readDays, laying, chance, own, Optional.of(eye));
        }
    }
}

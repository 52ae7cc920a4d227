package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/** How likely each phase makes what a reading says, one piece of evidence after another. */
final class Evidence {

    /** A frame that was given shows for so long. */
    private static final int GIFT_SHOWS_FOR = 24;
    /** The bees behave today as they did last week, whatever their state: the same sign again tells half as much. */
    private static final int SAME_MOOD_DAYS = 9;
    private static final int DOMED_STAYS = 26;
    private static final double DOMED_LEFT = 0.4;
    private static final double ALL_LAY = 0.97;
    /** Told otherwise than it was: the wrong box, the wrong line, a look in a hurry. */
    static final double SLIP = 0.003;

    private final Season season;
    private final BroodEvidence brood;
    private final CellEvidence cells;
    private final Likelihoods table;

    Evidence(Clock clock, Season season, Likelihoods table) {
        this.season = season;
        this.brood = BroodEvidence.by(clock);
        this.cells = new CellEvidence(clock);
        this.table = table;
    }

    /**
     * One piece of what a reading says.
     *
     * @param sign what it is about
     * @param likelihood how likely each phase makes it
     * @param ofBrood it tells the age of brood, and is explained by it
     */
    record Piece(Sign sign, Likelihood likelihood, boolean ofBrood) {
    }

    /**
     * The belief after a reading; now and then a reading is a slip, and tells nothing.
     *
     * @param jointly receives the chance of each state together with each piece
     */
    static Belief weigh(Belief before, List<Piece> pieces, double[][] jointly) {
        return before.weighed(pieces.stream().map(Piece::likelihood).toList(), jointly).mixed(before, SLIP);
    }

    /** @param earlier readings of days before, the oldest first */
    List<Piece> of(Reading reading, List<Reading> earlier, List<ColonyEvent> events) {
        List<Piece> pieces = new ArrayList<>();
        boolean gift = isGiftThere(reading.day(), events);
        for (BroodEvidence.Look look : brood.told(reading)) {
            boolean seen = reading.saw(look.sign());
            pieces.add(new Piece(look.sign(), brood.chance(look, seen, gift), true));
        }
        if (CellEvidence.isTold(reading)) {
            pieces.add(new Piece(Sign.QUEEN_CELLS, cells.chance(reading), false));
        }
        for (SignOdds line : strongest(reading)) {
            double weight = isSameMood(line, reading, earlier) || isOfTheSeason(line, reading) ? 0.5 : 1;
            boolean seen = reading.saw(line.sign());
            boolean left = line.sign() == Sign.SEALED_DRONE_SCATTERED && domedBefore(reading.day(), earlier);
            Likelihood likelihood = line.byPhase(seen, weight, reading);
            pieces.add(new Piece(line.sign(), left ? domedLeft(seen, likelihood) : likelihood, false));
        }
        return pieces;
    }

    /** Domed brood of workers or a drone layer stays for weeks after they have stopped. */
    private static boolean domedBefore(LocalDate day, List<Reading> earlier) {
        return earlier.stream().anyMatch(other -> other.day().isAfter(day.minusDays(DOMED_STAYS))
                && (other.saw(Sign.SEALED_DRONE_SCATTERED)
                        || other.saw(Sign.EGGS_SEVERAL) && other.saw(Sign.EGGS_ON_WALLS)));
    }

    private static Likelihood domedLeft(boolean seen, Likelihood otherwise) {
        return (place, phase) -> {
            boolean laidByOthers = switch (phase.queen()) {
                // where she has laid for weeks it would be gone
                case LAYING -> phase.days() < DOMED_STAYS - 4;
                case NONE, VIRGIN -> !phase.workersLay();
                case MATED, GIVEN, CAGED, HIVED, RESTING -> true;
                case UNMATED, FAILING, TWO -> false;
            };
            return laidByOthers ? seen ? DOMED_LEFT : 1 - DOMED_LEFT : otherwise.in(place, phase);
        };
    }

    /** When laying begins and when it tapers off, every queen's brood has holes. */
    private boolean isOfTheSeason(SignOdds line, Reading reading) {
        return line.sign() == Sign.SEALED_WORKER_SPOTTY && season.layShare(reading.day()) < ALL_LAY;
    }

    private static boolean isGiftThere(LocalDate day, List<ColonyEvent> events) {
        return events.stream().anyMatch(event -> event.kind() == EventKind.BROOD_GIVEN && event.day().isBefore(day)
                && event.day().isAfter(day.minusDays(GIFT_SHOWS_FOR)));
    }

    private static boolean isSameMood(SignOdds line, Reading reading, List<Reading> earlier) {
        boolean ofMood = switch (line.group()) {
            case BEHAVIOUR, NEST, BEES, SWARM_MOOD, DRONES_LATE, PATTERN -> true;
            case EGG_PATTERN, EGG_WALLS, DRONE_BROOD, QUEEN, QUEEN_LOOKS, CELLS, TEST -> false;
        };
        return ofMood && earlier.stream()
                .anyMatch(other -> other.day().isAfter(reading.day().minusDays(SAME_MOOD_DAYS + 1L))
                        && other.saw(line.sign()) == reading.saw(line.sign())
                        && other.missed(line.sign()) == reading.missed(line.sign()));
    }

    /** Of the signs told in each group the one that tells the states apart most. */
    private List<SignOdds> strongest(Reading reading) {
        Map<SignOdds.Group, SignOdds> best = new EnumMap<>(SignOdds.Group.class);
        for (SignOdds line : table.lines()) {
            if (isTold(line, reading)) {
                best.merge(line.group(), line,
                        (one, other) -> one.spread(reading.saw(one.sign())) >= other.spread(reading.saw(other.sign()))
                                ? one
                                : other);
            }
        }
        if (reading.saw(Sign.EGGS_SINGLE) && reading.saw(Sign.EGGS_SEVERAL)) {
            best.put(SignOdds.Group.EGG_PATTERN, Likelihoods.EGGS_MIXED);
        }
        return List.copyOf(best.values());
    }

    /** An absence that follows from a more general absence says nothing of its own. */
    private boolean isTold(SignOdds line, Reading reading) {
        if (line.sign() == Sign.BEARDING && (reading.saw(Sign.HEAT) || reading.saw(Sign.EVENING))) {
            // in the heat and before the night they all hang out
            return false;
        }
        if (reading.saw(line.sign())) {
            // who saw a virgin has seen a queen, and that says nothing further
            return table.lines().stream().noneMatch(other -> reading.saw(other.sign())
                    && other.sign().general().contains(line.sign()) && other.group() == line.group());
        }
        boolean implied = line.sign().general().stream().anyMatch(reading::missed);
        boolean ofEggs = line.group() == SignOdds.Group.EGG_PATTERN || line.group() == SignOdds.Group.EGG_WALLS;
        boolean needsBrood = ofEggs && !reading.saw(Sign.EGGS);
        boolean needsQueen = line.group() == SignOdds.Group.QUEEN_LOOKS && !reading.saw(Sign.QUEEN);
        return reading.missed(line.sign()) && !implied && !needsBrood && !needsQueen;
    }
}

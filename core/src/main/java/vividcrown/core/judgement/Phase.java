package vividcrown.core.judgement;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * What is in the hive: queen, queen cells, laying workers and brood, each with its days. All phases stand in one fixed list,
 * so a belief is one number a phase.
 *
 * @param queen the queen, or that there is none
 * @param days of her: a virgin's age, since her first egg, since she was given (0 beside cells). Where workers lay: since they began
 * @param cells why queen cells are under way, if any are
 * @param cellDays age of the oldest cell in days from its egg; 0 where there is none
 * @param since age in days of the youngest worker brood that is not hers: days since a fertilised egg was laid here by
 *        another. {@link #GONE} if no such brood is left; goes on to {@link #LONG} where nothing else is
 * @param workersLay workers lay
 */
record Phase(Queen queen, int days, Cells cells, int cellDays, int since, boolean workersLay) {

    /** The queen of a colony. */
    enum Queen {
        NONE, VIRGIN,
        /** Mated within the last days, no egg yet. */
        MATED, LAYING,
        /** Mother and daughter. */
        TWO,
        /** Never mated: lays drones only. */
        UNMATED,
        /** Runs out of sperm: more and more drones. */
        FAILING,
        /** Mated, and caged in her own hive. */
        CAGED,
        /** Mated, and given in a cage within the last days. */
        GIVEN,
        /** Mated, and hived without brood within the last days. */
        HIVED,
        /** Mated; laying rests, late in the year. */
        RESTING
    }

    /** Why there are queen cells, if there are. */
    enum Cells {
        NONE, SWARM, SUPERSEDURE, EMERGENCY,
        /** Put in by the keeper. */
        GIVEN
    }

    /** Worker brood is gone this many days after the last egg; longer makes no difference on the comb. */
    static final int GONE = 25;
    /** A queen who has laid for so long has brood of every age. */
    static final int SETTLED = 24;
    static final int VIRGIN_DAYS = 40;
    static final int UNMATED_DAYS = 30;
    static final int CELL_DAYS = 18;
    static final int LONG = 70;
    /** Workers who have laid for so long have drone brood of every open and sealed age. */
    static final int WORKERS_SETTLED = 14;
    static final int GIVEN_DAYS = 7;
    static final int MATED_DAYS = 9;
    /** Beside a virgin that is younger, other cells may still be alive. */
    static final int RIVALS_DAYS = 4;

    private static final List<Phase> ALL = List.copyOf(make());
    private static final Map<Phase, Integer> PLACE = places();

    static List<Phase> all() {
        return ALL;
    }

    /** Its place in {@link #all()}; days beyond what is followed are cut. */
    int place() {
        Integer place = PLACE.get(this);
        return place == null ? Objects.requireNonNull(PLACE.get(cut()), () -> "no phase " + this) : place;
    }

    private static Map<Phase, Integer> places() {
        Map<Phase, Integer> places = new HashMap<>();
        for (int at = 0; at < ALL.size(); at++) {
            places.put(ALL.get(at), at);
        }
        return places;
    }

    private Phase cut() {
        int open = Math.clamp(since, 0, GONE);
        int age = Math.clamp(cellDays, 0, CELL_DAYS);
        return switch (queen) {
            case NONE -> workersLay
                    ? new Phase(queen, cells == Cells.NONE ? Math.clamp(days, 0, WORKERS_SETTLED) : WORKERS_SETTLED,
                            cells,
                            age, open, true)
                    : new Phase(queen, 0, cells, age, cells == Cells.NONE ? Math.clamp(since, 0, LONG) : open, false);
            case VIRGIN -> {
                int old = Math.clamp(days, 0, VIRGIN_DAYS);
                boolean rivals = cells != Cells.NONE && old <= RIVALS_DAYS && !workersLay;
                yield new Phase(queen, old, rivals ? Cells.SWARM : Cells.NONE, rivals ? CELL_DAYS : 0,
                        workersLay ? GONE : open, workersLay);
            }
            case MATED -> new Phase(queen, Math.clamp(days, 0, MATED_DAYS), Cells.NONE, 0, open, false);
            case LAYING -> {
                boolean settled = days >= SETTLED;
                boolean own = cells == Cells.SWARM || cells == Cells.SUPERSEDURE;
                yield settled
                        ? new Phase(queen, SETTLED, own ? cells : Cells.NONE, own ? age : 0, GONE, false)
                        : new Phase(queen, Math.max(0, days), Cells.NONE, 0, Math.max(days + 1, open), false);
            }
            case TWO -> new Phase(queen, SETTLED, Cells.NONE, 0, GONE, false);
            case UNMATED -> new Phase(queen, Math.clamp(days, 0, UNMATED_DAYS), Cells.NONE, 0, open, false);
            case FAILING ->
                new Phase(queen, Math.clamp(days, 0, GONE), Cells.NONE, 0, Math.clamp(days, 0, GONE), false);
            case GIVEN -> cells == Cells.NONE
                    ? new Phase(queen, Math.clamp(days, 0, GIVEN_DAYS), Cells.NONE, 0, open, false)
                    : new Phase(queen, 0, Cells.EMERGENCY, age, open, false);
            case CAGED -> switch (cells) {
                case NONE -> of(queen, 0, open);
                case SWARM -> new Phase(queen, 0, Cells.SWARM, age, open, false);
                case SUPERSEDURE, EMERGENCY, GIVEN -> new Phase(queen, 0, Cells.EMERGENCY, age, open, false);
            };
            case HIVED, RESTING -> of(queen, 0, open);
        };
    }

    static Phase queenless(int since) {
        return new Phase(Queen.NONE, 0, Cells.NONE, 0, since, false);
    }

    static Phase queenlessWith(Cells cells, int cellDays, int since) {
        return new Phase(Queen.NONE, 0, cells, cellDays, since, false);
    }

    static Phase workersLaying(int days, int since) {
        return new Phase(Queen.NONE, days, Cells.NONE, 0, since, true);
    }

    static Phase virgin(int days, int since, boolean rivals) {
        return new Phase(Queen.VIRGIN, days, rivals ? Cells.SWARM : Cells.NONE, rivals ? CELL_DAYS : 0, since, false);
    }

    static Phase laying(int days, int since) {
        return new Phase(Queen.LAYING, days, Cells.NONE, 0, since, false);
    }

    static Phase settled(Cells cells, int cellDays) {
        return new Phase(Queen.LAYING, SETTLED, cells, cellDays, GONE, false);
    }

    static Phase of(Queen queen, int days, int since) {
        return new Phase(queen, days, Cells.NONE, 0, since, false);
    }

    private static List<Phase> make() {
        List<Phase> all = new ArrayList<>();
        for (int since = 0; since <= LONG; since++) {
            all.add(queenless(since));
        }
        for (int since = 0; since <= GONE; since++) {
            for (int age = 0; age <= CELL_DAYS; age++) {
                for (Cells cells : List.of(Cells.SWARM, Cells.SUPERSEDURE, Cells.EMERGENCY, Cells.GIVEN)) {
                    all.add(queenlessWith(cells, age, since));
                }
                all.add(new Phase(Queen.NONE, WORKERS_SETTLED, Cells.EMERGENCY, age, since, true));
                all.add(new Phase(Queen.NONE, WORKERS_SETTLED, Cells.GIVEN, age, since, true));
                // she sits in her cage while they raise another
                all.add(new Phase(Queen.CAGED, 0, Cells.SWARM, age, since, false));
                all.add(new Phase(Queen.CAGED, 0, Cells.EMERGENCY, age, since, false));
                all.add(new Phase(Queen.GIVEN, 0, Cells.EMERGENCY, age, since, false));
            }
            for (int days = 0; days <= WORKERS_SETTLED; days++) {
                all.add(workersLaying(days, since));
            }
            for (int days = 0; days <= VIRGIN_DAYS; days++) {
                all.add(virgin(days, since, false));
                if (days <= RIVALS_DAYS) {
                    all.add(virgin(days, since, true));
                }
            }
            for (int days = 0; days <= MATED_DAYS; days++) {
                all.add(of(Queen.MATED, days, since));
            }
            for (int days = 0; days <= UNMATED_DAYS; days++) {
                all.add(of(Queen.UNMATED, days, since));
            }
            for (int days = 0; days <= GIVEN_DAYS; days++) {
                all.add(of(Queen.GIVEN, days, since));
            }
            for (int days = 0; days < Math.min(since, SETTLED); days++) {
                all.add(laying(days, since));
            }
            all.add(of(Queen.FAILING, since, since));
            all.add(of(Queen.CAGED, 0, since));
            all.add(of(Queen.HIVED, 0, since));
            all.add(of(Queen.RESTING, 0, since));
        }
        for (int days = 0; days <= VIRGIN_DAYS; days++) {
            all.add(new Phase(Queen.VIRGIN, days, Cells.NONE, 0, GONE, true));
        }
        all.add(settled(Cells.NONE, 0));
        all.add(new Phase(Queen.TWO, SETTLED, Cells.NONE, 0, GONE, false));
        for (int age = 0; age <= CELL_DAYS; age++) {
            all.add(settled(Cells.SWARM, age));
            all.add(settled(Cells.SUPERSEDURE, age));
        }
        return all;
    }

    /** A queen is there who is mated, whether she lays today or not. */
    boolean isQueenright() {
        return switch (queen) {
            case LAYING, TWO, CAGED, GIVEN, HIVED, RESTING -> true;
            case NONE, VIRGIN, MATED, UNMATED, FAILING -> false;
        };
    }

    /** Queen cells of whatever kind are under way. */
    boolean hasCells() {
        return cells != Cells.NONE;
    }

    /** Whether worker brood of this age, in days from the egg, is on the comb. */
    boolean hasWorkerBroodOfAge(int age) {
        return switch (queen) {
            case TWO -> true;
            case LAYING -> age <= days || days >= SETTLED || age >= since && since < GONE;
            case NONE, VIRGIN, MATED, UNMATED, FAILING, CAGED, GIVEN, HIVED, RESTING -> age >= since && since < GONE;
        };
    }

    /** The state in one word. */
    Status status() {
        return switch (queen) {
            case LAYING, CAGED, GIVEN -> hasCells() ? Status.CELLS : Status.LAYING_QUEEN;
            case HIVED, RESTING -> Status.LAYING_QUEEN;
            case TWO -> Status.TWO_QUEENS;
            case VIRGIN, MATED -> Status.VIRGIN;
            case UNMATED, FAILING -> Status.DRONE_LAYER;
            case NONE -> {
                if (workersLay) {
                    yield Status.LAYING_WORKERS;
                }
                yield switch (cells) {
                    case SWARM -> Status.JUST_SWARMED;
                    case SUPERSEDURE, EMERGENCY, GIVEN -> Status.CELLS;
                    case NONE ->
                        since <= Clock.OLDEST_LARVA_DAYS ? Status.RECENTLY_QUEENLESS : Status.HOPELESSLY_QUEENLESS;
                };
            }
        };
    }
}

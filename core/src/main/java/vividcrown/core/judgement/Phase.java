package vividcrown.core.judgement;

import java.util.ArrayList;
import java.util.List;

/**
 * A state with its days: what a sign depends on. All phases stand in one fixed list, so a belief is one number a phase.
 *
 * @param status the state
 * @param days how long it has lasted, capped at the state's {@link #cap(Status)}
 * @param sinceWorkerEggs days since a mated queen last laid here; 0 while one lays
 * @param cells what queen cells are about, apart from the state
 */
record Phase(Status status, int days, int sinceWorkerEggs, Cells cells) {

    /** Why there are queen cells, if there are. */
    enum Cells {
        NONE, SWARM, SUPERSEDURE, EMERGENCY
    }

    /** Worker brood is gone this many days after the last egg; longer makes no difference on the comb. */
    static final int BROOD_GONE = 24;
    /** The longest that a virgin is followed; later she is a drone layer or dead. */
    static final int VIRGIN_DAYS = 36;
    private static final int CELL_DAYS = 16;
    private static final int NEW_QUEEN_DAYS = 24;
    private static final int SWARMED_DAYS = 10;
    private static final int LONG = 42;
    private static final int RECENT_DAYS = 9;

    private static final List<Phase> ALL = List.copyOf(make());

    static List<Phase> all() {
        return ALL;
    }

    private static List<Phase> make() {
        List<Phase> all = new ArrayList<>();
        for (Status status : Status.values()) {
            switch (status) {
                case LAYING_QUEEN, TWO_QUEENS, DRONE_LAYER -> add(all, status, cap(status), Cells.NONE);
                case CELLS -> {
                    add(all, status, cap(status), Cells.SWARM);
                    add(all, status, cap(status), Cells.SUPERSEDURE);
                    add(all, status, cap(status), Cells.EMERGENCY);
                }
                case VIRGIN -> {
                    add(all, status, cap(status), Cells.SWARM);
                    add(all, status, cap(status), Cells.EMERGENCY);
                    add(all, status, cap(status), Cells.NONE);
                }
                case JUST_SWARMED -> add(all, status, cap(status), Cells.SWARM);
                case RECENTLY_QUEENLESS, HOPELESSLY_QUEENLESS, LAYING_WORKERS ->
                    add(all, status, cap(status), Cells.NONE);
            }
        }
        return all;
    }

    private static void add(List<Phase> all, Status status, int cap, Cells cells) {
        for (int days = 0; days <= cap; days++) {
            all.add(new Phase(status, days, sinceWorkerEggs(status, days, cells), cells));
        }
    }

    /** Days after which a state no longer changes with time, or has ended. */
    static int cap(Status status) {
        return switch (status) {
            case LAYING_QUEEN, TWO_QUEENS, DRONE_LAYER -> NEW_QUEEN_DAYS;
            case CELLS -> CELL_DAYS;
            case VIRGIN -> VIRGIN_DAYS;
            case JUST_SWARMED -> SWARMED_DAYS;
            case RECENTLY_QUEENLESS -> RECENT_DAYS;
            case HOPELESSLY_QUEENLESS, LAYING_WORKERS -> LONG;
        };
    }

    private static int sinceWorkerEggs(Status status, int days, Cells cells) {
        return Math.min(BROOD_GONE, switch (status) {
            case LAYING_QUEEN, TWO_QUEENS -> 0;
            // before a swarm and in a supersedure the mother still lays
            case CELLS -> cells == Cells.EMERGENCY ? days + 1 : 0;
            case JUST_SWARMED, RECENTLY_QUEENLESS -> days;
            case VIRGIN -> switch (cells) {
                case SWARM -> 7 + days;
                case EMERGENCY, SUPERSEDURE -> 12 + days;
                case NONE -> BROOD_GONE;
            };
            case HOPELESSLY_QUEENLESS -> 8 + days;
            case LAYING_WORKERS, DRONE_LAYER -> BROOD_GONE;
        });
    }

    /** Whether worker brood of this age, in days from the egg, can be on the comb. */
    boolean hasWorkerBroodOfAge(int age) {
        return switch (status) {
            // a queen that began to lay days ago has nothing older, unless she has laid for long
            case LAYING_QUEEN, TWO_QUEENS -> age <= days || days >= NEW_QUEEN_DAYS;
            case CELLS, JUST_SWARMED, RECENTLY_QUEENLESS, VIRGIN, HOPELESSLY_QUEENLESS -> age >= sinceWorkerEggs;
            case DRONE_LAYER, LAYING_WORKERS -> false;
        };
    }
}

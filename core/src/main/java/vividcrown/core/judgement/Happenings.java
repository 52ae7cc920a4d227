package vividcrown.core.judgement;

import java.util.List;
import java.util.Optional;
import vividcrown.core.judgement.Phase.Cells;
import vividcrown.core.judgement.Phase.Queen;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;

/**
 * What an event does to the belief: each phase goes over into what it becomes. That somebody did it tells something as well:
 * nobody gives a cell where a laying queen was seen. Common practice put into numbers.
 */
final class Happenings {

    /** The one removed was not the only queen, or not the queen. */
    private static final double MISSED_ONE = 0.03;
    /** After every cell was destroyed one was overlooked. */
    private static final double MISSED_CELL = 0.08;
    private static final double QUEEN_ACCEPTED = 0.86;
    private static final double VIRGIN_ACCEPTED = 0.65;
    private static final double ACCEPTED_BESIDE_CELLS = 0.3;
    /** In her cage the bees cannot reach her. */
    private static final double WAITS_BESIDE_CELLS = 0.8;
    /** What was begun in the first days they tear down for a queen. */
    private static final int CELLS_JUST_BEGUN_DAYS = 2;
    /** A virgin or a queen overlooked kills the one that is given nine times in ten. */
    private static final double ACCEPTED_BESIDE_A_RIVAL = 0.1;
    private static final double ACCEPTED_AMONG_WORKERS = 0.25;
    /** How likely somebody gives a queen or a cell to a colony that has a laying queen, against one that has none. */
    private static final double GIVEN_BY_MISTAKE = 0.05;
    private static final double GIVEN_BESIDE_A_VIRGIN = 0.35;
    private static final double GIVEN_BESIDE_CELLS = 0.5;
    /** Of cells left when a prime swarm leaves, how old the oldest is from the day of sealing on. */
    private static final double[] AGE_WHEN_SWARMING = {0.2, 0.3, 0.25, 0.15, 0.1};
    private static final double LET_OUT_UNSEEN = 0.05;
    private static final int RELEASED_DAYS = 3;
    /** Days of a virgin that is given, where nobody says it. */
    private static final List<Integer> USUAL_AGES = List.of(1, 3, 5);
    /** Age in days of the youngest brood in a frame given as open brood: eggs, mostly. */
    private static final int GIFT_SINCE = 1;
    /** Nothing but sealed brood went along. */
    private static final int SEALED_ONLY_SINCE = 9;

    private final Clock clock;

    Happenings(Clock clock) {
        this.clock = clock;
    }

    Belief apply(Belief belief, ColonyEvent event) {
        return switch (event.kind()) {
            case QUEEN_REMOVED -> belief.weighed((_, phase) -> phase.queen() == Queen.NONE ? 0.15 : 1)
                    .after(Happenings::queenLost);
            case SPLIT_WITHOUT_QUEEN -> belief.after(Happenings::queenLost);
            case SPLIT_WITHOUT_EGGS -> belief.after((phase, weight, next) -> queenLost(phase, weight,
                    (then, share) -> next.put(aged(then, SEALED_ONLY_SINCE), share)));
            case SPLIT_WITH_QUEEN -> belief.after((phase, weight, next) -> {
                // who splits with the queen has seen her lay
                double others = phase.isQueenright() ? 1 : 0.05;
                next.put(phase, weight * others);
                next.put(Phase.settled(Cells.NONE, 0), weight * (1 - others));
            });
            case SWARMED -> belief.after(this::swarmed);
            case CAST -> belief.after((phase, weight, next) -> {
                int since = phase.isQueenright() ? clock.sealedAt() : phase.since();
                next.put(Phase.virgin(1, since, true), weight * 0.75);
                next.put(Phase.queenlessWith(Cells.SWARM, clock.emergesAt() - 1, since), weight * 0.2);
                next.put(phase, weight * 0.05);
            });
            case QUEEN_GIVEN -> given(belief).after(Happenings::queenGiven);
            case UNITED -> belief.after((phase, weight, next) -> {
                double kept = phase.queen() == Queen.VIRGIN ? 0.8 : phase.workersLay() ? 0.75 : 0.95;
                next.put(Phase.settled(Cells.NONE, 0), weight * kept);
                next.put(phase, weight * (1 - kept));
            });
            case CELL_GIVEN ->
                given(belief).after((phase, weight, next) -> cellGiven(phase, weight, ageOf(event), next));
            case VIRGIN_GIVEN -> given(belief)
                    .after((phase, weight, next) -> virginGiven(phase, weight, event.virginDays(), next));
            // who cages her has had her in hand
            case QUEEN_CAGED -> belief
                    .weighed((_, phase) -> phase.queen() == Queen.NONE ? 0.02 : phase.isQueenright() ? 1 : 0.15)
                    .after((phase, weight, next) -> next.put(phase.isQueenright()
                            ? new Phase(Queen.CAGED, 0, phase.cells(), phase.cellDays(), sinceOf(phase), false)
                            : phase, weight));
            // who lets her out sees that she lives
            case QUEEN_RELEASED -> belief.weighed((_, phase) -> phase.isQueenright() ? 1 : LET_OUT_UNSEEN)
                    .after((phase, weight, next) -> {
                        boolean kept = phase.queen() == Queen.CAGED || phase.queen() == Queen.GIVEN;
                        // out of the cage she takes a day or some to begin
                        next.put(kept
                                ? new Phase(Queen.GIVEN, RELEASED_DAYS, phase.cells(), phase.cellDays(), phase.since(),
                                        false)
                                : phase, weight);
                    });
            case BROOD_GIVEN -> belief.after(Happenings::broodGiven);
            case BROOD_TAKEN -> belief.after((phase, weight, next) -> next.put(broodTaken(phase), weight));
            case CELLS_DESTROYED -> belief.after(Happenings::cellsDestroyed);
            case STARTED -> belief.after((_, weight, next) -> {
                next.put(Phase.of(Queen.HIVED, 0, Phase.GONE), weight * 0.75);
                next.put(Phase.virgin(4, Phase.GONE, false), weight * 0.13);
                next.put(Phase.queenless(Phase.GONE), weight * 0.12);
            });
        };
    }

    /** Only a ripe cell is given, unless another is said: it opens within days. */
    private int ageOf(ColonyEvent event) {
        CellLook look = event.cell().orElse(CellLook.RIPE);
        return switch (look) {
            case CUP_EMPTY, CUP_EGG -> 2;
            case JELLY -> clock.hatchesAt() + 1;
            case LONG -> clock.sealedAt() - 2;
            case SEALED -> (clock.sealedAt() + clock.emergesAt()) / 2;
            case RIPE, EMERGED, TORN_SIDE, TORN_DOWN -> clock.emergesAt() - 1;
        };
    }

    private static Belief given(Belief belief) {
        return belief.weighed((_, phase) -> {
            if (phase.isQueenright()) {
                return GIVEN_BY_MISTAKE;
            }
            return switch (phase.queen()) {
                case VIRGIN, MATED, UNMATED, FAILING -> GIVEN_BESIDE_A_VIRGIN;
                case NONE -> phase.hasCells() ? GIVEN_BESIDE_CELLS : 1;
                case LAYING, TWO, CAGED, GIVEN, HIVED, RESTING -> GIVEN_BY_MISTAKE;
            };
        });
    }

    /** Days since a queen laid, where she is taken or stopped today. */
    private static int sinceOf(Phase phase) {
        return switch (phase.queen()) {
            case LAYING, TWO -> 0;
            case NONE, VIRGIN, MATED, UNMATED, FAILING, CAGED, GIVEN, HIVED, RESTING -> phase.since();
        };
    }

    private static Phase aged(Phase phase, int since) {
        return phase.queen() == Queen.NONE
                ? new Phase(phase.queen(), phase.days(), phase.cells(), phase.cellDays(),
                        Math.max(since, phase.since()),
                        phase.workersLay())
                : phase;
    }

    private static void queenLost(Phase phase, double weight, Course.Sink next) {
        switch (phase.queen()) {
            case NONE -> next.put(phase, weight);
            case TWO -> next.put(Phase.settled(Cells.NONE, 0), weight);
            case LAYING, VIRGIN, MATED, UNMATED, FAILING, CAGED, GIVEN, HIVED, RESTING -> {
                Phase without = new Phase(Queen.NONE, phase.workersLay() ? Phase.WORKERS_SETTLED : 0, phase.cells(),
                        phase.cellDays(), sinceOf(phase), phase.workersLay());
                // beside a young virgin other cells may be alive, but nobody knows
                boolean rivals = phase.queen() == Queen.VIRGIN && phase.hasCells();
                next.put(rivals ? Phase.queenless(phase.since()) : without, weight * (1 - MISSED_ONE));
                next.put(phase, weight * MISSED_ONE);
            }
        }
    }

    private void swarmed(Phase phase, double weight, Course.Sink next) {
        boolean casting = phase.queen() == Queen.VIRGIN;
        if (casting) {
            next.put(Phase.virgin(1, phase.since(), true), weight);
            return;
        }
        double left = 0.97;
        for (int later = 0; later < AGE_WHEN_SWARMING.length; later++) {
            next.put(Phase.queenlessWith(Cells.SWARM, clock.sealedAt() - 1 + later, 1),
                    weight * left * AGE_WHEN_SWARMING[later]);
        }
        next.put(phase, weight * (1 - left));
    }

    private static void queenGiven(Phase phase, double weight, Course.Sink next) {
        if (phase.queen() == Queen.NONE && phase.hasCells() && !phase.workersLay()
                && phase.since() > CELLS_JUST_BEGUN_DAYS) {
            // whether she is kept is seen when they tear the cells down, or somebody does
            next.put(new Phase(Queen.GIVEN, 0, phase.cells(), phase.cellDays(), phase.since(), false),
                    weight * WAITS_BESIDE_CELLS);
            next.put(phase, weight * (1 - WAITS_BESIDE_CELLS));
            return;
        }
        double accepted = switch (phase.queen()) {
            case NONE -> phase.workersLay() ? ACCEPTED_AMONG_WORKERS : QUEEN_ACCEPTED;
            case VIRGIN, MATED, UNMATED, FAILING -> ACCEPTED_BESIDE_A_RIVAL;
            case LAYING, TWO, CAGED, GIVEN, HIVED, RESTING -> 0;
        };
        next.put(Phase.of(Queen.GIVEN, 0, phase.since()), weight * accepted);
        next.put(phase, weight * (1 - accepted));
    }

    private static void cellGiven(Phase phase, double weight, int age, Course.Sink next) {
        switch (phase.queen()) {
            case NONE -> {
                boolean older = phase.hasCells() && phase.cellDays() >= age;
                next.put(older
                        ? phase
                        : new Phase(Queen.NONE, phase.days(), Cells.GIVEN, age, phase.since(), phase.workersLay()),
                        weight);
            }
            // torn down by the one that is there
            case VIRGIN, MATED, UNMATED, FAILING, LAYING, TWO, CAGED, GIVEN, HIVED, RESTING -> next.put(phase, weight);
        }
    }

    private static void virginGiven(Phase phase, double weight, Optional<Integer> days, Course.Sink next) {
        double accepted = phase.queen() != Queen.NONE || phase.workersLay()
                ? ACCEPTED_BESIDE_A_RIVAL
                : phase.hasCells() ? ACCEPTED_BESIDE_CELLS : VIRGIN_ACCEPTED;
        double all = phase.isQueenright() ? 0 : accepted;
        List<Integer> ages = days.map(List::of).orElse(USUAL_AGES);
        for (int age : ages) {
            next.put(Phase.virgin(age, phase.since(), false), weight * all / ages.size());
        }
        next.put(phase, weight * (1 - all));
    }

    private static void broodGiven(Phase phase, double weight, Course.Sink next) {
        int since = Math.min(phase.since(), GIFT_SINCE);
        boolean settled = phase.queen() == Queen.TWO || phase.queen() == Queen.FAILING
                || phase.queen() == Queen.LAYING && phase.days() >= Phase.SETTLED;
        next.put(settled
                ? phase
                : new Phase(phase.queen(), phase.days(), phase.cells(), phase.cellDays(), since, phase.workersLay()),
                weight);
    }

    private static Phase broodTaken(Phase phase) {
        return switch (phase.queen()) {
            case LAYING, TWO -> Phase.laying(0, Phase.GONE);
            case FAILING -> phase;
            case NONE -> new Phase(Queen.NONE, phase.days(), Cells.NONE, 0, Math.max(phase.since(), Phase.GONE),
                    phase.workersLay());
            case VIRGIN, MATED, UNMATED, CAGED, GIVEN, HIVED, RESTING ->
                new Phase(phase.queen(), phase.days(), Cells.NONE, 0, Phase.GONE, phase.workersLay());
        };
    }

    private static void cellsDestroyed(Phase phase, double weight, Course.Sink next) {
        if (!phase.hasCells()) {
            next.put(phase, weight);
            return;
        }
        next.put(new Phase(phase.queen(), phase.days(), Cells.NONE, 0, phase.since(), phase.workersLay()),
                weight * (1 - MISSED_CELL));
        // what is overlooked is a young one
        next.put(new Phase(phase.queen(), phase.days(), phase.cells(), Math.min(phase.cellDays(), 5), phase.since(),
                phase.workersLay()), weight * MISSED_CELL);
    }
}

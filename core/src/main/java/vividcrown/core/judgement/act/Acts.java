package vividcrown.core.judgement.act;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import vividcrown.core.judgement.Action;

/** All that can be done. */
public final class Acts {

    private static final List<Act> ALL = List.of(new LeaveAlone(), new LookAgain(), new TestFrame(),
            new WaitForYoungQueen(),
            new ReduceToOneCell(), new RemoveCells(), new CutCells(), new ArtificialSwarm(), new GiveCell(),
            new GiveQueen(),
            new BroodThenQueen(), new GiveFrameWithCells(), new Requeen(), new Unite(), new ShakeOut(),
            new ShakeOutForANuc(), new BroodWeekly(), new BreakUp(), new MarkBoth());
    private static final Map<Action, Act> BY_ACTION = new EnumMap<>(Action.class);

    static {
        ALL.forEach(act -> BY_ACTION.put(act.action(), act));
    }

    private Acts() {
    }

    public static List<Act> all() {
        return ALL;
    }

    public static Act of(Action action) {
        return Objects.requireNonNull(BY_ACTION.get(action));
    }
}

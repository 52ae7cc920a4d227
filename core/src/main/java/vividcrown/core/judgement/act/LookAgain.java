package vividcrown.core.judgement.act;

import java.util.List;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Look again some days later: worth what is in there then, and what the look tells is added by the advisor. */
final class LookAgain extends LeaveAlone {

    LookAgain() {
        super(Action.LOOK_AGAIN, 0.01);
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(look(DaySpan.ofDays(7, 7, 14), at, "eggs"));
    }
}

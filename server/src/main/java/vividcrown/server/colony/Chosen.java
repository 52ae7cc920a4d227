package vividcrown.server.colony;

import java.util.List;
import vividcrown.core.judgement.Action;

/**
 * As recorded when an action is chosen: the follow-ups as they stood on that day, so that later knowledge does not move
 * what was promised.
 */
public record Chosen(Action action, List<VerdictView.FollowUpView> followUps) {
}

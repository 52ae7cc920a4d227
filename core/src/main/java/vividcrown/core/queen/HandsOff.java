package vividcrown.core.queen;

import vividcrown.core.reason.Reason;
import vividcrown.core.time.DatedSpan;

/**
 * Days on which a box stays shut.
 *
 * @param days first to last, both included
 * @param reason why
 */
public record HandsOff(DatedSpan days, Reason reason) {
}

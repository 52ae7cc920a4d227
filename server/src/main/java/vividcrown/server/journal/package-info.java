/**
 * The record: what people saw and did. {@link vividcrown.server.journal.Recorder} is its one door. It knows no deed by name:
 * features register theirs ({@link vividcrown.server.journal.DeedKinds}) and make rows of what is recorded
 * ({@link vividcrown.server.journal.Projector}).
 */
@NullMarked
package vividcrown.server.journal;

import org.jspecify.annotations.NullMarked;

package vividcrown.server.queen;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import vividcrown.core.queen.Stage;
import vividcrown.server.wire.SpanView;

/**
 * A cell or queen as a yard of hundreds shows her: no more than its rows say.
 *
 * @param stageText her stage in words
 * @param late no eggs though it is past the day from which the trade calls it late
 * @param overdue what is due at her box should have been done before today
 */
public record QueenInNuc(UUID id, String code, Stage stage, String stageText, boolean late, boolean overdue,
        @Nullable DueInNuc due, QueenView.ThreadView thread) {

    /** @param why the first reason for it, empty if there is none */
    public record DueInNuc(String text, SpanView window, String why) {
    }
}

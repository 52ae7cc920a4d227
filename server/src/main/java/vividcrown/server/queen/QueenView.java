package vividcrown.server.queen;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import vividcrown.core.queen.CullReason;
import vividcrown.core.queen.Milestone;
import vividcrown.core.queen.Stage;
import vividcrown.core.queen.Thread;
import vividcrown.core.queen.Work;
import vividcrown.core.queen.YearColour;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/**
 * A cell or queen as lists and pictures show her.
 *
 * @param stageText her stage in words
 * @param hive code of the hive she is in
 * @param cage incubator cage she is in
 * @param mark her mark in words, empty if none
 * @param colour the colour of her year, if the year is known
 * @param late no eggs though it is past the day from which the trade calls it late
 * @param overdue what is due at her box should have been done before today
 * @param comesGood odds, 0 to 1, that a late one still lays worker eggs
 */
public record QueenView(UUID id, String code, String name, Stage stage, String stageText, boolean alive,
        @Nullable UUID hiveId, @Nullable String hive, @Nullable Integer cage, @Nullable UUID graftId, int bar, int cup,
        @Nullable UUID motherId, @Nullable String mother, int emergenceYear, String mark, @Nullable YearColour colour,
        @Nullable CullReason cullReason, boolean late, boolean overdue, @Nullable Double comesGood,
        @Nullable DueView due, ThreadView thread) {

    public record DueView(Work work, String text, SpanView window, List<ReasonView> reasons) {
    }

    /**
     * @param strands what she was from which day to which; what lies after today is expected
     * @param seen firm marks
     * @param unsure days in which the next change can fall
     * @param handsOff days on which her box stays shut
     */
    public record ThreadView(List<Strand> strands, List<Seen> seen, @Nullable SpanView unsure,
            List<SpanView> handsOff, @Nullable LocalDate end) {
    }

    public record Strand(Thread.Character character, LocalDate from, LocalDate until) {
    }

    public record Seen(LocalDate day, Milestone what) {
    }
}

package vividcrown.core.queen;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.time.DatedSpan;

/**
 * One queen's life as a line through time, ready to be drawn: what she was from which day to which. Whatever lies after
 * today is expected, not known; the drawing shows it softer.
 *
 * @param strands in order of time, each beginning where the one before ends
 * @param unsure the days in which the next change can fall, while it has not been seen
 * @param end the day on which her thread ends, if it has
 */
public record Thread(List<Strand> strands, Optional<DatedSpan> unsure, Optional<LocalDate> end) {

    /** What a stretch of the thread is. */
    public enum Character {
        CELL, VIRGIN, MATING, LAYING, DRONE_LAYING
    }

    /**
     * @param from first day, included
     * @param until last day, excluded unless it is {@code from}
     */
    public record Strand(Character character, LocalDate from, LocalDate until) {
    }

    public Thread {
        strands = List.copyOf(strands);
    }

    /** How far ahead a laying queen is drawn, days. */
    private static final int LAYING_AHEAD = 14;

    public static Thread of(QueenLife life, QueenOutlook outlook, Assumptions assumptions, LocalDate today) {
        LocalDate end = life.on(Milestone.ENDED).orElse(LocalDate.MAX);
        Weaver weaver = new Weaver(end);
        Optional<LocalDate> out = outlook.emergence()
                .map(span -> life.stage().isCell() && today.isAfter(span.likely())
                        ? latestOf(span.likely(), today)
                        : span.likely());
        life.on(Milestone.GRAFTED).ifPresent(graft -> weaver.weave(Character.CELL, graft, out.orElse(today)));
        LocalDate lays = layingFrom(life, outlook, today);
        out.ifPresent(emerged -> {
            LocalDate flies = earliestOf(emerged.plusDays(assumptions.span(Figure.MATING_FLIGHTS).earliestDay()), lays);
            weaver.weave(Character.VIRGIN, emerged, flies);
            weaver.weave(Character.MATING, flies, lays);
        });
        LocalDate ahead = today.plusDays(LAYING_AHEAD);
        if (life.stage() == Stage.DRONE_LAYER) {
            weaver.weave(Character.DRONE_LAYING, lays, ahead);
        } else if (lays.isBefore(ahead)) {
            weaver.weave(Character.LAYING, lays, ahead);
        }
        return new Thread(weaver.strands, unsure(life, outlook), life.on(Milestone.ENDED));
    }

    /** Seen days are firm; an expected day that has passed without being seen is no earlier than today. */
    private static LocalDate layingFrom(QueenLife life, QueenOutlook outlook, LocalDate today) {
        Optional<LocalDate> seen = life.on(Milestone.DRONE_BROOD_SEEN).or(() -> life.on(Milestone.EGGS_SEEN)
                .map(day -> outlook.firstEggs().map(DatedSpan::likely).orElse(day)));
        return seen.orElseGet(() -> outlook.firstEggs().map(span -> latestOf(span.likely(), today)).orElse(today));
    }

    private static Optional<DatedSpan> unsure(QueenLife life, QueenOutlook outlook) {
        if (!life.isAlive()) {
            return Optional.empty();
        }
        return switch (life.stage()) {
            case GRAFTED, TAKEN, SEALED -> outlook.emergence();
            case VIRGIN -> outlook.firstEggs();
            case LAYING, JUDGED, DRONE_LAYER, NOT_TAKEN, CULLED, DUD, DEAD, TAKEN_OUT -> Optional.empty();
        };
    }

    private static LocalDate latestOf(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }

    private static LocalDate earliestOf(LocalDate a, LocalDate b) {
        return a.isBefore(b) ? a : b;
    }

    /** Adds strands, cut at the end of her life; empty ones are left out. */
    private static final class Weaver {
        private final LocalDate end;
        private final List<Strand> strands = new ArrayList<>();

        Weaver(LocalDate end) {
            this.end = end;
        }

        void weave(Character character, LocalDate from, LocalDate until) {
            LocalDate cut = earliestOf(until, end);
            if (from.isBefore(cut)) {
                strands.add(new Strand(character, from, cut));
            }
        }
    }
}

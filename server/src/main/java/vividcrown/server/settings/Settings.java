package vividcrown.server.settings;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.time.DayOfWeek;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.colony.FrameFormat;
import vividcrown.core.judgement.Action;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.YearColour;
import vividcrown.core.swarm.SwarmSchool;

/**
 * What an operation does its own way, as recorded and as sent.
 *
 * @param figures day-counts that take the place of the trade's; none twice
 * @param swarm the way it deals with swarm cells
 * @param preferred actions that it prefers where several would do
 * @param formats its frames, beside the usual ones
 * @param season hands and places to plan the season with
 * @param marking colours for years ending in 1 or 6, 2 or 7, 3 or 8, 4 or 9, 5 or 0
 */
public record Settings(@NotNull List<@Valid OwnFigure> figures, @NotNull List<YearColour> marking,
        @NotNull Units units, @Nullable SwarmSchool swarm, @Nullable List<Action> preferred,
        @Nullable List<@Valid OwnFormat> formats, @Nullable @Valid SeasonHands season) {

    /** @param sideSquareDecimetres comb area of one side, 1–30 dm² */
    public record OwnFormat(@NotBlank String name, @DecimalMin("1") @DecimalMax("30") double sideSquareDecimetres) {
    }

    static final Settings STANDARD = new Settings(List.of(), MarkingScheme.INTERNATIONAL.colours(), Units.METRIC,
            null, null, null, null);

    /**
     * What there is to plan a season with.
     *
     * @param hoursADay hours that a working day has for queens, all people together
     * @param daysOff days of the week without work
     * @param cages places in the incubator
     * @param assurance chance of meeting an order that is wanted where the order names none
     */
    public record SeasonHands(@DecimalMin("0.5") @DecimalMax("400") double hoursADay,
            @NotNull Set<DayOfWeek> daysOff, @Min(0) @Max(10_000) int cages,
            @DecimalMin("0.5") @DecimalMax("0.999") double assurance) {

        /** Two people, Sundays off. */
        static final SeasonHands USUAL = new SeasonHands(14, Set.of(DayOfWeek.SUNDAY), 60, 0.9);
    }

    public SeasonHands hands() {
        return season == null ? SeasonHands.USUAL : season;
    }

    /** @throws IllegalArgumentException if the figures contradict each other, with what to change */
    public Assumptions assumptions() {
        return OwnFigure.over(figures);
    }

    public SwarmSchool swarmSchool() {
        return swarm == null ? SwarmSchool.DESTROY_AND_RETURN : swarm;
    }

    public Set<Action> preferredActions() {
        return preferred == null ? Set.of() : Set.copyOf(preferred);
    }

    /** The usual frames and the operation's own, by name. */
    public Map<String, Double> frameFormats() {
        Map<String, Double> all = new LinkedHashMap<>(FrameFormat.sides());
        if (formats != null) {
            formats.forEach(one -> all.put(one.name(), one.sideSquareDecimetres()));
        }
        return all;
    }

    /** @throws IllegalArgumentException unless each of five years has a colour of its own */
    public MarkingScheme scheme() {
        return new MarkingScheme(marking);
    }
}

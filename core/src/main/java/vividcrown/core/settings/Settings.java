package vividcrown.core.settings;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.hive.FrameFormat;
import vividcrown.core.journal.Faults;
import vividcrown.core.judgement.Action;
import vividcrown.core.merit.Score;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.YearColour;
import vividcrown.core.reason.Measures;
import vividcrown.core.reason.Units;
import vividcrown.core.reason.Wrong;
import vividcrown.core.requeening.Requeening;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.split.recipe.SplitRecipe;
import vividcrown.core.swarm.SwarmSchool;

/**
 * What an operation does its own way.
 *
 * @param figures day-counts that take the place of the trade's; none twice
 * @param marking colours for years ending in 1 or 6, 2 or 7, 3 or 8, 4 or 9, 5 or 0; none twice
 * @param swarm the way it deals with swarm cells
 * @param preferred actions that it prefers where several would do
 * @param formats its frames, beside the usual ones
 * @param season hands and places to plan the season with
 * @param recipes its own ways of making increase, copied from the trade's and changed; no name twice
 * @param dates language and region that days are written for, as a BCP 47 tag; English as in Britain if left out
 * @param authority whom to tell of a sign of disease, and how: name, telephone; up to 200 characters, empty if not noted
 * @param weakFrames a hive with fewer frames of bees has to be managed by the code of the place, 0.5–10; empty if there is no
 *     such code
 * @param requeening the rule by which it changes queens; at two years if left out
 * @param spares share of its colonies for which it keeps a queen spare, 0–1; a tenth if left out
 * @param worth what is worth how much to it, in minutes of its work; the usual if left out
 * @param scale on which it marks colonies; 1 to 4 by halves if left out
 * @param mitePercent its own rule: mites for a hundred bees from which it acts, above 0, up to 20; empty if it has none
 */
public record Settings(List<OwnFigure> figures, List<YearColour> marking, Units units, SwarmSchool swarm,
        Set<Action> preferred, List<OwnFormat> formats, SeasonHands season, List<OwnRecipe> recipes,
        Optional<String> dates, Optional<String> authority, Optional<Double> mitePercent, Optional<Double> weakFrames,
        Optional<Requeening.Policy> requeening, Optional<Double> spares, Optional<Score.Scale> scale,
        Optional<SeasonWorth> worth) {

    /** What the trade does. */
    public static final Settings STANDARD = new Settings(List.of(), MarkingScheme.INTERNATIONAL.colours(), Units.METRIC,
            SwarmSchool.DESTROY_AND_RETURN, Set.of(), List.of(), SeasonHands.USUAL, List.of(),
            Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(),
            Optional.empty(), Optional.empty());

    /**
     * @param name 1–60 characters
     * @param sideSquareDecimetres comb area of one side, 1–30 dm²
     */
    public record OwnFormat(String name, double sideSquareDecimetres) {
        public OwnFormat {
            if (name.isBlank() || name.length() > 60) {
                throw Wrong.of("wrong.Settings", name);
            }
            if (!(sideSquareDecimetres >= 1 && sideSquareDecimetres <= 30)) {
                throw Wrong.of("wrong.Settings.2", sideSquareDecimetres);
            }
        }
    }

    /**
     * A way of making increase of its own.
     *
     * @param name 1–60 characters
     */
    public record OwnRecipe(String name, SplitRecipe recipe) {
        public OwnRecipe {
            new Faults().text("name", name, 1, 60).refuse();
        }
    }

    /** @throws IllegalArgumentException if figures contradict each other, or two years have one colour */
    public Settings {
        figures = List.copyOf(figures);
        marking = List.copyOf(marking);
        preferred = Set.copyOf(preferred);
        formats = List.copyOf(formats);
        recipes = List.copyOf(recipes);
        Faults faults = new Faults();
        authority.ifPresent(whom -> faults.text("authority", whom, 1, 200));
        mitePercent.ifPresent(percent -> faults.within("mitePercent", percent, 0.01, 20));
        spares.ifPresent(share -> faults.within("spares", share, 0, 1));
        weakFrames.ifPresent(frames -> faults.within("weakFrames", frames, 0.5, 10));
        faults.within("recipes", recipes.size(), 0, 50)
                .unless(recipes.stream().map(one -> one.name().strip()).distinct().count() == recipes.size(),
                        "fault.recipeNameTwice")
                .refuse();
        OwnFigure.over(figures);
        new MarkingScheme(marking);
        dates.filter(tag -> Locale.forLanguageTag(tag).getLanguage().isEmpty()).ifPresent(tag -> {
            throw Wrong.of("wrong.Settings.dates", tag);
        });
        if (formats.size() > 100) {
            throw Wrong.of("wrong.Settings.3", formats.size());
        }
    }

    public Assumptions assumptions() {
        return OwnFigure.over(figures);
    }

    /** The usual frames and the operation's own, by name: comb area of one side, dm². */
    public Map<String, Double> frameFormats() {
        Map<String, Double> all = new LinkedHashMap<>(FrameFormat.sides());
        formats.forEach(one -> all.put(one.name(), one.sideSquareDecimetres()));
        return all;
    }

    /** What sentences are measured in, and how days are written in them. */
    public Measures measures() {
        return new Measures(units, dates.map(Locale::forLanguageTag).orElse(Locale.ENGLISH));
    }

    public MarkingScheme scheme() {
        return new MarkingScheme(marking);
    }
}

package vividcrown.core.season.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeBook;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.supply.Yield;

/** What would make hold what does not: the season asked again with one thing more. */
record WaysOut(RecipeBook book, List<BuilderClass> classes) {

    private static final double FOR_EACH = 0.5;
    /** Nobody promises what fails as often as not. */
    private static final double LEAST_PROMISED = 0.5;

    /** The most helpful first. */
    List<SeasonPlan.WayOut> of(Draft draft, Function<PromiseGroup, Yield> there, SolveWatch watch,
            Deadline deadline) {
        Set<PromiseGroup> before = draft.holding();
        List<SeasonPlan.WayOut> ways = new ArrayList<>();
        lessSure(draft).ifPresent(ways::add);
        Relaxation[] kinds = Arrays.stream(Relaxation.values()).filter(kind -> kind != Relaxation.ASSURANCE)
                .toArray(Relaxation[]::new);
        for (int index = 0; index < kinds.length; index++) {
            // one is asked for even when time is up: nobody is left without a way out
            if (watch.isStopped() || index > 0 && deadline.isOver()) {
                break;
            }
            Relaxation kind = kinds[index];
            double seconds = Math.max(Deadline.SHORTEST_SEARCH_SECONDS,
                    deadline.secondsLeft() / (kinds.length - index) * FOR_EACH);
            relaxed(kind, draft, there).solve(seconds, SolveWatch.silent(watch::isStopped))
                    .flatMap(relaxed -> wayOut(kind, before, relaxed)).ifPresent(ways::add);
        }
        ways.sort(Comparator.comparingInt((SeasonPlan.WayOut way) -> -way.helps().size())
                .thenComparing(SeasonPlan.WayOut::kind));
        return ways;
    }

    /** Those that come in time, but not as surely as wanted: how sure they are shows in the plan itself. */
    private Optional<SeasonPlan.WayOut> lessSure(Draft draft) {
        List<String> helps = new ArrayList<>();
        double surest = 1;
        for (int index = 0; index < book.groups().size(); index++) {
            double chance = draft.chance(index);
            boolean inTime = draft.solution().choices().get(index).filter(one -> one.daysLate() == 0).isPresent();
            if (inTime && draft.state(index) == Promise.State.AT_RISK && chance >= LEAST_PROMISED) {
                book.groups().get(index).demands().forEach(demand -> helps.add(demand.id()));
                surest = Math.min(surest, chance);
            }
        }
        return helps.isEmpty()
                ? Optional.empty()
                : Optional.of(wayOut(Relaxation.ASSURANCE, (int) Math.floor(surest * 100), helps));
    }

    /** The same season with one thing more. */
    private SeasonModel relaxed(Relaxation kind, Draft draft, Function<PromiseGroup, Yield> there) {
        SeasonModel.Solution known = draft.solution();
        return switch (kind) {
            case NUCS, HOURS, CAGES, ASSURANCE ->
                new SeasonModel(book.brief(), book.groups(), draft.recipes(), classes, Optional.of(kind), known);
            case LATER -> {
                List<Integer> delays = new ArrayList<>(RecipeFinder.LATE_BY);
                delays.addAll(RecipeFinder.MUCH_LATER);
                yield new SeasonModel(book.brief(), book.groups(),
                        book.of(book.brief(), there, delays, known.choices()), classes,
                        Optional.of(kind), known);
            }
            case DAYS_OFF -> {
                SeasonBrief with = book.brief()
                        .with(book.brief().means().with(book.brief().means().crew().withoutDaysOff()));
                yield new SeasonModel(with, book.groups(),
                        book.of(with, there, RecipeFinder.LATE_BY, known.choices()),
                        classes,
                        Optional.of(kind), known);
            }
            case BUILDERS -> {
                List<BuilderClass> more = new ArrayList<>(classes);
                more.add(new BuilderClass(List.of(new CellBuilder("+", BuilderSchool.STARTER_THEN_FINISHER, 30,
                        book.brief().today().plusDays(2), List.of())), 100));
                yield new SeasonModel(book.brief(), book.groups(),
                        book.of(withBuilder(), there, RecipeFinder.LATE_BY, known.choices()), more,
                        Optional.of(kind), known);
            }
        };
    }

    /** With more builders a day takes more cups; without this no recipe would use them. */
    private SeasonBrief withBuilder() {
        List<CellBuilder> more = new ArrayList<>(book.brief().means().builders());
        for (int index = 0; index < 4; index++) {
            more.add(new CellBuilder("+" + index, BuilderSchool.STARTER_THEN_FINISHER, 30,
                    book.brief().today().plusDays(2),
                    List.of()));
        }
        return book.brief().with(book.brief().means().with(more));
    }

    private Optional<SeasonPlan.WayOut> wayOut(Relaxation kind, Set<PromiseGroup> before,
            SeasonModel.Solution relaxed) {
        Map<PromiseGroup, Optional<Recipe>> now = new LinkedHashMap<>();
        for (int index = 0; index < book.groups().size(); index++) {
            now.put(book.groups().get(index), relaxed.choices().get(index));
        }
        List<String> helps = new ArrayList<>();
        int later = 0;
        for (Map.Entry<PromiseGroup, Optional<Recipe>> one : now.entrySet()) {
            PromiseGroup group = one.getKey();
            boolean better = one.getValue()
                    .filter(recipe -> recipe.assurance() >= group.assurance() - 1e-9)
                    .filter(recipe -> kind == Relaxation.LATER || recipe.daysLate() == 0).isPresent();
            if (better && !before.contains(group)) {
                group.demands().forEach(demand -> helps.add(demand.id()));
                later = Math.max(later, one.getValue().orElseThrow().daysLate());
            }
        }
        int amount = kind == Relaxation.LATER ? later : relaxed.extra();
        boolean nothingNew = helps.isEmpty() || amount == 0 && kind != Relaxation.DAYS_OFF;
        if (nothingNew) {
            return Optional.empty();
        }
        return Optional.of(wayOut(kind, amount, helps));
    }

    private static SeasonPlan.WayOut wayOut(Relaxation kind, int amount, List<String> helps) {
        String sentence = "plan.wayOut." + kind.name();
        String whom = String.join(", ", helps);
        return new SeasonPlan.WayOut(kind, amount, helps, Sentence.of(sentence, amount, whom),
                Reason.of(Source.derived("the plan asked again with one thing more"), sentence, amount, whom));
    }
}

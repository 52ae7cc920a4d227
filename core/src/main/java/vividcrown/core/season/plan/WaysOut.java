package vividcrown.core.season.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.reason.Sentence;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.supply.Yield;

/**
 * What would make hold what does not. What the plan itself shows is told from its distributions; everything else is tried before it is told: the
 * season is asked again with one thing more, or without one order, its cups are fitted, and who gains and who loses is read off the plan that
 * comes of it.
 */
final class WaysOut {

    /** Of all the effort, for each question. */
    private static final double FOR_EACH = 0.03;
    /** Nobody promises what fails as often as not. */
    private static final double LEAST_PROMISED = 0.5;
    /** Orders said no to for a trial, the least important first. */
    private static final int MOST_NOES = 6;
    /** Of an order, the largest first. */
    private static final List<Double> PARTS = List.of(0.75, 0.5, 0.25, 0.1);
    private static final int ASKED_AT_ONCE = 2;
    private static final int BUILDERS_THOUGHT_OF = 8;
    private static final int THEIR_LOAD = 30;
    private static final Set<Relaxation> TRIED = EnumSet.of(Relaxation.NUCS, Relaxation.BUILDERS, Relaxation.HOURS,
            Relaxation.DAYS_OFF, Relaxation.LATER, Relaxation.CAGES);

    private final Drafts drafts;
    private final Draft draft;
    private final Awaiting awaiting = new Awaiting();
    private final SolveWatch watch;
    private final Deadline deadline;
    private final double mostSeconds;
    private final List<Integer> open;
    private final Map<Demand, Promise.State> before;

    /** @param draft of these, that does not hold altogether */
    WaysOut(Drafts drafts, Draft draft, SolveWatch watch, Deadline deadline, double mostSeconds) {
        this.drafts = drafts;
        this.draft = draft;
        this.watch = SolveWatch.silent(() -> awaiting.isInterrupted() || watch.isStopped());
        this.deadline = deadline;
        this.mostSeconds = mostSeconds;
        this.before = draft.states();
        this.open = IntStream.range(0, drafts.groups().size()).filter(at -> draft.state(at) != Promise.State.HOLDS)
                .boxed().toList();
    }

    /** The most helpful first. */
    List<SeasonPlan.WayOut> all() {
        List<SeasonPlan.WayOut> ways = new ArrayList<>();
        open.forEach(at -> ways.addAll(ofItself(at)));
        List<Supplier<List<SeasonPlan.WayOut>>> questions = new ArrayList<>();
        TRIED.forEach(kind -> questions.add(() -> withMore(kind)));
        promisedNothing(ways).forEach(demand -> questions.add(() -> fewer(demand)));
        noes().forEach(demand -> questions.add(() -> without(demand)));
        ways.addAll(answered(questions));
        ways.sort(Comparator.comparingInt((SeasonPlan.WayOut way) -> way.loses().size() - way.helps().size())
                .thenComparing(SeasonPlan.WayOut::kind).thenComparing(way -> String.join(" ", way.helps())));
        return ways.stream().distinct().toList();
    }

    /** Some are asked at once; while there is time, the first before the others. */
    private List<SeasonPlan.WayOut> answered(List<Supplier<List<SeasonPlan.WayOut>>> questions) {
        try (ExecutorService threads = Executors.newFixedThreadPool(ASKED_AT_ONCE)) {
            List<CompletableFuture<List<SeasonPlan.WayOut>>> answers = questions.stream()
                    .map(question -> CompletableFuture
                            .supplyAsync(() -> mayAsk() ? question.get() : List.<SeasonPlan.WayOut>of(), threads))
                    .toList();
            return answers.stream().flatMap(answer -> awaiting.of(answer).stream()).toList();
        }
    }

    private boolean mayAsk() {
        return !watch.isStopped() && !deadline.isOver();
    }

    private Optional<SeasonModel.Solution> solved(SeasonModel model) {
        return model.tried(effort(), watch);
    }

    private Effort effort() {
        return Effort.of(mostSeconds, FOR_EACH, deadline);
    }

    // --- what the plan itself shows ----------------------------------------------------------------------------------

    /** Less sure, fewer, later or bought in: each demand by what comes for its group. */
    private List<SeasonPlan.WayOut> ofItself(int at) {
        PromiseGroup group = drafts.groups().get(at);
        Optional<Recipe> recipe = draft.solution().choices().get(at);
        Yield all = draft.outcome().of(group).all();
        List<SeasonPlan.WayOut> ways = new ArrayList<>();
        int before = 0;
        for (Demand demand : group.demands()) {
            int wanted = before + demand.count();
            double chance = all.atLeast(wanted);
            boolean sure = Promise.holds(chance, demand.assurance());
            int daysLate = draft.daysLate(demand);
            boolean late = daysLate > 0;
            if (sure && late) {
                ways.add(told(Relaxation.LATER, daysLate, demand, Sentence.of("plan.wayOut.LATER.one", demand.id(),
                        recipe.orElseThrow().delivery(), daysLate)));
            } else if (!sure) {
                ways.addAll(missing(demand, all, before, chance, late));
            }
            before = wanted;
        }
        return ways;
    }

    private List<SeasonPlan.WayOut> missing(Demand demand, Yield all, int before, double chance, boolean late) {
        List<SeasonPlan.WayOut> ways = new ArrayList<>();
        if (chance >= LEAST_PROMISED && !late) {
            int percent = (int) Math.floor(chance * 100);
            ways.add(told(Relaxation.ASSURANCE, percent, demand,
                    Sentence.of("plan.wayOut.ASSURANCE", percent, demand.id())));
        }
        // late queens are none on the day
        int surely = late ? 0 : surely(all, before, demand);
        if (surely > 0) {
            ways.add(told(Relaxation.FEWER, surely, demand, Sentence.of("plan.wayOut.FEWER", surely, demand.count(),
                    demand.id(), percent(demand))));
        }
        ways.add(told(Relaxation.BUY_IN, demand.count() - surely, demand,
                Sentence.of(demand.line().isPresent() ? "plan.wayOut.BUY_IN.line" : "plan.wayOut.BUY_IN",
                        demand.count() - surely, demand.id(), demand.line().orElse(""))));
        return ways;
    }

    private static int surely(Yield all, int before, Demand demand) {
        int surely = demand.count();
        while (surely > 0 && !Promise.holds(all.atLeast(before + surely), demand.assurance())) {
            surely--;
        }
        return surely;
    }

    private static long percent(Demand demand) {
        return Math.round(100 * demand.assurance());
    }

    private static SeasonPlan.WayOut told(Relaxation kind, int amount, Demand demand, Sentence text) {
        return SeasonPlan.WayOut.of(kind, amount, List.of(demand.id()), List.of(), 0, text);
    }

    // --- one thing more ----------------------------------------------------------------------------------------------

    /** For all that are open together, and for each by itself if it gets by with less. */
    private List<SeasonPlan.WayOut> withMore(Relaxation kind) {
        List<SeasonPlan.WayOut> ways = new ArrayList<>();
        Drafts more = more(kind);
        List<List<Recipe>> all = recipes(kind, more);
        List<List<Recipe>> recipes = effort().isLeast() ? Drafts.near(draft, all) : all;
        Optional<SeasonPlan.WayOut> together = tried(kind, more, recipes);
        together.ifPresent(ways::add);
        boolean several = together.filter(way -> way.amount() > 1 && way.helps().size() > 1).isPresent();
        if (several && kind != Relaxation.LATER && kind != Relaxation.DAYS_OFF) {
            for (int at : open) {
                if (mayAsk()
                        && together.orElseThrow().helps().contains(drafts.groups().get(at).demands().getFirst().id())) {
                    tried(kind, more, onlyFor(at, recipes))
                            .filter(way -> way.amount() < together.orElseThrow().amount()).ifPresent(ways::add);
                }
            }
        }
        return ways;
    }

    private Drafts more(Relaxation kind) {
        SeasonBrief brief = drafts.brief();
        return switch (kind) {
            case DAYS_OFF -> drafts.with(brief.with(brief.means().with(brief.means().crew().withoutDaysOff())),
                    drafts.classes());
            case BUILDERS -> withBuilders();
            case NUCS, HOURS, CAGES, LATER, ASSURANCE, FEWER, BUY_IN, SAY_NO -> drafts;
        };
    }

    /** Builders as one makes them up: the last class of builders is theirs. */
    private Drafts withBuilders() {
        SeasonBrief brief = drafts.brief();
        List<CellBuilder> further = IntStream.rangeClosed(1, BUILDERS_THOUGHT_OF)
                .mapToObj(number -> new CellBuilder("+ " + number, BuilderSchool.STARTER_THEN_FINISHER, THEIR_LOAD,
                        brief.today().plusDays(2), List.of()))
                .toList();
        List<CellBuilder> builders = new ArrayList<>(brief.means().builders());
        builders.addAll(further);
        List<BuilderClass> classes = new ArrayList<>(drafts.classes());
        classes.add(new BuilderClass(further, 100));
        return drafts.with(brief.with(brief.means().with(builders)), classes);
    }

    private List<List<Recipe>> recipes(Relaxation kind, Drafts more) {
        List<Optional<Recipe>> kept = draft.solution().choices();
        return switch (kind) {
            case NUCS, HOURS, CAGES, ASSURANCE, FEWER, BUY_IN, SAY_NO -> draft.recipes();
            case LATER -> {
                List<Integer> delays = new ArrayList<>(RecipeFinder.LATE_BY);
                delays.addAll(RecipeFinder.MUCH_LATER);
                yield more.book().of(drafts.there(draft), delays, kept);
            }
            case DAYS_OFF, BUILDERS -> more.book().of(drafts.there(draft), RecipeFinder.LATE_BY, kept);
        };
    }

    /** The others that are open stay as they are. */
    private List<List<Recipe>> onlyFor(int at, List<List<Recipe>> recipes) {
        List<List<Recipe>> only = new ArrayList<>(recipes);
        open.stream().filter(other -> other != at).forEach(other -> only.set(other,
                draft.solution().choices().get(other).map(List::of).orElse(List.of())));
        return only;
    }

    private Optional<SeasonPlan.WayOut> tried(Relaxation kind, Drafts more, List<List<Recipe>> recipes) {
        Optional<SeasonModel.Solution> relaxed = solved(more.relaxed(kind, recipes, draft.solution()));
        if (relaxed.isEmpty()) {
            return Optional.empty();
        }
        Draft then = more.fitted(recipes, relaxed.get());
        Compared compared = Compared.of(draft, then, kind == Relaxation.LATER);
        int amount = kind == Relaxation.LATER ? compared.daysLate() : relaxed.get().extra();
        if (compared.gains().isEmpty() || amount == 0 && kind != Relaxation.DAYS_OFF) {
            return Optional.empty();
        }
        return Optional.of(SeasonPlan.WayOut.of(kind, amount, compared.gains(), compared.loses(),
                more.hours(then) - drafts.hours(draft),
                kind == Relaxation.NUCS
                        ? nucs(amount, compared.gains())
                        : Sentence.of("plan.wayOut." + kind.name(), amount, String.join(", ", compared.gains()))));
    }

    /** Nucs for lines that mate at some yards only are wanted there. */
    private Sentence nucs(int amount, List<String> gains) {
        Set<Optional<String>> lines = gains.stream().map(id -> drafts.groups().get(draft.indexOf(id)).line())
                .collect(Collectors.toSet());
        Set<String> where = lines.stream().flatMap(line -> drafts.brief().means().yardsFor(line).stream())
                .map(MatingYard::id).collect(Collectors.toCollection(TreeSet::new));
        boolean anywhere = lines.contains(Optional.empty()) || where.size() == drafts.brief().means().yards().size();
        return anywhere
                ? Sentence.of("plan.wayOut.NUCS", amount, String.join(", ", gains))
                : Sentence.of("plan.wayOut.NUCS.at", amount, String.join(", ", gains), String.join(", ", where));
    }

    /** Of which nothing can be promised as they stand, not even a part. */
    private List<Demand> promisedNothing(List<SeasonPlan.WayOut> told) {
        return open.stream().map(at -> drafts.groups().get(at))
                .filter(group -> drafts.book().lineIsThere(group) && drafts.book().yardIsThere(group))
                .flatMap(group -> group.demands().stream()).filter(demand -> draft.daysLate(demand) == 0)
                .filter(demand -> told.stream().noneMatch(
                        way -> way.kind() == Relaxation.FEWER && way.helps().contains(demand.id())))
                .toList();
    }

    /** The largest part that is kept without anybody losing by it. */
    private List<SeasonPlan.WayOut> fewer(Demand demand) {
        return PARTS.stream().map(part -> (int) (demand.count() * part)).filter(count -> count > 0).distinct()
                .filter(count -> mayAsk() && holdsAs(demand, count)).findFirst().stream()
                .map(count -> told(Relaxation.FEWER, count, demand, Sentence.of("plan.wayOut.FEWER", count,
                        demand.count(), demand.id(), percent(demand))))
                .toList();
    }

    private boolean holdsAs(Demand demand, int count) {
        Drafts with = drafts.with(demand.of(count));
        List<List<Recipe>> recipes = with.book().of(with.running()::of, RecipeFinder.LATE_BY,
                draft.solution().choices());
        return with.tried(recipes, draft.solution(), effort(), watch)
                .filter(then -> then.states().entrySet().stream()
                        .allMatch(one -> one.getKey().id().equals(demand.id())
                                ? one.getValue() == Promise.State.HOLDS
                                : one.getValue().compareTo(Objects.requireNonNull(before.get(one.getKey()))) <= 0))
                .isPresent();
    }

    // --- a no ----------------------------------------------------------------------------------------------------------

    /** Orders that are worth less than what does not hold: without one of them others may. */
    private List<Demand> noes() {
        int most = open.stream().flatMap(at -> drafts.groups().get(at).demands().stream()).mapToInt(WaysOut::worth)
                .sum();
        return drafts.brief().demands().stream().filter(one -> worth(one) < most)
                .sorted(Comparator.comparingInt(WaysOut::worth)).limit(MOST_NOES).toList();
    }

    private static int worth(Demand demand) {
        return demand.count() * (4 - demand.priority());
    }

    /** What a no would be a way out for, if that is worth more. */
    private List<SeasonPlan.WayOut> without(Demand demand) {
        return Without.of(drafts, draft, demand, effort(), watch).stream()
                .filter(asked -> drafts.brief().demands().stream().filter(one -> asked.gains().contains(one.id()))
                        .mapToInt(WaysOut::worth).sum() > worth(demand))
                .map(asked -> {
                    List<String> loses = new ArrayList<>(List.of(demand.id()));
                    loses.addAll(asked.loses());
                    return SeasonPlan.WayOut.of(Relaxation.SAY_NO, demand.count(), asked.gains(), loses,
                            -asked.hours(), Sentence.of("plan.wayOut.SAY_NO", demand.id(), demand.count(),
                                    String.join(", ", asked.gains())));
                }).toList();
    }
}

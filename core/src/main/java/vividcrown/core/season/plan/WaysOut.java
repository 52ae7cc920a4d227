package vividcrown.core.season.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.reason.Sentence;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.Means;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeFinder;

/**
 * What would make hold what does not. Each is tried before it is told: the season is asked again with one thing more, with less of a promise, or
 * without one order, its cups are fitted, and who gains and who loses is read off the plan that comes of it.
 */
final class WaysOut {

    /** Of all the effort, for each question. */
    private static final double FOR_EACH = 0.03;
    /** Orders said no to for a trial, the least important first. */
    private static final int MOST_NOES = 6;
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
    private final boolean quickly;
    private final List<Integer> open;

    /**
     * @param draft of these, that does not hold altogether
     * @param quickly whether a part that can be promised will do, though a larger one might be
     */
    WaysOut(Drafts drafts, Draft draft, SolveWatch watch, Deadline deadline, double mostSeconds, boolean quickly) {
        this.drafts = drafts;
        this.draft = draft;
        this.watch = SolveWatch.silent(() -> awaiting.isInterrupted() || watch.isStopped());
        this.deadline = deadline;
        this.mostSeconds = mostSeconds;
        this.quickly = quickly;
        this.open = IntStream.range(0, drafts.groups().size()).filter(at -> draft.state(at) != Promise.State.HOLDS)
                .boxed().toList();
    }

    /** The most helpful first. */
    List<SeasonPlan.WayOut> all() {
        List<Supplier<List<SeasonPlan.WayOut>>> questions = new ArrayList<>();
        TRIED.forEach(kind -> questions.add(() -> withMore(kind)));
        LessPromised less = new LessPromised(drafts, draft, this::effort, watch, this::mayAsk, quickly);
        open.forEach(at -> questions.addAll(less.questions(at)));
        noes().forEach(demand -> questions.add(() -> without(demand)));
        List<SeasonPlan.WayOut> ways = new ArrayList<>(answered(questions));
        ways.sort(Comparator.comparingInt((SeasonPlan.WayOut way) -> way.loses().size() - way.helps().size())
                .thenComparing(SeasonPlan.WayOut::kind).thenComparing(SeasonPlan.WayOut::amount)
                .thenComparing(way -> String.join(" ", way.helps())));
        List<SeasonPlan.WayOut> told = new ArrayList<>();
        ways.stream().filter(way -> told.stream().noneMatch(better -> isAsGood(better, way))).forEach(told::add);
        return told;
    }

    /** Whether one way helps whomever another helps, costs nobody who does not lose by that, and takes no more of the same. */
    private static boolean isAsGood(SeasonPlan.WayOut one, SeasonPlan.WayOut other) {
        boolean lessIsBetter = TRIED.contains(one.kind());
        return one.kind() == other.kind() && one.helps().containsAll(other.helps())
                && other.loses().containsAll(one.loses())
                && (lessIsBetter ? one.amount() <= other.amount() : one.amount() == other.amount());
    }

    /** Some are asked at once; while there is time, the first before the others. */
    private List<SeasonPlan.WayOut> answered(List<Supplier<List<SeasonPlan.WayOut>>> questions) {
        try (ExecutorService threads = Executors.newFixedThreadPool(ASKED_AT_ONCE)) {
            List<CompletableFuture<List<SeasonPlan.WayOut>>> answers = questions.stream()
                    .map(question -> CompletableFuture.supplyAsync(question, threads)).toList();
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

    // --- one thing more ----------------------------------------------------------------------------------------------

    /** For all that are open together, and for each by itself if it gets by with less. */
    private List<SeasonPlan.WayOut> withMore(Relaxation kind) {
        List<SeasonPlan.WayOut> ways = new ArrayList<>();
        if (!mayAsk()) {
            return ways;
        }
        List<List<Recipe>> all = recipes(kind);
        List<List<Recipe>> recipes = effort().isLeast() ? Drafts.near(draft, all) : all;
        Optional<SeasonPlan.WayOut> together = found(kind, recipes)
                .flatMap(more -> told(kind, more.extra(), with(kind, more.extra()).fitted(recipes, more)));
        together.ifPresent(ways::add);
        boolean several = together.filter(way -> way.amount() > 1 && way.helps().size() > 1).isPresent();
        if (several && kind != Relaxation.LATER && kind != Relaxation.DAYS_OFF) {
            for (int at : open) {
                if (mayAsk()
                        && together.orElseThrow().helps().contains(drafts.groups().get(at).demands().getFirst().id())) {
                    found(kind, onlyFor(at, recipes))
                            .filter(more -> more.extra() < together.orElseThrow().amount())
                            .flatMap(more -> told(kind, more.extra(), asFits(kind, more, recipes)))
                            .ifPresent(ways::add);
                }
            }
        }
        return ways;
    }

    private Optional<SeasonModel.Solution> found(Relaxation kind, List<List<Recipe>> recipes) {
        Drafts asked = switch (kind) {
            case BUILDERS -> with(kind, BUILDERS_THOUGHT_OF);
            case DAYS_OFF -> with(kind, 0);
            case NUCS, HOURS, CAGES, LATER, ASSURANCE, FEWER, BUY_IN, SAY_NO -> drafts;
        };
        return solved(asked.relaxed(kind, recipes, withPlenty(kind, recipes)));
    }

    /** So much was sought for one; whoever plans with so much more may find it better used for another. */
    private Draft asFits(Relaxation kind, SeasonModel.Solution more, List<List<Recipe>> recipes) {
        Drafts with = with(kind, more.extra());
        Draft forOne = with.fitted(recipes, more);
        return with.tried(recipes, more, effort(), watch).filter(free -> with.weighed(free) < with.weighed(forOne))
                .orElse(forOne);
    }

    /** The season with so much more of one thing. */
    private Drafts with(Relaxation kind, int extra) {
        SeasonBrief brief = drafts.brief();
        Means means = brief.means();
        return switch (kind) {
            case NUCS -> drafts.with(brief.with(means.withMoreNucs(extra, furtherNucsAt())), drafts.classes());
            case CAGES -> drafts.with(brief.with(means.withMoreCages(extra)), drafts.classes());
            case HOURS -> drafts.with(brief.with(means.with(means.crew().withMore(extra))), drafts.classes());
            case DAYS_OFF -> drafts.with(brief.with(means.with(means.crew().withoutDaysOff())), drafts.classes());
            case BUILDERS -> withBuilders(extra);
            case LATER, ASSURANCE, FEWER, BUY_IN, SAY_NO -> drafts;
        };
    }

    /** Builders as one makes them up: the last class of builders is theirs. */
    private Drafts withBuilders(int extra) {
        SeasonBrief brief = drafts.brief();
        List<CellBuilder> further = IntStream.rangeClosed(1, extra)
                .mapToObj(number -> new CellBuilder("+ " + number, BuilderSchool.STARTER_THEN_FINISHER, THEIR_LOAD,
                        brief.today().plusDays(2), List.of()))
                .toList();
        if (further.isEmpty()) {
            return drafts;
        }
        List<CellBuilder> builders = new ArrayList<>(brief.means().builders());
        builders.addAll(further);
        List<BuilderClass> classes = new ArrayList<>(drafts.classes());
        classes.add(new BuilderClass(further, 100));
        return drafts.with(brief.with(brief.means().with(builders)), classes);
    }

    /** The yard where most of what is open may mate, the largest of such; none if nobody asks where. */
    private Optional<MatingYard> furtherNucsAt() {
        Map<MatingYard, Long> wanted = open.stream().map(at -> drafts.groups().get(at).line())
                .flatMap(line -> drafts.brief().means().yardsFor(line).stream())
                .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
        return wanted.entrySet().stream().max(Map.Entry.<MatingYard, Long>comparingByValue()
                .thenComparing(one -> one.getKey().nucs()).thenComparing(one -> one.getKey().id()))
                .map(Map.Entry::getKey);
    }

    /** A plan for the search to begin with: whoever holds stays, and the others are served as if there were as much as one likes. */
    private SeasonModel.Solution withPlenty(Relaxation kind, List<List<Recipe>> recipes) {
        List<Optional<Recipe>> kept = IntStream.range(0, recipes.size())
                .mapToObj(at -> open.contains(at) ? Optional.<Recipe>empty() : draft.solution().choices().get(at))
                .toList();
        return with(kind, kind == Relaxation.BUILDERS ? BUILDERS_THOUGHT_OF : SeasonModel.MOST_EXTRA)
                .near(recipes, kept);
    }

    private List<List<Recipe>> recipes(Relaxation kind) {
        List<Optional<Recipe>> kept = draft.solution().choices();
        return switch (kind) {
            case NUCS, HOURS, CAGES, ASSURANCE, FEWER, BUY_IN, SAY_NO -> draft.recipes();
            case LATER -> {
                List<Integer> delays = new ArrayList<>(RecipeFinder.LATE_BY);
                delays.addAll(RecipeFinder.MUCH_LATER);
                yield drafts.book().of(drafts.there(draft), delays, kept);
            }
            case DAYS_OFF -> with(kind, 0).book().of(drafts.there(draft), RecipeFinder.LATE_BY, kept);
            case BUILDERS -> with(kind, BUILDERS_THOUGHT_OF).book().of(drafts.there(draft), RecipeFinder.LATE_BY, kept);
        };
    }

    /** The others that are open stay as they are. */
    private List<List<Recipe>> onlyFor(int at, List<List<Recipe>> recipes) {
        List<List<Recipe>> only = new ArrayList<>(recipes);
        open.stream().filter(other -> other != at).forEach(other -> only.set(other,
                draft.solution().choices().get(other).map(List::of).orElse(List.of())));
        return only;
    }

    private Optional<SeasonPlan.WayOut> told(Relaxation kind, int extra, Draft then) {
        Compared compared = Compared.of(draft, then, kind == Relaxation.LATER);
        int amount = kind == Relaxation.LATER ? compared.daysLate() : extra;
        boolean helps = worth(compared.gains()) > worth(compared.loses());
        if (!helps || amount == 0 && kind != Relaxation.DAYS_OFF) {
            return Optional.empty();
        }
        return Optional.of(SeasonPlan.WayOut.of(kind, amount, compared.gains(), compared.loses(),
                with(kind, extra).hours(then) - drafts.hours(draft),
                kind == Relaxation.NUCS
                        ? nucs(amount, compared.gains())
                        : Sentence.of("plan.wayOut." + kind.name(), amount, String.join(", ", compared.gains()))));
    }

    private Sentence nucs(int amount, List<String> gains) {
        String held = String.join(", ", gains);
        return furtherNucsAt().filter(_ -> drafts.brief().means().yards().size() > 1)
                .map(yard -> Sentence.of("plan.wayOut.NUCS.at", amount, held, yard.id()))
                .orElseGet(() -> Sentence.of("plan.wayOut.NUCS", amount, held));
    }

    // --- a no ----------------------------------------------------------------------------------------------------------

    /** Orders that are worth less than what does not hold: without one of them others may. */
    private List<Demand> noes() {
        int most = open.stream().flatMap(at -> drafts.groups().get(at).demands().stream()).mapToInt(WaysOut::worth)
                .sum();
        return drafts.brief().demands().stream().filter(one -> worth(one) < most)
                .sorted(Comparator.comparingInt(WaysOut::worth)).limit(MOST_NOES).toList();
    }

    private int worth(List<String> ids) {
        return drafts.brief().demands().stream().filter(one -> ids.contains(one.id())).mapToInt(WaysOut::worth).sum();
    }

    private static int worth(Demand demand) {
        return demand.count() * (4 - demand.priority());
    }

    /** What a no would be a way out for, if that is worth more. */
    private List<SeasonPlan.WayOut> without(Demand demand) {
        if (!mayAsk()) {
            return List.of();
        }
        return Without.of(drafts, draft, demand, effort(), watch).stream()
                .filter(asked -> worth(asked.gains()) > worth(demand) + worth(asked.loses()))
                .map(asked -> {
                    List<String> loses = new ArrayList<>(List.of(demand.id()));
                    loses.addAll(asked.loses());
                    return SeasonPlan.WayOut.of(Relaxation.SAY_NO, demand.count(), asked.gains(), loses,
                            -asked.hours(), Sentence.of("plan.wayOut.SAY_NO", demand.id(), demand.count(),
                                    String.join(", ", asked.gains())));
                }).toList();
    }
}

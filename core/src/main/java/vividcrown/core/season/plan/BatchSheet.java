package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import vividcrown.core.demand.Product;
import vividcrown.core.season.BatchLock;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;

/** Turns the solver's choice into loads: which builder takes them, how many cups of which line, for whom. */
final class BatchSheet {

    private final SeasonBrief brief;
    private final List<PromiseGroup> groups;
    private final List<BuilderClass> classes;
    private final List<Optional<String>> lines;

    BatchSheet(SeasonBrief brief, List<PromiseGroup> groups, List<BuilderClass> classes) {
        this.brief = brief;
        this.groups = groups;
        this.classes = classes;
        this.lines = SeasonModel.linesAsked(groups);
    }

    /** Cups of one day that somebody wants. */
    private static final class Wanted {
        private final String demand;
        private final Optional<String> line;
        private final LocalDate delivery;
        private int cups;

        Wanted(String demand, Optional<String> line, LocalDate delivery, int cups) {
            this.demand = demand;
            this.line = line;
            this.delivery = delivery;
            this.cups = cups;
        }
    }

    List<Load> loads(SeasonModel.Solution solution) {
        List<Iterator<CellBuilder>> turns = turns(solution);
        List<Load> loads = new ArrayList<>();
        solution.loads().forEach((day, used) -> {
            List<Wanted> wanted = wanted(solution, day);
            for (int index = 0; index < classes.size(); index++) {
                int[] byLine = Objects.requireNonNull(solution.cups().get(day))[index].clone();
                for (int load = 0; load < used[index]; load++) {
                    CellBuilder builder = turns.get(index).next();
                    int room = builder.load();
                    for (int line = 0; line < byLine.length && room > 0; line++) {
                        int cups = Math.min(room, byLine[line]);
                        if (cups > 0) {
                            byLine[line] -= cups;
                            room -= cups;
                            loads.add(load(day, builder, lines.get(line), cups, classes.get(index).percent(), wanted));
                        }
                    }
                }
            }
        });
        return loads;
    }

    private List<Iterator<CellBuilder>> turns(SeasonModel.Solution solution) {
        Map<LocalDate, Set<String>> before = brief.underway().before().stream().collect(Collectors.groupingBy(
                BatchLock::day, Collectors.mapping(BatchLock::builder, Collectors.toSet())));
        return IntStream.range(0, classes.size()).mapToObj(index -> Turns.of(classes.get(index),
                solution.loads().entrySet().stream()
                        .flatMap(used -> Collections.nCopies(used.getValue()[index], used.getKey()).stream()).toList(),
                before).iterator()).toList();
    }

    /** @param percent what a cup gives against one of which nothing is known: who wants ten of these gets by with fewer */
    private Load load(LocalDate day, CellBuilder builder, Optional<String> line, int cups, int percent,
            List<Wanted> wanted) {
        List<PlannedBatch.Share> shares = new ArrayList<>();
        int left = cups;
        // those who want this very line come first: the others take any
        for (boolean ofLine : new boolean[]{true, false}) {
            for (Wanted one : wanted) {
                boolean fits = ofLine ? line.isPresent() && one.line.equals(line) : one.line.isEmpty();
                int share = fits ? Math.min(left, Math.ceilDiv(one.cups * 100, percent)) : 0;
                if (share > 0) {
                    one.cups = Math.max(0, one.cups - share * percent / 100);
                    left -= share;
                    shares.add(new PlannedBatch.Share(one.demand, share, one.delivery));
                }
            }
        }
        Optional<BatchLock> lock = brief.underway().locks().stream()
                .filter(one -> one.day().equals(day) && one.builder().equals(builder.id())).findFirst();
        return new Load(day, builder.id(), line.or(() -> lock.flatMap(BatchLock::line)), cups, shares,
                lock.isPresent());
    }

    /** What each demand wants of a day, its group's cups shared out by number. */
    private List<Wanted> wanted(SeasonModel.Solution solution, LocalDate day) {
        List<Wanted> wanted = new ArrayList<>();
        for (int index = 0; index < groups.size(); index++) {
            PromiseGroup group = groups.get(index);
            solution.choices().get(index).ifPresent(recipe -> recipe.grafts().stream()
                    .filter(graft -> graft.day().equals(day)).forEach(graft -> {
                        int left = graft.cups();
                        int count = group.count();
                        for (Demand demand : group.demands()) {
                            int cups = (int) Math.round((double) left * demand.count() / count);
                            left -= cups;
                            count -= demand.count();
                            LocalDate delivery = group.product() == Product.RIPE_CELLS
                                    ? day.plusDays(brief.ripeAfter())
                                    : recipe.delivery();
                            wanted.add(new Wanted(demand.id(), group.line(), delivery, cups));
                        }
                    }));
        }
        return wanted;
    }
}

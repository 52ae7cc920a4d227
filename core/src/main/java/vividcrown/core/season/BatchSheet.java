package vividcrown.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Turns the solver's choice into grafts: which builder in its turn, which mother, for whom. */
final class BatchSheet {

    private final SeasonBrief brief;
    private final List<PromiseGroup> groups;
    private final List<BuilderClass> classes;
    private final List<String> lines;
    private final Map<String, Integer> grafted = new HashMap<>();
    private final int[] turns;

    BatchSheet(SeasonBrief brief, List<PromiseGroup> groups, List<BuilderClass> classes, List<String> lines) {
        this.brief = brief;
        this.groups = groups;
        this.classes = classes;
        this.lines = lines;
        this.turns = new int[classes.size()];
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

    List<PlannedBatch> batches(SeasonModel.Solution solution) {
        List<PlannedBatch> batches = new ArrayList<>();
        solution.loads().forEach((day, used) -> {
            List<Wanted> wanted = wanted(solution, day);
            for (int index = 0; index < classes.size(); index++) {
                int[] byLine = solution.cups().get(day)[index].clone();
                for (int load = 0; load < used[index]; load++) {
                    CellBuilder builder = inTurn(index);
                    int room = builder.load();
                    for (int line = 0; line < lines.size() && room > 0; line++) {
                        int cups = Math.min(room, byLine[line]);
                        if (cups > 0) {
                            byLine[line] -= cups;
                            room -= cups;
                            batches.add(batch(day, builder, lines.get(line), cups, wanted));
                        }
                    }
                }
            }
        });
        batches.sort(Comparator.comparing(PlannedBatch::day).thenComparing(PlannedBatch::builder)
                .thenComparing(PlannedBatch::line));
        return batches;
    }

    private CellBuilder inTurn(int index) {
        List<CellBuilder> builders = classes.get(index).builders();
        return builders.get(turns[index]++ % builders.size());
    }

    private PlannedBatch batch(LocalDate day, CellBuilder builder, String line, int cups, List<Wanted> wanted) {
        List<PlannedBatch.Share> shares = new ArrayList<>();
        int left = cups;
        // those who want this very line come first: the others take any
        for (boolean ofLine : new boolean[]{true, false}) {
            for (Wanted one : wanted) {
                boolean fits = ofLine ? one.line.equals(Optional.of(line)) : one.line.isEmpty();
                int share = fits ? Math.min(left, one.cups) : 0;
                if (share > 0) {
                    one.cups -= share;
                    left -= share;
                    shares.add(new PlannedBatch.Share(one.demand, share, one.delivery));
                }
            }
        }
        String breeder = leastGrafted(line);
        grafted.merge(breeder, cups, Integer::sum);
        boolean locked = brief.locks().stream()
                .anyMatch(lock -> lock.day().equals(day) && lock.builder().equals(builder.id()));
        return new PlannedBatch(day, builder.id(), breeder, line, cups, shares, locked);
    }

    /** Mothers of a line take turns, so that many are represented. */
    private String leastGrafted(String line) {
        return brief.breeders().stream().filter(one -> one.line().equals(line)).map(BreederQueen::id)
                .min(Comparator.comparingInt((String id) -> grafted.getOrDefault(id, 0))
                        .thenComparing(Comparator.naturalOrder()))
                .orElseThrow();
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

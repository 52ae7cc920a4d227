package vividcrown.core.season;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.mating.MatingChance;
import vividcrown.core.odds.LateOdds;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.time.DaySpan;

/** What a graft of one day gives by another: its losses, with the weather of its mating days and the time they have had. */
final class Supply {

    private static final double HARDLY_ANY = 0.002;

    private final SeasonBrief brief;
    private final MatingChance mating;
    private final LateOdds late;
    private final int emergence;
    private final int flatBrood;
    private final Map<LocalDate, Double> weather = new HashMap<>();
    private final Map<Asked, Yield> yields = new HashMap<>();

    private final Map<Begun, Yield> beforeLast = new HashMap<>();

    private record Begun(LocalDate graft, int cups, int steps) {
    }

    private record Asked(Product product, LocalDate graft, LocalDate delivery, int cups) {
    }

    Supply(SeasonBrief brief) {
        this.brief = brief;
        this.mating = new MatingChance(brief.climate());
        this.late = new LateOdds(LossStep.MATING.prior(), brief.assumptions());
        this.emergence = Backward.fromGraft(Product.VIRGINS, brief.how(), brief.assumptions()).likelyDay();
        this.flatBrood = brief.assumptions()
                .span(Figure.FLAT_SEALED_BROOD).likelyDay();
    }

    /** Days from the graft to the first day on which it can be had. */
    int soonest(Product product) {
        DaySpan length = Backward.fromGraft(product, brief.how(), brief.assumptions());
        return switch (product) {
            case RIPE_CELLS -> length.likelyDay();
            case VIRGINS -> length.latestDay();
            case LAYING_QUEENS, MATED_QUEENS, JUDGED_QUEENS, NUCS_WITH_QUEEN -> length.earliestDay();
        };
    }

    /** Days from the graft to the last day on which it is still good to hand over. */
    int longest(Product product) {
        return switch (product) {
            case RIPE_CELLS -> soonest(product);
            case VIRGINS -> soonest(product) + 4;
            case LAYING_QUEENS, MATED_QUEENS, JUDGED_QUEENS, NUCS_WITH_QUEEN -> soonest(product) + 21;
        };
    }

    /** Chance that virgins of this graft find the weather to mate, 0–1. */
    double matingWeather(LocalDate graft) {
        return weather.computeIfAbsent(graft, day -> mating.of(day.plusDays(emergence)));
    }

    /** Beliefs about its losses, those that are passed left out. */
    List<Rate> steps(Product product, LocalDate graft, LocalDate delivery, List<LossStep> passed) {
        List<Rate> steps = new ArrayList<>();
        for (LossStep step : product.losses()) {
            boolean behind = passed.contains(step);
            Rate rate = brief.rates().at(step, graft);
            if (step == LossStep.MATING) {
                if (!behind) {
                    steps.add(scaled(rate, matingWeather(graft) * layingBy(product, graft, delivery)));
                }
            } else if (!behind) {
                steps.add(rate);
            }
        }
        return steps;
    }

    /** Of those that will lay, the share that does by the day they are handed over. */
    private double layingBy(Product product, LocalDate graft, LocalDate delivery) {
        long days = ChronoUnit.DAYS.between(graft, delivery) - emergence
                - (product == Product.JUDGED_QUEENS ? flatBrood : 0);
        return late.layingBy(days);
    }

    private static Rate scaled(Rate rate, double factor) {
        double weight = rate.successes() + rate.failures();
        double mean = Math.clamp(rate.mean() * factor, HARDLY_ANY, 1 - HARDLY_ANY);
        return Rate.of(mean * weight, (1 - mean) * weight);
    }

    Yield yield(Product product, LocalDate graft, LocalDate delivery, int cups) {
        return yields.computeIfAbsent(new Asked(product, graft, delivery, cups), _ -> {
            List<Rate> steps = steps(product, graft, delivery, List.of());
            // up to the virgin it is the same for every day of delivery
            Yield early = beforeLast.computeIfAbsent(new Begun(graft, cups, steps.size() - 1),
                    _ -> Yield.ofBatch(cups, steps.subList(0, steps.size() - 1)));
            return early.through(steps.getLast());
        });
    }

    /** Share of so many cups that comes through to that delivery, on average. */
    double through(Product product, LocalDate graft, LocalDate delivery) {
        return steps(product, graft, delivery, List.of()).stream().mapToDouble(Rate::mean).reduce(1,
                (one, two) -> one * two);
    }

    /** Cells that are ripe and sound out of so many cups, on average, rounded up. */
    int ripe(LocalDate graft, int cups) {
        double share = brief.rates().at(LossStep.TAKE, graft).mean() * brief.rates().at(LossStep.SOUND, graft).mean();
        return (int) Math.ceil(cups * share - 1e-9);
    }

    /**
     * The day in the group's time on which what is running can be handed over, the latest that is; empty if there is none.
     * Ripe cells go on the day they are ripe, virgins within days, queens keep for long.
     */
    Optional<LocalDate> handOver(RunningBatch batch, PromiseGroup group) {
        Product product = group.product();
        if (batch.passed().size() > product.losses().size()) {
            return Optional.empty();
        }
        LocalDate soonest = batch.graftDay().plusDays(soonest(product));
        boolean keeps = SupplyBand.Kind.of(product) == SupplyBand.Kind.QUEENS;
        LocalDate latest = keeps ? group.until() : batch.graftDay().plusDays(longest(product));
        LocalDate day = latest.isBefore(group.until()) ? latest : group.until();
        return day.isBefore(soonest) || day.isBefore(group.from()) ? Optional.empty() : Optional.of(day);
    }

    Yield ofRunning(RunningBatch batch, int alive, Product product, LocalDate delivery) {
        return Yield.ofBatch(alive, steps(product, batch.graftDay(), delivery, batch.passed()));
    }
}

package vividcrown.core.season.unfold;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.LossStep;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.supply.Supply;

/** Ways to decide: rules of thumb as producers use them, and the program. */
final class Keepers {

    private Keepers() {
    }

    private static double through(LivedSeason season, Product product) {
        return product.losses().stream().mapToDouble(step -> usual(season, step)).reduce(1, (one, two) -> one * two);
    }

    /** By what was counted so far, as whoever keeps a record knows it. */
    private static double usual(LivedSeason season, LossStep step) {
        return season.counted().at(step, Around.NOTHING_KNOWN).mean();
    }

    /** The last day on which a graft, and what is ripe of it, falls on working days. */
    private static boolean isDay(LivedSeason season, Demand demand, int lead) {
        return season.today().equals(lastGraft(season, demand.until().minusDays(lead)));
    }

    private static LocalDate lastGraft(LivedSeason season, LocalDate day) {
        LocalDate last = day;
        while (!season.works(last) || !season.works(last.plusDays(10))) {
            last = last.minusDays(1);
        }
        return last;
    }

    private record Pool(SupplyKind kind, Optional<String> line) {
    }

    /** Expected, of what lives, by pool; older batches serve earlier orders, as they come. */
    private static Map<Pool, Double> expected(LivedSeason season) {
        Map<Pool, Double> there = new LinkedHashMap<>();
        season.stocks().forEach(stock -> {
            double share = 1;
            for (LossStep step : Draws.WAY.subList(0, stock.kind() == SupplyKind.QUEENS
                    ? 4
                    : stock.kind() == SupplyKind.VIRGINS ? 3 : 2)) {
                share *= stock.batch().passed().contains(step) ? 1 : usual(season, step);
            }
            there.merge(new Pool(stock.kind(), stock.line()), share * stock.batch().alive(), Double::sum);
        });
        return there;
    }

    private static int lead(SupplyKind kind, int queens) {
        return switch (kind) {
            case CELLS -> 10;
            case VIRGINS -> 13;
            case QUEENS -> queens;
        };
    }

    /** Every Monday what is still missing of all that falls due in the week that is so far ahead, and a part more. */
    record Mondays(double safety, int days) implements LivedSeason.Keeper {
        @Override
        public List<Ahead.Graft> grafts(LivedSeason season) {
            boolean monday = season.today().getDayOfWeek() == DayOfWeek.MONDAY;
            Map<Pool, Double> there = expected(season);
            Map<Pool, Double> missing = new LinkedHashMap<>();
            season.known().demands().stream().sorted(Comparator.comparing(Demand::until)).forEach(demand -> {
                SupplyKind kind = SupplyKind.of(demand.product());
                boolean now = kind == SupplyKind.QUEENS
                        ? monday && !demand.until().isAfter(season.today().plusDays(days + 6L))
                                && !demand.until().isBefore(season.today().plusDays(24))
                        : isDay(season, demand, lead(kind, days));
                still(demand, kind, there, now ? missing : new LinkedHashMap<>());
            });
            return cups(season, missing, safety);
        }

        @Override
        public int place(LivedSeason season, LivedSeason.Batch batch, int ripe, int nucs) {
            return ripe;
        }
    }

    /** Back from each order alone, and once more for what is missing by then. */
    record BackFromEach(double safety, int days, int again) implements LivedSeason.Keeper {
        @Override
        public List<Ahead.Graft> grafts(LivedSeason season) {
            Map<Pool, Double> there = expected(season);
            Map<Pool, Double> missing = new LinkedHashMap<>();
            season.known().demands().stream().sorted(Comparator.comparing(Demand::until)).forEach(demand -> {
                SupplyKind kind = SupplyKind.of(demand.product());
                boolean now = isDay(season, demand, lead(kind, days)) || kind == SupplyKind.QUEENS
                        && isDay(season, demand, again);
                still(demand, kind, there, now ? missing : new LinkedHashMap<>());
            });
            return cups(season, missing, safety);
        }

        @Override
        public int place(LivedSeason season, LivedSeason.Batch batch, int ripe, int nucs) {
            return ripe;
        }
    }

    private static void still(Demand demand, SupplyKind kind, Map<Pool, Double> there, Map<Pool, Double> missing) {
        double need = demand.count();
        List<Pool> pools = new ArrayList<>();
        demand.line().ifPresentOrElse(line -> pools.add(new Pool(kind, Optional.of(line))), () -> {
            pools.add(new Pool(kind, Optional.empty()));
            there.keySet().stream().filter(one -> one.kind() == kind && one.line().isPresent()).forEach(pools::add);
        });
        for (Pool pool : pools) {
            double take = Math.min(need, there.getOrDefault(pool, 0.0));
            there.merge(pool, -take, Double::sum);
            need -= take;
        }
        if (need > 0.5) {
            missing.merge(new Pool(kind, demand.line()), need, Double::sum);
        }
    }

    private static List<Ahead.Graft> cups(LivedSeason season, Map<Pool, Double> missing, double safety) {
        List<Ahead.Graft> grafts = new ArrayList<>();
        missing.forEach((pool, need) -> {
            double share = switch (pool.kind()) {
                case CELLS -> through(season, Product.RIPE_CELLS);
                case VIRGINS -> through(season, Product.VIRGINS);
                case QUEENS -> through(season, Product.MATED_QUEENS);
            };
            int cups = (int) Math.ceil((1 + safety) * need / share);
            grafts.add(new Ahead.Graft(pool.line(), pool.kind(), cups, cups));
        });
        return grafts;
    }

    /** The program, asked on its days, and before cells are placed. */
    record Program(SeasonWorth worth, Set<DayOfWeek> days, int draws) implements LivedSeason.Keeper {
        @Override
        public List<Ahead.Graft> grafts(LivedSeason season) {
            SeasonBrief known = season.known();
            if (known.demands().isEmpty()) {
                return List.of();
            }
            FreeBuilders builders = new FreeBuilders(known.means().builders());
            Map<SupplyKind, LocalDate> next = new EnumMap<>(SupplyKind.class);
            LocalDate any = next(season, builders,
                    day -> season.works(day) && season.works(day.plusDays(known.ripeAfter())));
            next.put(SupplyKind.CELLS, any);
            next.put(SupplyKind.VIRGINS, any);
            if (days.contains(season.today().getDayOfWeek())) {
                next.put(SupplyKind.QUEENS, next(season, builders, this::isMine));
            }
            return new Ahead(known.with(worth), season.stocks(), draws, season.today().toEpochDay())
                    .grafts(next, season.freeCups(), builders.usualLoad());
        }

        @Override
        public int gives(LivedSeason season, Demand order, int there) {
            SeasonBrief known = season.known().with(worth);
            Supply supply = new Supply(known);
            LocalDate again = season.today().plusDays(1).datesUntil(season.today().plusDays(8)).filter(this::isMine)
                    .findFirst().orElseThrow();
            return new KeptBack(known, supply, new Draws(supply, draws, season.today().toEpochDay()), again)
                    .given(order, season.stocks());
        }

        private boolean isMine(LocalDate day) {
            return days.contains(day.getDayOfWeek());
        }

        /** The next of such days on which a builder is free after today's graft. */
        private static LocalDate next(LivedSeason season, FreeBuilders builders, Predicate<LocalDate> suits) {
            LocalDate today = season.today();
            return today.plusDays(1).datesUntil(today.plusDays(14))
                    .filter(day -> suits.test(day) && builders.isFreeAfter(today, day)).findFirst()
                    .orElse(today.plusDays(14));
        }

        @Override
        public int place(LivedSeason season, LivedSeason.Batch batch, int ripe, int nucs) {
            if (season.known().demands().isEmpty()) {
                return 0;
            }
            List<Stock> others = new ArrayList<>(season.stocks());
            others.removeIf(one -> one.batch().graftDay().equals(batch.graft()) && one.line().equals(batch.line())
                    && one.kind() == batch.kind());
            Stock itself = new Stock(new RunningBatch("it", batch.line(), batch.graft(), ripe, Timing.RIPE,
                    Around.NOTHING_KNOWN), SupplyKind.QUEENS, ripe, true);
            others.add(itself);
            return new Ahead(season.known().with(worth), others, draws, season.today().toEpochDay())
                    .place(itself,
                            season.today().datesUntil(season.today().plusDays(7)).filter(this::isMine).findFirst()
                                    .orElseThrow());
        }
    }
}

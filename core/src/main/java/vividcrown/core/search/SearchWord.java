package vividcrown.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;

/**
 * What to do next in a search, and why.
 *
 * @param next the step, unless it is time to stop
 * @param cautions what to look out for meanwhile
 */
public record SearchWord(Stop stop, Optional<Next> next, List<Reason> reasons, List<Sentence> cautions) {

    private static final double TWO_PASSES = 2;
    private static final double ONE_PASS = 1;
    private static final double LIKELIER_GONE = 0.5;
    private static final double HARDLY_THERE_BEFORE = 0.7;
    private static final int FEW_COMBS = 6;
    private static final double SAY_SMOKE_BELOW = 1;

    public static SearchWord of(Search search, WhySearch why, AtTheHive there) {
        List<Reason> reasons = new ArrayList<>();
        Stop stop = stop(search, why, there, reasons);
        Optional<Next> next = stop == Stop.GO_ON ? search.next() : Optional.empty();
        next.ifPresent(step -> whyThere(search, step, reasons));
        return new SearchWord(stop, next, reasons, cautions(search, why, there));
    }

    private static Stop stop(Search search, WhySearch why, AtTheHive there, List<Reason> reasons) {
        if (search.found().isPresent()) {
            reasons.add(practice("search.reason.found", search.found().get().sentence()));
            return Stop.FOUND;
        }
        boolean begun = !search.looks().isEmpty();
        List<Sentence> shut = there.shut();
        if (!shut.isEmpty() && (!begun || search.isClosed())) {
            shut.forEach(one -> reasons.add(new Reason(one, Source.COMMON_PRACTICE)));
            return Stop.LEAVE_SHUT;
        }
        if (search.isClosed()) {
            reasons.add(practice("search.reason.closed"));
            return Stop.COME_BACK;
        }
        if (search.minutes() >= there.mostMinutes()) {
            reasons.add(practice("search.reason.long", Math.round(search.minutes()), there.mostMinutes()));
            shut.forEach(one -> reasons.add(new Reason(one, Source.COMMON_PRACTICE)));
            return Stop.CLOSE_NOW;
        }
        boolean doubt = search.notHere() > LIKELIER_GONE && search.passes() >= ONE_PASS
                || search.hive().chance() < HARDLY_THERE_BEFORE && search.passes() >= TWO_PASSES;
        if (doubt) {
            reasons.add(Reason.of(Source.derived("Bayes"), "search.reason.notHere", percent(search.notHere()),
                    percent(search.missed())));
            return Stop.DOUBT_SHE_IS_HERE;
        }
        if (search.passes() >= TWO_PASSES) {
            reasons.add(practice("search.reason.twoPasses", percent(search.missed())));
            return why.mustFind() ? sieve(search, reasons) : Stop.COME_BACK;
        }
        return Stop.GO_ON;
    }

    /** Through an excluder goes a virgin, and often a small queen: what is left above it would prove nothing. */
    private static Stop sieve(Search search, List<Reason> reasons) {
        if (search.under().is(QueenTrait.VIRGIN) || search.under().is(QueenTrait.SMALL)) {
            reasons.add(practice("search.reason.slipsThrough"));
            return Stop.COME_BACK;
        }
        reasons.add(practice("search.reason.sieve"));
        return Stop.SIEVE;
    }

    private static void whyThere(Search search, Next next, List<Reason> reasons) {
        Source derived = Source.derived("Bayes");
        if (search.notHere() > LIKELIER_GONE) {
            reasons.add(Reason.of(derived, "search.reason.doubtBefore", percent(search.notHere())));
        }
        switch (next.step()) {
            case Step.Lift lift -> {
                if (lift.forRoom()) {
                    reasons.add(practice("search.reason.room"));
                }
                double there = search.on(lift.box(), lift.slot());
                reasons.add(Reason.of(derived, "search.reason.comb", percent(there), percent(next.chance())));
                Shows shows = search.shown(lift.box(), lift.slot());
                if (shows != Shows.NOTHING) {
                    reasons.add(practice("search.reason.shows." + shows));
                }
                long before = search.looks().entrySet().stream()
                        .filter(one -> one.getKey() instanceof Place.OnComb side && side.box() == lift.box()
                                && side.slot() == lift.slot())
                        .mapToInt(Map.Entry::getValue).max().orElse(0);
                if (before > 0) {
                    reasons.add(practice("search.reason.again", before));
                }
            }
            case Step.LookAt _ -> reasons.add(Reason.of(derived, "search.reason.glance", percent(next.chance())));
        }
        search.hive().lastSeen().filter(seen -> search.looks().isEmpty())
                .ifPresent(seen -> reasons.add(practice("search.reason.lastSeen", seen.days(),
                        seen.place().sentence())));
        OwnRecord own = search.under().searcher().own();
        if (own.tells()) {
            reasons.add(Reason.of(new Source.OwnRecord("your searches in the record"), "search.reason.ownRecord",
                    own.seen(), Math.round(own.expected())));
        }
        reasons.add(Reason.of(derived, "search.reason.lifts", Math.max(1, Math.round(next.lifts()))));
    }

    private static List<Sentence> cautions(Search search, WhySearch why, AtTheHive there) {
        List<Sentence> all = new ArrayList<>();
        if (there.caged() && search.found().isEmpty()) {
            all.add(Sentence.of("search.caution.caged"));
        }
        if (search.muchSmoke()) {
            all.add(Sentence.of("search.caution.smoked"));
        } else if (search.passes() < SAY_SMOKE_BELOW && search.found().isEmpty()) {
            all.add(Sentence.of("search.caution.littleSmoke"));
        }
        if (there.defensive()) {
            all.add(Sentence.of("search.caution.defensive"));
        }
        if (search.looks().isEmpty()) {
            all.add(Sentence.of("search.caution.allergy"));
        } else {
            all.addAll(there.shut());
        }
        int combs = search.hive().boxes().stream().mapToInt(box -> box.combs().size()).sum();
        if (combs < FEW_COMBS && search.found().isEmpty()) {
            all.add(Sentence.of("search.caution.small"));
        }
        if (search.found().isPresent()) {
            all.add(why.hold());
            all.addAll(why.gates(search.under()));
        }
        return all;
    }

    /** The likeliest places now, the likeliest first. */
    public static List<Map.Entry<Place, Double>> likeliest(Search search, int most) {
        return search.odds().entrySet().stream()
                .sorted(Map.Entry.<Place, Double>comparingByValue(Comparator.reverseOrder())).limit(most).toList();
    }

    private static Reason practice(String key, Object... arguments) {
        return Reason.of(Source.COMMON_PRACTICE, key, arguments);
    }

    private static long percent(double chance) {
        return Math.round(100 * chance);
    }
}

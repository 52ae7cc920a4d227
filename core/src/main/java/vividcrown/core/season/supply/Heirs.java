package vividcrown.core.season.supply;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.demand.Product;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.demand.SupplyKind;

/**
 * Which orders' surplus goes to which later ones: queens that are over wait, in their nuc or in a bank, for the next
 * order that takes them. Each group gives to one and takes from one, so what is handed on adds up exactly.
 *
 * @param givers by the group that takes
 */
public record Heirs(Map<PromiseGroup, PromiseGroup> givers) {

    /** A bank holds queens for about three weeks before they fail. Common practice. */
    static final int KEPT_DAYS = 21;
    private static final int FLAT_BROOD_DAYS = 9;

    public Heirs {
        givers = Map.copyOf(givers);
    }

    public static Heirs of(List<PromiseGroup> groups) {
        Map<PromiseGroup, PromiseGroup> givers = new HashMap<>();
        Set<PromiseGroup> spent = new HashSet<>();
        groups.stream().sorted(Comparator.comparing(PromiseGroup::until)).forEach(heir -> groups.stream()
                .filter(giver -> !spent.contains(giver) && suits(giver, heir))
                .max(Comparator.comparing(PromiseGroup::until))
                .ifPresent(giver -> {
                    spent.add(giver);
                    givers.put(heir, giver);
                }));
        return new Heirs(givers);
    }

    private static boolean suits(PromiseGroup giver, PromiseGroup heir) {
        boolean queens = SupplyKind.of(giver.product()) == SupplyKind.QUEENS
                && SupplyKind.of(heir.product()) == SupplyKind.QUEENS;
        boolean ofLine = heir.line().isEmpty() || heir.line().equals(giver.line());
        return queens && ofLine && areKept(giver.until(), heir.until())
                && (heir.product() != Product.JUDGED_QUEENS || giver.product() == Product.JUDGED_QUEENS
                        || ChronoUnit.DAYS.between(giver.until(), heir.until()) >= FLAT_BROOD_DAYS);
    }

    /** Whether queens over on the one day are still good on the other. */
    static boolean areKept(LocalDate over, LocalDate wanted) {
        return over.isBefore(wanted) && !wanted.isAfter(over.plusDays(KEPT_DAYS));
    }

    public Optional<PromiseGroup> giver(PromiseGroup heir) {
        return Optional.ofNullable(givers.get(heir));
    }
}

package vividcrown.core.season.demand;

import vividcrown.core.demand.Product;

/** What is counted together: what comes from the same step. */
public enum SupplyKind {
    CELLS, VIRGINS, QUEENS;

    public static SupplyKind of(Product product) {
        return switch (product) {
            case RIPE_CELLS -> CELLS;
            case VIRGINS -> VIRGINS;
            case LAYING_QUEENS, MATED_QUEENS, JUDGED_QUEENS, NUCS_WITH_QUEEN -> QUEENS;
        };
    }
}

package vividcrown.core.demand;

import vividcrown.core.reason.Sentence;

/** How far an order has come. */
public enum OrderState {
    ASKED, PROMISED, DELIVERED, DECLINED;

    /** Whether it is still to be met. */
    public boolean isOpen() {
        return switch (this) {
            case ASKED, PROMISED -> true;
            case DELIVERED, DECLINED -> false;
        };
    }

    public Sentence sentence() {
        return Sentence.of("orderState." + name());
    }
}

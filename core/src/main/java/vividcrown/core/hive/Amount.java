package vividcrown.core.hive;

import java.util.function.DoubleUnaryOperator;
import vividcrown.core.reason.Wrong;

/** A number that is not known exactly: least, likely and most. */
public record Amount(double least, double likely, double most) {

    private static final double ROUNDING = 1e-9;

    public Amount {
        if (!(least <= likely + ROUNDING && likely <= most + ROUNDING)) {
            throw Wrong.of("wrong.Amount", least, likely, most);
        }
    }

    public static Amount of(double exactly) {
        return new Amount(exactly, exactly, exactly);
    }

    public Amount plus(Amount other) {
        return new Amount(least + other.least, likely + other.likely, most + other.most);
    }

    /** Each end put through something that grows with it. */
    public Amount map(DoubleUnaryOperator rising) {
        return new Amount(rising.applyAsDouble(least), rising.applyAsDouble(likely), rising.applyAsDouble(most));
    }
}

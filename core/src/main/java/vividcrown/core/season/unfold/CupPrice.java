package vividcrown.core.season.unfold;

import java.util.function.DoubleFunction;
import java.util.function.Predicate;

/** Where builders are short a cup has a price: the least at which what is wanted of them is no more than they take. */
final class CupPrice {

    private CupPrice() {
    }

    /**
     * What is chosen at about that price, sought by halves.
     *
     * @param high a price at which hardly anything is wanted, 0 or more
     * @param steps how often the span is halved
     * @param at what is chosen at a price: less, the higher it is
     * @param otherwise if nothing that was tried fits
     */
    static <T> T least(double high, int steps, DoubleFunction<T> at, Predicate<T> fits, T otherwise) {
        double tooLow = 0;
        double enough = high;
        T chosen = otherwise;
        for (int step = 0; step < steps; step++) {
            double price = (tooLow + enough) / 2;
            T one = at.apply(price);
            if (fits.test(one)) {
                chosen = one;
                enough = price;
            } else {
                tooLow = price;
            }
        }
        return chosen;
    }
}

package vividcrown.server.order;

import java.time.LocalDate;
import java.util.Locale;
import org.springframework.stereotype.Component;
import vividcrown.server.clock.Today;

/** Numbers orders through the year: Q26-01, Q26-02 … */
@Component
class OrderCodes {

    private final QueenOrders orders;
    private final Today today;

    OrderCodes(QueenOrders orders, Today today) {
        this.orders = orders;
        this.today = today;
    }

    /** @param others how many that are being taken come before it */
    String after(int others) {
        LocalDate day = today.day();
        String prefix = String.format(Locale.ROOT, "Q%02d-", day.getYear() % 100);
        int last = orders.lastCode(prefix + "%").stream().findFirst()
                .map(code -> Integer.parseInt(code.substring(prefix.length()))).orElse(0);
        return String.format(Locale.ROOT, "%s%02d", prefix, last + 1 + others);
    }
}

package vividcrown.journeys;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.Application;

/** How smoothly a made-up hive is drawn, and how soon the first one is there. Prints, asserts nothing: {@code ./crown bench}. */
@ExtendWith({Application.class, Browser.class})
@EnabledIfSystemProperty(named = "crown.bench", matches = "true")
class TrainerBench {

    private static final int HIVES = 5;
    /** Pictures drawn in five seconds, and the longest wait between two of them, ms. */
    private static final String FRAMES = """
            () => new Promise(done => {
              const from = performance.now()
              let frames = 0, before = from, longest = 0
              requestAnimationFrame(function next(now) {
                longest = Math.max(longest, now - before)
                before = now
                if (now - from > 5000) return done([(1000 * frames) / (now - from), longest])
                frames++
                requestAnimationFrame(next)
              })
            })""";

    private final Application.Running application;
    private final Browser.Running browser;

    TrainerBench(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @Test
    void a_crowded_hive() {
        Application.Demo demo = application.demo();
        Page page = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail()).page;
        page.route("**/api/v1/trainer/exercises", route -> route.resume(new Route.ResumeOptions().setPostData(
                "{\"task\":\"FIND\",\"skill\":\"FIND_LAYING\",\"level\":3,\"season\":\"SUMMER\"}")));
        for (int nth = 1; nth <= HIVES; nth++) {
            page.evaluate("() => localStorage.removeItem('trainer-doing-FIND')");
            page.navigate(application.address() + "/trainer");
            page.getByTestId("lead").waitFor();
            long from = System.nanoTime();
            page.keyboard().press("1");
            page.getByText("Choose a comb at the right").waitFor();
            double set = milliseconds(from);
            from = System.nanoTime();
            page.keyboard().press("l");
            page.locator("canvas").waitFor();
            double drawn = milliseconds(from);
            List<?> frames = (List<?>) page.evaluate(FRAMES);
            System.out.printf(Locale.ROOT,
                    "BENCH trainer: hive %d there after %.0f ms, first comb drawn after %.0f ms; "
                            + "%.1f pictures a second, longest wait %.0f ms%n",
                    nth, set, drawn,
                    ((Number) frames.get(0)).doubleValue(), ((Number) frames.get(1)).doubleValue());
        }
    }

    private static double milliseconds(long from) {
        return (System.nanoTime() - from) / 1e6;
    }
}

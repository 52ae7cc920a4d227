package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Looking for a queen with one thumb: found, not found, a reload half-way, no signal. */
@ExtendWith({Application.class, Browser.class})
class FindQueenJourney {

    private final Application.Running application;
    private final Browser.Running browser;
    private Application.Demo demo;

    FindQueenJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @BeforeEach
    void found() {
        demo = application.demo();
    }

    private JsonNode colony(String code) {
        Client owner = application.signedIn(demo.ownerEmail());
        for (JsonNode line : owner.get("/api/v1/colonies").json()) {
            if (line.path("code").asString().equals(code)) {
                return owner.get("/api/v1/colonies/" + line.path("id").asString()).json();
            }
        }
        throw new AssertionError("no colony " + code);
    }

    private static double odds(JsonNode page, String state) {
        for (JsonNode odds : page.path("verdict").path("odds")) {
            if (odds.path("state").asString().equals(state)) {
                return odds.path("chance").asDouble();
            }
        }
        throw new AssertionError("no odds of " + state);
    }

    private Notebook begins(String code) {
        Notebook owner = new Notebook(browser.phone(), application.address()).opensAndSignsIn(demo.ownerEmail());
        owner.opens("/colonies/" + colony(code).path("colony").path("id").asString());
        owner.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Find the queen")).click();
        owner.page.getByTestId("next").waitFor();
        return owner;
    }

    private static Locator tap(Page page, String what) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(what).setExact(true));
    }

    /** One tap at whatever is asked for. */
    private static void nothingThere(Page page) {
        String before = page.getByTestId("side").innerText();
        Locator glance = tap(page, "Not here");
        if (glance.count() > 0) {
            glance.click();
        } else {
            tap(page, "nothing noted").click();
        }
        assertThat(page.getByTestId("side")).not().hasText(before);
    }

    @Test
    void found_with_one_thumb_held_closed_and_recorded() {
        Notebook owner = begins("H 11");
        Page page = owner.page;
        assertThat(page.getByTestId("next")).containsText("outer comb");
        tap(page, "food").click();
        assertThat(page.getByTestId("next")).containsText("other side");
        tap(page, "food").click();
        assertThat(page.getByTestId("next")).not().containsText("other side");
        String first = page.getByTestId("side").innerText();
        tap(page, "many eggs").click();
        assertThat(page.getByTestId("side")).not().hasText(first);
        tap(page, "She is here").click();
        assertThat(page.getByText("She is found").first()).isVisible();
        page.getByLabel("She is now").selectOption("CATCHER");
        assertThat(page.getByText("She is still caged: see her once more before you leave")).isVisible();
        assertThat(page.getByText("The comb that stood outside back into slot")).isVisible();
        tap(page, "Closed: record it").click();
        owner.sent();
        JsonNode after = colony("H 11");
        assertThat(odds(after, "LAYING_QUEEN")).isGreaterThan(0.95);
    }

    @Test
    void not_found_after_all_combs_the_judgement_moves_and_a_reload_loses_nothing() {
        double before = odds(colony("H 8"), "LAYING_QUEEN");
        Notebook owner = begins("H 8");
        Page page = owner.page;
        for (int look = 0; look < 5; look++) {
            nothingThere(page);
        }
        String side = page.getByTestId("side").innerText();
        page.reload();
        assertThat(page.getByTestId("side")).hasText(side);
        assertThat(page.getByTestId("odds")).containsText("misses a queen who is here in");
        for (int look = 0; look < 30; look++) {
            nothingThere(page);
        }
        tap(page, "Not found: close and record").click();
        owner.sent();
        assertThat(odds(colony("H 8"), "LAYING_QUEEN")).isLessThan(before);
    }

    @Test
    void without_signal_it_goes_on_in_the_order_that_was_said() {
        Notebook owner = begins("H 11");
        Page page = owner.page;
        page.route("**/api/v1/**", route -> route.abort());
        for (int look = 0; look < 6; look++) {
            nothingThere(page);
        }
        assertThat(page.getByText(Pattern.compile("going on in the order that was said"))).isVisible();
        assertThat(page.getByTestId("next")).not().isEmpty();
        tap(page, "She is here").click();
        tap(page, "Closed: record it").click();
        assertThat(page.getByText(Pattern.compile("waits? to be sent"))).isVisible();
        page.unroute("**/api/v1/**");
        page.reload();
        assertThat(page.getByTestId("verdict")).isVisible();
        Client known = application.signedIn(demo.ownerEmail());
        String hive = colony("H 11").path("colony").path("id").asString();
        page.waitForCondition(() -> known.get("/api/v1/journal?subject=" + hive).json().toString()
                .contains("QUEEN_SEARCHED"));
    }
}

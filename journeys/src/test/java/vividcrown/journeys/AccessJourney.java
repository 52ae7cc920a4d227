package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.LoadState;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Everybody can use it: axe finds nothing, and the keyboard alone is enough. */
@ExtendWith({Application.class, Browser.class})
class AccessJourney {

    private final Application.Running application;
    private final Browser.Running browser;
    private Application.Demo demo;

    AccessJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @BeforeEach
    void found() {
        demo = application.demo();
    }

    @Test
    void axe_finds_nothing_on_any_main_screen() {
        Notebook owner = new Notebook(browser.desk(), application.address());
        owner.opens("/");
        owner.button("Sign in").waitFor();
        assertThat(owner.faults()).as("sign in").isEmpty();
        owner.signsIn(demo.ownerEmail());
        owner.stops("CHECK_EMERGENCE").first().waitFor();
        assertThat(owner.faults()).as("round").isEmpty();
        owner.goesTo("Grafts").heading("Grafts");
        assertThat(owner.faults()).as("grafts").isEmpty();
        for (String graft : new String[]{"26-06", "26-05", "26-07"}) {
            assertThat(owner.opensGraft(graft).faults()).as("graft " + graft).isEmpty();
        }
        owner.opens("/grafts/plan").heading("Plan a graft");
        assertThat(owner.faults()).as("plan").isEmpty();
        owner.opensYard("Weir Bend").nuc("W 03").click();
        assertThat(owner.faults()).as("yard").isEmpty();
        owner.goesTo("Queens").finds("26-02-110").heading("26-02-110");
        assertThat(owner.faults()).as("queen").isEmpty();
        owner.goesTo("Queens").heading("Queens");
        assertThat(owner.faults()).as("queens").isEmpty();
        owner.goesTo("Files").heading("Files");
        assertThat(owner.faults()).as("files").isEmpty();
    }

    @Test
    void axe_finds_nothing_in_the_dark_and_on_a_phone() {
        Notebook owner = new Notebook(browser.phone(), application.address());
        owner.page.emulateMedia(new Page.EmulateMediaOptions()
                .setColorScheme(ColorScheme.DARK));
        owner.opensAndSignsIn(demo.ownerEmail()).stops("CHECK_EMERGENCE").first().waitFor();
        assertThat(owner.faults()).isEmpty();
    }

    /** At the desk by day, and in the yard in the dark colours. */
    @Test
    void every_screen_is_open_to_everybody() {
        Client known = application.signedIn(demo.ownerEmail());
        String yard = known.get("/api/v1/yards").json().get(0).path("id").asString();
        String hive = known.get("/api/v1/colonies").json().get(0).path("id").asString();
        String queen = known.get("/api/v1/queens/breeders").json().get(0).path("id").asString();
        List<String> screens = List.of("/", "/season", "/orders", "/builders", "/grafts", "/grafts/plan", "/yards",
                "/yards/" + yard, "/colonies", "/colonies/" + hive, "/colonies/" + hive + "/read",
                "/colonies/" + hive + "/search", "/queens",
                "/queens/" + queen, "/queens?view=lines", "/queens?view=mating", "/queens?view=requeening", "/splits",
                "/splits?view=equalise", "/splits?view=late",
                "/splits?view=boost", "/splits?view=unite", "/splits?view=store", "/files",
                "/settings", "/begin", "/trainer", "/trainer/FIND", "/trainer/PATTERN", "/trainer/CELL_LOOK",
                "/trainer/CAGE");
        walks(new Notebook(browser.desk(), application.address()), ColorScheme.LIGHT, screens);
        walks(new Notebook(browser.phone(), application.address()), ColorScheme.DARK, screens);
    }

    private void walks(Notebook owner, ColorScheme light, List<String> screens) {
        owner.page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(light));
        owner.opensAndSignsIn(demo.ownerEmail());
        for (String screen : screens) {
            owner.opens(screen);
            owner.page.locator("h1").first().waitFor();
            owner.page.waitForLoadState(LoadState.NETWORKIDLE);
            assertThat(owner.faults()).as("%s, %s", screen, light).isEmpty();
        }
    }

    @Test
    void the_keyboard_alone_does_a_graft_and_the_round() {
        Notebook owner = new Notebook(browser.desk(), application.address());
        owner.opens("/");
        owner.button("Sign in").waitFor();
        Page page = owner.page;
        page.keyboard().press("Tab");
        page.keyboard().type(demo.ownerEmail());
        page.keyboard().press("Tab");
        page.keyboard().type("upland valley");
        page.keyboard().press("Enter");
        owner.stops("CHECK_EMERGENCE").first().waitFor();

        page.keyboard().press("g");
        owner.heading("Grafts");
        tabTo(page, "Plan a graft");
        page.keyboard().press("Enter");
        owner.heading("Plan a graft");
        // a list that is still empty has nothing to type ahead to
        assertThat(page.getByLabel("Breeder queen").locator("option")).not().hasCount(1);
        assertThat(page.getByLabel("Builder", new Page.GetByLabelOptions().setExact(true)).locator("option")).not()
                .hasCount(1);
        tabTo(page, "Breeder queen");
        page.keyboard().type("Runa");
        page.keyboard().press("Tab");
        page.keyboard().type("B 1");
        tabTo(page, "Grafted: keep it");
        page.keyboard().press("Enter");
        owner.heading("Graft 26-08");

        page.keyboard().press("r");
        Locator first = owner.boxes("CHECK_EMERGENCE").first();
        String code = first.getAttribute("data-code");
        tabTo(page, first.getAttribute("aria-label"));
        page.keyboard().press("Enter");
        tabTo(page, code + ": done, Emerged");
        page.keyboard().press("Enter");
        assertThat(owner.box(code)).hasCount(0);
        // it is on its way before there is something to undo
        assertThat(owner.button("Undo")).isVisible();
        page.keyboard().press("z");
        assertThat(owner.box(code)).hasCount(1);
        page.keyboard().press("?");
        assertThat(owner.button("Close")).isVisible();
    }

    /** Presses Tab until what has the focus bears this name. */
    private static void tabTo(Page page, String name) {
        String named = "() => { const e = document.activeElement; return e.getAttribute('aria-label') "
                + "|| (e.labels && e.labels[0] && e.labels[0].textContent) || e.textContent }";
        for (int presses = 0; presses < 200; presses++) {
            if (name.equals(page.evaluate(named))) {
                return;
            }
            page.keyboard().press("Tab");
        }
        throw new AssertionError("Tab never reaches \"" + name + "\"");
    }
}

package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** What happens in the yard: gloves, lost signal, two people, mistakes. */
@ExtendWith({Application.class, Browser.class})
class YardJourney {

    /** Waits until the round's answer is in the device's own store, and says whether it came there. */
    private static final String KEPT_ON_THE_DEVICE = """
            async () => {
                for (let look = 0; look < 60; look++) {
                    const answers = await new Promise(found => {
                        const opening = indexedDB.open('vivid-crown-kept')
                        opening.onsuccess = () => {
                            const asked = opening.result.transaction('kept').objectStore('kept').get('answers')
                            asked.onsuccess = () => { opening.result.close(); found(asked.result?.value) }
                        }
                    })
                    if (/CHECK_EMERGENCE/.test(answers)) return true
                    await new Promise(wait => setTimeout(wait, 250))
                }
                return false
            }""";

    private final Application.Running application;
    private final Browser.Running browser;
    private Application.Demo demo;
    private Notebook owner;

    YardJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @BeforeEach
    void found() {
        demo = application.demo();
        owner = new Notebook(browser.phone(), application.address());
    }

    private Locator firstCheck() {
        return owner.stops("CHECK_EMERGENCE").first();
    }

    private static void taps(Locator stop, String name) {
        stop.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile(name))).click();
    }

    @Test
    void a_tap_in_gloves_records_and_undo_takes_it_back() {
        owner.opensAndSignsIn(demo.ownerEmail());
        firstCheck().waitFor();
        String code = firstCheck().getAttribute("data-code");
        Locator stop = owner.box(code);
        Locator done = firstCheck().getByRole(AriaRole.BUTTON,
                new Locator.GetByRoleOptions().setName(Pattern.compile("done, Emerged")));
        assertThat(done.boundingBox().height).isGreaterThanOrEqualTo(56);
        done.click();
        assertThat(stop).hasCount(0);
        owner.sent().button("Undo").click();
        assertThat(stop).hasCount(1);
    }

    @Test
    void something_else_is_seen_in_two_taps() {
        owner.opensAndSignsIn(demo.ownerEmail());
        firstCheck().waitFor();
        String code = firstCheck().getAttribute("data-code");
        taps(firstCheck(), "^Dud$");
        assertThat(owner.page.locator("[data-testid=box][data-code='" + code + "'][data-job=GIVE_CELL]")).isVisible();
    }

    /** Ten checks with one dud, in gloves: the dud's box, "dud", and all the others. */
    @Test
    void a_row_with_one_exception_takes_three_taps_and_the_round_three_screens() {
        owner.opensAndSignsIn(demo.ownerEmail());
        Locator row = owner.page.getByTestId("work").filter(new Locator.FilterOptions().setHas(owner.box("L 05")))
                .and(owner.page.locator("[data-job=CHECK_EMERGENCE]"));
        assertThat(row.getByTestId("box")).hasCount(10);
        double end = (Double) owner.page.getByTestId("work").last()
                .evaluate("row => row.getBoundingClientRect().bottom + window.scrollY + 0.001");
        assertThat(end).as("the last box of the folded round").isLessThanOrEqualTo(3 * 844.0);
        assertThat(owner.box("L 09").boundingBox().height).isGreaterThanOrEqualTo(44);
        int taps = 0;
        owner.box("L 09").first().click();
        taps++;
        taps(row, "^Dud$");
        taps++;
        assertThat(row.getByTestId("box")).hasCount(9);
        taps(row, "^All 9: Emerged$");
        taps++;
        assertThat(row).hasCount(0);
        assertThat(taps).isLessThanOrEqualTo(4);
        owner.sent();
        Client book = application.signedIn(demo.ownerEmail());
        var hives = book.get("/api/v1/yards").json().valueStream()
                .filter(yard -> yard.path("name").asString().equals("Larch Step")).findFirst()
                .map(yard -> book.get("/api/v1/yards/" + yard.path("id").asString()).json().path("hives"))
                .orElseThrow();
        var stages = hives.valueStream().filter(hive -> hive.path("code").asString().matches("L (0[5-9]|1[0-4])"))
                .map(hive -> hive.path("queen").path("stage").asString("gone")).toList();
        assertThat(stages).hasSize(10).filteredOn("VIRGIN"::equals).hasSize(9);
        owner.button("Undo").click();
        assertThat(row.getByTestId("box")).hasCount(9);
    }

    @Test
    void the_round_opens_in_a_yard_without_any_signal() {
        BrowserContext phone = browser.phoneThatKeepsTheScreens();
        Notebook inTheYard = new Notebook(phone.newPage(), application.address());
        inTheYard.opensAndSignsIn(demo.ownerEmail());
        inTheYard.stops("CHECK_EMERGENCE").first().waitFor();
        inTheYard.page.evaluate("() => navigator.serviceWorker.ready");
        assertThat((Boolean) inTheYard.page.evaluate(KEPT_ON_THE_DEVICE)).isTrue();
        phone.setOffline(true);
        inTheYard.page.reload();
        Locator stop = inTheYard.stops("CHECK_EMERGENCE").first();
        String code = stop.getAttribute("data-code");
        taps(stop, "done, Emerged");
        phone.setOffline(false);
        inTheYard.sent();
        inTheYard.page.reload();
        assertThat(inTheYard.stops("CHECK_EMERGENCE").first()).isVisible();
        assertThat(inTheYard.page.locator("[data-testid=box][data-code='" + code + "'][data-job=CHECK_EMERGENCE]"))
                .hasCount(0);
    }

    @Test
    void without_signal_entries_wait_and_a_reload_loses_none() {
        owner.opensAndSignsIn(demo.ownerEmail());
        firstCheck().waitFor();
        String code = firstCheck().getAttribute("data-code");
        owner.page.route("**/api/v1/journal", route -> route.abort());
        taps(firstCheck(), "done, Emerged");
        assertThat(owner.page.getByText("1 entry waits to be sent")).isVisible();
        owner.page.reload();
        assertThat(owner.page.getByText("1 entry waits to be sent")).isVisible();
        owner.page.unroute("**/api/v1/journal");
        owner.page.reload();
        owner.sent();
        assertThat(owner.page.locator("[data-code='" + code + "'][data-job=CHECK_EMERGENCE]")).hasCount(0);
    }

    @Test
    void an_expired_session_asks_to_sign_in_and_keeps_what_was_tapped() {
        owner.opensAndSignsIn(demo.ownerEmail());
        firstCheck().waitFor();
        String code = firstCheck().getAttribute("data-code");
        owner.page.context().clearCookies();
        taps(firstCheck(), "done, Emerged");
        owner.button("Sign in").waitFor();
        owner.signsIn(demo.ownerEmail());
        firstCheck().waitFor();
        owner.sent();
        assertThat(owner.page.locator("[data-code='" + code + "'][data-job=CHECK_EMERGENCE]")).hasCount(0);
    }

    @Test
    void a_reload_in_the_middle_of_the_take_loses_nothing() {
        owner.opensAndSignsIn(demo.ownerEmail()).opensGraft("26-06");
        owner.cups().nth(0).click();
        owner.cups().nth(3).click();
        owner.page.reload();
        assertThat(owner.button("Keep the take: 2 of 45")).isVisible();
        assertThat(owner.cups().nth(3)).hasAttribute("aria-pressed", "true");
    }

    @Test
    void a_half_filled_plan_survives_a_reload_and_says_what_is_missing() {
        owner.opensAndSignsIn(demo.ownerEmail()).opens("/grafts/plan");
        owner.page.getByLabel("Cups on each").fill("20");
        owner.page.reload();
        assertThat(owner.page.getByLabel("Cups on each")).hasValue("20");
        owner.button("Keep as plan").click();
        // the browser itself says what is missing, and goes to it
        assertThat(owner.page.getByLabel("Breeder queen")).isFocused();
        owner.page.getByLabel("Breeder queen").selectOption(new SelectOption().setIndex(1));
        owner.page.getByLabel("Builder", new Page.GetByLabelOptions().setExact(true))
                .selectOption(new SelectOption().setIndex(1));
        owner.button("Keep as plan").click();
        assertThat(owner.page.getByText("60 cups are more than 45")).isVisible();
        assertThat(owner.page.getByLabel("Cups on each")).hasValue("20");
    }

    @Test
    void two_people_record_the_same_nuc_and_the_second_decides_what_to_do() {
        Notebook crew = new Notebook(browser.phone(), application.address());
        owner.opensAndSignsIn(demo.ownerEmail());
        crew.opensAndSignsIn(demo.crewEmail());
        firstCheck().waitFor();
        String code = firstCheck().getAttribute("data-code");
        crew.stops("CHECK_EMERGENCE").first().waitFor();
        taps(firstCheck(), "done, Emerged");
        owner.sent();
        Locator theirs = crew.page.locator("[data-testid=stop][data-code='" + code + "']");
        taps(theirs, "^Dud$");
        Locator refused = crew.page.getByTestId("refused");
        assertThat(refused).containsText("She is recorded as emerged, so her cell cannot be a dud.");
        taps(refused, "keep it, flagged");
        assertThat(refused).hasCount(0);
        crew.sent();
    }

    @Test
    void a_wrong_entry_is_corrected_on_the_queens_page_and_stays_readable() {
        owner.opensAndSignsIn(demo.ownerEmail());
        firstCheck().waitFor();
        taps(firstCheck(), "done, Emerged");
        owner.sent();
        var queen = application.signedIn(demo.ownerEmail()).list("/api/v1/queens?search=26-04-").valueStream()
                .filter(one -> one.path("stage").asString().equals("VIRGIN")).findFirst().orElseThrow();
        owner.opens("/queens/" + queen.path("id").asString());
        owner.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Correct: Emerged")).click();
        owner.page.getByLabel("Instead").selectOption("VIRGIN");
        owner.button("Keep the correction").click();
        Locator entries = owner.page.getByTestId("entry");
        assertThat(entries.filter(new Locator.FilterOptions().setHasText("Virgin seen"))).hasAttribute("data-stands",
                "true");
        assertThat(entries.filter(new Locator.FilterOptions().setHasText("Emerged"))).hasAttribute("data-stands",
                "false");
    }

    @Test
    void a_wrong_password_is_told_and_the_address_kept() {
        owner.opens("/").signsIn(demo.ownerEmail(), "not this one");
        assertThat(owner.page.getByRole(AriaRole.ALERT)).hasText(
                "This e-mail address and password do not belong together. Check both and try again.");
        assertThat(owner.page.getByLabel("E-mail address")).hasValue(demo.ownerEmail());
    }

    @Test
    void a_csv_with_bad_rows_shows_each_and_imports_only_what_is_confirmed() {
        owner.opensAndSignsIn(demo.ownerEmail()).goesTo("Files");
        Locator queens = looksAt("A whole apiary", """
                code,name,yard,hive,stage,year,mark
                X-1,Mira,Larch Step,L 90,laying,2025,14
                X-2,,,,flying,,
                """);
        assertThat(queens.getByText("Good: 1. To change: 1.")).isVisible();
        assertThat(queens.locator("tr[data-bad=true]")).containsText("stage \"flying\" is not known.");
        owner.button("Import the 1 good row, leave 1").click();
        assertThat(owner.page.getByText("Imported. Yards: 0, hives: 1, queens: 1.")).isVisible();
        Locator orders = looksAt("Orders", """
                for,product,count,until
                Fell Side,mated queens,12,2026-08-04
                Nobody,golden queens,many,someday
                """);
        assertThat(orders.locator("tr[data-bad=true]")).containsText("product \"golden queens\" is not known.");
        owner.button("Import the 1 good row, leave 1").click();
        assertThat(owner.page.getByText("Taken: 1 orders.")).isVisible();
        owner.opens("/orders");
        assertThat(owner.page.getByTestId("order").filter(new Locator.FilterOptions().setHasText("Fell Side")))
                .containsText("12 mated queens");
    }

    private Locator looksAt(String kind, String csv) {
        owner.page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(kind)).click();
        Locator section = owner.page.getByRole(AriaRole.TABPANEL);
        section.locator("summary").click();
        section.getByLabel("or paste it").fill(csv);
        section.getByText("Look at it first").click();
        return section;
    }
}

package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.Application;

/** Queens on their way into colonies, and mites, in the browser. */
@ExtendWith({Application.class, Browser.class})
class IntroductionJourney {

    private final Application.Running application;
    private final Browser.Running browser;
    private Application.Demo demo;
    private Notebook owner;
    private Page page;

    IntroductionJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail());
        page = owner.page;
    }

    private static Locator due(Page where) {
        return where.getByTestId("due");
    }

    /** From the round to the cage, the bees read without a signal, every frame looked at, opened; the board knows. */
    @Test
    void a_cage_is_read_in_the_yard_and_opened_by_its_gates() {
        Notebook phone = new Notebook(browser.phone(), application.address());
        BrowserContext device = phone.page.context();
        phone.opensAndSignsIn(demo.crewEmail());
        phone.opens("/introductions");
        phone.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Read the bees")).first().click();
        assertThat(due(phone.page)).containsText("Read the bees");
        device.setOffline(true);
        phone.button("feed her").click();
        phone.button("5 min").click();
        phone.button("Keep this reading").click();
        assertThat(phone.page.getByText("Kept on this device")).isVisible();
        device.setOffline(false);
        phone.sent();
        assertThat(due(phone.page)).containsText("Every frame");
        phone.button("Nothing: no eggs, no virgin, no cells").click();
        assertThat(due(phone.page)).containsText("Open the cage");
        phone.button("Opened").click();
        assertThat(due(phone.page)).containsText("Her eggs?");
        phone.sent();

        owner.goesTo("Introductions");
        assertThat(page.getByText("Her eggs?")).isVisible();
    }

    @Test
    void a_colony_that_may_have_a_queen_is_searched_before_any_is_given() {
        owner.opens("/introductions?view=give");
        page.getByLabel("Into").selectOption("H 7");
        assertThat(page.getByTestId("answer")).containsText("H 7: do not give her");
        assertThat(page.getByText("look for eggs and search every frame").first()).isVisible();
        assertThat(owner.button("She is in")).hasCount(0);
        page.getByLabel("Into").selectOption("H 6");
        assertThat(page.getByTestId("answer")).containsText("first things first");
        page.reload();
        assertThat(page.getByLabel("Into")).not().hasValue("");
        assertThat(page.getByTestId("answer")).containsText("first things first");
    }

    @Test
    void a_caged_queen_is_hung_into_the_bank() {
        owner.opens("/introductions?view=bank");
        owner.button("Move 25-61").click();
        page.getByLabel("Bank: in which hive").selectOption("H 8");
        page.getByLabel("Attendants").fill("0");
        owner.button("Keep").click();
        owner.sent();
        assertThat(page.getByText("cage 21 · in H 8 · 0 attendants")).isVisible();
    }

    /** A count says what it means at once; a treatment is in until it is out; a reload has both. */
    @Test
    void mites_are_counted_and_a_treatment_noted() {
        owner.goesTo("Mites");
        assertThat(page.getByTestId("answer")).containsText("counted");
        owner.button("Count in H 3").click();
        page.getByLabel("Mites", new Page.GetByLabelOptions().setExact(true)).fill("9");
        page.getByLabel("queen seen elsewhere, or both sides searched").check();
        page.getByLabel("off open brood").check();
        owner.button("Keep the count").click();
        assertThat(page.getByText("3 %", new Page.GetByTextOptions().setExact(true))).isVisible();
        owner.button("Treatment of H 3").click();
        page.getByLabel("What", new Page.GetByLabelOptions().setExact(true)).fill("strips");
        owner.button("It is in").click();
        assertThat(page.getByText("strips in it since")).isVisible();
        page.reload();
        owner.button("Taken out of H 3").click();
        assertThat(page.getByText("strips in it since")).hasCount(0);
        owner.button("Brood stop in H 1").click();
        assertThat(page.getByText("Let her out on")).isVisible();
        assertThat(page.getByText("No sealed drone").first()).isVisible();
    }
}

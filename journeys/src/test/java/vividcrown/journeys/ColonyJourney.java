package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.Application;

/** An open hive: the reading pad, the verdict, what was chosen and how it is answered. */
@ExtendWith({Application.class, Browser.class})
class ColonyJourney {

    private final Application.Running application;
    private final Browser.Running browser;
    private Application.Demo demo;

    ColonyJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @BeforeEach
    void found() {
        demo = application.demo();
    }

    private static Locator sign(Page page, String sign) {
        return page.locator("[data-sign=" + sign + "]");
    }

    private static Locator verdict(Page page) {
        return page.getByTestId("verdict");
    }

    @Test
    void a_reading_of_five_signs_takes_at_most_eight_taps_from_the_round() {
        Notebook owner = new Notebook(browser.phone(), application.address()).opensAndSignsIn(demo.ownerEmail());
        Page page = owner.page;
        page.evaluate("() => { window.taps = 0; addEventListener('click', () => window.taps++, true) }");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^H 8: "))).click();
        for (String one : new String[]{"EGGS_SINGLE", "LARVAE", "SEALED_WORKER", "CALM", "QUEEN"}) {
            sign(page, one).click();
        }
        owner.button("Done").click();
        assertThat(page.getByTestId("reading").first()).containsText("eggs, one to a cell");
        assertThat((Integer) page.evaluate("() => window.taps")).isLessThanOrEqualTo(8);
        owner.goesTo("Round");
        assertThat(page.locator("[data-testid=box][data-job=READ_COLONY][data-code='H 8']")).hasCount(0);
    }

    @Test
    void the_verdict_grows_while_one_taps_and_what_was_not_looked_at_is_not_absent() {
        Notebook owner = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail());
        Page page = owner.page;
        owner.goesTo("Colonies");
        page.locator("[data-code='H 6']").getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Read"))
                .click();
        assertThat(verdict(page)).hasAttribute("data-leading", "VIRGIN");
        sign(page, "SEALED_WORKER").click();
        sign(page, "EGGS_SINGLE").click();
        assertThat(verdict(page)).hasAttribute("data-leading", "LAYING_QUEEN");
        assertThat(sign(page, "CALM")).hasAttribute("data-told", "unlooked");
        sign(page, "CALM").click();
        sign(page, "CALM").click();
        assertThat(sign(page, "CALM")).hasAttribute("data-told", "absent");
        owner.button("Undo").click();
        assertThat(sign(page, "CALM")).hasAttribute("data-told", "seen");
    }

    @Test
    void a_half_filled_reading_survives_a_reload_and_a_lost_connection() {
        Notebook owner = new Notebook(browser.phone(), application.address()).opensAndSignsIn(demo.ownerEmail());
        Page page = owner.page;
        owner.goesTo("Colonies");
        page.locator("[data-code='H 7']").getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Read"))
                .click();
        sign(page, "EGGS_SINGLE").click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Frame 5"))).click();
        sign(page, "SEALED_DRONE").click();
        page.reload();
        assertThat(sign(page, "EGGS_SINGLE")).hasAttribute("data-told", "seen");
        page.route("**/api/v1/journal", route -> route.abort());
        owner.button("Done").click();
        assertThat(page.getByText(Pattern.compile("waits? to be sent"))).isVisible();
        page.unroute("**/api/v1/journal");
        page.reload();
        owner.sent();
        assertThat(page.getByTestId("reading").first()).containsText("eggs, one to a cell");
    }

    @Test
    void a_test_frame_is_chosen_followed_and_answered() {
        Notebook owner = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail());
        Page page = owner.page;
        owner.goesTo("Colonies");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("H 6").setExact(true)).click();
        page.locator("[data-action=TEST_FRAME]").getByRole(AriaRole.BUTTON).first().click();
        assertThat(page.getByTestId("follow-up").first()).containsText("queen cells on the test frame");
        page.getByLabel("What happened").selectOption(new SelectOption().setValue("BROOD_GIVEN"));
        owner.button("Record").click();
        owner.sent().stepsDays(4).goesTo("Round");
        Locator stop = owner.unfolds("READ_COLONY", "H 6");
        assertThat(stop).containsText("queen cells on the test frame");
        stop.getByRole(AriaRole.LINK).click();
        owner.button("More signs").click();
        sign(page, "CELLS_ON_TEST_FRAME").click();
        sign(page, "CELLS_ON_TEST_FRAME").click();
        owner.button("Done").click();
        assertThat(verdict(page)).hasAttribute("data-leading", Pattern.compile("VIRGIN|LAYING_QUEEN"));
        assertThat(page.getByTestId("follow-up")).hasCount(1);
    }

    @Test
    void swarm_cells_show_the_ladder_with_its_gates_in_each_school() {
        Notebook owner = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail());
        Page page = owner.page;
        owner.goesTo("Colonies");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("H 2").setExact(true)).click();
        assertThat(page.getByText("only with the queen in hand").first()).isVisible();
        assertThat(page.getByText("exactly one cell left").first()).isVisible();
        Locator shaken = page.getByLabel("Done: Shake every frame and destroy cells");
        assertThat(shaken).isDisabled();
        page.getByLabel("Way of doing it").selectOption("LEAVE_ONE_NOW");
        assertThat(page.getByText(Pattern.compile("This path can throw a cast"))).isVisible();
        page.getByLabel("Way of doing it").selectOption("DESTROY_AND_RETURN");
        page.getByLabel("Done: Catch the queen").click();
        assertThat(shaken).isEnabled();
        assertThat(page.getByLabel("Done: Reduce to exactly one cell")).isDisabled();
        page.reload();
        assertThat(page.getByLabel("Done: Catch the queen")).isChecked();
        owner.goesTo("Round");
        Locator stop = owner.unfolds("SWARM_STEP", "H 2");
        assertThat(stop).containsText("Make her nuc");
        stop.getByRole(AriaRole.LINK).click();
        page.getByLabel("Done: Make her nuc").click();
        assertThat(page.getByText(Pattern.compile("^Begun "))).isVisible();
    }

    @Test
    void a_reading_is_corrected_on_the_pad_and_keeps_its_day() {
        Notebook owner = new Notebook(browser.phone(), application.address()).opensAndSignsIn(demo.ownerEmail());
        Page page = owner.page;
        owner.opens("/colonies");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("H 6").setExact(true)).click();
        Locator reading = page.getByTestId("reading");
        assertThat(reading).hasCount(1);
        String day = reading.locator("strong").textContent();
        reading.getByRole(AriaRole.LINK).click();
        assertThat(sign(page, "CALM")).hasAttribute("data-told", "seen");
        sign(page, "MOANING").click();
        page.getByLabel("Lift").selectOption("LIGHT");
        page.getByLabel("Weather").selectOption("RAIN");
        assertThat(page.getByText(Pattern.compile("Close up soon"))).isVisible();
        owner.button("Done").click();
        assertThat(reading).hasCount(1);
        assertThat(reading).containsText("a moaning roar");
        assertThat(reading.locator("strong")).hasText(day);
        assertThat(page.getByText(Pattern.compile("^Stores 0–5 kg"))).isVisible();
    }

    private static void opensHive(Notebook owner, String code) {
        owner.opens("/colonies");
        owner.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(code).setExact(true)).click();
        verdict(owner.page).waitFor();
    }

    private static void movesFrame(Notebook owner, String frame, String hive) {
        owner.page.getByLabel("Which frame").selectOption(new SelectOption().setLabel(frame));
        owner.page.getByLabel("To hive").selectOption(new SelectOption().setLabel(hive));
        assertThat(owner.page.getByText("The frame in slot 10 comes back in exchange.")).isVisible();
        owner.page.getByLabel("Her queen").selectOption("BOTH_SIDES_SEARCHED");
        // the comb that comes back leaves a hive too
        owner.page.getByLabel("Queen of " + hive).selectOption("SEEN_ELSEWHERE");
        owner.button("Move the frame").click();
        owner.sent();
    }

    @Test
    void a_frame_moved_across_three_hives_keeps_its_history() {
        Notebook owner = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail());
        Page page = owner.page;
        opensHive(owner, "H 1");
        movesFrame(owner, "Brood box 1 · 5", "H 6");
        assertThat(page.getByTestId("move").first()).containsText("H 1, slot 5 → H 6, slot 10: eggs, one to a cell");
        opensHive(owner, "H 6");
        movesFrame(owner, "10", "H 7");
        page.getByTestId("move").filter(new Locator.FilterOptions().setHasText("H 6, slot 10 → H 7, slot 10")).first()
                .getByRole(AriaRole.LINK).click();
        Locator stays = page.getByTestId("stay");
        assertThat(stays).hasCount(3);
        assertThat(stays.nth(0)).containsText("H 7, slot 10");
        assertThat(stays.nth(1)).containsText("H 6, slot 10");
        assertThat(stays.nth(2)).containsText("eggs, one to a cell");
        assertThat(owner.faults()).isEmpty();
    }

    @Test
    void a_hive_of_two_boxes_is_read_box_by_box_and_half_seams_count() {
        Notebook owner = new Notebook(browser.phone(), application.address()).opensAndSignsIn(demo.ownerEmail());
        Page page = owner.page;
        opensHive(owner, "H 1");
        assertThat(page.getByTestId("box")).hasCount(2);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Read").setExact(true)).click();
        page.getByLabel("Seams of bees in box 1").selectOption("7.5");
        owner.button("Honey box 2").click();
        page.getByLabel("Seams of bees in box 2").selectOption("4");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("No frame in slot 10")))
                .isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Frame 3"))).click();
        sign(page, "SEALED_HONEY").click();
        assertThat(owner.faults()).isEmpty();
        owner.button("Done").click();
        assertThat(page.getByTestId("reading").first()).containsText("11.5 frames of bees");
    }

    @Test
    void a_nuc_is_opened_read_and_made_a_production_hive() {
        Notebook owner = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail());
        Page page = owner.page;
        owner.goesTo("Yards").opensYard("Weir Bend").nuc("W 03").click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Open the hive")).click();
        verdict(page).waitFor();
        owner.button("Change the hive").click();
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Kept for")).selectOption("PRODUCTION");
        owner.button("Keep").click();
        assertThat(owner.button("Keep")).hasCount(0);
        owner.opens("/colonies");
        assertThat(page.getByTestId("colony").filter(new Locator.FilterOptions().setHasText("W 03"))).hasCount(1);
    }

    @Test
    void clashing_facts_and_signs_of_disease_are_said_first() {
        Notebook owner = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail());
        Page page = owner.page;
        owner.goesTo("Colonies");
        assertThat(page.getByTestId("colony").first()).containsText("Signs of disease");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("H 10").setExact(true)).click();
        assertThat(page.getByText("These cannot all be true:")).isVisible();
        assertThat(page.getByText(Pattern.compile("a second queen was missed"))).isVisible();
    }

    @Test
    void the_new_screens_are_open_to_everybody() {
        Notebook owner = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail());
        Page page = owner.page;
        owner.goesTo("Colonies");
        page.getByTestId("colony").first().waitFor();
        assertThat(owner.faults()).isEmpty();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("H 2").setExact(true)).click();
        verdict(page).waitFor();
        assertThat(owner.faults()).isEmpty();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Read").setExact(true)).click();
        verdict(page).waitFor();
        assertThat(owner.faults()).isEmpty();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Frame 5"))).focus();
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("near side"))))
                .isVisible();
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("far side"))))
                .isVisible();
        assertThat(owner.faults()).isEmpty();
        owner.opens("/settings");
        page.getByText("Day-counts").waitFor();
        assertThat(owner.faults()).isEmpty();
    }
}

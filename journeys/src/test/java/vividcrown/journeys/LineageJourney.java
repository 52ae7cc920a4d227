package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.Application;

/** All queens, their lines, what a mating would give, marks, and who is replaced, in the browser. */
@ExtendWith({Application.class, Browser.class})
class LineageJourney {

    private final Application.Running application;
    private final Browser.Running browser;
    private Notebook owner;
    private Page page;

    LineageJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @BeforeEach
    void signIn() {
        owner = new Notebook(browser.desk(), application.address())
                .opensAndSignsIn(application.demo().ownerEmail());
        page = owner.page;
    }

    private Locator answer() {
        return page.getByTestId("answer");
    }

    @Test
    void the_list_is_narrowed_and_a_queen_opened_and_what_was_asked_stays_after_a_reload() {
        owner.goesTo("Queens");
        assertThat(answer()).containsText("83 queens");
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Line")).selectOption("Scree");
        assertThat(answer()).containsText("16 queens");
        page.getByLabel("Show").selectOption("mothers one grafts from");
        assertThat(answer()).containsText("1 queen");
        page.reload();
        assertThat(answer()).containsText("1 queen");
        owner.button("Open Tessa").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Tessa").setLevel(1)))
                .isVisible();
        assertThat(page.getByText("at a station: drones of 6 daughters of Orla")).isVisible();
    }

    @Test
    void two_taps_mark_a_colony_and_the_mark_stands_with_its_day() {
        owner.opens("/queens?find=Runa");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Runa")).first().click();
        assertThat(page.getByText("Score her colony")).isVisible();
        owner.button("Build-up").or(owner.button("Early strength")).click();
        owner.button("Early strength: 3.5").click();
        owner.sent();
        assertThat(page.getByText("early strength 3.5")).isVisible();
    }

    @Test
    void a_daughter_at_a_station_of_her_sisters_is_kept_apart_and_among_strangers_is_not() {
        owner.opens("/queens?view=mating");
        page.getByLabel("Daughters of", new Page.GetByLabelOptions().setExact(true)).selectOption("Runa");
        page.getByLabel("Drones of daughters of").selectOption("Runa");
        assertThat(page.getByText("Keep them apart")).isVisible();
        page.getByLabel("How they mate").selectOption("in the open");
        assertThat(page.getByText("Well apart.")).isVisible();
        page.reload();
        assertThat(page.getByText("Well apart.")).isVisible();
    }

    @Test
    void lines_say_who_is_grafted_from_next_or_what_stands_in_the_way() {
        owner.opens("/queens?view=lines");
        assertThat(answer()).containsText("3 lines");
        assertThat(page.getByText("No other choice gives more.")).isVisible();
        page.getByLabel("Kinship at most").fill("0.01");
        assertThat(page.getByText("allow more kinship")).isVisible();
    }

    @Test
    void the_house_rule_changes_who_is_replaced_and_a_mother_one_grafts_from_stays() {
        owner.opens("/queens?view=requeening");
        assertThat(answer()).containsText("want");
        assertThat(page.getByText("One grafts from her").first()).isVisible();
        page.getByLabel("House rule").selectOption("every year");
        assertThat(page.getByText("One grafts from her").first()).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Give H 7 a queen")).click();
        assertThat(answer()).containsText("H 7");
    }

    @Test
    void the_list_is_gone_through_by_keys_with_the_columns_one_chose() {
        owner.opens("/queens?view=list");
        page.getByText("Narrow further, choose columns").click();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Expected merit")).check();
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("How far")).selectOption("virgin");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Open ")))
                .first()).isVisible();
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("List of queens")).focus();
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Enter");
        assertThat(page).hasURL(Pattern.compile("/queens/[0-9a-f-]{36}$"));
    }

    @Test
    void daughters_are_shared_out_over_yards_for_a_test() {
        owner.opens("/queens?view=lines");
        page.getByLabel("Weir Bend", new Page.GetByLabelOptions().setExact(true)).fill("12");
        page.getByLabel("Quarry Terrace", new Page.GetByLabelOptions().setExact(true)).fill("12");
        owner.button("Share them out").click();
        assertThat(page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName("Weir Bend 3 3 3 3"))).isVisible();
        page.getByLabel("Quarry Terrace", new Page.GetByLabelOptions().setExact(true)).fill("3");
        owner.button("Share them out").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("24");
    }

    @Test
    void a_worn_mark_and_a_clipped_wing_stand_on_her_page_and_renewing_takes_the_one_away() {
        owner.opens("/queens?find=Runa");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Runa")).first().click();
        owner.button("Mark worn").click();
        owner.button("Wing clipped").click();
        owner.sent();
        assertThat(page.getByText("Her mark was hardly to be read")).isVisible();
        assertThat(page.getByText("Wing clipped, noted on")).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Mark").setExact(true)).click();
        owner.sent();
        assertThat(page.getByText("Her mark was hardly to be read")).isHidden();
    }
}

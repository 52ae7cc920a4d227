package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;

/** An operation does things its own way, and everything follows. */
@ExtendWith({Application.class, Browser.class})
class SettingsJourney {

    private final Application.Running application;
    private final Browser.Running browser;
    private Application.Demo demo;
    private Notebook owner;
    private Page page;

    SettingsJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail());
        page = owner.page;
    }

    private Locator day(String figure, String part) {
        return page.getByLabel(figure + ", " + part);
    }

    @Test
    void an_own_day_count_is_kept_and_a_half_filled_one_is_not_sent() {
        owner.opens("/settings");
        day("Cell placed to first look for eggs", "earliest").fill("16");
        owner.button("Keep settings").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Give all three days of Cell placed to first look");
        day("Cell placed to first look for eggs", "likely").fill("17");
        day("Cell placed to first look for eggs", "latest").fill("22");
        owner.button("Keep settings").click();
        assertThat(page.getByText("Everything was reckoned again")).isVisible();
        page.reload();
        assertThat(day("Cell placed to first look for eggs", "latest")).hasValue("22");
    }

    @Test
    void figures_that_contradict_each_other_are_refused_and_nothing_typed_is_lost() {
        owner.opens("/settings");
        for (String part : new String[]{"earliest", "likely", "latest"}) {
            day("Called late, days after emergence", part).fill("40");
        }
        owner.button("Keep settings").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("must not come after DRONES_ONLY");
        assertThat(day("Called late, days after emergence", "likely")).hasValue("40");
    }

    @Test
    void degrees_and_the_way_with_swarm_cells_follow_the_operation() {
        owner.opens("/settings");
        page.getByLabel("Units").selectOption("US");
        page.getByLabel("Swarm cells").selectOption("LEAVE_ONE_NOW");
        owner.button("Keep settings").click();
        assertThat(page.getByText("Everything was reckoned again")).isVisible();
        owner.goesTo("Round");
        assertThat(page.getByText(Pattern.compile("\\d+ °F")).first()).isVisible();
        owner.goesTo("Colonies");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("H 2").setExact(true)).click();
        assertThat(page.getByLabel("Way of doing it")).hasValue("LEAVE_ONE_NOW");
    }

    @Test
    void crew_see_the_settings_and_cannot_change_them() {
        Notebook crew = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.crewEmail());
        crew.opens("/settings");
        assertThat(crew.page.getByText("Only the owner can change these.")).isVisible();
        assertThat(crew.button("Keep settings")).hasCount(0);
        assertThat(crew.page.getByLabel("Units")).isDisabled();
    }

    @Test
    void a_lost_mark_is_a_question_and_not_a_lost_queen() {
        JsonNode queens = application.signedIn(demo.ownerEmail()).list("/api/v1/queens?search=26-01");
        String laying = queens.valueStream()
                .filter(queen -> queen.path("stage").asString().equals("JUDGED") && queen.path("alive").asBoolean())
                .findFirst().orElseThrow().path("id").asString();
        owner.opens("/queens/" + laying);
        owner.button("Mark").click();
        owner.button("Mark lost").click();
        owner.sent();
        assertThat(page.getByText("Mark gone: the same queen?").first()).isVisible();
    }

    @Test
    void a_colony_is_set_up_with_its_queen_and_a_mistyped_code_loses_nothing() {
        owner.goesTo("Colonies");
        owner.button("New hive").click();
        page.getByLabel("Code on the hive").fill("H 30");
        page.getByLabel("Place in the row").fill("90");
        page.getByLabel("Queen’s code, if she has one").fill("R-99-99");
        owner.button("Keep").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("no queen with the code R-99-99");
        assertThat(page.getByLabel("Code on the hive")).hasValue("H 30");
        page.getByLabel("Queen’s code, if she has one").fill("R-25-02");
        owner.button("Keep").click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("H 30").setExact(true)).click();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Tessa"))).isVisible();
        assertThat(page.getByText("Not read yet.")).isVisible();
    }
}

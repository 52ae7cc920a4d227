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

/** What can be split, who gives what to whom, what goes into winter: on the operation's own hives. */
@ExtendWith({Application.class, Browser.class})
class SplitJourney {

    private final Application.Running application;
    private final Browser.Running browser;
    private Notebook owner;
    private Page page;

    SplitJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @BeforeEach
    void signIn() {
        owner = new Notebook(browser.desk(), application.address()).opensAndSignsIn(application.demo().ownerEmail());
        page = owner.page;
    }

    private Locator framesThatGo() {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("goes to new 1")));
    }

    /** Frames that go are named; one that is held fast stays, and another goes in its place; a reload asks the same. */
    @Test
    void a_split_is_found_changed_and_asked_again() {
        owner.goesTo("Splits");
        page.getByLabel("Way of doing it").selectOption("WALK_AWAY");
        assertThat(page.getByTestId("answer")).containsText("1 new unit out of");
        page.reload();
        assertThat(page.getByLabel("Way of doing it")).hasValue("WALK_AWAY");
        assertThat(page.getByTestId("answer")).containsText("1 new unit out of");
        assertThat(page.getByText("May hold the queen of").first()).isVisible();
        String name = framesThatGo().first().getAttribute("aria-label");
        framesThatGo().first().click();
        assertThat(page.getByText("Let go what is held fast (1)")).isVisible();
        Locator held = page.getByRole(AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("held: stays")));
        assertThat(held).hasCount(1);
        assertThat(held).hasAttribute("aria-label", name.replaceAll("\\. goes to new 1", "") + ". held: stays");
        assertThat(page.getByTestId("answer")).containsText("1 new unit out of");
        page.getByText("Let go what is held fast (1)").click();
        assertThat(held).hasCount(0);
    }

    @Test
    void what_is_senseless_is_refused_with_the_way_out() {
        owner.opens("/splits?recipe=POOLED_AUTUMN_SPLIT&queens=0");
        assertThat(page.getByTestId("answer")).containsText("Not even one");
        assertThat(page.getByText("meant for autumn")).isVisible();
        assertThat(page.getByText("cells for a swarm. Deal with those first")).isVisible();
    }

    @Test
    void the_weak_nuc_gets_a_frame_of_the_strong_one() {
        owner.opens("/splits?view=equalise");
        assertThat(page.getByTestId("answer")).containsText("One move brings");
        assertThat(page.getByText("K 1 → K 2")).isVisible();
        assertThat(page.getByText("over-split", new Page.GetByTextOptions().setExact(true))).isVisible();
    }

    @Test
    void before_winter_each_unit_has_its_use_and_its_day() {
        owner.opens("/splits?view=late&queens=2");
        assertThat(page.getByTestId("answer")).containsText("Bees can be put together until");
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("H 3").setExact(true)))
                .isVisible();
    }
}

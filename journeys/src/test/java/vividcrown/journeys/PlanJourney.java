package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.Application;

/** Can I promise forty queens for that date? Orders, the plan, what breaks when a graft is dragged, builders. */
@ExtendWith({Application.class, Browser.class})
class PlanJourney {

    private static final double LONGEST_SEARCH_MILLISECONDS = 40_000;

    private final Application.Running application;
    private final Browser.Running browser;
    private Notebook owner;
    private Page page;

    PlanJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @BeforeEach
    void signIn() {
        owner = new Notebook(browser.desk(), application.address())
                .opensAndSignsIn(application.demo().ownerEmail());
        page = owner.page;
    }

    private Locator order(String code) {
        return page.locator("[data-testid=order][data-code='" + code + "']");
    }

    private void findsAPlan() {
        owner.button("Find a plan").click();
        assertThat(page.getByTestId("found"))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(LONGEST_SEARCH_MILLISECONDS));
    }

    private void takesThePlan() {
        owner.opens("/season");
        findsAPlan();
        owner.button("Take this plan").click();
        assertThat(page.getByText(Pattern.compile("grafts planned, "))).isVisible();
    }

    @Test
    void a_promise_without_grafts_holds_once_the_plan_is_taken() {
        owner.opens("/season");
        Locator scree = page.locator("[data-demand='Q26-05']");
        assertThat(scree).containsText("not as things stand");
        findsAPlan();
        owner.button("Take this plan").click();
        assertThat(page.getByText(Pattern.compile("grafts planned, "))).isVisible();
        assertThat(scree).containsText("holds");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Graft of"))))
                .not().hasCount(0);
        owner.goesTo("Grafts");
        assertThat(page.getByText("26-08").first()).isVisible();
    }

    @Test
    void a_graft_moved_with_the_arrow_keys_says_what_breaks_before_it_is_kept() {
        takesThePlan();
        Locator row = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Graft of")))
                .last();
        row.focus();
        for (int day = 0; day < 20; day++) {
            page.keyboard().press("ArrowRight");
        }
        Locator moving = page.getByTestId("moving");
        assertThat(moving.locator("li").first()).isVisible();
        assertThat(moving).containsText("→");
        owner.button("Put it back").click();
        assertThat(moving).hasCount(0);
    }

    @Test
    void a_graft_dragged_with_the_mouse_moves_by_whole_days_and_stays_fixed() {
        takesThePlan();
        Locator row = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Graft of")))
                .last();
        row.scrollIntoViewIfNeeded();
        BoundingBox box = row.boundingBox();
        page.mouse().move(box.x + 400, box.y + 10);
        page.mouse().down();
        page.mouse().move(box.x + 460, box.y + 10);
        page.mouse().move(box.x + 480, box.y + 10);
        page.mouse().up();
        assertThat(page.getByTestId("moving")).isVisible();
        owner.button("Keep it there").click();
        assertThat(page.getByTestId("moving")).hasCount(0);
        // the one planned by hand, and now this one
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Graft of")))
                .filter(new Locator.FilterOptions().setHasText("fixed"))).hasCount(2);
    }

    @Test
    void two_plans_stand_side_by_side() {
        owner.opens("/season");
        owner.button("Another plan beside it").click();
        Locator second = page.getByTestId("plan-B");
        second.getByRole(AriaRole.SLIDER).first().focus();
        page.keyboard().press("ArrowRight");
        second.getByRole(AriaRole.CHECKBOX).check();
        for (String letter : new String[]{"A", "B"}) {
            page.getByTestId("plan-" + letter).getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions()
                    .setName("Find a plan")).click();
        }
        assertThat(page.getByTestId("found")).hasCount(2,
                new LocatorAssertions.HasCountOptions().setTimeout(LONGEST_SEARCH_MILLISECONDS));
        assertThat(page.getByTestId("beside").first()).containsText("The plan of now");
        page.reload();
        owner.button("Another plan beside it").click();
        assertThat(page.getByTestId("plan-B").getByRole(AriaRole.CHECKBOX)).isChecked();
    }

    @Test
    void an_order_is_taken_promised_set_aside_and_handed_over() {
        owner.opens("/orders");
        owner.button("Take an order").click();
        page.getByLabel("For", new Page.GetByLabelOptions().setExact(true)).fill("Fell Side");
        page.reload();
        owner.button("Take an order").click();
        assertThat(page.getByLabel("For", new Page.GetByLabelOptions().setExact(true))).hasValue("Fell Side");
        page.getByLabel("How many", new Page.GetByLabelOptions().setExact(true)).fill("2");
        page.getByLabel("From", new Page.GetByLabelOptions().setExact(true)).fill("2026-06-09");
        page.getByLabel("By", new Page.GetByLabelOptions().setExact(true)).fill("2026-06-12");
        owner.button("Save").click();
        Locator taken = order("Q26-10");
        assertThat(taken).containsText("Fell Side");
        // one line an order; what can be done with it folds out
        assertThat(taken.getByRole(AriaRole.BUTTON)).hasCount(1);
        taken.getByRole(AriaRole.BUTTON).click();
        owner.button("Promise: Q26-10").click();
        assertThat(taken).containsText("promised");
        owner.button("Set queens aside for Q26-10").click();
        Locator free = taken.locator("[aria-pressed=false]");
        free.first().click();
        free.first().click();
        taken.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Set aside"))).click();
        assertThat(taken).containsText("2 set aside");
        owner.button("Hand over: Q26-10").click();
        assertThat(taken).containsText("delivered");
        taken.getByRole(AriaRole.BUTTON).first().click();
        assertThat(taken).containsText("2 handed over");
    }

    @Test
    void what_is_wrong_with_an_order_is_said_and_nothing_typed_is_lost() {
        owner.opens("/orders");
        owner.button("Take an order").click();
        page.getByLabel("For", new Page.GetByLabelOptions().setExact(true)).fill("Too Late");
        page.getByLabel("From", new Page.GetByLabelOptions().setExact(true)).fill("2026-05-09");
        page.getByLabel("By", new Page.GetByLabelOptions().setExact(true)).fill("2026-05-12");
        owner.button("Save").click();
        assertThat(page.getByText(Pattern.compile("Choose a day to come"))).isVisible();
        assertThat(page.getByLabel("For", new Page.GetByLabelOptions().setExact(true))).hasValue("Too Late");
    }

    @Test
    void a_builder_is_changed_by_its_strength() {
        owner.opens("/builders");
        owner.button("Change B 3").click();
        page.getByLabel("or frames of bees").fill("9");
        owner.button("Save").click();
        assertThat(page.locator("[data-testid=builder][data-code='B 3']")).containsText("20 cups");
    }

    @Test
    void the_new_screens_are_open_to_everybody() {
        takesThePlan();
        assertThat(owner.faults()).isEmpty();
        owner.opens("/builders");
        page.getByText("What to do when").first().waitFor();
        assertThat(owner.faults()).isEmpty();
        owner.opens("/orders");
        order("Q26-03").waitFor();
        owner.button("Take an order").click();
        assertThat(owner.faults()).isEmpty();
    }
}

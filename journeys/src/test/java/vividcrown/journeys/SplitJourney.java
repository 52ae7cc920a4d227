package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** What can be split, who gives what to whom, what goes into winter: on the operation's own hives. */
@ExtendWith({Application.class, Browser.class})
class SplitJourney {

    private final Application.Running application;
    private final Browser.Running browser;
    private Application.Demo demo;
    private Notebook owner;
    private Page page;

    SplitJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail());
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

    private Locator now(Page where) {
        return where.getByTestId("now");
    }

    /** The sheet is taken along, followed step by step without a signal, and all of it stands in the record afterwards. */
    @Test
    void a_split_is_taken_to_the_yard_and_made_without_a_signal() {
        owner.opens("/splits?recipe=CELL_NUC&most=1");
        page.getByLabel("The first is called").fill("Fern 7");
        owner.button("Take this to the yard").click();
        owner.heading("Split: cell nuc");
        String sheet = page.url().substring(page.url().indexOf("/splits"));

        Notebook phone = new Notebook(browser.phone(), application.address());
        BrowserContext device = phone.page.context();
        phone.opensAndSignsIn(demo.crewEmail());
        phone.opens(sheet);
        assertThat(now(phone.page)).containsText("Fern 7: the box stands");
        device.setOffline(true);
        phone.button("Done").click();
        assertThat(now(phone.page)).containsText("find the queen");
        phone.button("Looked for, not found").click();
        // the gate follows what was said, though nobody else knows of it yet
        assertThat(now(phone.page)).containsText("search both sides of this frame");
        assertThat(phone.button("Done")).hasCount(0);
        phone.button("Both sides searched: done").click();
        device.setOffline(false);
        phone.sent();

        page.reload();
        assertThat(page.getByText("3 steps are done")).isVisible();
        Client known = application.signedIn(demo.ownerEmail());
        Assertions.assertThat(known.get("/api/v1/hives").text()).contains("Fern 7");
        owner.goesTo("Round");
        assertThat(page.getByText("Split: 1 new out of")).isVisible();
    }

    /** What the store has is counted, comes and goes; a reload has it still. */
    @Test
    void the_store_is_counted() {
        owner.opens("/splits?view=store");
        page.getByLabel("How many: Straps").fill("12");
        page.getByLabel("counted: Straps").click();
        assertThat(page.getByText("12, counted")).isVisible();
        page.getByLabel("How many: Straps").fill("5");
        page.getByLabel("went: Straps").click();
        assertThat(page.getByText("7, counted")).isVisible();
        owner.sent();
        page.reload();
        assertThat(page.getByText("7, counted")).isVisible();
    }

    @Test
    void a_weak_nuc_is_boosted_and_two_are_united_by_gates() {
        owner.opens("/splits?view=boost");
        page.getByLabel("The weak unit").selectOption("K 2");
        assertThat(page.getByTestId("answer")).containsText("K 2 can be boosted");
        assertThat(page.getByText("Search both sides for the queen.").first()).isVisible();
        owner.opens("/splits?view=unite");
        page.getByLabel("One hive").selectOption("K 2");
        page.getByLabel("The other").selectOption("K 3");
        assertThat(page.getByTestId("answer")).containsText("The queen of K 3 stays");
        assertThat(page.getByText("find her and keep her first").first()).isVisible();
    }

    /** Two become one on the phone: the gate stands without a signal, and the record has one hive less afterwards. */
    @Test
    void two_hives_are_united_step_by_step() {
        owner.opens("/splits?view=unite");
        page.getByLabel("One hive").selectOption("K 1");
        page.getByLabel("The other").selectOption("K 2");
        page.getByRole(AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("Take this to the yard: Over paper"))).click();
        owner.heading("Unite");
        String sheet = page.url().substring(page.url().indexOf("/splits"));

        Notebook phone = new Notebook(browser.phone(), application.address());
        BrowserContext device = phone.page.context();
        phone.opensAndSignsIn(demo.crewEmail());
        phone.opens(sheet);
        assertThat(now(phone.page)).containsText("find its queen and take her out");
        device.setOffline(true);
        phone.button("Looked for, not found").click();
        assertThat(now(phone.page)).containsText("Its queen is not accounted for");
        assertThat(phone.button("Done")).hasCount(0);
        phone.button("Do that first").click();
        phone.button("Every frame twice: none").click();
        assertThat(now(phone.page)).containsText("the brood box of K 2 on top");
        phone.button("Done").click();
        assertThat(now(phone.page)).containsText("old spot");
        device.setOffline(false);
        phone.sent();

        page.reload();
        assertThat(page.getByText("Chewed paper, no fighting?")).isVisible();
        Assertions.assertThat(application.signedIn(demo.ownerEmail()).get("/api/v1/hives").text())
                .doesNotContain("\"K 2\"");
    }

    @Test
    void a_way_of_ones_own_is_copied_changed_and_planned_with() {
        owner.opens("/splits?recipe=CELL_NUC");
        owner.button("Copy and change this way").click();
        page.getByLabel("Its name").fill("Six frames");
        page.getByLabel("Places of its box").fill("6");
        owner.button("Keep it").click();
        assertThat(page.getByLabel("Way of doing it").locator("option:checked")).hasText("Six frames");
        assertThat(page.getByTestId("answer")).containsText("new unit");
    }

    /** A frame that goes, carried back to its hive, stays; what was carried is in the address. */
    @Test
    void a_frame_is_carried_by_hand() {
        owner.opens("/splits?recipe=CELL_NUC&most=1");
        assertThat(page.getByTestId("answer")).containsText("1 new unit");
        BoundingBox frame = framesThatGo().first().boundingBox();
        page.mouse().move(frame.x + frame.width / 2, frame.y + frame.height / 2);
        page.mouse().down();
        page.mouse().move(frame.x + frame.width / 2 + 130, frame.y + frame.height / 2,
                new Mouse.MoveOptions().setSteps(5));
        page.mouse().up();
        // carried within its own hive: it stays there
        Locator held = page.getByRole(AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("held: stays")));
        assertThat(held).hasCount(1);
        page.reload();
        assertThat(held).hasCount(1);
    }

    /** What a hive will be stands on its page; what it stands by for is kept, and listed. */
    @Test
    void a_hive_says_what_it_will_be_and_what_it_stands_by_for() {
        String id = application.signedIn(demo.ownerEmail()).get("/api/v1/hives").json().valueStream()
                .filter(one -> one.path("code").asString().equals("H 1")).findFirst().orElseThrow().path("id")
                .asString();
        owner.opens("/colonies/" + id);
        assertThat(page.getByText("In eight weeks").first()).isVisible();
        page.getByLabel("Stands by for").fill("Boost before winter");
        owner.button("Keep it").click();
        owner.sent();
        owner.opens("/splits?view=equalise");
        assertThat(page.getByText("Boost before winter")).isVisible();
    }
}

package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.List;
import java.util.regex.Pattern;
import vividcrown.server.demo.DemoOperation;

/** Drives the screens in the user's verbs. */
final class Notebook {

    final Page page;
    private final String address;

    Notebook(Page page, String address) {
        this.page = page;
        this.address = address;
    }

    // --- getting around ------------------------------------------------------------------------------------------

    Notebook opens(String path) {
        page.navigate(address + path);
        return this;
    }

    Notebook signsIn(String email) {
        return signsIn(email, DemoOperation.PASSWORD);
    }

    Notebook signsIn(String email, String password) {
        page.getByLabel("E-mail address").fill(email);
        page.getByLabel("Password").fill(password);
        button("Sign in").click();
        return this;
    }

    Notebook opensAndSignsIn(String email) {
        opens("/").signsIn(email);
        assertThat(page.getByTestId("demo-day")).isVisible();
        return this;
    }

    Notebook stepsDays(int days) {
        for (int day = 0; day < days; day++) {
            String before = page.getByTestId("demo-day").innerText();
            button("Next day").click();
            assertThat(page.getByTestId("demo-day")).not().hasText(before);
        }
        return this;
    }

    Notebook goesTo(String place) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Main"))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(place)).click();
        return this;
    }

    Notebook opensGraft(String code) {
        goesTo("Grafts");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(code).setExact(true)).click();
        heading("Graft " + code);
        return this;
    }

    Notebook opensYard(String name) {
        goesTo("Yards");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name))).click();
        heading(name);
        return this;
    }

    Notebook finds(String code) {
        Locator find = page.getByRole(AriaRole.BANNER).or(page.locator("body"))
                .getByLabel("Find a queen or cell by its code").first();
        find.fill(code);
        find.press("Enter");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(code).setExact(true)).first().click();
        return this;
    }

    // --- the work ------------------------------------------------------------------------------------------------

    Notebook grafts(String mother, String builder) {
        goesTo("Grafts");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Plan a graft")).click();
        page.getByLabel("Breeder queen").selectOption(new SelectOption()
                .setLabel(optionBeginning("Breeder queen", mother)));
        page.getByLabel("Builder", new Page.GetByLabelOptions().setExact(true))
                .selectOption(new SelectOption()
                        .setLabel(optionBeginning("Builder", builder)));
        button("Grafted: keep it").click();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Take")).waitFor();
        return this;
    }

    private String optionBeginning(String label, String text) {
        Locator option = page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).locator("option")
                .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^" + text))).first();
        assertThat(option).hasCount(1);
        return option.innerText();
    }

    /** All took but the last ones. */
    Notebook countsTake(int cups, int took) {
        button("All took").click();
        for (int cup = took; cup < cups; cup++) {
            cups().nth(cup).click();
        }
        button("Keep the take: %d of %d".formatted(took, cups)).click();
        assertThat(page.getByText(Pattern.compile("%d of %d took\\.".formatted(took, cups))).first()).isVisible();
        return this;
    }

    Notebook culls(int cell, String reason) {
        button(reason).click();
        cups().nth(cell).click();
        return this;
    }

    Notebook opensTab(String tab) {
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(tab)).click();
        return this;
    }

    Notebook placesInNuc(int cells) {
        page.getByLabel(Pattern.compile("^The first … of")).fill(String.valueOf(cells));
        button("Choose").click();
        page.getByRole(AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("^Place %d cells, ".formatted(cells))))
                .click();
        return this;
    }

    Notebook cagesTheRest(int cells) {
        button("Choose all").click();
        page.getByRole(AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("^%d cells into cages".formatted(cells)))).click();
        return this;
    }

    /** Taps a nuc of the yard open on the screen and records what was seen. */
    Notebook seesInNuc(String code, String sight) {
        scrollsTo(code);
        nuc(code).click();
        Locator pad = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Record for " + code));
        pad.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(sight).setExact(true)).click();
        return this;
    }

    /** Rows out of sight are not drawn; codes count the boxes as they stand. */
    Notebook scrollsTo(String code) {
        int row = Integer.parseInt(code.substring(code.indexOf(' ') + 1)) - 1;
        Locator threads = page.getByRole(AriaRole.REGION,
                new Page.GetByRoleOptions().setName(Pattern.compile("nucs as threads$")));
        threads.evaluate("(box, row) => { box.scrollTop = row * 36 - 120 }", row);
        return this;
    }

    Locator nuc(String code) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + code + ",")));
    }

    Locator cups() {
        return page.getByRole(AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("^Bar \\d+, cup \\d+")));
    }

    /** The small targets of one kind of work, one for each box. */
    Locator boxes(String job) {
        return page.locator("[data-testid=box][data-job=" + job + "]");
    }

    Locator box(String code) {
        return page.locator("[data-testid=box][data-code='" + code + "']");
    }

    /** Unfolds one box of one kind of work. */
    Locator unfolds(String job, String code) {
        page.locator("[data-testid=box][data-job=" + job + "][data-code='" + code + "']").click();
        return page.locator("[data-testid=stop][data-job=" + job + "][data-code='" + code + "']");
    }

    /** What is unfolded of one kind of work: the first box of it, unless another was. */
    Locator stops(String job) {
        boxes(job).first().waitFor();
        Locator unfolded = page.locator("[data-testid=stop][data-job=" + job + "]");
        if (unfolded.count() == 0) {
            boxes(job).first().click();
        }
        return unfolded;
    }

    Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    Notebook heading(String name) {
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name).setLevel(1)).waitFor();
        return this;
    }

    /** Everything entered has reached the server. */
    Notebook sent() {
        assertThat(page.getByText(Pattern.compile("wait(s)? to be sent"))).hasCount(0);
        return this;
    }

    /** What axe finds wrong with the screen, one line each. */
    List<String> faults() {
        return new AxeBuilder(page).withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa")).analyze()
                .getViolations().stream()
                .map(rule -> rule.getId() + ": " + rule.getNodes().getFirst().getHtml() + " "
                        + rule.getNodes().getFirst().getFailureSummary())
                .toList();
    }
}

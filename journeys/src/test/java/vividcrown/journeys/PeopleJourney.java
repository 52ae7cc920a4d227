package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.Application;

/** Somebody is asked in, works, and leaves. */
@ExtendWith({Application.class, Browser.class})
class PeopleJourney {

    private final Application.Running application;
    private final Browser.Running browser;

    PeopleJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    private static void fill(Page page, String label, String value) {
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(value);
    }

    @Test
    void a_link_brings_somebody_in_and_one_tap_more_signs_them_out_for_good() {
        Application.Demo demo = application.demo();
        Notebook owner = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail());
        owner.opens("/settings");
        fill(owner.page, "Name", "Tamsin");
        owner.button("Make a link").click();
        String link = owner.page.locator("code").innerText();
        assertThat(owner.page.getByText("Tamsin is asked in as crew")).isVisible();
        assertThat(owner.faults()).isEmpty();

        Notebook tamsin = new Notebook(browser.phone(), application.address());
        tamsin.page.navigate(link);
        assertThat(tamsin.page.getByText("Larch & Leat Queens asks you in.")).isVisible();
        assertThat(tamsin.faults()).isEmpty();
        String address = "tamsin@%s.invalid".formatted(UUID.randomUUID());
        fill(tamsin.page, "E-mail address", address);
        fill(tamsin.page, "A password of at least ten characters", "a long enough one");
        tamsin.button("Come in").click();
        assertThat(tamsin.boxes("CHECK_EMERGENCE").first()).isVisible();

        owner.page.reload();
        Locator row = owner.page.getByTestId("person").filter(new Locator.FilterOptions().setHasText("Tamsin"));
        chooses(row, "Make Tamsin an owner");
        assertThat(row).containsText("owner");
        tamsin.page.reload();
        tamsin.signsIn(address, "a long enough one");
        tamsin.boxes("CHECK_EMERGENCE").first().waitFor();
        chooses(row, "A link for a new password");
        String anew = owner.page.locator("code").first().innerText();
        tamsin.page.navigate(anew);
        fill(tamsin.page, "A password of at least ten characters", "another long one");
        tamsin.button("Come in").click();
        assertThat(tamsin.boxes("CHECK_EMERGENCE").first()).isVisible();
        chooses(row, "Tamsin leaves");
        assertThat(owner.faults()).isEmpty();
        owner.button("Sign Tamsin out for good").click();
        assertThat(row).hasCount(0);
        tamsin.page.reload();
        assertThat(tamsin.button("Sign in")).isVisible();

        Notebook late = new Notebook(browser.phone(), application.address());
        late.page.navigate(link);
        assertThat(late.page.getByRole(AriaRole.ALERT)).containsText("was used already");
    }

    @Test
    void who_guesses_is_told_to_wait_and_the_owner_sees_it_and_comes_in() {
        Application.Demo demo = application.demo();
        Notebook owner = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail());
        Notebook guesser = new Notebook(browser.phone(), application.address()).opens("/");
        Locator said = guesser.page.getByRole(AriaRole.ALERT);
        for (int guess = 0; guess < 5; guess++) {
            guesser.signsIn(demo.ownerEmail(), "guess number " + guess);
            assertThat(said).containsText("do not belong together");
        }
        guesser.signsIn(demo.ownerEmail(), "upland valley");
        assertThat(said).containsText("Too many passwords were wrong. Wait");
        owner.button("Sign out").click();
        owner.signsIn(demo.ownerEmail(), "upland valley");
        owner.boxes("CHECK_EMERGENCE").first().waitFor();
        owner.opens("/settings");
        owner.page.getByText("Who came in, and who was let in").click();
        Locator lines = owner.page.getByTestId("access");
        assertThat(lines.first()).containsText("Ilva Torrenz signed in");
        assertThat(lines.nth(1)).containsText("A wrong password for Ilva Torrenz");
        assertThat(owner.faults()).isEmpty();
    }

    private static void chooses(Locator row, String what) {
        row.getByRole(AriaRole.BUTTON).click();
        row.page().getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(what)).click();
    }
}

package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.Application;

/** From graft to laying queen, all through the screens. */
@ExtendWith({Application.class, Browser.class})
class SeasonJourney {

    private final Application.Running application;
    private final Notebook owner;
    private final Application.Demo demo;

    SeasonJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.demo = application.demo();
        this.owner = new Notebook(browser.desk(), application.address());
    }

    @Test
    void forty_five_cups_become_marked_laying_queens() {
        owner.opensAndSignsIn(demo.ownerEmail());

        owner.grafts("Runa", "B 1");
        assertThat(owner.cups()).hasCount(45);

        owner.stepsDays(1).goesTo("Round");
        assertThat(owner.boxes("COUNT_TAKE").filter(new Locator.FilterOptions().setHasText("B 1"))).not().hasCount(0);
        owner.opensGraft("26-08").countsTake(45, 38).sent();

        owner.stepsDays(8).opensGraft("26-08");
        owner.opensTab("Cull").culls(0, "short").culls(7, "misshapen").culls(20, "cold");
        owner.button("Cull 3 cells").click();
        owner.sent();

        owner.stepsDays(1).goesTo("Round");
        // the batch before it hangs there too, overdue, since nobody counted it
        assertThat(owner.page.locator(
                "[data-testid=box][data-job=PLACE_CELLS][data-code='B 1']:not([aria-label*=overdue])")).hasCount(1);
        freeEnoughNucs();
        owner.opensGraft("26-08").opensTab("Place").placesInNuc(30).sent();
        assertThat(owner.cups()).hasCount(5);
        owner.cagesTheRest(5).sent();
        assertThat(owner.page.getByText("cage 5")).isVisible();

        owner.stepsDays(3);
        List<String> nucs = placedNucs();
        assertThat(nucs).hasSize(30);
        recordInYards(nucs.subList(0, 2), "Dud");
        recordInYards(nucs.subList(2, 30), "Emerged");

        owner.stepsDays(11);
        recordInYards(nucs.subList(2, 26), "Eggs");
        recordInYards(nucs.subList(26, 30), "No eggs yet");

        owner.stepsDays(9).goesTo("Round");
        String late = nucs.get(27);
        Locator lateRow = owner.unfolds("LOOK_AGAIN", late);
        assertThat(lateRow).containsText("that she will still come good");
        Locator judge = owner.unfolds("JUDGE_BROOD", nucs.get(5));
        judge.getByRole(AriaRole.BUTTON,
                new Locator.GetByRoleOptions().setName(Pattern.compile("done, Sealed, flat"))).click();
        Locator mark = owner.unfolds("MARK", nucs.get(5));
        assertThat(mark).containsText("Mark her white, the colour of 2026");
        mark.getByRole(AriaRole.BUTTON,
                new Locator.GetByRoleOptions().setName(Pattern.compile("done, Marked"))).click();
        assertThat(owner.page.locator("[data-testid=stop][data-code='" + nucs.get(5) + "']")).hasCount(0);
        owner.sent().opensYard(yardOf(nucs.get(5))).scrollsTo(nucs.get(5));
        assertThat(owner.nuc(nucs.get(5))).hasAttribute("aria-label", Pattern.compile("laying, judged sound"));
    }

    @Test
    void the_week_ahead_says_what_to_graft_and_how_each_order_stands() {
        owner.opensAndSignsIn(demo.ownerEmail());
        assertThat(owner.page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The week ahead"))
                .or(owner.page.locator("#week-today")).first()).isVisible();
        owner.goesTo("Season");
        assertThat(owner.page.getByText("for ripe cells, Larch")).isVisible();
        owner.button("How each order stands").click();
        assertThat(owner.page.getByText("with planning again").first())
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(60_000));
        owner.page.getByText(Pattern.compile("^Graft \\d+ cups")).first().click();
        assertThat(owner.page.locator("text=orders that a graft of that day can still serve >> visible=true").first())
                .isVisible();
    }

    /** Nucs are emptied by selling the queens of a whole row at once. */
    private void freeEnoughNucs() {
        owner.opensYard("Weir Bend");
        owner.nuc("W 02").or(owner.nuc("W 03")).first().waitFor();
        owner.nuc("W 03").click();
        owner.button("Select a row").click();
        owner.nuc("W 12").click();
        Locator pad = owner.page.locator("section[aria-label^='Record for']");
        pad.getByRole(AriaRole.BUTTON,
                new Locator.GetByRoleOptions().setName("Taken out")).click();
        owner.sent();
    }

    private List<String> placedNucs() {
        return application.signedIn(demo.ownerEmail()).list("/api/v1/queens?search=26-08-").valueStream()
                .filter(queen -> queen.path("hive").isString()).map(queen -> queen.path("hive").asString()).sorted()
                .toList();
    }

    private void recordInYards(List<String> nucs, String sight) {
        String open = "";
        for (String nuc : nucs) {
            String yard = yardOf(nuc);
            if (!yard.equals(open)) {
                owner.opensYard(yard);
                open = yard;
            }
            owner.seesInNuc(nuc, sight);
        }
        owner.sent();
    }

    private static String yardOf(String nuc) {
        return switch (nuc.charAt(0)) {
            case 'W' -> "Weir Bend";
            case 'T' -> "Quarry Terrace";
            default -> "Larch Step";
        };
    }
}

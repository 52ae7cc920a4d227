package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** An evening with the trainer, hands on the keyboard. */
@ExtendWith({Application.class, Browser.class})
class TrainerJourney {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int PASSES = 8;
    private static final int COMBS = 5;
    private static final String LOOK = "**/api/v1/reckon/trainer/look";

    private final Application.Running application;
    private final Browser.Running browser;
    private Application.Demo demo;

    TrainerJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @BeforeEach
    void found() {
        demo = application.demo();
    }

    private Page atTheTrainer() {
        Page page = new Notebook(browser.desk(), application.address()).opensAndSignsIn(demo.ownerEmail()).page;
        page.keyboard().press("t");
        assertThat(page.getByTestId("lead")).containsText("Nothing waits");
        return page;
    }

    /** The next hive is one of five combs with a queen that lays. */
    private static void easyHive(Page page) {
        page.route("**/api/v1/trainer/exercises", route -> route.resume(new Route.ResumeOptions()
                .setPostData("{\"task\":\"FIND\",\"skill\":\"FIND_LAYING\",\"level\":1,\"season\":\"SUMMER\"}")));
    }

    private static JsonNode look(Page page, String key) {
        Response seen = page.waitForResponse(LOOK, () -> page.keyboard().press(key));
        return JSON.readTree(seen.text());
    }

    /** From the first of five combs to the last, both sides, again and again, until it shows what is looked for. */
    private static void liftsUntil(Page page, String shown) {
        for (int pass = 0; pass < PASSES; pass++) {
            for (int slot = 1; slot <= COMBS; slot++) {
                for (String key : List.of("l", "v")) {
                    JsonNode seen = look(page, key).path(shown);
                    if (seen.isObject() || seen.asBoolean()) {
                        return;
                    }
                }
                if (slot < COMBS) {
                    page.keyboard().press("ArrowRight");
                }
            }
            for (int back = 1; back < COMBS; back++) {
                page.keyboard().press("ArrowLeft");
            }
        }
        throw new AssertionError("she was never to be seen");
    }

    @Test
    void a_session_by_keyboard_alone() {
        Page page = atTheTrainer();
        // a comb to read: an answer, how sure, the next one, enough
        page.keyboard().press("2");
        assertThat(page.getByTestId("lead")).containsText("What does it say of the colony?");
        page.keyboard().press("1");
        assertThat(page.getByText("How sure are you?")).isVisible();
        page.keyboard().press("Backspace");
        page.keyboard().press("2");
        page.keyboard().press("3");
        assertThat(page.getByTestId("outcome")).containsText(Pattern.compile("^(Right|No): "));
        assertThat(page.getByTestId("outcome")).containsText("This comes again");
        page.keyboard().press("n");
        assertThat(page.getByTestId("outcome")).hasCount(0);
        assertThat(page.getByTestId("lead")).isVisible();
        page.keyboard().press("4");
        page.keyboard().press("1");
        assertThat(page.getByTestId("outcome")).isVisible();
        page.keyboard().press("e");
        assertThat(page.locator("svg[aria-label*='You: 2 done']")).hasCount(1);

        // a hive to search, she found by shape
        easyHive(page);
        page.keyboard().press("1");
        assertThat(page.getByTestId("lead")).containsText("Find an unmarked queen");
        liftsUntil(page, "queen");
        assertThat(page.locator("canvas")).isVisible();
        // the picture may stand a moment before it listens: twice over
        for (int press = 0; press < 18 && page.getByTestId("outcome").count() == 0; press++) {
            page.keyboard().press(String.valueOf(1 + press % 9));
            page.waitForTimeout(150);
        }
        assertThat(page.getByTestId("outcome")).containsText("Found at");
        assertThat(page.getByTestId("outcome")).containsText("points of a hundred");
        page.keyboard().press("e");
        assertThat(page.locator("svg[aria-label*='Find the queen. You: 1 done']")).hasCount(1);
    }

    @Test
    void told_in_words_and_a_reload_half_way_loses_nothing() {
        Page page = atTheTrainer();
        easyHive(page);
        page.getByLabel("Told in words instead of pictures").check();
        page.keyboard().press("1");
        assertThat(page.getByTestId("lead")).containsText("Find an unmarked queen");
        assertThat(page.locator("canvas")).hasCount(0);
        look(page, "l");
        assertThat(page.getByTestId("words")).containsText("In the middle:");
        page.reload();
        assertThat(page.getByText("One lift so far")).isVisible();
        assertThat(page.getByTestId("words")).containsText("In the middle:");
        liftsUntil(page, "noticed");
        page.keyboard().press("h");
        assertThat(page.getByTestId("outcome")).containsText("Found at");
    }

    @Test
    void without_signal_what_was_done_is_kept_and_sent_once() {
        Page page = atTheTrainer();
        page.keyboard().press("5");
        assertThat(page.getByTestId("lead")).containsText("A caged queen");
        page.context().setOffline(true);
        page.keyboard().press("1");
        page.keyboard().press("3");
        assertThat(page.getByRole(AriaRole.ALERT)).isVisible();
        page.context().setOffline(false);
        page.keyboard().press("2");
        assertThat(page.getByTestId("outcome")).isVisible();
        JsonNode tasks = application.signedIn(demo.ownerEmail()).get("/api/v1/trainer").json().path("tasks");
        for (JsonNode task : tasks) {
            if (task.path("task").asString().equals("CAGE")) {
                assertThat(task.path("points").size()).isEqualTo(1);
            }
        }
    }

    @Test
    void who_wishes_it_is_compared() {
        Client crew = application.signedIn(demo.crewEmail());
        crew.put("/api/v1/trainer/shown", Map.of("shown", true));
        crew.post("/api/v1/trainer/done",
                Map.of("id", UUID.randomUUID().toString(), "exercise",
                        Map.of("skill", "CAGE_HOSTILE", "level", 1, "season", "SUMMER", "seed", 4), "answer",
                        "CAGE_HOSTILE", "sureness", "SURE", "seconds", 9));
        Page page = atTheTrainer();
        assertThat(page.locator("svg[aria-label*='Jory']")).hasCount(0);
        page.getByLabel("Compare me with others of the crew who wish it too").check();
        assertThat(page.locator("svg[aria-label*='Jory Malcanten: 1 done']")).hasCount(1);
    }
}

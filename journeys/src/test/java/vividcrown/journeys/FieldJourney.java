package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Two people in the field for a day, both out of reach: what each does is there when they are back, once. */
@ExtendWith({Application.class, Browser.class})
class FieldJourney {

    private final Application.Running application;
    private final Browser.Running browser;
    private Application.Demo demo;

    FieldJourney(Application.Running application, Browser.Running browser) {
        this.application = application;
        this.browser = browser;
    }

    @BeforeEach
    void found() {
        demo = application.demo();
    }

    private record Phone(BrowserContext device, Notebook notebook) {
    }

    /** Opens what will be wanted while there still is a signal. */
    private Phone goesOut(String email) {
        BrowserContext device = browser.phone().context();
        Notebook notebook = new Notebook(device.newPage(), application.address());
        notebook.opensAndSignsIn(email);
        notebook.boxes("CHECK_EMERGENCE").first().waitFor();
        notebook.opensYard("Weir Bend");
        device.setOffline(true);
        return new Phone(device, notebook);
    }

    private static void setsUp(Phone phone, String prefix, int count) {
        Notebook field = phone.notebook();
        field.button("Set up hives in a row").click();
        field.page.getByLabel("Codes begin with").fill(prefix);
        field.page.getByLabel("How many").fill(String.valueOf(count));
        field.button("Set up %d hives".formatted(count)).click();
        assertThat(field.page.getByLabel("Codes begin with")).hasCount(0);
        assertThat(field.page.getByText("waits to be sent")).isVisible();
    }

    private static String seesEmerged(Phone phone, int box) {
        Notebook field = phone.notebook();
        field.goesTo("Round");
        Locator one = field.boxes("CHECK_EMERGENCE").nth(box);
        String code = one.getAttribute("data-code");
        one.click();
        field.page.getByTestId("stop").getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions()
                .setName(code + ": done, Emerged")).click();
        assertThat(field.box(code)).hasCount(0);
        return code;
    }

    private List<UUID> entries() {
        JdbcClient database = application.context().getBean(JdbcClient.class);
        return CurrentOperation.in(demo.operation(),
                () -> database.sql("select id from journal_entry").query(UUID.class).list());
    }

    @Test
    void both_set_up_boxes_and_record_and_come_back_with_everything_once() {
        int before = entries().size();
        Phone ilva = goesOut(demo.ownerEmail());
        Phone jory = goesOut(demo.crewEmail());
        setsUp(ilva, "N ", 3);
        String hers = seesEmerged(ilva, 0);
        setsUp(jory, "M ", 2);
        String his = seesEmerged(jory, 3);

        jory.device().setOffline(false);
        jory.notebook().sent();
        ilva.device().setOffline(false);
        ilva.notebook().sent();

        assertThat(entries()).as("three hives, two hives, two sights").hasSize(before + 7).doesNotHaveDuplicates();
        Client owner = application.signedIn(demo.ownerEmail());
        List<String> codes = owner.get("/api/v1/hives").json().valueStream().map(one -> one.path("code").asString())
                .toList();
        assertThat(codes).doesNotHaveDuplicates();
        assertThat(codes.stream().filter(code -> code.startsWith("N"))).hasSize(3);
        assertThat(codes.stream().filter(code -> code.startsWith("M"))).hasSize(2);
        JsonNode round = owner.get("/api/v1/round").json();
        assertThat(round.path("yards").valueStream().flatMap(yard -> yard.path("stops").valueStream())
                .filter(stop -> stop.path("job").asString().equals("CHECK_EMERGENCE"))
                .map(stop -> stop.path("code").asString())).doesNotContain(hers, his);
        assertThat(ilva.notebook().page.getByTestId("refused")).hasCount(0);
        assertThat(jory.notebook().page.getByTestId("refused")).hasCount(0);
    }
}

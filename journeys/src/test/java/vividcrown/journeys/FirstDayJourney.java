package vividcrown.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.Cluster;

/** From an empty database to a laying queen, without a line of demo code. */
@ExtendWith({Application.class, Browser.class})
class FirstDayJourney {

    private static final String EMAIL = "mira@ridge.invalid";
    private static final String PASSWORD = "a long enough one";

    private final Browser.Running browser;
    private final Application.Running elsewhere;
    private Process server;
    private String address;
    private String code;

    FirstDayJourney(Browser.Running browser, Application.Running elsewhere) {
        this.browser = browser;
        this.elsewhere = elsewhere;
    }

    @BeforeEach
    void start(@TempDir Path folder) throws Exception {
        int port = Cluster.freePort();
        address = "http://127.0.0.1:" + port;
        Path window = folder.resolve("window.txt");
        server = Server.start(Application.freshDatabase(), port, ProcessBuilder.Redirect.to(window.toFile()));
        code = Server.codeIn(window);
    }

    @AfterEach
    void stop() {
        server.destroyForcibly();
    }

    private static void fill(Locator within, String label, String value) {
        within.getByLabel(label, new Locator.GetByLabelOptions().setExact(true)).fill(value);
    }

    private static Locator step(Page page, String name) {
        return page.locator("[data-testid=first-step][data-step=" + name + "]");
    }

    private static void done(Page page, String name) {
        assertThat(step(page, name)).hasAttribute("data-done", "true");
    }

    private static void press(Locator within, String name) {
        within.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name)).click();
    }

    private Page founded() {
        Page page = browser.desk();
        page.navigate(address);
        Locator form = page.locator("form");
        fill(form, "The code from the server’s window", "wrong-code1");
        fill(form, "What your operation is called", "Sallow Ridge");
        fill(form, "Your name", "Mira");
        fill(form, "E-mail address", EMAIL);
        fill(form, "A password of at least ten characters", PASSWORD);
        press(form, "Found it");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("That is not the code");
        fill(form, "The code from the server’s window", " " + code.toLowerCase());
        press(form, "Found it");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("First steps of Sallow Ridge")))
                .isVisible();
        return page;
    }

    @Test
    void whoever_starts_the_server_founds_and_comes_to_a_laying_queen() {
        Page page = founded();
        Notebook owner = new Notebook(page, address);
        assertThat(owner.faults()).isEmpty();

        Locator yard = step(page, "yard");
        fill(yard, "Name", "Ridge");
        fill(yard, "Codes begin with (may be empty)", "R");
        fill(yard, "Latitude, degrees north (south: minus)", "46.4");
        fill(yard, "Longitude, degrees east (west: minus)", "9.1");
        fill(yard, "Above the sea, m", "640");
        press(yard, "Open the yard");
        done(page, "yard");

        Locator hives = step(page, "hives");
        fill(hives, "Codes begin with", "R");
        assertThat(hives).containsText("R 01 – R 12");
        press(hives, "Set up 12 hives");
        done(page, "hives");

        Locator mother = step(page, "mother");
        fill(mother, "Code", "M-1");
        fill(mother, "Line", "Ridge");
        press(mother, "Keep her");
        done(page, "mother");

        Locator builder = step(page, "builder");
        fill(builder, "Code", "B 1");
        press(builder, "Save");
        done(page, "builder");
        assertThat(owner.faults()).isEmpty();

        Client book = new Client(address).signIn(EMAIL, PASSWORD);
        String queen = becomesALayingQueen(book);
        page.navigate(address + "/queens/" + queen);
        assertThat(page.locator("main")).containsText("laying");
        assertThat(page.locator("main")).containsText("R 03");
        assertThat(book.get("/api/v1/yards").json().get(0).path("held").asInt()).isEqualTo(1);
        assertThat(book.get("/api/v1/founding").json().path("open").asBoolean()).as("once only").isFalse();
    }

    /** Ten seasons of another server come with: first a file that is broken half-way, which says where and leaves nothing behind. */
    @Test
    void whoever_moves_to_a_new_server_brings_the_whole_operation_with_them(@TempDir Path folder) throws Exception {
        String archive = elsewhere.signedIn(elsewhere.demo().ownerEmail()).get("/api/v1/exports/archive.json").text();
        List<String> lines = archive.lines().toList();
        int half = lines.size() / 2;
        Path broken = Files.write(folder.resolve("broken.json"), lines.subList(0, half));
        Path whole = Files.writeString(folder.resolve("whole.json"), archive);

        Page page = founded();
        page.navigate(address + "/files");
        page.getByLabel("Read an archive back").setInputFiles(broken);
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Nothing of the archive was brought back");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("line " + (half + 1));
        page.getByLabel("Read an archive back").setInputFiles(whole);
        assertThat(page.getByText("entries are back.")).isVisible();
        assertThat(page.getByText("Nothing of the archive was brought back")).hasCount(0);
        assertThat(page.getByText("Rows are being made")).hasCount(0);
        page.navigate(address + "/queens");
        assertThat(page.locator("main")).containsText("26-01-112");
    }

    /** A graft of last June, as it would have been told day by day. */
    private static String becomesALayingQueen(Client book) {
        LocalDate grafted = LocalDate.now().withMonth(6).withDayOfMonth(2)
                .minusYears(LocalDate.now().getMonthValue() < 8 ? 1 : 0);
        UUID graft = UUID.randomUUID();
        tells(book, grafted, "GRAFT_PLANNED", "graft", graft, "code", "", "mother", book.queenId("M-1"), "builder",
                book.get("/api/v1/builders").json().get(0).path("id").asString(), "grafter", "Mira", "plannedFor",
                grafted + "T14:00:00+02:00", "larvaAge", "FROM_12_TO_24_H", "placing", "CELLS_TO_NUCS",
                "incubatorCelsius", 34.5, "bars", 1, "cupsPerBar", 10, "fixed", true);
        tells(book, grafted, "GRAFT_DONE", "graft", graft);
        List<String> cups = book.get("/api/v1/grafts/" + graft).json().path("cups").valueStream()
                .map(cup -> cup.path("id").asString()).toList();
        tells(book, grafted.plusDays(1), "TAKE_COUNTED", "graft", graft, "took", cups.subList(0, 8), "didNotTake",
                cups.subList(8, 10));
        String hive = book.get("/api/v1/hives").json().valueStream()
                .filter(one -> one.path("code").asString().equals("R 03")).map(one -> one.path("id").asString())
                .findFirst().orElseThrow();
        String queen = cups.getFirst();
        tells(book, grafted.plusDays(10), "QUEEN_PLACED", "queen", queen, "hive", hive, "given", "CELL",
                "besideAnother", false);
        tells(book, grafted.plusDays(14), "QUEEN_SEEN", "queen", queen, "sight", "EMERGED");
        tells(book, grafted.plusDays(28), "QUEEN_SEEN", "queen", queen, "sight", "EGGS");
        return queen;
    }

    private static void tells(Client book, LocalDate day, String kind, Object... parts) {
        Map<String, Object> entry = Client.entry(day, Client.deed(kind, parts));
        Client.Answer answer = book.record(List.of(entry), true);
        assertThat(answer.status()).as(kind + ": " + answer.text()).isEqualTo(200);
    }

    @Test
    void every_empty_screen_leads_on_and_each_step_can_be_left_out() {
        Page page = founded();
        Notebook owner = new Notebook(page, address);
        Stream.of("Round", "Grafts", "Yards", "Colonies", "Queens", "Builders").forEach(place -> {
            owner.goesTo(place);
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("First steps")).waitFor();
            assertThat(owner.faults()).isEmpty();
        });
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("First steps")).click();
        press(step(page, "mother"), "Name her");
        fill(step(page, "mother"), "Code", "M-9");
        press(step(page, "mother"), "Keep her");
        done(page, "mother");
        assertThat(step(page, "yard")).hasAttribute("data-done", "false");
        JsonNode known = new Client(address).signIn(EMAIL, PASSWORD).list("/api/v1/queens?search=M-9");
        assertThat(known).hasSize(1);
    }
}

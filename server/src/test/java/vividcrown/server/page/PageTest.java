package vividcrown.server.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.Operations;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Long lists come in parts: nothing is left out, nothing comes twice. */
@ExtendWith(Application.class)
class PageTest {

    private final Application.Running application;
    private Application.Demo demo;
    private Client owner;

    PageTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = application.signedIn(demo.ownerEmail());
    }

    private List<List<String>> pages(String path) {
        List<List<String>> pages = new ArrayList<>();
        Optional<String> next = Optional.of(path);
        while (next.isPresent()) {
            JsonNode page = owner.get(next.get()).json();
            pages.add(page.path("items").findValuesAsString("id").stream().toList());
            next = page.path("next").asStringOpt().map(one -> path + "&page=" + one);
            assertThat(pages).hasSizeLessThan(100);
        }
        return pages;
    }

    private static List<String> all(List<List<String>> pages) {
        return pages.stream().flatMap(List::stream).toList();
    }

    @Test
    void queens_come_fifty_at_a_time_whose_code_it_is_first() {
        List<List<String>> pages = pages("/api/v1/queens?search=26-0");
        assertThat(pages).hasSizeGreaterThan(2);
        assertThat(pages.subList(0, pages.size() - 1)).allSatisfy(page -> assertThat(page).hasSize(50));
        assertThat(all(pages)).doesNotHaveDuplicates();
        String dead = owner.get("/api/v1/queens?search=26-0&page=" + (all(pages).size() - 1)).json().path("items")
                .get(0)
                .path("code").asString();
        assertThat(owner.list("/api/v1/queens?search=" + dead.toLowerCase()).get(0).path("code").asString())
                .isEqualTo(dead);
        assertThat(owner.get("/api/v1/queens?search=26-0&page=100000").json().path("items")).isEmpty();
    }

    @Test
    void the_record_of_one_thing_comes_from_the_newest_back() {
        String graft = owner.list("/api/v1/grafts").get(3).path("id").asString();
        List<String> whole = all(pages("/api/v1/journal?subject=" + graft));
        List<List<String>> byOne = pages("/api/v1/journal?most=1&subject=" + graft);
        assertThat(whole).hasSizeGreaterThan(1);
        assertThat(byOne).hasSameSizeAs(whole);
        assertThat(all(byOne)).isEqualTo(whole);
    }

    @Test
    void grafts_of_years_ago_follow_those_of_now() {
        int now = owner.list("/api/v1/grafts").size();
        for (String day : List.of("2024-07-03", "2025-05-20")) {
            assertThat(owner.tell(LocalDate.parse(day), "GRAFT_PLANNED", "graft", UUID.randomUUID(), "code",
                    "of " + day, "mother",
                    owner.get("/api/v1/queens/breeders").json().get(0).path("id").asString(), "builder",
                    owner.get("/api/v1/builders").json().get(0).path("id").asString(), "grafter", "Ilva", "plannedFor",
                    day + "T14:00:00+02:00", "larvaAge", "FROM_12_TO_24_H", "placing", "CELLS_TO_NUCS",
                    "incubatorCelsius", 34.5, "bars", 3, "cupsPerBar", 15, "fixed", true).text()).contains("recorded");
        }
        List<List<String>> pages = pages("/api/v1/grafts?");
        assertThat(pages).extracting(List::size).containsExactly(now, 1, 1);
        assertThat(all(pages)).doesNotHaveDuplicates();
        assertThat(owner.get("/api/v1/grafts?page=2025-05-20").json().path("items").get(0).path("graftDay").asString())
                .isEqualTo("2025-05-20");
    }

    @Test
    void an_order_that_was_over_years_ago_follows_those_of_now_and_an_open_one_is_never_put_off() {
        List<String> then = all(pages("/api/v1/orders?"));
        String over = then.getFirst();
        assertThat(owner.tell("ORDER_MOVED_ON", "order", over, "state", "DECLINED").status()).isEqualTo(200);
        TransactionTemplate write = new TransactionTemplate(
                application.context().getBean(PlatformTransactionManager.class));
        CurrentOperation.in(demo.operation(), () -> write.execute(_ -> {
            application.context().getBean(Operations.class).demoIsAt(LocalDate.of(2028, 1, 10));
            return true;
        }));
        List<List<String>> pages = pages("/api/v1/orders?");
        assertThat(pages).hasSize(2);
        assertThat(pages.getFirst()).as("still open, however old").isNotEmpty().doesNotContain(over);
        assertThat(pages.getLast()).contains(over);
        assertThat(all(pages)).containsExactlyInAnyOrderElementsOf(then);
    }

    @Test
    void a_page_that_there_cannot_be_is_refused_and_a_day_out_of_all_calendars_is_taken_for_the_nearest() {
        assertThat(owner.get("/api/v1/queens?search=a&page=-1").status()).isBetween(400, 422);
        assertThat(owner.get("/api/v1/grafts?page=soon").status()).isBetween(400, 422);
        assertThat(owner.get("/api/v1/grafts?page=%2B999999999-12-31").status()).isEqualTo(200);
        assertThat(owner.get("/api/v1/orders?page=-999999999-01-01").json().path("items")).isEmpty();
    }
}

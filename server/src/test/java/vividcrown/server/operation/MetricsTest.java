package vividcrown.server.operation;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** What whoever keeps the machine may ask, in the text format of Prometheus, and what nobody may. */
@ExtendWith(Application.class)
class MetricsTest {

    private final Application.Running application;

    MetricsTest(Application.Running application) {
        this.application = application;
    }

    @Test
    void figures_are_for_this_machine_alone() {
        application.signedIn(application.demo().ownerEmail()).get("/api/v1/round");
        Client here = new Client(application.address());
        assertThat(here.get("/metrics").text()).contains("# TYPE http_server_requests_seconds summary")
                .contains("uri=\"/api/v1/round\"").contains("hikaricp_connections_active");
        Client elsewhere = new Client(application.address()).passedOn("X-Forwarded-For", "203.0.113.9");
        assertThat(elsewhere.get("/metrics").status()).isEqualTo(401);
        assertThat(elsewhere.get("/health/live").text()).isEqualTo("{\"status\":\"UP\"}");
    }

    @Test
    void an_address_of_somebody_is_not_in_them() {
        Application.Demo demo = application.demo();
        Client owner = application.signedIn(demo.ownerEmail());
        owner.get("/api/v1/queens/" + owner.queenId("26-01-101"));
        assertThat(new Client(application.address()).get("/metrics").text()).doesNotContain("26-01-101")
                .doesNotContain(demo.ownerEmail().substring(0, 10))
                .doesNotContain(owner.queenId("26-01-101").toString());
    }

    @ParameterizedTest
    @ValueSource(strings = {"/env", "/beans", "/heapdump", "/configprops", "/threaddump", "/actuator/env", "/loggers",
            "/shutdown"})
    void nothing_else_of_the_machinery_is_open(String path) {
        Client.Answer answer = new Client(application.address()).get(path);
        assertThat(answer.text()).doesNotContain("contexts").doesNotContain("propertySources")
                .doesNotContain("threads");
        assertThat(answer.header("Content-Type")).as("a page of the screens, or nothing").doesNotContain("json");
    }
}

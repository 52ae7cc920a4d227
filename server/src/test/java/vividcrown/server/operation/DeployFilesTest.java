package vividcrown.server.operation;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;
import vividcrown.server.support.Application;

/**
 * The files for whoever keeps the machine say what is so here: ports, names, folders. Advice after the OWASP Docker Security Cheat
 * Sheet and systemd.exec(5).
 */
class DeployFilesTest {

    private static String file(String name) throws IOException {
        return Files.readString(Application.projectRoot().resolve("deploy").resolve(name));
    }

    private static Map<String, Object> yaml(String text) {
        return new Yaml(new SafeConstructor(new LoaderOptions())).load(text);
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> in(Map<String, Object> map, String key) {
        assertThat(map).containsKey(key);
        return (Map<String, Object>) map.get(key);
    }

    private static String port() throws IOException {
        var port = Pattern.compile("port: \\$\\{CROWN_PORT:(\\d+)}")
                .matcher(Files
                        .readString(Application.projectRoot().resolve("server/src/main/resources/application.yaml")));
        assertThat(port.find()).isTrue();
        return port.group(1);
    }

    @Test
    void all_of_them_know_the_port() throws IOException {
        assertThat(file("nginx.conf")).contains("server 127.0.0.1:" + port() + ";");
        assertThat(file("Dockerfile")).contains("EXPOSE " + port()).contains("/dev/tcp/127.0.0.1/" + port());
        assertThat(file("compose.yaml")).contains("\"127.0.0.1:" + port() + ":" + port() + "\"");
    }

    @Test
    void the_image_is_built_from_what_is_there_and_does_not_run_as_root() throws IOException {
        List<String> lines = file("Dockerfile").lines().toList();
        assertThat(lines).filteredOn(line -> line.startsWith("FROM"))
                .allMatch(line -> line.contains(":") && !line.contains(":latest"));
        assertThat(lines).filteredOn(line -> line.startsWith("USER")).containsExactly("USER 10001:10001");
        assertThat(lines.indexOf("USER 10001:10001")).isLessThan(lines.indexOf(
                lines.stream().filter(line -> line.startsWith("ENTRYPOINT")).findFirst().orElseThrow()));
        String jar = Files.readString(Application.projectRoot().resolve("crown")).lines()
                .filter(line -> line.startsWith("jar=")).findFirst().orElseThrow().substring("jar=".length());
        assertThat(file("Dockerfile")).contains("/build/" + jar + " ");
    }

    @Test
    void compose_opens_the_application_to_this_machine_alone_and_the_database_to_nobody() throws IOException {
        Map<String, Object> services = in(yaml(file("compose.yaml")), "services");
        assertThat(services).containsOnlyKeys("database", "application", "backup");
        assertThat(in(services, "database")).doesNotContainKey("ports").containsKey("healthcheck");
        Map<String, Object> application = in(services, "application");
        assertThat((List<?>) application.get("ports")).allMatch(one -> one.toString().startsWith("127.0.0.1:"));
        assertThat(application.get("read_only")).isEqualTo(true);
        assertThat(
                Application.projectRoot().resolve("deploy").resolve(in(application, "build").get("context").toString())
                        .resolve(in(application, "build").get("dockerfile").toString()).normalize())
                .exists();
        String proxies = in(application, "environment").get("CROWN_PROXIES").toString();
        assertThat("172.18.0.1").matches(proxies);
        assertThat("172.40.0.1").doesNotMatch(proxies);
    }

    @Test
    void the_proxy_says_who_asks_in_its_own_words() throws IOException {
        assertThat(file("nginx.conf")).contains("X-Forwarded-For $remote_addr").contains("X-Forwarded-Proto $scheme")
                .contains("location /metrics { return 404; }").doesNotContain("$proxy_add_x_forwarded_for");
    }

    @Test
    void the_service_runs_the_command_that_there_is() throws IOException {
        String unit = file("vivid-crown.service");
        assertThat(unit).contains("ExecStart=/opt/vivid-crown/crown serve").contains("DynamicUser=yes")
                .contains("NoNewPrivileges=yes").contains("Environment=CROWN_DATA=/var/lib/vivid-crown");
        Path script = Application.projectRoot().resolve("crown");
        assertThat(Files.readString(script)).contains("  serve)").contains("${CROWN_DATA:-");
    }
}

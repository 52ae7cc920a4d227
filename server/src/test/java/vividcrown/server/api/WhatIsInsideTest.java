package vividcrown.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The lists of what the application is made of (CycloneDX), as the build wrote them. Names of licences as SPDX has them. */
class WhatIsInsideTest {

    /** They would bind whoever passes the application on to more than its own licence does. */
    private static final List<String> NOT_WITH_OURS = List.of("AGPL", "SSPL", "BUSL", "CC-BY-NC", "GPL-2.0-only",
            "GPL-3.0");

    private static JsonNode list(String name) throws IOException {
        try (InputStream in = Objects.requireNonNull(
                WhatIsInsideTest.class.getResourceAsStream("/META-INF/sbom/" + name), "the build writes " + name)) {
            return JsonMapper.builder().build().readTree(in);
        }
    }

    private static Stream<String> licences(JsonNode component) {
        return component.path("licenses").valueStream()
                .map(one -> one.path("expression").asString(one.path("license").path("id")
                        .asString(one.path("license").path("name").asString(""))))
                .filter(name -> !name.isEmpty());
    }

    @ParameterizedTest
    @CsvSource({"application.cdx.json, postgresql", "web.cdx.json, react"})
    void everything_inside_is_listed_with_a_licence_that_goes_with_ours(String file, String oneOfThem)
            throws IOException {
        JsonNode list = list(file);
        assertThat(list.path("bomFormat").asString()).isEqualTo("CycloneDX");
        List<JsonNode> inside = list.path("components").valueStream()
                .filter(one -> !one.path("group").asString("").equals("vividcrown")).toList();
        assertThat(inside).hasSizeGreaterThan(20).anyMatch(one -> one.path("name").asString().equals(oneOfThem));
        assertThat(inside).allSatisfy(one -> {
            List<String> licences = licences(one).toList();
            assertThat(licences).as(one.path("name").asString()).isNotEmpty();
            assertThat(licences).as(one.path("name").asString())
                    .anyMatch(name -> NOT_WITH_OURS.stream()
                            .noneMatch(bad -> name.startsWith(bad) || name.contains(" " + bad)));
            assertThat(one.path("version").asString("")).as(one.path("name").asString()).isNotEmpty();
        });
    }
}

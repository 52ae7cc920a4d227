package vividcrown.server.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpHeaders;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Speaks to the application over HTTP as a browser would: cookies, CSRF token, JSON. */
public final class Client {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private String address;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();

    private final Map<String, String> asProxy = new LinkedHashMap<>();

    public Client(String address) {
        this.address = address;
    }

    /** Speaks to another server from now on, with the same cookies: as behind a proxy that has several. */
    public Client at(String another) {
        address = another;
        return this;
    }

    /** Everything comes as if a proxy on this machine passed it on. @param header a word of the proxy */
    public Client passedOn(String header, String value) {
        asProxy.put(header, value);
        return this;
    }

    /** @param json empty if the body is no JSON; @param headers as they came, but for those of the connection */
    public record Answer(int status, String text, JsonNode json, HttpHeaders headers) {

        /** Empty where there is none. */
        public String header(String name) {
            return headers.firstValue(name).orElse("");
        }

        /** The sentences of a refusal. */
        public List<String> findings() {
            List<String> sentences = new ArrayList<>();
            json.path("findings").forEach(finding -> sentences.add(finding.path("message").asString()));
            return sentences;
        }
    }

    /** What signing in is answered with, whatever it is. */
    public Answer triesToSignIn(String email, String password) {
        get("/api/v1/session");
        return post("/api/v1/session", Map.of("email", email, "password", password));
    }

    public Client signIn(String email, String password) {
        Answer answer = triesToSignIn(email, password);
        if (answer.status() != 200) {
            throw new IllegalStateException("sign-in of %s failed: %s".formatted(email, answer));
        }
        return this;
    }

    public Answer get(String path) {
        return send(HttpRequest.newBuilder(URI.create(address + path)).GET());
    }

    /** Only loads it, as a browser that waits for the last byte; how many characters came. */
    public int load(String path) {
        try {
            return http.send(HttpRequest.newBuilder(URI.create(address + path)).GET().build(),
                    HttpResponse.BodyHandlers.ofString()).body().length();
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while waiting for an answer", interrupted);
        }
    }

    /** Anything, as it is. @param body JSON or what pretends to be */
    public Answer ask(String method, String path, Optional<String> body) {
        return body.map(text -> send(withText(path, text, method)))
                .orElseGet(() -> send(HttpRequest.newBuilder(URI.create(address + path)).header("X-XSRF-TOKEN", token())
                        .method(method, HttpRequest.BodyPublishers.noBody())));
    }

    public Answer post(String path, Object body) {
        return send(withBody(path, body, "POST"));
    }

    public Answer put(String path, Object body) {
        return send(withBody(path, body, "PUT"));
    }

    public Answer delete(String path) {
        return send(HttpRequest.newBuilder(URI.create(address + path)).header("X-XSRF-TOKEN", token()).DELETE());
    }

    public Answer postWithoutToken(String path, Object body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body)));
        return send(request);
    }

    /** A file as it is, JSON or what pretends to be. */
    public Answer putText(String path, String text) {
        return send(withText(path, text, "PUT"));
    }

    private HttpRequest.Builder withBody(String path, Object body, String method) {
        return withText(path, JSON.writeValueAsString(body), method);
    }

    private HttpRequest.Builder withText(String path, String text, String method) {
        return HttpRequest.newBuilder(URI.create(address + path)).header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token()).method(method, HttpRequest.BodyPublishers.ofString(text));
    }

    private String token() {
        return cookies.getCookieStore().getCookies().stream().filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue).findFirst().orElse("none");
    }

    private Answer send(HttpRequest.Builder request) {
        try {
            asProxy.forEach(request::header);
            HttpResponse<String> response = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            String type = response.headers().firstValue("Content-Type").orElse("");
            JsonNode json = type.contains("json") ? JSON.readTree(response.body()) : JSON.nullNode();
            return new Answer(response.statusCode(), response.body(), json, response.headers());
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while waiting for an answer", interrupted);
        }
    }

    /** As a phone sends: 503 too where the answer broke off, for to whoever sent it that is the same. */
    public Answer recordOverPoorLine(Map<String, Object> entry, boolean keepContradictions) {
        try {
            return record(List.of(entry), keepContradictions);
        } catch (UncheckedIOException brokenOff) {
            return new Answer(503, "", JSON.nullNode(), HttpHeaders.of(Map.of(), (_, _) -> true));
        }
    }

    /** As a phone waits before it sends again. */
    public static void pause(long milliseconds) {
        try {
            Thread.sleep(milliseconds);
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
        }
    }

    // --- the work, in the words of the trade -------------------------------------------------------------------

    /** A deed: its kind, then names and values of its parts. */
    public static Map<String, Object> deed(String kind, Object... parts) {
        Map<String, Object> deed = new LinkedHashMap<>();
        deed.put("kind", kind);
        for (int index = 0; index < parts.length; index += 2) {
            deed.put((String) parts[index], parts[index + 1]);
        }
        return deed;
    }

    /** An entry under an id of its own, at ten o'clock of that day. */
    public static Map<String, Object> entry(LocalDate day, Map<String, Object> deed) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("id", UUID.randomUUID());
        entry.put("happenedAt", day + "T10:00:00+02:00");
        entry.put("deed", deed);
        return entry;
    }

    /** Something seen of a queen. */
    public static Map<String, Object> sight(UUID queen, LocalDate day, String sight) {
        return entry(day, deed("QUEEN_SEEN", "queen", queen, "sight", sight));
    }

    /** Takes an entry away. */
    public static Map<String, Object> withdrawal(Map<String, Object> entry, LocalDate day) {
        Map<String, Object> withdrawal = entry(day, deed("WITHDRAWN"));
        withdrawal.put("corrects", entry.get("id"));
        return withdrawal;
    }

    /** Records one deed of the demo's first day. */
    public Answer tell(String kind, Object... parts) {
        return tell(LocalDate.of(2026, 6, 9), kind, parts);
    }

    public Answer tell(LocalDate day, String kind, Object... parts) {
        return record(entry(day, deed(kind, parts)));
    }

    public Answer record(Map<String, Object> entry) {
        return record(List.of(entry), false);
    }

    public Answer record(List<Map<String, Object>> entries, boolean keepContradictions) {
        return post("/api/v1/journal", Map.of("entries", entries, "keepContradictions", keepContradictions));
    }

    /** What the first page of a long list shows. */
    public JsonNode list(String path) {
        JsonNode items = get(path).json().path("items");
        assertThat(items.isArray()).as(path).isTrue();
        return items;
    }

    public JsonNode queen(String code) {
        return list("/api/v1/queens?search=" + code).get(0);
    }

    public UUID queenId(String code) {
        return UUID.fromString(queen(code).path("id").asString());
    }

    public UUID freeHive(int index) {
        return UUID.fromString(get("/api/v1/hives/free").json().get(index).path("id").asString());
    }
}

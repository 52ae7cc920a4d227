package vividcrown.server.problem;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import tools.jackson.databind.json.JsonMapper;

/** Refusals of filters, which stand before everything that could answer for them. */
public final class Problems {

    static final String COME_AGAIN_SECONDS = "5";
    private static final JsonMapper JSON = JsonMapper.shared();

    private Problems() {
    }

    /** Answers with the refusal, as a controller's would be. */
    public static void send(HttpServletResponse response, Refusal refusal) throws IOException {
        Map<String, Object> problem = new LinkedHashMap<>();
        problem.put("type", "urn:vividcrown:" + refusal.type());
        problem.put("status", refusal.status().value());
        problem.put("detail", refusal.getMessage());
        problem.put("findings", refusal.findings());
        response.setStatus(refusal.status().value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        if (refusal.status() == HttpStatus.SERVICE_UNAVAILABLE) {
            response.setHeader(HttpHeaders.RETRY_AFTER, COME_AGAIN_SECONDS);
        }
        response.getOutputStream().write(JSON.writeValueAsBytes(problem));
    }
}

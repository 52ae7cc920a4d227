package vividcrown.server.problem;

import jakarta.persistence.PersistenceException;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.sql.SQLException;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Wrong;

/** Turns refusals into problem details (RFC 9457). */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);
    static final String UNAVAILABLE = Sentence.of("refusal.unavailable").toString();
    static final String FAILED = Sentence.of("refusal.failed").toString();

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Refusal refusal) {
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(refusal.status());
        if (refusal.status() == HttpStatus.SERVICE_UNAVAILABLE) {
            answer.header(HttpHeaders.RETRY_AFTER, Problems.COME_AGAIN_SECONDS);
        }
        return answer
                .body(problem(refusal.status(), refusal.type(), String.valueOf(refusal.getMessage()),
                        refusal.findings()));
    }

    /** The database is away or too busy: nothing was recorded, and the same may be sent again. */
    @ExceptionHandler({DataAccessException.class, TransactionException.class, PersistenceException.class,
            SQLException.class})
    ResponseEntity<ProblemDetail> databaseFailed(Exception failed) {
        LastResort.note(LOG, "The database did not do what was asked", failed);
        return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                .header(HttpHeaders.RETRY_AFTER, Problems.COME_AGAIN_SECONDS)
                .body(problem(HttpStatus.SERVICE_UNAVAILABLE, "unavailable", UNAVAILABLE, List.of()));
    }

    /** Core refused a value, and nobody before it: who sent it can change it. Where nothing was sent it is the program's fault. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> wrong(Wrong wrong, HttpServletRequest request) {
        if (request.getMethod().equals("GET")) {
            return failed(wrong);
        }
        LOG.warn("A value was refused by core alone; the door before it should know its bounds", wrong);
        return refused(Refusal.invalid("", String.valueOf(wrong.getMessage())));
    }

    @ExceptionHandler(RuntimeException.class)
    ResponseEntity<ProblemDetail> failed(RuntimeException failed) {
        LOG.error("A request failed", failed);
        return ResponseEntity.internalServerError()
                .body(problem(HttpStatus.INTERNAL_SERVER_ERROR, "failed", FAILED, List.of()));
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(MethodArgumentNotValidException invalid,
            HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        List<Refusal.Finding> findings = invalid.getBindingResult().getFieldErrors().stream()
                .map(error -> new Refusal.Finding(error.getField(),
                        error.getField() + " " + error.getDefaultMessage() + "."))
                .toList();
        return ResponseEntity.unprocessableContent()
                .body(problem(HttpStatus.UNPROCESSABLE_CONTENT, "invalid",
                        Sentence.of("refusal.values").toString(), findings));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(HttpMessageNotReadableException unreadable,
            HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        List<Refusal.Finding> misread = Misread.of(unreadable);
        if (Misread.isMissing(unreadable)) {
            return ResponseEntity.unprocessableContent().body(problem(HttpStatus.UNPROCESSABLE_CONTENT, "invalid",
                    Sentence.of("refusal.values").toString(), misread));
        }
        String where = misread.getFirst().field();
        return ResponseEntity.badRequest().body(problem(HttpStatus.BAD_REQUEST, "unreadable",
                Sentence.of("refusal.unreadable", where.isEmpty()
                        ? misread.getFirst().message()
                        : where + ": " + misread.getFirst().message()).toString(),
                misread));
    }

    private static ProblemDetail problem(HttpStatus status, String type, String detail,
            List<Refusal.Finding> findings) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("urn:vividcrown:" + type));
        problem.setProperty("findings", findings);
        return problem;
    }
}

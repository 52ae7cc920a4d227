package vividcrown.server.person;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;
import vividcrown.server.operation.CrownProperties;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.LinkSecret;
import vividcrown.server.operation.OperationRecord;
import vividcrown.server.operation.Operations;
import vividcrown.server.problem.Refusal;

/** Signing in and out, and who is signed in. */
@RestController
@RequestMapping("/api/v1/session")
class SessionController {

    record SignIn(@NotBlank @Size(max = 200) String email, @NotBlank @Size(max = 200) String password) {
    }

    /**
     * @param today the day it is for the operation
     * @param demo demo mode: the day can be moved
     */
    record Session(UUID personId, String name, Role role, String operation, String zone, LocalDate today, boolean demo,
            boolean hasCalendarLink) {
    }

    private final People people;
    private final SignInThrottle throttle;
    private final Devices devices;
    private final AccessLog log;
    private final SecurityContextRepository contexts;
    private final Operations operations;
    private final Today today;
    private final CrownProperties properties;

    SessionController(People people, SignInThrottle throttle, Devices devices, AccessLog log,
            SecurityContextRepository contexts, Operations operations,
            Today today,
            CrownProperties properties) {
        this.people = people;
        this.throttle = throttle;
        this.devices = devices;
        this.log = log;
        this.contexts = contexts;
        this.operations = operations;
        this.today = today;
        this.properties = properties;
    }

    /** Signs in; the session is a cookie. */
    @PostMapping
    Session signIn(@Valid @RequestBody SignIn asked, HttpServletRequest request, HttpServletResponse response) {
        String email = asked.email().strip().toLowerCase(Locale.ROOT);
        Asker asker = Asker.of(request);
        throttle.letThrough(email, asker);
        SignedIn person = people.withPassword(email, asked.password())
                .orElseThrow(() -> Refusal.signInFailed(Sentence.of("refusal.signInFailed")));
        throttle.succeeded(email);
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(person, "",
                List.of(new SimpleGrantedAuthority("ROLE_" + person.role()))));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return CurrentOperation.in(person.operationId(), () -> {
            response.addHeader(HttpHeaders.SET_COOKIE, ofDevice(devices.knows(person.id(), asker.device()), request));
            log.note(AccessLog.AccessKind.SIGNED_IN, person.id(), person.id());
            return current();
        });
    }

    private static String ofDevice(LinkSecret secret, HttpServletRequest request) {
        return ResponseCookie.from(Asker.DEVICE, secret.text()).httpOnly(true).secure(request.isSecure())
                .sameSite("Lax").path("/api/v1/session").maxAge(Devices.KEPT).build().toString();
    }

    /** Who is signed in, and for which operation. */
    @GetMapping
    Session current() {
        SignedIn person = SignedIn.require();
        OperationRecord operation = operations.current();
        return new Session(person.id(), person.name(), person.role(), operation.name(), operation.zone().getId(),
                today.day(), properties.demo(), operation.hasCalendarLink());
    }

    /** Ends the session. */
    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        var session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }
}

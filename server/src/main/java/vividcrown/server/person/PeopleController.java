package vividcrown.server.person;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.reason.Sentence;
import vividcrown.server.page.Page;
import vividcrown.server.problem.Refusal;

/** The people of the operation: who is in it, who is asked in, who leaves, and one's own password. */
@RestController
@RequestMapping("/api/v1/people")
class PeopleController {

    private static final UUID NEWEST = new UUID(-1, -1);

    private final People people;
    private final Invitations invitations;
    private final AccessLog log;
    private final Devices devices;
    private final SignInThrottle throttle;

    PeopleController(People people, Invitations invitations, AccessLog log, Devices devices,
            SignInThrottle throttle) {
        this.people = people;
        this.invitations = invitations;
        this.log = log;
        this.devices = devices;
        this.throttle = throttle;
    }

    /** @param invited who is asked in and has not come yet */
    record PeoplePage(List<People.Member> people, List<Invitations.Waiting> invited) {
    }

    /** @param name as the link greets them; they may change it */
    record InvitationAsked(@NotBlank @Size(max = 80) String name, @NotNull Role role) {
    }

    /** @param path of the link, to be sent to them; it is shown this once */
    record InvitationLink(String path, Instant expiresAt) {
    }

    /**
     * What a link leads to.
     *
     * @param operation that asks them in
     * @param email of somebody who is in already and chooses a new password; left out for somebody new
     */
    record InvitationView(String operation, String name, Role role, @Nullable String email) {
    }

    record RoleAsked(@NotNull Role role) {
    }

    record JoinAsked(@NotBlank @Size(max = 80) String name, @NotBlank @Email @Size(max = 200) String email,
            @NotNull @Size(min = 10, max = 200) String password) {
    }

    /** @param next of at least ten characters */
    record PasswordAsked(@NotBlank @Size(max = 200) String current, @NotNull @Size(min = 10, max = 200) String next) {
    }

    /** Everybody who is in the operation, and who is asked in. The owner's to see. */
    @GetMapping
    PeoplePage all() {
        SignedIn.requireOwner();
        return new PeoplePage(people.members(), invitations.waiting());
    }

    /** Who came in, tried in vain, was let in, made owner or crew, or left; the newest first. The owner's to see. */
    @GetMapping("/access")
    @Operation(operationId = "access", summary = "Who came in, and who was let in")
    Page<AccessLog.AccessLine> access(@RequestParam Optional<UUID> page) {
        SignedIn.requireOwner();
        return log.newest(page.orElse(NEWEST));
    }

    /** Makes a link that lets one person in, within a week. */
    @PostMapping("/invitations")
    InvitationLink invite(@Valid @RequestBody InvitationAsked asked) {
        SignedIn.requireOwner();
        Invitations.Made made = invitations.make(asked.name().strip(), asked.role(), Optional.empty());
        return new InvitationLink("/join/" + made.secret(), made.expiresAt());
    }

    /** Makes a link by which somebody who forgot theirs chooses a new password, within a week. */
    @PostMapping("/{id}/password-link")
    InvitationLink passwordLink(@PathVariable UUID id) {
        SignedIn.requireOwner();
        People.Member member = people.member(id);
        Invitations.Made made = invitations.make(member.name(), member.role(), Optional.of(id));
        return new InvitationLink("/join/" + made.secret(), made.expiresAt());
    }

    /** Makes somebody an owner, or crew; they sign in anew. */
    @PutMapping("/{id}/role")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void becomes(@PathVariable UUID id, @Valid @RequestBody RoleAsked asked) {
        SignedIn.requireOwner();
        people.becomes(id, asked.role());
    }

    /** Ends every other session of one's own: of a device that was lost. */
    @DeleteMapping("/me/other-sessions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOutElsewhere(HttpServletRequest request) {
        UUID person = SignedIn.require().id();
        people.signsOut(person, Optional.of(request.getSession().getId()));
        devices.forget(person);
        log.note(AccessLog.AccessKind.SIGNED_OUT_ELSEWHERE, person, person);
    }

    /** What a link asks to. Open to whoever holds it. */
    @GetMapping("/invitations/{secret}")
    InvitationView invitation(@PathVariable String secret) {
        Invitations.Open open = invitations.open(secret);
        return new InvitationView(open.operation(), open.name(), Role.valueOf(open.role()), open.email());
    }

    /** Comes in by the link, which is used up then. */
    @PostMapping("/invitations/{secret}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void join(@PathVariable String secret, @Valid @RequestBody JoinAsked asked) {
        invitations.accept(secret, asked.name().strip(), asked.email().strip(), asked.password());
    }

    /** Somebody leaves: signed out everywhere at once. What they recorded stays theirs. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leaves(@PathVariable UUID id) {
        SignedIn.requireOwner();
        people.leaves(id);
    }

    /** One's own password; every other session of one's own ends. */
    @PostMapping("/me/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void password(@Valid @RequestBody PasswordAsked asked, HttpServletRequest request) {
        UUID person = SignedIn.require().id();
        // whoever holds somebody's phone is not to guess on it
        throttle.letThrough(person.toString(), Asker.of(request));
        if (!people.changePassword(person, asked.current(), asked.next(), request.getSession().getId())) {
            throw Refusal.invalid("current", Sentence.of("refusal.wrongPassword"));
        }
        throttle.succeeded(person.toString());
    }
}

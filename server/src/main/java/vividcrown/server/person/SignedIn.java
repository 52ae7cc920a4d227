package vividcrown.server.person;

import java.io.Serializable;
import java.security.Principal;
import java.util.Objects;
import java.util.UUID;
import org.springframework.security.core.context.SecurityContextHolder;
import vividcrown.core.reason.Sentence;
import vividcrown.server.problem.Refusal;

/** Who is signed in; kept in the session. */
public record SignedIn(UUID id, UUID operationId, String name, Role role)
        implements
            Principal,
            Serializable {

    @Override
    public String getName() {
        return id.toString();
    }

    public static SignedIn require() {
        return (SignedIn) Objects.requireNonNull(
                Objects.requireNonNull(SecurityContextHolder.getContext().getAuthentication()).getPrincipal());
    }

    /** As it is written beside a graft. */
    public String firstName() {
        return name.split(" ")[0];
    }

    /** @throws Refusal if a crew member asks for what is the owner's to do */
    public static void requireOwner() {
        if (require().role() != Role.OWNER) {
            throw Refusal.forbidden(Sentence.of("refusal.ownerOnly"));
        }
    }
}

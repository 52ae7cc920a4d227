package vividcrown.server.operation;

import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/** The operation whose rows the running code may see: the signed-in person's, or one stated by {@link #in}. */
public final class CurrentOperation {

    private static final ScopedValue<UUID> STATED = ScopedValue.newInstance();

    private CurrentOperation() {
    }

    /** Who is signed in, as far as this package must know. */
    public interface Member {
        UUID operationId();
    }

    public static Optional<UUID> id() {
        if (STATED.isBound()) {
            return Optional.of(STATED.get());
        }
        Authentication signedIn = SecurityContextHolder.getContext().getAuthentication();
        return signedIn != null && signedIn.getPrincipal() instanceof Member member
                ? Optional.of(member.operationId())
                : Optional.empty();
    }

    /** The operation, where there must be one. */
    public static UUID require() {
        return id().orElseThrow(() -> new IllegalStateException("Impossible state: nobody is signed in here"));
    }

    /** Runs work for an operation without anybody signed in: the calendar link, the demo, a rebuild. */
    public static <T> T in(UUID operation, Supplier<T> work) {
        return ScopedValue.where(STATED, operation).call(work::get);
    }
}

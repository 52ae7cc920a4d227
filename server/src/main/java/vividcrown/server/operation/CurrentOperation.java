package vividcrown.server.operation;

import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;

/**
 * The operation whose rows the running code may see. Bound for the length of a piece of work: a request of somebody
 * signed in, the calendar link, the demo, a rebuild. Outside of {@link #in} there is none.
 */
public final class CurrentOperation {

    private static final ScopedValue<UUID> BOUND = ScopedValue.newInstance();

    private CurrentOperation() {
    }

    public static Optional<UUID> id() {
        return BOUND.isBound() ? Optional.of(BOUND.get()) : Optional.empty();
    }

    /** The operation, where there must be one. */
    public static UUID require() {
        return id().orElseThrow(() -> new IllegalStateException("Impossible state: no operation is bound here"));
    }

    public static <T> T in(UUID operation, Supplier<T> work) {
        return ScopedValue.where(BOUND, operation).call(work::get);
    }

    /** The same for work that may throw one kind of checked exception. */
    public static <T, X extends Throwable> T calling(UUID operation, ScopedValue.CallableOp<T, X> work) throws X {
        return ScopedValue.where(BOUND, operation).call(work);
    }
}

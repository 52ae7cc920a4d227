package vividcrown.server.person;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import vividcrown.server.operation.CurrentOperation;

/** Binds the signed-in person's operation for the rest of the request. */
class OperationFilter extends OncePerRequestFilter {

    /** Screens are the same for all: they are served without asking who it is, also while the database is away. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication signedIn = SecurityContextHolder.getContext().getAuthentication();
        if (signedIn != null && signedIn.getPrincipal() instanceof SignedIn person) {
            try {
                CurrentOperation.calling(person.operationId(), () -> {
                    chain.doFilter(request, response);
                    return person;
                });
            } catch (ServletException | IOException | RuntimeException thrown) {
                throw thrown;
            } catch (Exception impossible) {
                throw new IllegalStateException("Impossible state: a filter throws only these", impossible);
            }
        } else {
            chain.doFilter(request, response);
        }
    }
}

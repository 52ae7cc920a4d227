package vividcrown.server.capacity;

import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import java.io.IOException;
import java.util.function.BooleanSupplier;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Tells whether whoever asked still waits. A servlet cannot know: only Tomcat can look at the connection without writing to
 * it. Once the body was read, nothing comes from a client that waits, so what can be read then is its end.
 */
@Component
class ClientThere implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private static final String GONE = ClientThere.class.getName();

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addContextValves(new Valve());
    }

    /** @param request whose body was read to its end */
    static boolean isGone(ServletRequest request) {
        return request.getAttribute(GONE) instanceof BooleanSupplier gone && gone.getAsBoolean();
    }

    private static final class Valve extends ValveBase {

        Valve() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            org.apache.coyote.Request connection = request.getCoyoteRequest();
            request.setAttribute(GONE, (BooleanSupplier) () -> {
                connection.action(ActionCode.AVAILABLE, Boolean.TRUE);
                return connection.getAvailable() > 0;
            });
            getNext().invoke(request, response);
        }
    }
}

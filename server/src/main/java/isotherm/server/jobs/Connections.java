package isotherm.server.jobs;

import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** Whether the other end of a request's connection is still there, which the servlet interface does not tell. */
@Component
class Connections implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private static final String CONNECTION = Connections.class.getName();

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addEngineValves(new Remember());
    }

    private static final class Remember extends ValveBase {
        Remember() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            request.setAttribute(CONNECTION, request.getCoyoteRequest());
            getNext().invoke(request, response);
        }
    }

    /**
     * To be asked by the thread that answers the request, after its body has been read.
     *
     * @param request a request that is being answered
     * @return whether its connection has been closed by whoever asked
     */
    static boolean isGone(ServletRequest request) {
        if (!(request.getAttribute(CONNECTION) instanceof org.apache.coyote.Request connection)) {
            return false;
        }
        // Looks for more input without waiting for it. The end of the input shows as one byte, so that whoever reads it
        // meets the
        // end; a client that sends its next request early shows as many bytes.
        connection.action(ActionCode.AVAILABLE, Boolean.TRUE);
        return connection.getAvailable() == 1;
    }
}

package isotherm.server.store;

import jakarta.persistence.EntityManagerFactory;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Has Hibernate begin to learn its tables when the web server is put together, which is the first that a start does. It goes
 * on beside the rest of the start, a second or so of work that nobody has to wait for then.
 */
@Component
class TablesEarly implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    /** @param begun asked for so that it is begun */
    TablesEarly(EntityManagerFactory begun) {}

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        // What was wanted of it happened when it was made.
    }
}

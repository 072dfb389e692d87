package isotherm.server.access;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Every answer of ours has a least role, or is open; what says neither answers nobody. Pages and their parts are nobody's secret. */
@Component
class RoleGate implements HandlerInterceptor, WebMvcConfigurer {
    private static final String OURS = "isotherm.server.";
    /** The description of the API, which a library writes. */
    private static final String DESCRIPTION = "org.springdoc.";

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        if (request.getDispatcherType() != DispatcherType.REQUEST || !(handler instanceof HandlerMethod method)) {
            return true;
        }
        if (method.hasMethodAnnotation(Open.class)) {
            return true;
        }
        Optional<Person> person = Person.asking();
        if (person.isEmpty()) {
            Refusal.write(response, HttpStatus.UNAUTHORIZED, "Sign in first.");
            return false;
        }
        Optional<Role> least = least(method);
        if (least.isEmpty()) {
            Refusal.write(response, HttpStatus.FORBIDDEN, "Nobody has said who may do this.");
            return false;
        }
        if (!person.get().role().may(least.get())) {
            Refusal.write(
                    response,
                    HttpStatus.FORBIDDEN,
                    least.get() == Role.OWNER
                            ? "Only an owner of this garage may do this."
                            : "A viewer reads and asks, and changes nothing here. An owner can make you a builder.");
            return false;
        }
        return true;
    }

    private static Optional<Role> least(HandlerMethod method) {
        Least least = method.getMethodAnnotation(Least.class);
        String bean = method.getBeanType().getName();
        if (least != null && bean.startsWith(OURS)) {
            return Optional.of(least.value());
        }
        return bean.startsWith(DESCRIPTION) ? Optional.of(Role.VIEWER) : Optional.empty();
    }
}

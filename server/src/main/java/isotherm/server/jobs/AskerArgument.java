package isotherm.server.jobs;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Gives controllers the asker of a question. */
@Component
class AskerArgument implements HandlerMethodArgumentResolver, WebMvcConfigurer {
    /** Header with which a view says who it is: the page, a blank, and the view's name. */
    static final String HEADER = "Isotherm-Asker";

    private static final int LONGEST = 200;

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Desk.Asker.class;
    }

    @Override
    public Desk.Asker resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer container,
            NativeWebRequest request,
            WebDataBinderFactory binders) {
        HttpServletRequest http = request.getNativeRequest(HttpServletRequest.class);
        String view = http.getHeader(HEADER) == null ? "" : http.getHeader(HEADER);
        String known = view.length() > LONGEST ? view.substring(0, LONGEST) : view;
        String account =
                http.getUserPrincipal() == null ? "" : http.getUserPrincipal().getName();
        String who = known.isEmpty() ? http.getRemoteAddr() : known.split(" ", 2)[0];
        // Somebody with several pages open is one person, and takes one turn.
        return new Desk.Asker(account.isEmpty() ? who : account, known, () -> Connections.isGone(http));
    }
}

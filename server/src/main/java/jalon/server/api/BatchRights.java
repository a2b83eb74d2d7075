package jalon.server.api;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jalon.core.run.BatchView;
import jalon.core.run.Decision;
import jalon.core.stream.StreamDefinition;
import jalon.server.Problem;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.rights.Needs;
import jalon.server.rights.Right;
import jalon.server.rights.Rights;
import java.security.Principal;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Lets people at the batches of those streams alone that they work on. Whatever names a batch in its address comes by here:
 * looking needs any right to work on it, anything else the one that is said where it is answered.
 */
@Configuration
class BatchRights implements HandlerInterceptor, WebMvcConfigurer {
    private static final String BATCH = "no";

    private final Batches batches;
    private final Rights rights;

    BatchRights(Batches batches, Rights rights) {
        this.batches = batches;
        this.rights = rights;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/batches/*/**", "/api/scans/*/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod method
                && request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE) instanceof Map<?, ?> named
                && named.get(BATCH) instanceof String no) {
            String stream = batches.get(no).stream().name();
            String who = request.getUserPrincipal().getName();
            Needs needs = method.getMethodAnnotation(Needs.class);
            if (needs != null) {
                rights.require(who, needs.value(), stream);
            } else if (!request.getMethod().equals("GET")) {
                rights.require(who, Right.INDEX, stream);
            } else {
                rights.requireWork(who, stream);
            }
        }
        return true;
    }

    /** Whether somebody works on a batch in any way. */
    boolean worksOn(String no, Principal who) {
        return rights.worksOn(who.getName(), batches.get(no).stream().name());
    }

    /** Refuses decisions about documents of a type that others alone index. */
    void requireOfTypes(String no, Collection<Decision> decisions, Principal who) {
        Batch batch = batches.get(no);
        if (!rights.partsTypes(Right.INDEX, batch.stream().name())) {
            return;
        }
        List<Integer> pages =
                decisions.stream().flatMap(d -> d.named().stream()).toList();
        batches.view(batch, false).documents().stream()
                .filter(document -> document.pages().stream().anyMatch(pages::contains))
                .forEach(document -> require(batch, Right.INDEX, document, who));
    }

    /** Refuses to file a batch with documents of a type that others alone file. */
    void requireToFile(String no, Principal who) {
        Batch batch = batches.get(no);
        if (rights.partsTypes(Right.FILE, batch.stream().name())) {
            batches.view(batch, false).documents().forEach(document -> require(batch, Right.FILE, document, who));
        }
    }

    private void require(Batch batch, Right right, BatchView.DocumentView document, Principal who) {
        String type = document.type().type();
        if (!rights.may(who.getName(), right, batch.stream().name(), type)) {
            throw Problem.NOT_YOUR_TYPE.with(batches.stream(batch)
                    .type(type)
                    .map(StreamDefinition.DocumentType::title)
                    .orElse(type));
        }
    }
}

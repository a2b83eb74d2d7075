package jalon.server.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.Principal;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpHeaders;
import org.springframework.web.filter.OncePerRequestFilter;

/** What costs much is done for one person or program a few times at once: the others' work goes on. */
final class FairShare extends OncePerRequestFilter {
    private static final int TOO_MANY = 429;
    private static final int PATIENCE_SECONDS = 10;

    /** A kind of request, and how many of it at once. */
    private enum Kind {
        UPLOAD(6),
        /** Made anew for each recipe; a browser asks for six at once. */
        PICTURE(6),
        NONE(0);

        private final int most;

        Kind(int most) {
            this.most = most;
        }

        static Kind of(HttpServletRequest request) {
            String type = request.getContentType();
            if (request.getMethod().equals("POST") && type != null && type.startsWith("multipart/")) {
                return UPLOAD;
            }
            return request.getMethod().equals("GET") && request.getParameter("recipe") != null ? PICTURE : NONE;
        }
    }

    private record Share(String who, Kind kind) {}

    private final Cache<Share, Semaphore> shares =
            Caffeine.newBuilder().expireAfterAccess(1, TimeUnit.HOURS).build();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        Kind kind = Kind.of(request);
        Principal who = request.getUserPrincipal();
        if (kind == Kind.NONE || who == null) {
            chain.doFilter(request, response);
            return;
        }
        Semaphore share = shares.get(new Share(who.getName(), kind), s -> new Semaphore(kind.most, true));
        if (!taken(share)) {
            response.setHeader(HttpHeaders.RETRY_AFTER, Integer.toString(PATIENCE_SECONDS));
            SecurityRules.problem(
                    response, TOO_MANY, "That is being done " + kind.most + " times for you already. Wait a moment.");
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            share.release();
        }
    }

    private static boolean taken(Semaphore share) {
        try {
            return share.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}

package jalon.server.people;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jalon.server.Times;
import java.io.IOException;
import java.time.Instant;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Ends sessions: some time after the person's last act, though the screen goes on asking for news; some time after the
 * sign-in, whatever is done; and those from before the person's password was changed.
 */
final class SessionFilter extends OncePerRequestFilter {
    /** Screens say so where a key or the mouse was touched in the last minute; every change is an act. */
    static final String ACTIVE = "X-Active";

    private static final String SIGNED_IN = "jalon.signedIn";
    private static final String LAST_ACT = "jalon.lastAct";

    private final SignInSettings settings;
    private final Passwords passwords;
    private final Times times;

    SessionFilter(SignInSettings settings, Passwords passwords, Times times) {
        this.settings = settings;
        this.passwords = passwords;
        this.times = times;
    }

    /** From now on. */
    static void begin(HttpSession session, Instant now) {
        session.setAttribute(SIGNED_IN, now);
        session.setAttribute(LAST_ACT, now);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        HttpSession session = request.getSession(false);
        if (session != null && session.getAttribute(SIGNED_IN) instanceof Instant signedIn) {
            Instant now = times.now();
            if (isOver(session, signedIn, now)) {
                session.invalidate();
                SecurityContextHolder.clearContext();
            } else if (!request.getMethod().equals("GET") || request.getHeader(ACTIVE) != null) {
                session.setAttribute(LAST_ACT, now);
            }
        }
        chain.doFilter(request, response);
    }

    private boolean isOver(HttpSession session, Instant signedIn, Instant now) {
        Instant lastAct = (Instant) session.getAttribute(LAST_ACT);
        var who = SecurityContextHolder.getContext().getAuthentication();
        return lastAct.plus(settings.idle()).isBefore(now)
                || signedIn.plus(settings.longest()).isBefore(now)
                || who != null && passwords.changedSince(who.getName(), signedIn);
    }
}

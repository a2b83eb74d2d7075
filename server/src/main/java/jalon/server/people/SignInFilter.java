package jalon.server.people;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.transaction.TransactionException;
import org.springframework.web.filter.OncePerRequestFilter;

/** Before the password is looked at: whether this name from this address may try now. */
final class SignInFilter extends OncePerRequestFilter {
    static final String PATH = "/api/sign-in";
    private static final int TOO_MANY = 429;

    private final SignInGuard guard;

    SignInFilter(SignInGuard guard) {
        this.guard = guard;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("POST") || !request.getRequestURI().equals(PATH);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        Duration wait;
        try {
            wait = guard.attempt(request.getParameter("username"), request.getRemoteAddr());
        } catch (DataAccessException | TransactionException e) {
            SecurityRules.problem(response, 503, SecurityRules.NO_DATABASE);
            return;
        }
        if (!wait.isZero()) {
            long seconds = Math.max(1, wait.toSeconds() + 1);
            response.setHeader(HttpHeaders.RETRY_AFTER, Long.toString(seconds));
            SecurityRules.problem(
                    response,
                    TOO_MANY,
                    "Too many sign-ins failed. Try again in "
                            + (seconds < 90 ? seconds + " seconds" : (seconds + 59) / 60 + " minutes")
                            + ", or ask a supervisor to lift the wait.");
            return;
        }
        chain.doFilter(request, response);
    }
}

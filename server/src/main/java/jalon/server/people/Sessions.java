package jalon.server.people;

import jakarta.servlet.http.HttpSession;
import jalon.server.Times;
import org.springframework.stereotype.Component;

/** Sessions of people who have just signed in, whichever way. */
@Component
public class Sessions {
    private final Times times;

    Sessions(Times times) {
        this.times = times;
    }

    /** From now on it lasts as long as a sign-in does. */
    public void begin(HttpSession session) {
        SessionFilter.begin(session, times.now());
    }
}

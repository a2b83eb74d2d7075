package jalon.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.server.Times;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockHttpSession;

class SessionFilterTest {
    private static final Instant NINE = Instant.parse("2026-11-23T09:00:00Z");
    private final MockHttpSession session = new MockHttpSession();

    @BeforeEach
    void signedInAtNine() {
        SessionFilter.begin(session, NINE);
    }

    @Test
    void aScreenThatAsksForNewsKeepsNoSessionAlive() throws Exception {
        for (int minute = 1; minute <= 30; minute++) {
            assertThat(alive("GET", false, minute)).as("minute %d", minute).isTrue();
        }
        assertThat(alive("GET", false, 31)).isFalse();
    }

    @Test
    void actsAndTouchedKeysDoUntilTheDayIsOver() throws Exception {
        for (int minute = 20; minute <= 12 * 60; minute += 20) {
            assertThat(alive(minute % 40 == 0 ? "POST" : "GET", true, minute))
                    .as("minute %d", minute)
                    .isTrue();
        }
        assertThat(alive("POST", true, 12 * 60 + 10)).isFalse();
    }

    private boolean alive(String method, boolean active, int minute) throws Exception {
        var times = new Times(Clock.fixed(NINE.plus(Duration.ofMinutes(minute)), ZoneOffset.UTC));
        var request = new MockHttpServletRequest(method, "/api/board");
        request.setSession(session);
        if (active) {
            request.addHeader(SessionFilter.ACTIVE, "1");
        }
        new SessionFilter(new SignInSettings(null, null), null, times)
                .doFilter(request, new MockHttpServletResponse(), new MockFilterChain());
        return !session.isInvalid();
    }
}

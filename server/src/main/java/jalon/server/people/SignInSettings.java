package jalon.server.people;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * How long a sign-in lasts.
 *
 * @param idle without an act of the person: what a screen asks for by itself is none
 * @param longest however busy the person is
 */
@ConfigurationProperties("jalon.sign-in")
record SignInSettings(Duration idle, Duration longest) {
    SignInSettings {
        idle = idle == null ? Duration.ofMinutes(30) : idle;
        longest = longest == null ? Duration.ofHours(12) : longest;
    }
}

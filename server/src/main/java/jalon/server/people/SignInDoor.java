package jalon.server.people;

import java.util.Optional;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;

/** A way to sign in beside name and password. */
public interface SignInDoor {
    /** @param name what people call it, @param at where a browser goes to sign in by it */
    record Way(String name, String at) {}

    /** Empty where the installation has it not. */
    Optional<Way> way();

    /** Opens it, where the installation has it. */
    void open(HttpSecurity http) throws Exception;

    /**
     * Where a browser goes to sign out there too; empty where somebody did not come this way.
     *
     * @param back address of the sign-in screen
     */
    Optional<String> signOutAt(Authentication who, String back);
}

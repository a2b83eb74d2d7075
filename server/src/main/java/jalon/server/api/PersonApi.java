package jalon.server.api;

import jakarta.servlet.http.HttpServletRequest;
import jalon.server.people.Passwords;
import java.security.Principal;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What people change about themselves. */
@RestController
@RequestMapping("/api/me")
class PersonApi {
    private final Passwords passwords;

    PersonApi(Passwords passwords) {
        this.passwords = passwords;
    }

    /** @param before the password so far, @param after the new one */
    record NewPassword(String before, String after) {}

    /** All other sessions of the person end. */
    @PostMapping("/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changePassword(@RequestBody NewPassword wanted, Principal who, HttpServletRequest request) {
        passwords.change(who.getName(), wanted.before(), wanted.after(), request.getRemoteAddr());
        passwords.goOn(request.getSession(), who.getName());
    }
}

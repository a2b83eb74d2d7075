package jalon.server.api;

import jalon.server.Problem;
import jalon.server.people.SignInGuard;
import java.security.Principal;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Sign-ins that failed and have to wait; for supervisors. */
@RestController
@RequestMapping("/api/sign-in-waits")
class SignInApi {
    private final SignInGuard guard;

    SignInApi(SignInGuard guard) {
        this.guard = guard;
    }

    @GetMapping
    List<SignInGuard.Wait> signInWaits() {
        return guard.all();
    }

    record Lift(SignInGuard.Kind kind, String who) {}

    @PostMapping("/lift")
    List<SignInGuard.Wait> liftSignInWait(@RequestBody Lift lift, Principal by) {
        if (lift.kind() == null || lift.who() == null) {
            throw Problem.SAY_WHOSE_WAIT.with();
        }
        guard.lift(lift.kind(), lift.who(), by.getName());
        return guard.all();
    }
}

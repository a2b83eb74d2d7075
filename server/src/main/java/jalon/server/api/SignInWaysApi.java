package jalon.server.api;

import jalon.server.people.SignInDoor;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** How one can sign in beside name and password; asked before anybody has. */
@RestController
class SignInWaysApi {
    private final List<SignInDoor> doors;

    SignInWaysApi(List<SignInDoor> doors) {
        this.doors = doors;
    }

    @GetMapping("/api/sign-in-ways")
    List<SignInDoor.Way> signInWays() {
        return doors.stream().flatMap(door -> door.way().stream()).toList();
    }
}

package jalon.server.api;

import jalon.server.people.Tokens;
import jalon.server.stream.StreamLibrary;
import java.security.Principal;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Keys for programs that send. */
@RestController
@RequestMapping("/api/tokens")
class TokenApi {
    private final Tokens tokens;
    private final StreamLibrary streams;

    TokenApi(Tokens tokens, StreamLibrary streams) {
        this.tokens = tokens;
        this.streams = streams;
    }

    @GetMapping
    List<Tokens.Token> tokens() {
        return tokens.all();
    }

    record NewToken(String name, List<String> streams) {}

    @PostMapping
    Tokens.Made makeToken(@RequestBody NewToken wanted, Principal who) {
        if (wanted.streams() != null) {
            wanted.streams().forEach(streams::newest);
        }
        return tokens.make(wanted.name(), wanted.streams(), who.getName());
    }

    @PostMapping("/{id}/revoke")
    void revokeToken(@PathVariable long id, Principal who) {
        tokens.revoke(id, who.getName());
    }
}

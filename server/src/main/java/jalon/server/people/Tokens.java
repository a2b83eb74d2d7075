package jalon.server.people;

import jalon.core.page.Sha256;
import jalon.server.Problem;
import jalon.server.Times;
import java.security.SecureRandom;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keys with which programs send batches. A token is shown once, when it is made; only its hash is kept. */
@Service
public class Tokens {
    private static final int BYTES = 32;

    private final TokenRows rows;
    private final ActivityLog log;
    private final Times times;
    private final SecureRandom random = new SecureRandom();

    Tokens(TokenRows rows, ActivityLog log, Times times) {
        this.times = times;
        this.rows = rows;
        this.log = log;
    }

    /** @param streams names of the streams it may send for */
    public record Token(
            long id,
            String name,
            List<String> streams,
            String madeBy,
            Instant madeAt,
            Instant usedAt,
            Instant revokedAt) {}

    /** @param secret what the program sends; it is not shown again */
    public record Made(Token token, String secret) {}

    public List<Token> all() {
        return rows.all().stream().map(Tokens::shown).toList();
    }

    @Transactional
    public Made make(String name, List<String> streams, String by) {
        if (name == null || name.isBlank() || streams == null || streams.isEmpty()) {
            throw Problem.TOKEN_NEEDS.with();
        }
        byte[] bytes = new byte[BYTES];
        random.nextBytes(bytes);
        String secret = "jalon_" + Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        Instant now = times.now();
        rows.add(name.strip(), hash(secret), streams, by, now);
        log.add(by, Act.MADE_TOKEN.with(name, String.join(", ", streams)));
        return new Made(shown(rows.find(hash(secret)).orElseThrow()), secret);
    }

    @Transactional
    public void revoke(long id, String by) {
        Instant now = times.now();
        if (rows.revoke(id, now) == 0) {
            throw Problem.NO_SUCH_TOKEN.with();
        }
        log.add(by, Act.REVOKED_TOKEN.with(id));
    }

    /** The token of a program that may send now. */
    public Optional<Token> of(String secret) {
        Optional<Token> found = rows.find(hash(secret)).map(Tokens::shown).filter(t -> t.revokedAt() == null);
        found.ifPresent(t -> rows.used(t.id(), times.now()));
        return found;
    }

    private static Token shown(TokenRows.Row r) {
        return new Token(r.id(), r.name(), r.streams(), r.madeBy(), r.madeAt(), r.usedAt(), r.revokedAt());
    }

    private static String hash(String secret) {
        return Sha256.of(secret);
    }
}

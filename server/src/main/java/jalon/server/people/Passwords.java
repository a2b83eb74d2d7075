package jalon.server.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.nulabinc.zxcvbn.Zxcvbn;
import jakarta.servlet.http.HttpSession;
import jalon.server.Problem;
import jalon.server.Times;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Passwords as their owners change them. */
@Service
public class Passwords {
    /** NIST SP 800-63B asks for 8 at least and advises 15; ASVS 5.0, 6.2.1 likewise. */
    static final int LEAST = 12;

    /** More would not be looked at by the hash (bcrypt). */
    static final int MOST_BYTES = 72;

    /** Of 0 to 4: lists of common passwords, names, words, keys beside each other, dates and their mixtures. */
    private static final int HARD_ENOUGH = 3;

    private static final int LEAST_OF_ITS_OWN = 8;

    /** None that is taken for another when it is read out or copied by hand. */
    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";

    /** Of one that is given: 79 bits. */
    private static final int GIVEN_LETTERS = 16;

    private static final int GROUP = 4;

    private final SecureRandom chance = new SecureRandom();

    private final Zxcvbn guesses = new Zxcvbn();
    private final People people;
    private final PasswordEncoder encoder;
    private final SignInGuard guard;
    private final ActivityLog log;
    private final Times times;
    private final Cache<String, Optional<Instant>> changed = Caffeine.newBuilder()
            .expireAfterWrite(Duration.ofSeconds(5))
            .maximumSize(10_000)
            .build();

    Passwords(People people, PasswordEncoder encoder, SignInGuard guard, ActivityLog log, Times times) {
        this.people = people;
        this.encoder = encoder;
        this.guard = guard;
        this.log = log;
        this.times = times;
    }

    /**
     * Sets a person's own password. All sessions from before end.
     *
     * @param before the one so far
     * @param address where it was asked from; wrong ones count as sign-ins that failed
     */
    @Transactional
    public void change(String signIn, String before, String after, String address) {
        Person person = people.find(signIn).orElseThrow(() -> Problem.NO_SUCH_PERSON.with(signIn));
        Duration wait = guard.attempt(signIn, address);
        if (!wait.isZero()) {
            throw Problem.PASSWORD_WAIT.with(wait.toSeconds() + 1);
        }
        if (before == null || !encoder.matches(before, person.passwordHash())) {
            throw Problem.PASSWORD_WRONG.with();
        }
        guard.succeeded(signIn, address);
        check(person, after);
        people.password(signIn, encoder.encode(after), false, times.now());
        changed.invalidate(signIn);
        log.add(signIn, Act.CHANGED_PASSWORD.with());
    }

    private void check(Person person, String password) {
        if (password == null || password.codePointCount(0, password.length()) < LEAST) {
            throw Problem.PASSWORD_SHORT.with(LEAST);
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            throw Problem.PASSWORD_LONG.with(MOST_BYTES);
        }
        List<String> known = new ArrayList<>(List.of("jalon", person.signIn()));
        known.addAll(List.of(person.signIn().split("[^\\p{L}\\p{N}]+")));
        known.addAll(List.of(person.name().split("\\s+")));
        if (guesses.measure(password, known).getScore() < HARD_ENOUGH
                || without(known, password).length() < LEAST_OF_ITS_OWN) {
            throw Problem.PASSWORD_COMMON.with();
        }
    }

    /** What is left of a password without the names that everybody knows. */
    private static String without(List<String> known, String password) {
        String rest = password.toLowerCase(Locale.ROOT);
        for (String name : known) {
            rest = name.length() < 3 ? rest : rest.replace(name.toLowerCase(Locale.ROOT), "");
        }
        return rest.replaceAll("[^\\p{L}\\p{N}]", "");
    }

    /** One that a supervisor gives, and that is good for nothing but choosing another. */
    String given() {
        StringBuilder given = new StringBuilder();
        for (int i = 0; i < GIVEN_LETTERS; i++) {
            given.append(i > 0 && i % GROUP == 0 ? "-" : "").append(LETTERS.charAt(chance.nextInt(LETTERS.length())));
        }
        return given.toString();
    }

    /** Sessions from before are over at once on this server, and in some seconds on others. */
    public void endSessions(String signIn) {
        changed.invalidate(signIn);
    }

    /** For somebody who signs in without one. */
    public String nobodyKnows() {
        return encoded(given());
    }

    String encoded(String password) {
        return encoder.encode(password);
    }

    /** The session in which it was changed goes on, with all that the person may do. */
    public void goOn(HttpSession session, String signIn) {
        Person person = people.find(signIn).orElseThrow(() -> Problem.NO_SUCH_PERSON.with(signIn));
        SessionFilter.begin(session, times.now());
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                SecurityRules.user(person), null, SecurityRules.user(person).getAuthorities()));
        session.setAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY, context);
    }

    /** Whether a sign-in from then was made with another password. */
    boolean changedSince(String signIn, Instant then) {
        return changed.get(signIn, s -> people.passwordSince(s))
                .filter(then::isBefore)
                .isPresent();
    }
}

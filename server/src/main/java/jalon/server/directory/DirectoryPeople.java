package jalon.server.directory;

import jalon.core.page.Sha256;
import jalon.core.words.Words;
import jalon.server.NotPossible;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.people.Passwords;
import jalon.server.people.People;
import jalon.server.people.Person;
import jalon.server.people.Role;
import jalon.server.rights.Rights;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * People as the directory says: who they are, what they are called, and by their groups there what they do here. It is asked
 * at each sign-in. Nobody who has a password here becomes another because the directory knows the same name.
 */
@Service
class DirectoryPeople {
    private static final String SIGN_IN = "[a-z0-9][a-z0-9._@-]{1,58}";
    private static final int LONGEST_NAME = 80;

    private final DirectoryRows rows;
    private final DirectorySettings settings;
    private final People people;
    private final Passwords passwords;
    private final Rights rights;
    private final ActivityLog log;
    private final Times times;

    DirectoryPeople(
            DirectoryRows rows,
            DirectorySettings settings,
            People people,
            Passwords passwords,
            Rights rights,
            ActivityLog log,
            Times times) {
        this.rows = rows;
        this.settings = settings;
        this.people = people;
        this.passwords = passwords;
        this.rights = rights;
        this.log = log;
        this.times = times;
    }

    /**
     * Somebody as the directory says.
     *
     * @param subject who it is there for good, @param groups names of all groups there
     */
    record Claimed(String issuer, String subject, String signIn, String name, List<String> groups) {
        /** Neither of the two can be read from it. */
        String id() {
            return Sha256.of(issuer + "\n" + subject);
        }
    }

    /**
     * The person who signs in, as the directory says now; one that was not here before is added.
     *
     * @throws NotPossible where somebody is not to sign in here
     */
    @Transactional
    Person signsIn(Claimed claimed) {
        Role role = role(claimed.groups())
                .orElseThrow(() -> Problem.DIRECTORY_NO_ROLE.with(claimed.signIn(), settings.name()));
        String signIn = rows.byId(claimed.id()).map(DirectoryRows.Known::signIn).orElseGet(() -> met(claimed, role));
        Person before = people.find(signIn).orElseThrow();
        if (before.locked()) {
            throw Problem.DIRECTORY_LOCKED.with(signIn);
        }
        Person now = new Person(signIn, named(claimed), role, before.passwordHash(), false, false, true);
        boolean others = follow(signIn, claimed.groups());
        if (!now.equals(before) || others) {
            people.change(now, times.now());
            passwords.endSessions(signIn);
            rights.forget();
            log.add(settings.name(), Act.CHANGED_PERSON.with(signIn, Words.name(role)));
        }
        return now;
    }

    /** Somebody that the directory knows under the name of one here is only taken for that one where a supervisor said so. */
    private String met(Claimed claimed, Role role) {
        String signIn = claimed.signIn() == null ? "" : claimed.signIn().toLowerCase(Locale.ROOT);
        if (!signIn.matches(SIGN_IN)) {
            throw Problem.DIRECTORY_NAME.with(signIn, settings.name());
        }
        Optional<DirectoryRows.Known> there = rows.bySignIn(signIn);
        if (there.isPresent() && (!there.get().directory() || there.get().directoryId() != null)) {
            throw Problem.DIRECTORY_TAKEN.with(signIn, settings.name());
        }
        if (there.isEmpty()) {
            rows.add(Person.of(signIn, named(claimed), role, passwords.nobodyKnows()));
            log.add(settings.name(), Act.ADDED_PERSON.with(signIn, Words.name(role)));
        }
        rows.is(signIn, claimed.id());
        return signIn;
    }

    private static String named(Claimed claimed) {
        String name = claimed.name() == null || claimed.name().isBlank()
                ? claimed.signIn()
                : claimed.name().strip();
        return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
    }

    /** The one that can do most of those that the groups give. */
    private Optional<Role> role(Collection<String> groups) {
        if (isIn(groups, settings.supervisors())) {
            return Optional.of(Role.SUPERVISOR);
        }
        if (isIn(groups, settings.operators())) {
            return Optional.of(Role.OPERATOR);
        }
        return isIn(groups, settings.readers()) ? Optional.of(Role.READER) : Optional.empty();
    }

    private static boolean isIn(Collection<String> groups, Collection<String> any) {
        return !Collections.disjoint(groups, any);
    }

    /** @return whether the person is in other groups now than before */
    private boolean follow(String signIn, List<String> groups) {
        boolean others = false;
        for (DirectoryRows.Membership group : rows.following(signIn)) {
            boolean member = groups.contains(group.directoryName());
            if (member && !group.member()) {
                rows.join(group.groupId(), signIn);
            } else if (!member && group.member()) {
                rows.leave(group.groupId(), signIn);
            }
            others |= member != group.member();
        }
        return others;
    }
}

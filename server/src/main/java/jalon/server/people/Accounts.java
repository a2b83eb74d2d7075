package jalon.server.people;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;

import jalon.core.words.Words;
import jalon.server.NewId;
import jalon.server.Problem;
import jalon.server.Times;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeSet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** People and their groups, as supervisors keep them. */
@Service
public class Accounts {
    private static final int LONGEST_NAME = 80;

    private final People people;
    private final GroupRows groups;
    private final Passwords passwords;
    private final ActivityLog log;
    private final Times times;

    Accounts(People people, GroupRows groups, Passwords passwords, ActivityLog log, Times times) {
        this.people = people;
        this.groups = groups;
        this.passwords = passwords;
        this.log = log;
        this.times = times;
    }

    /** @param groups numbers of those that the person is in, @param directory whether the directory signs the person in */
    public record Account(
            String signIn, String name, Role role, List<Long> groups, boolean locked, boolean directory) {}

    /** By name; those who may no longer sign in too. */
    public List<Account> all() {
        Map<String, List<Long>> in = groups.members().stream()
                .collect(groupingBy(GroupRows.Member::signIn, mapping(GroupRows.Member::groupId, toList())));
        return people.all().stream()
                .map(p -> new Account(
                        p.signIn(),
                        p.name(),
                        p.role(),
                        in.getOrDefault(p.signIn(), List.of()),
                        p.locked(),
                        p.directory()))
                .toList();
    }

    /** @return a password that is good for choosing another, told this once; null for somebody whom the directory signs in */
    @Transactional
    public String add(Account wanted, String who) {
        if (wanted.signIn() == null || !wanted.signIn().matches("[a-z0-9][a-z0-9._-]{1,58}")) {
            throw Problem.SIGN_IN_FORM.with();
        }
        if (people.find(wanted.signIn()).isPresent()) {
            throw Problem.SIGN_IN_TAKEN.with(wanted.signIn());
        }
        String password = passwords.given();
        people.add(new Person(
                wanted.signIn(),
                named(wanted.name()),
                role(wanted),
                passwords.encoded(password),
                false,
                !wanted.directory(),
                wanted.directory()));
        join(wanted);
        log.add(who, Act.ADDED_PERSON.with(wanted.signIn(), Words.name(role(wanted))));
        return wanted.directory() ? null : password;
    }

    /** Somebody's name, role, groups, and whether they may sign in. Their sessions end. */
    @Transactional
    public void change(Account wanted, String who) {
        Person before = find(wanted.signIn());
        people.change(
                new Person(
                        before.signIn(),
                        named(wanted.name()),
                        role(wanted),
                        before.passwordHash(),
                        wanted.locked(),
                        before.mustChange(),
                        wanted.directory()),
                times.now());
        if (before.directory() != wanted.directory()) {
            people.byDirectory(wanted.signIn(), wanted.directory(), passwords.nobodyKnows());
        }
        if (people.supervisors() == 0) {
            throw Problem.LAST_SUPERVISOR.with();
        }
        groups.leaveAll(wanted.signIn());
        join(wanted);
        passwords.endSessions(wanted.signIn());
        if (before.locked() != wanted.locked()) {
            log.add(who, (wanted.locked() ? Act.LOCKED_PERSON : Act.UNLOCKED_PERSON).with(wanted.signIn()));
        }
        log.add(who, Act.CHANGED_PERSON.with(wanted.signIn(), Words.name(role(wanted))));
    }

    /** In place of one that was forgotten. @return it, told this once */
    @Transactional
    public String givePassword(String signIn, String who) {
        if (find(signIn).directory()) {
            throw Problem.SIGNED_IN_BY_DIRECTORY.with(signIn);
        }
        String password = passwords.given();
        people.password(signIn, passwords.encoded(password), true, times.now());
        passwords.endSessions(signIn);
        log.add(who, Act.GAVE_PASSWORD.with(signIn));
        return password;
    }

    private Person find(String signIn) {
        return people.find(signIn).orElseThrow(() -> Problem.NO_SUCH_PERSON.with(signIn));
    }

    private void join(Account wanted) {
        for (long id : new TreeSet<>(wanted.groups() == null ? List.of() : wanted.groups())) {
            group(id);
            groups.join(new GroupRows.Member(wanted.signIn(), id));
        }
    }

    private static Role role(Account wanted) {
        if (wanted.role() == null) {
            throw Problem.SAY_ROLE.with();
        }
        return wanted.role();
    }

    private static String named(String name) {
        String plain = name == null ? "" : name.strip();
        if (plain.isEmpty() || plain.length() > LONGEST_NAME) {
            throw Problem.NAME_LENGTH.with(LONGEST_NAME);
        }
        return plain;
    }

    public List<GroupRows.Group> groups() {
        return groups.all();
    }

    private GroupRows.Group group(long id) {
        return groups.find(id).orElseThrow(() -> Problem.NO_SUCH_GROUP.with());
    }

    @Transactional
    public GroupRows.Group addGroup(String name, String directoryName, String who) {
        var made = new NewId();
        groups.add(made, freeName(name), following(0, directoryName));
        log.add(who, Act.ADDED_GROUP.with(named(name)));
        return group(made.getId());
    }

    @Transactional
    public void changeGroup(long id, String name, String directoryName, String who) {
        GroupRows.Group before = group(id);
        String wanted = before.name().equals(named(name)) ? before.name() : freeName(name);
        String follows = following(id, directoryName);
        groups.change(id, wanted, follows);
        if (!wanted.equals(before.name())) {
            log.add(who, Act.RENAMED_GROUP.with(before.name(), wanted));
        }
        if (!Objects.equals(follows, before.directoryName())) {
            log.add(who, Act.GROUP_FOLLOWS.with(wanted, follows == null ? "-" : follows));
        }
    }

    /** @return the directory's group that one follows, or null */
    private String following(long id, String directoryName) {
        String name = directoryName == null || directoryName.isBlank() ? null : named(directoryName);
        groups.following(name).filter(group -> group.id() != id).ifPresent(group -> {
            throw Problem.GROUP_FOLLOWED.with(name, group.name());
        });
        return name;
    }

    private String freeName(String wanted) {
        String name = named(wanted);
        if (groups.named(name).isPresent()) {
            throw Problem.GROUP_IS_THERE.with(name);
        }
        return name;
    }

    /** One that has rights of its own stays. */
    @Transactional
    public void removeGroup(long id, String who) {
        GroupRows.Group group = group(id);
        List<String> streams = groups.namedFor(id);
        if (!streams.isEmpty()) {
            throw Problem.GROUP_HAS_RIGHTS.with(group.name(), String.join(", ", streams));
        }
        groups.remove(id);
        log.add(who, Act.REMOVED_GROUP.with(group.name()));
    }
}

package jalon.server.api;

import jalon.server.Problem;
import jalon.server.batch.Batch;
import jalon.server.people.Accounts;
import jalon.server.people.ActivityLog;
import jalon.server.people.GroupRows;
import jalon.server.people.Logged;
import jalon.server.rights.Rights;
import jalon.server.stream.StreamLibrary;
import java.security.Principal;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** People, their groups, what they may do and what they did. */
@RestController
@RequestMapping("/api")
class PeopleApi {
    private static final int ENTRIES = 200;

    private final Accounts accounts;
    private final Rights rights;
    private final StreamLibrary streams;
    private final ActivityLog log;

    PeopleApi(Accounts accounts, Rights rights, StreamLibrary streams, ActivityLog log) {
        this.streams = streams;
        this.accounts = accounts;
        this.rights = rights;
        this.log = log;
    }

    @GetMapping("/people")
    List<Accounts.Account> people() {
        return accounts.all();
    }

    /** A password that a supervisor gives, told this once: it is good for choosing another. */
    record GivenPassword(String password) {}

    @PostMapping("/people")
    GivenPassword addPerson(@RequestBody Accounts.Account wanted, Principal who) {
        return new GivenPassword(accounts.add(wanted, who.getName()));
    }

    @PutMapping("/people/{signIn}")
    List<Accounts.Account> changePerson(
            @PathVariable String signIn, @RequestBody Accounts.Account wanted, Principal who) {
        accounts.change(
                new Accounts.Account(
                        signIn, wanted.name(), wanted.role(), wanted.groups(), wanted.locked(), wanted.directory()),
                who.getName());
        rights.forget();
        return accounts.all();
    }

    @PostMapping("/people/{signIn}/password")
    GivenPassword givePassword(@PathVariable String signIn, Principal who) {
        return new GivenPassword(accounts.givePassword(signIn, who.getName()));
    }

    @GetMapping("/groups")
    List<GroupRows.Group> groups() {
        return accounts.groups();
    }

    /** @param directoryName the group of the directory whose members are in it, or null */
    record GroupName(String name, String directoryName) {}

    @PostMapping("/groups")
    GroupRows.Group addGroup(@RequestBody GroupName wanted, Principal who) {
        return accounts.addGroup(wanted.name(), wanted.directoryName(), who.getName());
    }

    @PutMapping("/groups/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void renameGroup(@PathVariable long id, @RequestBody GroupName wanted, Principal who) {
        accounts.changeGroup(id, wanted.name(), wanted.directoryName(), who.getName());
    }

    @DeleteMapping("/groups/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeGroup(@PathVariable long id, Principal who) {
        accounts.removeGroup(id, who.getName());
        rights.forget();
    }

    /** What only some groups may; what is not named here is as people's roles say. */
    @GetMapping("/rights")
    List<Rights.Rule> rights() {
        return rights.all();
    }

    /** @param confidential whether its documents are only for those who may see what is */
    record TypeOfStream(String type, String title, boolean confidential) {}

    record StreamWithTypes(String stream, String title, List<TypeOfStream> types) {}

    /** What rights can be said over: all streams with their types. */
    @GetMapping("/rights/streams")
    List<StreamWithTypes> streamsForRights() {
        return streams.current().stream()
                .map(s -> new StreamWithTypes(
                        s.name(),
                        s.title(),
                        streams.usable(s.name(), s.version()).stream()
                                .flatMap(stream -> stream.types().stream())
                                .map(t -> new TypeOfStream(t.type(), t.title(), t.confidential()))
                                .toList()))
                .toList();
    }

    @PutMapping("/rights")
    List<Rights.Rule> sayRight(@RequestBody Rights.Rule wanted, Principal who) {
        if (wanted.right() == null || wanted.stream() == null || wanted.stream().isBlank()) {
            throw Problem.SAY_RIGHT.with();
        }
        rights.say(
                new Rights.Rule(
                        wanted.right(),
                        wanted.stream(),
                        wanted.type() == null ? "" : wanted.type(),
                        wanted.groups() == null ? List.of() : wanted.groups()),
                who.getName());
        return rights.all();
    }

    /** @param no of the entry, @param batch null where it is about none */
    record LogEntry(long no, String batch, Instant at, String who, Logged what) {}

    /** The newest. @param who whose, @param before number of the entry before which they are */
    @GetMapping("/log")
    List<LogEntry> wholeLog(@RequestParam(required = false) String who, @RequestParam(required = false) Long before) {
        return log.latest(who, before, ENTRIES).stream()
                .map(e -> new LogEntry(
                        e.no(),
                        e.batchId() == null ? null : Batch.no(e.batchId()),
                        e.entry().at(),
                        e.entry().who(),
                        e.entry().what()))
                .toList();
    }
}

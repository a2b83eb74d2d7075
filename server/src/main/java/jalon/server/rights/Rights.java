package jalon.server.rights;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jalon.core.words.Words;
import jalon.server.Problem;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.people.GroupRows;
import jalon.server.people.People;
import jalon.server.people.Person;
import java.time.Duration;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who may do what with which documents. */
@Service
public class Rights {
    private final RightRows rows;
    private final GroupRows groups;
    private final People people;
    private final ActivityLog log;

    /** Another server may have been told otherwise. */
    private final Cache<String, RightRules> rules =
            Caffeine.newBuilder().expireAfterWrite(Duration.ofSeconds(2)).build();

    private final Cache<String, Holder> holders = Caffeine.newBuilder()
            .maximumSize(10_000)
            .expireAfterWrite(Duration.ofSeconds(2))
            .build();

    Rights(RightRows rows, GroupRows groups, People people, ActivityLog log) {
        this.rows = rows;
        this.groups = groups;
        this.people = people;
        this.log = log;
    }

    /** Somebody as rights are asked for. */
    private record Holder(Person person, Set<Long> groups) {}

    /** Over a stream as a whole. */
    public boolean may(String signIn, Right right, String stream) {
        return may(signIn, right, stream, "");
    }

    /** Over the documents of one type. */
    public boolean may(String signIn, Right right, String stream, String type) {
        Holder holder = holders.get(signIn, this::holder);
        return holder.person() != null
                && !holder.person().locked()
                && rules().may(holder.person().role(), holder.groups(), right, stream, type);
    }

    /** Whether somebody works on batches of a stream in any way. */
    public boolean worksOn(String signIn, String stream) {
        return may(signIn, Right.INDEX, stream) || may(signIn, Right.FILE, stream);
    }

    /** @throws jalon.server.NotPossible when somebody works on batches of a stream in no way */
    public void requireWork(String signIn, String stream) {
        refuseUnless(worksOn(signIn, stream));
    }

    /** @throws jalon.server.NotPossible when somebody has not this right over a stream */
    public void require(String signIn, Right right, String stream) {
        refuseUnless(may(signIn, right, stream));
    }

    /** @throws jalon.server.NotPossible when somebody has not this right over the documents of a type */
    public void require(String signIn, Right right, String stream, String type) {
        refuseUnless(may(signIn, right, stream, type));
    }

    private static void refuseUnless(boolean may) {
        if (!may) {
            throw Problem.NOT_YOUR_RIGHT.with();
        }
    }

    /** Whether something is said of single types of the stream. */
    public boolean partsTypes(Right right, String stream) {
        return rules().partsTypes(right, stream);
    }

    private Holder holder(String signIn) {
        return new Holder(people.find(signIn).orElse(null), Set.copyOf(rows.groupsOf(signIn)));
    }

    private RightRules rules() {
        return rules.get("all", key -> read());
    }

    private RightRules read() {
        Map<RightRules.Over, Set<Long>> all = new HashMap<>();
        rows.all()
                .forEach(l -> all.computeIfAbsent(
                                new RightRules.Over(l.what(), l.stream(), l.type()), over -> new HashSet<>())
                        .add(l.groupId()));
        return all.isEmpty() ? RightRules.NONE : new RightRules(all);
    }

    /**
     * Who alone has a right.
     *
     * @param type empty for all types of the stream that nothing is said of
     * @param groups numbers of them; none for everybody whose role has it
     */
    public record Rule(Right right, String stream, String type, List<Long> groups) {}

    public List<Rule> all() {
        return read().groups().entrySet().stream()
                .map(e -> new Rule(
                        e.getKey().right(),
                        e.getKey().stream(),
                        e.getKey().type(),
                        List.copyOf(new TreeSet<>(e.getValue()))))
                .toList();
    }

    /** Says who has a right from now on. */
    @Transactional
    public void say(Rule rule, String who) {
        rows.clear(rule.right(), rule.stream(), rule.type());
        Set<String> names = new TreeSet<>();
        for (long id : new TreeSet<>(rule.groups())) {
            names.add(groups.find(id)
                    .orElseThrow(() -> Problem.NO_SUCH_GROUP.with())
                    .name());
            rows.add(new RightRows.Line(rule.right(), rule.stream(), rule.type(), id));
        }
        log.add(
                who,
                Act.SAID_RIGHT.with(
                        Words.name(rule.right()),
                        rule.stream(),
                        rule.type(),
                        names.isEmpty() ? "-" : String.join(", ", names)));
        forget();
    }

    /** What was looked up is looked up again: somebody's role or groups are others. */
    public void forget() {
        rules.invalidateAll();
        holders.invalidateAll();
    }
}

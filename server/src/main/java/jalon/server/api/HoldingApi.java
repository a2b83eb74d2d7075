package jalon.server.api;

import jalon.core.stream.IntakeRules;
import jalon.server.NotPossible;
import jalon.server.batch.Holding;
import jalon.server.people.People;
import java.security.Principal;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who has a batch, how urgent it is, and whether it may be worked on. */
@RestController
@RequestMapping("/api")
class HoldingApi {
    private final Holding holding;
    private final People people;

    HoldingApi(Holding holding, People people) {
        this.holding = holding;
        this.people = people;
    }

    record Colleague(String signIn, String name) {}

    /** Those who work on batches. */
    @GetMapping("/colleagues")
    List<Colleague> colleagues() {
        return people.all().stream()
                .filter(p -> !p.role().equals("reader"))
                .map(p -> new Colleague(p.signIn(), p.name()))
                .toList();
    }

    record Take(boolean over) {}

    /** Only a supervisor takes a batch from somebody who did something about it within the last quarter of an hour. */
    @PostMapping("/batches/{no}/take")
    void take(@PathVariable String no, @RequestBody Take take, Principal who) {
        boolean supervisor = people.find(who.getName()).orElseThrow().role().equals("supervisor");
        holding.take(no, take.over() && supervisor, who.getName());
    }

    record Pass(String to) {}

    /** To a colleague, or back to whoever takes it next. */
    @PostMapping("/batches/{no}/pass")
    void pass(@PathVariable String no, @RequestBody Pass pass, Principal who) {
        holding.pass(no, pass.to(), who.getName());
    }

    record Because(String why) {}

    @PostMapping("/batches/{no}/hold")
    void hold(@PathVariable String no, @RequestBody Because because, Principal who) {
        holding.hold(no, because.why() == null ? "" : because.why(), who.getName());
    }

    @PostMapping("/batches/{no}/release")
    void release(@PathVariable String no, Principal who) {
        holding.hold(no, null, who.getName());
    }

    @PostMapping("/batches/{no}/withdraw")
    void withdraw(@PathVariable String no, @RequestBody Because because, Principal who) {
        holding.withdraw(no, because.why(), who.getName());
    }

    record Urgency(String priority, Instant dueAt) {}

    /** Parts left out stay as they are. */
    @PostMapping("/batches/{no}/urgency")
    void urgency(@PathVariable String no, @RequestBody Urgency urgency, Principal who) {
        if (urgency.priority() != null) {
            try {
                holding.prioritise(
                        no, IntakeRules.Priority.valueOf(urgency.priority().toUpperCase(Locale.ROOT)), who.getName());
            } catch (IllegalArgumentException e) {
                throw NotPossible.input("A priority is normal, high or urgent, not " + urgency.priority() + ".");
            }
        }
        if (urgency.dueAt() != null) {
            holding.due(no, urgency.dueAt(), who.getName());
        }
    }

    record Expected(Integer pages, Integer documents) {}

    @PostMapping("/batches/{no}/expected")
    void expect(@PathVariable String no, @RequestBody Expected expected, Principal who) {
        holding.expect(no, expected.pages(), expected.documents(), who.getName());
    }
}

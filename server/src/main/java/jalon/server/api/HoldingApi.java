package jalon.server.api;

import jalon.core.stream.IntakeRules;
import jalon.server.batch.BatchHolds;
import jalon.server.batch.DocumentClaims;
import jalon.server.people.People;
import jalon.server.people.Role;
import jalon.server.rights.Needs;
import jalon.server.rights.Right;
import java.security.Principal;
import java.time.Instant;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
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
    private final BatchHolds holds;
    private final DocumentClaims claims;
    private final People people;

    HoldingApi(BatchHolds holds, DocumentClaims claims, People people) {
        this.claims = claims;
        this.holds = holds;
        this.people = people;
    }

    record Colleague(String signIn, String name) {}

    /** Those who work on batches. */
    @GetMapping("/colleagues")
    List<Colleague> colleagues() {
        return people.all().stream()
                .filter(p -> p.role() != Role.READER)
                .map(p -> new Colleague(p.signIn(), p.name()))
                .toList();
    }

    record Take(boolean over) {}

    /** Only a supervisor takes a batch from somebody who did something about it within the last quarter of an hour. */
    @PostMapping("/batches/{no}/take")
    void takeBatch(@PathVariable String no, @RequestBody Take take, Principal who) {
        boolean supervisor = people.find(who.getName()).orElseThrow().role() == Role.SUPERVISOR;
        holds.take(no, take.over() && supervisor, who.getName());
    }

    record OpenDocument(int page) {}

    /** Takes the document that a page is in to index it, beside others who index the batch; the one before is free again. */
    @PostMapping("/batches/{no}/claim")
    void claim(@PathVariable String no, @RequestBody OpenDocument document, Principal who) {
        claims.claim(no, document.page(), who.getName());
    }

    @DeleteMapping("/batches/{no}/claim")
    void free(@PathVariable String no, Principal who) {
        claims.free(no, who.getName());
    }

    record Pass(String to) {}

    /** To a colleague, or back to whoever takes it next. */
    @PostMapping("/batches/{no}/pass")
    void passBatch(@PathVariable String no, @RequestBody Pass pass, Principal who) {
        holds.pass(no, pass.to(), who.getName());
    }

    record Because(String why) {}

    @PostMapping("/batches/{no}/hold")
    void holdBatch(@PathVariable String no, @RequestBody Because because, Principal who) {
        holds.hold(no, because.why() == null ? "" : because.why(), who.getName());
    }

    @PostMapping("/batches/{no}/release")
    void releaseBatch(@PathVariable String no, Principal who) {
        holds.hold(no, null, who.getName());
    }

    @PostMapping("/batches/{no}/withdraw")
    @Needs(Right.ERASE)
    void withdrawBatch(@PathVariable String no, @RequestBody Because because, Principal who) {
        holds.withdraw(no, because.why(), who.getName());
    }

    record Urgency(IntakeRules.Priority priority, Instant dueAt) {}

    /** Parts left out stay as they are. */
    @PostMapping("/batches/{no}/urgency")
    void setUrgency(@PathVariable String no, @RequestBody Urgency urgency, Principal who) {
        if (urgency.priority() != null) {
            holds.prioritise(no, urgency.priority(), who.getName());
        }
        if (urgency.dueAt() != null) {
            holds.due(no, urgency.dueAt(), who.getName());
        }
    }

    record Expected(Integer pages, Integer documents) {}

    @PostMapping("/batches/{no}/expected")
    void setExpected(@PathVariable String no, @RequestBody Expected expected, Principal who) {
        holds.expect(no, expected.pages(), expected.documents(), who.getName());
    }
}

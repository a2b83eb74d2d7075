package jalon.server.api;

import jalon.server.archive.ArchivedDocuments;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.retention.DueDocuments;
import jalon.server.retention.Erasing;
import jalon.server.retention.Holds;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What is kept no longer, and what is held; for supervisors, over the types that they may erase. */
@RestController
@RequestMapping("/api/retention")
class RetentionApi {
    private final DueDocuments due;
    private final Erasing erasing;
    private final Holds holds;
    private final Batches batches;
    private final ArchivedDocuments archive;

    RetentionApi(DueDocuments due, Erasing erasing, Holds holds, Batches batches, ArchivedDocuments archive) {
        this.batches = batches;
        this.archive = archive;
        this.due = due;
        this.erasing = erasing;
        this.holds = holds;
    }

    /** A filed document. @param document its number in the batch that it was filed from first */
    record FiledAs(String batch, int document) {}

    private Batch.Continued row(FiledAs document) {
        return new Batch.Continued(batches.get(document.batch()).id(), document.document());
    }

    /** Of which types documents are due. */
    @GetMapping("/due")
    List<DueDocuments.DueKind> dueKinds(Principal who) {
        return due.kinds(who.getName());
    }

    /** @param from how many to pass over */
    @GetMapping("/due/documents")
    List<DueDocuments.DueDocument> dueDocuments(
            @RequestParam String stream,
            @RequestParam String type,
            @RequestParam(defaultValue = "0") int from,
            Principal who) {
        return due.due(stream, type, Math.max(0, from), who.getName());
    }

    @GetMapping("/erased")
    List<DueDocuments.Gone> erasedDocuments(Principal who) {
        return due.gone(who.getName());
    }

    record ToErase(List<FiledAs> documents, String why) {}

    /** Has documents erased, all of those named or none. */
    @PostMapping("/erase")
    void eraseDocuments(@RequestBody ToErase wanted, Principal who) {
        due.count();
        erasing.erase(rows(wanted.documents()), wanted.why(), who.getName());
    }

    private List<Batch.Continued> rows(List<FiledAs> documents) {
        return documents.stream().map(this::row).toList();
    }

    @PostMapping("/erase/again")
    void eraseAgain(@RequestBody FiledAs document, Principal who) {
        erasing.again(row(document), who.getName());
    }

    record ToLeave(FiledAs document, String why) {}

    /** Leaves what cannot be erased where it lies. */
    @PostMapping("/erase/leave")
    void leaveUnerased(@RequestBody ToLeave wanted, Principal who) {
        erasing.leave(row(wanted.document()), wanted.why(), who.getName());
    }

    @GetMapping("/holds")
    List<Holds.Hold> holds() {
        return holds.all();
    }

    record NewHold(String name, String why) {}

    @PostMapping("/holds")
    Holds.Hold beginHold(@RequestBody NewHold wanted, Principal who) {
        return holds.begin(wanted.name(), wanted.why(), who.getName());
    }

    /** @param archived numbers of documents in the archive */
    record ToHold(List<FiledAs> documents, List<Long> archived) {}

    @PostMapping("/holds/{id}/documents")
    Holds.Hold holdDocuments(@PathVariable long id, @RequestBody ToHold wanted, Principal who) {
        List<Batch.Continued> all = new ArrayList<>();
        if (wanted.documents() != null) {
            all.addAll(rows(wanted.documents()));
        }
        if (wanted.archived() != null) {
            wanted.archived().forEach(document -> all.add(archive.filedAs(document)));
        }
        due.count();
        return holds.add(id, all, who.getName());
    }

    record EndOfHold(String why) {}

    @PostMapping("/holds/{id}/end")
    Holds.Hold endHold(@PathVariable long id, @RequestBody EndOfHold wanted, Principal who) {
        return holds.end(id, wanted.why(), who.getName());
    }
}

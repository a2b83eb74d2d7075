package jalon.server.api;

import jalon.core.page.Box;
import jalon.core.propose.DrawnBox;
import jalon.core.stream.StreamChanges;
import jalon.server.batch.FieldTrial;
import jalon.server.batch.StreamReplay;
import jalon.server.batch.StreamTrial;
import jalon.server.stream.StreamDrafts;
import jalon.server.stream.StreamLibrary;
import jalon.server.workbench.SampleAnswers;
import jalon.server.workbench.Workbench;
import java.security.Principal;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Streams being made and changed. */
@RestController
@RequestMapping("/api/workbench")
class WorkbenchApi {
    private static final int MOST_REPLAYED = 200;

    private final Workbench workbench;
    private final StreamDrafts drafts;
    private final FieldTrial fields;

    WorkbenchApi(Workbench workbench, StreamDrafts drafts, FieldTrial fields) {
        this.fields = fields;
        this.workbench = workbench;
        this.drafts = drafts;
    }

    /** Streams that have no version yet. */
    @GetMapping
    List<StreamDrafts.Draft> begunStreams() {
        return drafts.begun();
    }

    record StreamTitle(String title) {}

    @PostMapping
    StreamDrafts.Draft beginStream(@RequestBody StreamTitle wanted, Principal who) {
        return drafts.begin(wanted.title(), who.getName());
    }

    @GetMapping("/{stream}")
    Workbench.Bench workbench(@PathVariable String stream) {
        return workbench.of(stream);
    }

    /** @param revision of the draft that was changed */
    record ChangedDraft(String json, int revision) {
        ChangedDraft {
            json = json == null ? "" : json;
        }
    }

    @PutMapping("/{stream}")
    StreamDrafts.Draft keepDraft(@PathVariable String stream, @RequestBody ChangedDraft draft, Principal who) {
        return drafts.keep(stream, draft.json(), draft.revision(), who.getName());
    }

    @DeleteMapping("/{stream}")
    void giveUpDraft(@PathVariable String stream) {
        drafts.giveUp(stream);
    }

    record SampleBatch(String no) {}

    /** Where its sample pages go. */
    @PostMapping("/{stream}/samples")
    SampleBatch samples(@PathVariable String stream, Principal who) {
        return new SampleBatch(workbench.samples(stream, who.getName()));
    }

    /** @param batch whose pages it is tried on */
    record DraftTried(String json, String batch) {
        DraftTried {
            json = json == null ? "" : json;
        }
    }

    /** What a draft makes of a batch's pages, with the values of its documents. */
    @PostMapping("/{stream}/try")
    StreamTrial.Trial tryDraft(@PathVariable String stream, @RequestBody DraftTried tried) {
        return workbench.tried(stream, tried.json(), tried.batch());
    }

    record DraftText(String json) {
        DraftText {
            json = json == null ? "" : json;
        }
    }

    /** What a draft says otherwise than the saved version; nothing where there is none yet. */
    @PostMapping("/{stream}/changes")
    List<StreamChanges.Change> changesOfDraft(@PathVariable String stream, @RequestBody DraftText draft) {
        return workbench.changes(stream, draft.json());
    }

    /** @param type and @param field of the draft, by their names */
    record FieldTried(String json, String batch, String type, String field) {
        FieldTried {
            json = json == null ? "" : json;
        }
    }

    /** How the values of a field come to be on each paper of its type: as read, and after each step. */
    @PostMapping("/{stream}/steps")
    List<FieldTrial.PaperSteps> stepsOfField(@PathVariable String stream, @RequestBody FieldTried tried) {
        return fields.of(tried.json(), tried.batch(), tried.type(), tried.field());
    }

    /** @param box on the upright page, @param values where values stand on it, @param papers pages of each paper of its type */
    record BoxOnSample(String batch, int page, Box box, List<Box> values, List<List<Integer>> papers) {
        BoxOnSample {
            values = values == null ? List.of() : values;
            papers = papers == null ? List.of() : papers;
        }
    }

    /** What a box drawn on a sample page holds, as a zone would have it. */
    @PostMapping("/{stream}/box")
    DrawnBox drawnBox(@PathVariable String stream, @RequestBody BoxOnSample drawn) {
        return workbench.drawn(drawn.batch(), drawn.page(), drawn.box(), drawn.values(), drawn.papers());
    }

    @GetMapping("/{stream}/proposals")
    List<Workbench.Proposed> proposals(@PathVariable String stream, @RequestParam String batch) {
        return workbench.proposals(stream, batch);
    }

    /** Batches that it can be held against. @param most so many at most, @param days filed in the last so many days; 0 for ever */
    @GetMapping("/{stream}/confirmed")
    StreamReplay.ConfirmedBatches confirmedBatches(
            @PathVariable String stream,
            @RequestParam(defaultValue = "20") int most,
            @RequestParam(defaultValue = "0") int days) {
        return workbench.confirmed(stream, Math.max(0, days), Math.max(1, Math.min(MOST_REPLAYED, most)));
    }

    /** Says what is right on some of its sample pages. */
    @PutMapping("/{stream}/right")
    void saidRight(@PathVariable String stream, @RequestBody SampleAnswers.Answer answer, Principal who) {
        workbench.say(stream, answer, who.getName());
    }

    @DeleteMapping("/{stream}/right/{page}")
    void notSaidRight(@PathVariable String stream, @PathVariable int page) {
        workbench.forget(stream, page);
    }

    /** What a draft does better and worse than the saved version on a batch that people confirmed. */
    @PostMapping("/{stream}/replay")
    StreamReplay.ReplayedBatch replayDraft(@PathVariable String stream, @RequestBody DraftTried tried, Principal who) {
        return workbench.replayed(stream, tried.json(), tried.batch(), who.getName());
    }

    /** @param revision of the draft, @param note what is said of it, or null */
    record GoingLive(int revision, String note) {}

    @PostMapping("/{stream}/live")
    StreamLibrary.Listed live(@PathVariable String stream, @RequestBody GoingLive going, Principal who) {
        return workbench.live(stream, going.revision(), going.note(), who.getName());
    }
}

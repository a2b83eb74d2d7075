package jalon.server.api;

import jalon.core.index.FieldSteps;
import jalon.core.page.Box;
import jalon.core.propose.DrawnBox;
import jalon.core.stream.Starter;
import jalon.core.stream.StreamChanges;
import jalon.server.batch.FieldTrial;
import jalon.server.batch.SamplePages;
import jalon.server.batch.StreamTrial;
import jalon.server.stream.StreamDrafts;
import jalon.server.stream.StreamLibrary;
import jalon.server.workbench.ReplayRuns;
import jalon.server.workbench.SampleAnswers;
import jalon.server.workbench.Workbench;
import java.security.Principal;
import java.util.List;
import java.util.Optional;
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
    private final Workbench workbench;
    private final StreamDrafts drafts;
    private final FieldTrial fields;
    private final ReplayRuns replays;

    WorkbenchApi(Workbench workbench, StreamDrafts drafts, FieldTrial fields, ReplayRuns replays) {
        this.replays = replays;
        this.fields = fields;
        this.workbench = workbench;
        this.drafts = drafts;
    }

    /** Streams that have no version yet. */
    @GetMapping
    List<StreamDrafts.Draft> begunStreams() {
        return drafts.begun();
    }

    /** @param starter what it begins with; nothing where none is named */
    record StreamTitle(String title, Starter starter) {
        StreamTitle {
            starter = starter == null ? Starter.NOTHING : starter;
        }
    }

    @PostMapping
    StreamDrafts.Draft beginStream(@RequestBody StreamTitle wanted, Principal who) {
        return drafts.begin(wanted.title(), wanted.starter(), who.getName());
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
        return workbench.keep(stream, draft.json(), draft.revision(), who.getName());
    }

    @DeleteMapping("/{stream}")
    void giveUpDraft(@PathVariable String stream) {
        workbench.giveUp(stream);
    }

    record SampleBatch(String no) {}

    /** Where its sample pages go. */
    @PostMapping("/{stream}/samples")
    SampleBatch samples(@PathVariable String stream, Principal who) {
        return new SampleBatch(workbench.samples(stream, who.getName()));
    }

    /** @param page one of the pages of the document */
    record PaperOfBatch(String batch, int page) {}

    /** Keeps a document of a batch among the sample pages, with what is sure or settled on it as right. */
    @PostMapping("/{stream}/samples/papers")
    SamplePages.PaperSaid keepAsSample(@PathVariable String stream, @RequestBody PaperOfBatch paper, Principal who) {
        return workbench.keepSample(stream, paper.batch(), paper.page(), who.getName());
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

    /** @param pages of one paper of the batch */
    record PaperTried(String json, String batch, List<Integer> pages) {
        PaperTried {
            json = json == null ? "" : json;
            pages = pages == null ? List.of() : pages;
        }
    }

    /** What a draft reads on one paper, at once. */
    @PostMapping("/{stream}/try-paper")
    List<StreamTrial.TriedDocument> tryPaper(@PathVariable String stream, @RequestBody PaperTried tried) {
        return workbench.triedOn(tried.json(), tried.batch(), tried.pages());
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

    /** @param pages of one paper of the batch, @param type and @param field of the draft, by their names */
    record FieldTried(String json, String batch, List<Integer> pages, String type, String field) {
        FieldTried {
            json = json == null ? "" : json;
            pages = pages == null ? List.of() : pages;
        }
    }

    /** How the value of a field comes to be on a paper: as read, and after each step. */
    @PostMapping("/{stream}/steps")
    Optional<FieldSteps> stepsOfField(@PathVariable String stream, @RequestBody FieldTried tried) {
        return fields.of(tried.json(), tried.batch(), tried.pages(), tried.type(), tried.field());
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

    /** Says what is right on some of its sample pages. */
    @PutMapping("/{stream}/right")
    void saidRight(@PathVariable String stream, @RequestBody SampleAnswers.Answer answer, Principal who) {
        workbench.say(stream, answer, who.getName());
    }

    @DeleteMapping("/{stream}/right/{page}")
    void notSaidRight(@PathVariable String stream, @PathVariable int page) {
        workbench.forget(stream, page);
    }

    /** @param most so many batches at most, the newest, @param days filed in the last so many days; 0 for ever */
    record ReplayWanted(String json, int most, int days) {
        ReplayWanted {
            json = json == null ? "" : json;
        }
    }

    /** Begins to hold a draft against batches that people confirmed; it goes on by itself. */
    @PostMapping("/{stream}/replay")
    ReplayRuns.Progress beginReplay(@PathVariable String stream, @RequestBody ReplayWanted wanted, Principal who) {
        return replays.begin(stream, wanted.json(), wanted.days(), wanted.most(), who.getName());
    }

    /** How far the last one is; nothing where none was asked for. */
    @GetMapping("/{stream}/replay")
    Optional<ReplayRuns.Progress> replay(@PathVariable String stream) {
        return replays.of(stream);
    }

    @DeleteMapping("/{stream}/replay")
    void stopReplay(@PathVariable String stream) {
        replays.stop(stream);
    }

    /** @param revision of the draft, @param note what is said of it, or null */
    record GoingLive(int revision, String note) {}

    @PostMapping("/{stream}/live")
    StreamLibrary.Listed live(@PathVariable String stream, @RequestBody GoingLive going, Principal who) {
        return workbench.live(stream, going.revision(), going.note(), who.getName());
    }
}

package jalon.server.workbench;

import jalon.core.evidence.StreamWatch.DriftingType;
import jalon.core.evidence.StreamWatch.FiledDocument;
import jalon.core.propose.LookAlikes;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchView.DocumentView;
import jalon.server.Problem;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.SamplePages;
import jalon.server.batch.WorkQueue;
import jalon.server.certainty.Certainties;
import jalon.server.learning.Samples;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Papers of a type that are read badly of late: those that look alike may be a new layout of it, and can be made one. */
@Service
public class NewLayouts {
    private static final int LONGEST_NAME = 80;

    private final Certainties certainties;
    private final Batches batches;
    private final Workbench workbench;
    private final SamplePages pages;
    private final Samples samples;
    private final WorkQueue work;
    private final ActivityLog log;

    NewLayouts(
            Certainties certainties,
            Batches batches,
            Workbench workbench,
            SamplePages pages,
            Samples samples,
            WorkQueue work,
            ActivityLog log) {
        this.certainties = certainties;
        this.batches = batches;
        this.workbench = workbench;
        this.pages = pages;
        this.samples = samples;
        this.work = work;
        this.log = log;
    }

    /** @param page the first one of the document, in its batch */
    public record DriftingPaper(String batch, int document, int page) {}

    /**
     * Papers that look alike.
     *
     * @param title what is printed largest at the head of most of them, or null
     */
    public record AlikePapers(String title, List<DriftingPaper> papers) {}

    private record Filed(Batch batch, DocumentView document, Batches.Looked in) {
        List<PageFacts> facts() {
            return document.pages().stream()
                    .map(in.facts()::get)
                    .filter(Objects::nonNull)
                    .toList();
        }

        boolean isWhole() {
            return facts().size() == document.pages().size()
                    && facts().stream().noneMatch(page -> page.file().isEmpty());
        }

        int page() {
            return document.pages().get(0);
        }

        DriftingPaper named() {
            return new DriftingPaper(batch.no(), document.no(), page());
        }
    }

    /** The latest papers of a type that is read badly of late, put together by their look; without those that are erased. */
    public List<AlikePapers> of(String stream, String type) {
        var looks = new Looks(stream);
        List<Filed> latest = certainties.watch(stream).drifting().stream()
                .filter(drifting -> drifting.type().equals(type))
                .map(DriftingType::latest)
                .flatMap(List::stream)
                .flatMap(document -> looks.at(document).stream())
                .filter(Filed::isWhole)
                .toList();
        return LookAlikes.of(latest.stream().map(Filed::facts).toList()).stream()
                .map(alike -> new AlikePapers(
                        alike.title(),
                        alike.papers().stream()
                                .map(latest::get)
                                .map(Filed::named)
                                .toList()))
                .toList();
    }

    /** Some batches of a stream, each looked at once. */
    private final class Looks {
        private final String stream;
        private final Map<String, List<Filed>> documents = new HashMap<>();

        Looks(String stream) {
            this.stream = stream;
        }

        Optional<Filed> at(FiledDocument wanted) {
            return documents.computeIfAbsent(wanted.batch(), this::all).stream()
                    .filter(f -> f.document().no() == wanted.document())
                    .findFirst();
        }

        private List<Filed> all(String no) {
            Batch batch = batches.get(no);
            if (!batch.stream().name().equals(stream)) {
                throw Problem.OTHER_STREAM.with(no);
            }
            Batches.Looked looked = batches.look(batch, false);
            return looked.view().documents().stream()
                    .map(d -> new Filed(batch, d, looked))
                    .toList();
        }
    }

    /** @param batch of the stream's samples, @param page of the first paper among them */
    public record MadeLayout(String batch, int page) {}

    /**
     * From now on these papers are of one layout of their type, which is known by them; they are kept among the stream's samples, to
     * show there where its values are. All of them, or none.
     *
     * @param layout what it is called
     * @throws RuntimeException {@link Problem#LAYOUT_NEEDS_NAME}, {@link Problem#NOT_A_DOCUMENT} when one is no document any more,
     *     {@link Problem#PAGE_ERASED}
     */
    @Transactional
    public MadeLayout make(String stream, String layout, List<FiledDocument> papers, String by) {
        String name = layout == null ? "" : layout.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw Problem.LAYOUT_NEEDS_NAME.with();
        }
        if (papers.isEmpty()) {
            throw Problem.NO_PAPER_SAID.with();
        }
        Batch own = batches.get(workbench.samples(stream, by));
        var looks = new Looks(stream);
        List<Integer> kept = new ArrayList<>();
        for (FiledDocument paper : papers) {
            Filed filed = looks.at(paper).orElseThrow(() -> Problem.NOT_A_DOCUMENT.with(paper.document()));
            kept.add(keep(own, stream, filed, by));
            String type = filed.document().type().type();
            samples.add(
                    stream,
                    type,
                    name,
                    filed.batch().id(),
                    filed.document(),
                    filed.in().facts(),
                    by);
            log.add(by, filed.batch().id(), Act.TAUGHT_LAYOUT.with(type, name, filed.page()));
        }
        work.learn(stream);
        return new MadeLayout(own.no(), kept.get(0));
    }

    /** @return its first page among the samples */
    private int keep(Batch own, String stream, Filed filed, String by) {
        return pages.kept(own, filed.batch(), filed.page())
                .orElseGet(() -> workbench
                        .keepSample(stream, filed.batch().no(), filed.page(), by)
                        .pages()
                        .get(0));
    }
}

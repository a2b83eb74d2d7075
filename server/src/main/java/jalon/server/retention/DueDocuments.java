package jalon.server.retention;

import jalon.core.run.BatchView;
import jalon.core.stream.Field;
import jalon.core.stream.StreamDefinition;
import jalon.server.Times;
import jalon.server.archive.ArchivedDocuments;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.filing.ErasedFiles;
import jalon.server.rights.Right;
import jalon.server.rights.Rights;
import jalon.server.stream.StreamLibrary;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Documents whose time is over, and what became of those before them, for those who may erase them. */
@Service
public class DueDocuments {
    private static final int MOST = 200;

    private final KeptRows rows;
    private final KeptDocuments kept;
    private final Holds holds;
    private final ErasedFiles files;
    private final ArchivedDocuments archive;
    private final Batches batches;
    private final StreamLibrary streams;
    private final Rights rights;
    private final Times times;

    DueDocuments(
            KeptRows rows,
            KeptDocuments kept,
            Holds holds,
            ErasedFiles files,
            ArchivedDocuments archive,
            Batches batches,
            StreamLibrary streams,
            Rights rights,
            Times times) {
        this.rows = rows;
        this.kept = kept;
        this.holds = holds;
        this.files = files;
        this.archive = archive;
        this.batches = batches;
        this.streams = streams;
        this.rights = rights;
        this.times = times;
    }

    /** @param stream and @param type names, with what they are called now */
    public record TitledType(String stream, String streamTitle, String type, String typeTitle) {}

    /** @param held those of them that are held, @param oldest the earliest last day among them */
    public record DueKind(TitledType of, int documents, int held, LocalDate oldest) {}

    /**
     * For how long a document is kept.
     *
     * @param field title of the field that was counted from; null for the day of filing
     * @param settled whether a person settled that date, or it was only read
     * @param lastDay null where nothing says for how long
     */
    public record KeptFor(String field, LocalDate counted, boolean settled, LocalDate lastDay) {}

    /**
     * @param name what it is called where it was filed first
     * @param archived number of it in the archive, or null where it is not there
     * @param holds names of what holds it
     */
    public record DueDocument(
            String batch, int document, String name, int pages, Long archived, KeptFor kept, List<String> holds) {}

    /** Counts what was filed or said since, so that what is asked for next is as the streams say now. */
    public void count() {
        kept.countForScreen();
    }

    public List<DueKind> kinds(String who) {
        kept.countForScreen();
        return rows.dueKinds(today()).stream()
                .filter(k -> rights.may(who, Right.ERASE, k.stream(), k.type()))
                .map(k -> new DueKind(titled(k.stream(), k.type()), k.documents(), k.held(), k.oldest()))
                .toList();
    }

    private LocalDate today() {
        return times.day(times.now());
    }

    private TitledType titled(String stream, String type) {
        StreamDefinition now = definition(stream);
        return new TitledType(
                stream,
                now.title() == null || now.title().isEmpty() ? stream : now.title(),
                type,
                now.type(type).map(StreamDefinition.DocumentType::title).orElse(type));
    }

    private StreamDefinition definition(String stream) {
        return streams.inForce(stream).orElse(StreamDefinition.NOTHING);
    }

    /** Those of a type, the longest due first. @param from how many to pass over */
    public List<DueDocument> due(String stream, String type, int from, String who) {
        rights.require(who, Right.ERASE, stream, type);
        kept.countForScreen();
        return rows.due(today(), stream, type, from, MOST).stream()
                .map(this::due)
                .toList();
    }

    private DueDocument due(KeptRows.Row row) {
        Batch batch = batches.get(row.batchId());
        BatchView.DocumentView document = batches.view(batch, false).documents().get(row.documentNo() - 1);
        return new DueDocument(
                batch.no(),
                row.documentNo(),
                files.name(row.document()),
                document.pages().size(),
                archive.of(row.batchId(), row.documentNo()).orElse(null),
                keptFor(row),
                holds.of(row.document()).stream().map(Holds.Hold::name).toList());
    }

    private KeptFor keptFor(KeptRows.Row row) {
        String field = row.kept().field();
        String title = field == null
                ? null
                : definition(row.stream())
                        .type(row.type())
                        .flatMap(type -> type.field(field))
                        .map(Field::title)
                        .orElse(field);
        return new KeptFor(
                title, row.kept().counted(), row.settled(), row.kept().last());
    }

    /** For how long one document is kept, and what holds it; empty where it is not counted yet. */
    public Optional<DueDocument> of(Batch.Continued document) {
        kept.countForScreen();
        return rows.of(document.batch(), document.document()).map(this::due);
    }

    /**
     * One that was erased, or is about to be.
     *
     * @param of its type, @param by who said so, by name
     * @param trouble why not all of it is gone yet, or null
     * @param lay where it lay, and what became of it there
     */
    public record Gone(
            String batch,
            int document,
            TitledType of,
            int pages,
            KeptFor kept,
            String by,
            String why,
            Instant askedAt,
            Instant erasedAt,
            String trouble,
            List<ErasedFiles.Lay> lay) {}

    /** Those that are not all gone yet first, then those erased last. */
    public List<Gone> gone(String who) {
        return rows.asked(MOST).stream()
                .filter(row -> rights.may(who, Right.ERASE, row.stream(), row.type()))
                .map(this::gone)
                .toList();
    }

    private Gone gone(KeptRows.Row row) {
        Batch batch = batches.get(row.batchId());
        KeptRows.Course course = row.course();
        return new Gone(
                batch.no(),
                row.documentNo(),
                titled(row.stream(), row.type()),
                batches.view(batch, false)
                        .documents()
                        .get(row.documentNo() - 1)
                        .pages()
                        .size(),
                keptFor(row),
                batches.nameOf(course.by()),
                course.why(),
                course.askedAt(),
                course.erasedAt(),
                course.trouble(),
                files.lay(row.document()));
    }
}

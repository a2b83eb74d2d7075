package jalon.server.archive;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.output.FiledDocument;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.stream.Field;
import jalon.server.JalonSettings;
import jalon.server.NewId;
import jalon.server.Problem;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.people.ActivityLog;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Jalon's own archive: filed documents, found again by any field and any word inside. */
@Service
public class Archive {
    private static final int MOST = 200;

    /** Under this page number the values of the fields lie among the words. */
    private static final int FIELDS_PAGE = 0;

    private final ArchiveRows rows;
    private final Batches batches;
    private final Path root;

    Archive(ArchiveRows rows, Batches batches, JalonSettings settings) {
        this.rows = rows;
        this.batches = batches;
        this.root = settings.dataFolder().resolve("archive");
    }

    public Path root() {
        return root;
    }

    /** Takes a document in; a second time changes nothing. */
    public void add(Batch batch, FiledDocument document, String path) {
        var made = new NewId();
        List<Integer> pages = document.pages().stream().map(PageFacts::no).toList();
        String person = batch.wentByItself() ? null : batch.holder().person();
        String filedBy = person == null ? ActivityLog.JALON : batches.nameOf(person);
        var row = new ArchiveRows.DocumentRow(
                0,
                batch.id(),
                document.origin().no(),
                new Kind(document.origin().stream(), document.origin().type(), document.title()),
                pages.stream().map(String::valueOf).toList(),
                path,
                new ArchiveRows.Filed(filedBy, document.at()));
        if (rows.add(made, row) == 0) {
            return;
        }
        document.fields().forEach((name, value) -> rows.addField(made.getId(), name, value));
        // What a person settled may not stand on the paper; it is found by its words all the same.
        rows.addText(
                made.getId(), FIELDS_PAGE, String.join("\n", document.fields().values()));
        for (PageFacts page : document.pages()) {
            rows.addText(
                    made.getId(),
                    page.no(),
                    String.join("\n", page.lines().stream().map(Line::text).toList()));
        }
    }

    /** @param page where the line stands, @param line text of the printed line with the hit, @param box of that line */
    public record Hit(int page, PageSize paper, String line, Box box, List<Box> words) {}

    /** How large a page is, in millimetres. */
    public record PageSize(double widthMm, double heightMm) {}

    /** A value as it was filed. @param title what people call the field, @param name what it is searched by */
    public record FiledField(String name, String title, String value) {}

    /**
     * @param fields in the order of the document's type
     * @param hit the first one, or null when only fields were asked for
     */
    public record Found(
            long id,
            String batch,
            @JsonUnwrapped Kind kind,
            @JsonUnwrapped Extent extent,
            List<FiledField> fields,
            Hit hit,
            Instant filedAt) {}

    public record Kind(String stream, String type, String title) {}

    /** @param firstPage number in its batch */
    public record Extent(int firstPage, int pageCount) {}

    /** @param more whether there are more than are shown */
    public record Result(List<Found> found, boolean more, long archived, List<String> fieldNames) {}

    public Result search(String line) {
        Query query = Query.of(line);
        Map<String, String> fields = new LinkedHashMap<>(query.fields());
        String type = fields.remove("type");
        String batch = fields.remove("batch");
        List<Map<String, String>> parts = new ArrayList<>();
        fields.forEach((name, part) -> parts.add(Map.of("name", name, "value", Query.anywhere(part))));
        Long batchId = batch == null
                ? null
                : batches.get(batch.toUpperCase(java.util.Locale.ROOT)).id();
        if (line != null
                && !line.isBlank()
                && query.fields().isEmpty()
                && query.fullText().isEmpty()) {
            // Only signs were typed: that asks for nothing, not for everything.
            return new Result(List.of(), false, rows.count(), rows.fieldNames());
        }
        List<ArchiveRows.DocumentRow> found = rows.search(query.fullText(), parts, type, batchId, MOST + 1);
        List<Found> shown = found.stream().limit(MOST).map(d -> found(d, query)).toList();
        return new Result(shown, found.size() > MOST, rows.count(), rows.fieldNames());
    }

    private Found found(ArchiveRows.DocumentRow d, Query query) {
        List<Integer> pages = pages(d);
        List<Hit> hits = query.fullText().isEmpty() ? List.of() : hits(d, query, 1);
        return new Found(
                d.id(),
                Batch.no(d.batchId()),
                d.kind(),
                new Extent(pages.get(0), pages.size()),
                fields(d),
                hits.isEmpty() ? null : hits.get(0),
                d.filed().at());
    }

    /** What the type of a document says about its fields is what its stream said when it was filed. */
    private List<FiledField> fields(ArchiveRows.DocumentRow d) {
        Map<String, String> left = new LinkedHashMap<>();
        rows.fields(d.id()).forEach(f -> left.put(f.name(), f.value()));
        List<FiledField> fields = new ArrayList<>();
        for (Field f : fieldsOfType(d)) {
            String value = left.remove(f.field());
            if (value != null) {
                fields.add(new FiledField(f.field(), f.title(), value));
            }
        }
        // A field that the type does not know has no other title than its name.
        left.forEach((name, value) -> fields.add(new FiledField(name, name, value)));
        return fields;
    }

    private List<Field> fieldsOfType(ArchiveRows.DocumentRow d) {
        return batches.usableStream(batches.get(d.batchId())).stream()
                .flatMap(stream -> stream.types().stream())
                .filter(type -> type.type().equals(d.kind().type()))
                .flatMap(type -> type.fields().stream())
                .toList();
    }

    private static List<Integer> pages(ArchiveRows.DocumentRow d) {
        return d.pages().stream().map(Integer::valueOf).toList();
    }

    private List<Hit> hits(ArchiveRows.DocumentRow d, Query query, int most) {
        List<Hit> hits = new ArrayList<>();
        Map<Integer, PageFacts> facts = batches.facts(batches.get(d.batchId()));
        for (int no : pages(d)) {
            var image = facts.get(no).image();
            var paper = new PageSize(image.widthMm(), image.heightMm());
            for (Line line : facts.get(no).lines()) {
                List<Box> words = line.words().stream()
                        .filter(w -> query.hits(w.text()))
                        .map(Word::box)
                        .toList();
                if (!words.isEmpty()) {
                    hits.add(new Hit(no, paper, line.text(), line.box(), words));
                    if (hits.size() == most) {
                        return hits;
                    }
                }
            }
        }
        return hits;
    }

    /** A document opened: its pages and where on them the hits are. */
    public record Opened(Found document, List<Integer> pages, List<Hit> hits, String path, String filedBy) {}

    public Opened open(long id, String line) {
        ArchiveRows.DocumentRow d = row(id);
        Query query = Query.of(line);
        List<Hit> hits = query.fullText().isEmpty() ? List.of() : hits(d, query, 500);
        return new Opened(found(d, query), pages(d), hits, d.path(), d.filed().by());
    }

    /** Where the filed PDF lies. */
    public Path file(long id) {
        Path file = root.resolve(row(id).path()).normalize();
        if (!file.startsWith(root)) {
            throw Problem.NOT_IN_ARCHIVE.with();
        }
        return file;
    }

    /** The batch page behind a page of an archived document; others are not for readers. */
    public Batch batchOf(long id, int page) {
        ArchiveRows.DocumentRow d = row(id);
        if (!pages(d).contains(page)) {
            throw Problem.DOCUMENT_HAS_NO_PAGE.with(page);
        }
        return batches.get(d.batchId());
    }

    private ArchiveRows.DocumentRow row(long id) {
        return rows.find(id).orElseThrow(() -> Problem.NO_SUCH_DOCUMENT.with());
    }
}

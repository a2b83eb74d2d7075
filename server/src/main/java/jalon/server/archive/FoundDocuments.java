package jalon.server.archive;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.stream.Field;
import jalon.find.SearchLine;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Archived documents as they are shown to who looked for them. */
@Component
class FoundDocuments {
    private final ArchiveRows rows;
    private final Batches batches;

    FoundDocuments(ArchiveRows rows, Batches batches) {
        this.rows = rows;
        this.batches = batches;
    }

    /** @param page where the line stands, @param line text of the printed line with the hit, @param box of that line */
    public record Hit(int page, PageSize paper, String line, Box box, List<Box> words) {}

    /** How large a page is, in millimetres. */
    public record PageSize(double widthMm, double heightMm) {}

    /**
     * A value as it was filed.
     *
     * @param title what people call the field, @param name what it is searched by
     * @param value null where it is confidential and not for who asks
     */
    public record FiledField(String name, String title, String value) {}

    /**
     * @param fields in the order of the document's type
     * @param pagesHidden whether its pages are not for who asks, since something confidential stands on them
     * @param hit the first one, or null when no word of the page was asked for
     */
    public record Found(
            long id,
            String batch,
            @JsonUnwrapped Kind kind,
            @JsonUnwrapped Extent extent,
            List<FiledField> fields,
            boolean pagesHidden,
            Hit hit,
            Instant filedAt,
            String filedBy) {}

    public record Kind(String stream, String type, String title) {}

    /** @param version how often it went on, from 1 */
    public record Extent(int pageCount, int version) {}

    /**
     * What is to be marked.
     *
     * @param near words one letter off that were taken instead
     */
    record Marked(SearchLine line, List<String> near) {
        static final Marked NOTHING = new Marked(new SearchLine(List.of()), List.of());

        boolean isIn(String printed) {
            return !line.isBlank()
                    && !line.marked(List.of(printed.split(" ")), near).isEmpty();
        }
    }

    /** Those that are still there, in the order of their numbers here, as somebody may see them. */
    List<Found> of(List<Long> ids, Marked marked, Sight sight) {
        if (ids.isEmpty()) {
            return List.of();
        }
        Map<Long, ArchiveRows.DocumentRow> found = new HashMap<>();
        rows.byIds(ids).forEach(d -> found.put(d.id(), d));
        Map<Long, Map<String, String>> values = new HashMap<>();
        rows.fieldsOf(ids)
                .forEach(f -> values.computeIfAbsent(f.documentId(), d -> new LinkedHashMap<>())
                        .put(f.name(), f.value()));
        Map<Long, List<ArchiveRows.PageText>> texts =
                marked.line().isBlank() ? Map.of() : ArchiveRows.byDocument(rows.texts(ids));
        return ids.stream()
                .map(found::get)
                .filter(Objects::nonNull)
                .filter(d -> sight.sees(d.kind()))
                .map(d -> found(
                        d, values.getOrDefault(d.id(), Map.of()), texts.getOrDefault(d.id(), List.of()), marked, sight))
                .toList();
    }

    private Found found(
            ArchiveRows.DocumentRow d,
            Map<String, String> values,
            List<ArchiveRows.PageText> texts,
            Marked marked,
            Sight sight) {
        boolean hidden = !sight.seesPages(d.kind());
        return new Found(
                d.id(),
                Batch.no(d.batchId()),
                d.kind(),
                new Extent(d.pages().size(), d.version()),
                fields(d, values, sight.hidden(d.kind())),
                hidden,
                hidden ? null : firstHit(d, texts, marked),
                d.filed().at(),
                d.filed().by());
    }

    /** Only the page with the hit is opened. */
    private Hit firstHit(ArchiveRows.DocumentRow d, List<ArchiveRows.PageText> texts, Marked marked) {
        for (ArchiveRows.PageText text : texts) {
            if (text.words().lines().anyMatch(marked::isIn)) {
                List<Hit> hits = new ArrayList<>();
                hits(text.pageNo(), facts(d, List.of(text.pageNo())).get(text.pageNo()), marked, 1, hits);
                return hits.isEmpty() ? null : hits.get(0);
            }
        }
        return null;
    }

    /** All hits of a document, in its order. */
    List<Hit> hits(ArchiveRows.DocumentRow d, Marked marked, int most) {
        List<Hit> hits = new ArrayList<>();
        if (!marked.line().isBlank()) {
            facts(d, d.numbers()).forEach((no, page) -> hits(no, page, marked, most, hits));
        }
        return hits;
    }

    /** What was seen on these of its pages, which are counted in the document, from 1. */
    Map<Integer, PageFacts> facts(ArchiveRows.DocumentRow d, List<Integer> wanted) {
        List<ArchivePage> pages = d.inOrder();
        Map<Long, List<Integer>> byBatch = wanted.stream()
                .map(no -> pages.get(no - 1))
                .collect(groupingBy(ArchivePage::batch, mapping(ArchivePage::no, toList())));
        Map<Long, Map<Integer, PageFacts>> known = new HashMap<>();
        byBatch.forEach((batch, its) -> known.put(batch, batches.facts(batches.get(batch), its)));
        Map<Integer, PageFacts> facts = new LinkedHashMap<>();
        wanted.forEach(no -> {
            ArchivePage page = pages.get(no - 1);
            facts.put(no, known.get(page.batch()).get(page.no()));
        });
        return facts;
    }

    private static void hits(int no, PageFacts page, Marked marked, int most, List<Hit> hits) {
        var paper = new PageSize(page.image().widthMm(), page.image().heightMm());
        for (Line line : page.lines()) {
            List<Word> words = line.words();
            List<Integer> these =
                    marked.line().marked(words.stream().map(Word::text).toList(), marked.near());
            if (!these.isEmpty() && hits.size() < most) {
                hits.add(new Hit(
                        no,
                        paper,
                        line.text(),
                        line.box(),
                        these.stream().map(i -> words.get(i).box()).toList()));
            }
        }
    }

    /** What the type of a document says about its fields is what its stream said when it was filed. */
    private List<FiledField> fields(ArchiveRows.DocumentRow d, Map<String, String> values, Set<String> hidden) {
        Map<String, String> left = new LinkedHashMap<>(values);
        List<FiledField> fields = new ArrayList<>();
        for (Field f : fieldsOfType(d)) {
            String value = left.remove(f.field());
            if (value != null) {
                fields.add(new FiledField(f.field(), f.title(), hidden.contains(f.field()) ? null : value));
            }
        }
        // A field that the type does not know has no other title than its name.
        left.forEach((name, value) -> fields.add(new FiledField(name, name, hidden.contains(name) ? null : value)));
        return fields;
    }

    /** All fields of a document's type, in its order. */
    List<ArchiveSearch.SearchField> titles(ArchiveRows.DocumentRow d) {
        return fieldsOfType(d).stream()
                .map(f -> new ArchiveSearch.SearchField(f.field(), f.title()))
                .toList();
    }

    private List<Field> fieldsOfType(ArchiveRows.DocumentRow d) {
        return batches.usableStream(batches.get(d.batchId())).stream()
                .flatMap(stream -> stream.types().stream())
                .filter(type -> type.type().equals(d.kind().type()))
                .flatMap(type -> type.fields().stream())
                .toList();
    }
}

package jalon.server.archive;

import jalon.find.Answer;
import jalon.find.Plain;
import jalon.find.Search;
import jalon.find.SearchLine;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.stream.StreamLibrary;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Finding archived documents by whatever is remembered of them. */
@Service
public class ArchiveSearch {
    private static final int A_PAGE = 50;

    /** Further down nobody looks; and everything before has to be put in order for it. */
    private static final int DEEPEST = 10_000;

    private static final int SUGGESTIONS = 10;

    /** Words and other parts of one line. */
    private static final int MOST_PARTS = 50;

    private final ArchiveIndex index;
    private final FoundDocuments documents;
    private final StreamLibrary streams;
    private final Sights sights;
    private final DocumentLog log;
    private final Times times;

    ArchiveSearch(
            ArchiveIndex index,
            FoundDocuments documents,
            StreamLibrary streams,
            Sights sights,
            DocumentLog log,
            Times times) {
        this.sights = sights;
        this.log = log;
        this.index = index;
        this.documents = documents;
        this.streams = streams;
        this.times = times;
    }

    /**
     * A part of the line, as it was understood.
     *
     * @param from where it stands in the line, @param to its end
     * @param nothing whether it asks for nothing, since it has no letter and no digit
     * @param field title of the field that it is looked for in, or null
     * @param instead words or values one letter off that were taken, where nothing is exactly so
     */
    public record Understood(
            int from,
            int to,
            boolean nothing,
            boolean not,
            boolean or,
            String field,
            String text,
            List<String> instead) {}

    /** Values that the results have. @param field that the line is narrowed with */
    public record Facet(String field, List<Answer.Count> values) {}

    /** @param name what it is searched by, @param title what people call it */
    public record SearchField(String name, String title) {}

    /**
     * A page of results.
     *
     * @param total of all that match
     * @param archived how many documents who asks may see at all
     * @param behind how many of them are not in the index yet, so that they may be missing here
     * @param fields that can be searched and sorted by
     */
    public record Result(
            List<FoundDocuments.Found> found,
            int total,
            List<Understood> understood,
            List<Facet> facets,
            long archived,
            long behind,
            List<SearchField> fields) {}

    /**
     * @param sort name of a field, behind a minus for the largest first; empty for what was filed last
     * @param from how many results to pass over
     * @param who asks; finds what this person may see
     */
    public Result search(String line, String sort, int from, String who) {
        Sight sight = sights.of(who);
        Map<String, String> titles = titles();
        SearchLine wanted = understand(line, titles);
        if (from > DEEPEST) {
            throw Problem.TOO_FAR_DOWN.with(DEEPEST);
        }
        List<SearchField> fields = searchable(titles);
        if (!wanted.asks() && !wanted.isBlank()) {
            // Only signs were typed: that asks for nothing, not for everything.
            return new Result(
                    List.of(),
                    0,
                    understood(wanted, List.of(), titles),
                    List.of(),
                    index.size(sight),
                    index.behind(),
                    fields);
        }
        Answer answer = index.search(new Search(wanted, sight, sort(sort), from, A_PAGE));
        List<Facet> facets = new ArrayList<>();
        answer.counts().forEach((facet, values) -> facets.add(new Facet(facet.field(), values)));
        log.seen(answer.ids(), who, DocumentLog.What.FOUND);
        return new Result(
                documents.of(answer.ids(), marked(wanted, answer.near()), sight),
                answer.total(),
                understood(wanted, answer.near(), titles),
                facets,
                index.size(sight),
                index.behind(),
                fields);
    }

    private static FoundDocuments.Marked marked(SearchLine line, List<Answer.Near> near) {
        List<String> words = near.stream()
                .flatMap(n -> n.instead().stream())
                .flatMap(text -> Plain.words(text).stream())
                .toList();
        return new FoundDocuments.Marked(line, words);
    }

    /** What a line marks on the pages of a document that it found. */
    FoundDocuments.Marked marked(String line, Sight sight) {
        SearchLine wanted = understand(line, titles());
        return wanted.asks()
                ? marked(wanted, index.near(new Search(wanted, sight, Search.Sort.NEWEST, 0, 1)))
                : FoundDocuments.Marked.NOTHING;
    }

    private static List<Understood> understood(SearchLine line, List<Answer.Near> near, Map<String, String> titles) {
        List<Understood> parts = new ArrayList<>();
        for (SearchLine.Part p : line.parts()) {
            int no = parts.size();
            List<String> instead = near.stream()
                    .filter(n -> n.part() == no)
                    .flatMap(n -> n.instead().stream())
                    .toList();
            String field = p.field() == null ? null : titles.getOrDefault(p.field(), p.field());
            parts.add(new Understood(
                    p.from(), p.to(), p.kind() == SearchLine.Kind.NOTHING, p.not(), p.or(), field, p.text(), instead));
        }
        return parts;
    }

    private SearchLine understand(String line, Map<String, String> titles) {
        Map<String, String> typed = new LinkedHashMap<>();
        index.fields().forEach(name -> typed.put(name, name));
        // Those too that no document has a value of yet.
        titles.forEach((name, title) -> typed.put(name, name));
        titles.forEach((name, title) -> typed.putIfAbsent(title, name));
        SearchLine wanted = SearchLine.of(line, typed);
        if (wanted.parts().size() > MOST_PARTS) {
            throw Problem.SEARCH_TOO_LONG.with(MOST_PARTS);
        }
        return wanted;
    }

    /** What people call fields, by their names: as the streams have it now. */
    private Map<String, String> titles() {
        Map<String, String> titles = new HashMap<>();
        streams.current()
                .forEach(s -> streams.usable(s.name(), s.version())
                        .ifPresent(stream -> stream.types()
                                .forEach(
                                        type -> type.fields().forEach(f -> titles.putIfAbsent(f.field(), f.title())))));
        return titles;
    }

    private List<SearchField> searchable(Map<String, String> titles) {
        return index.fields().stream()
                .map(name -> new SearchField(name, titles.getOrDefault(name, name)))
                .toList();
    }

    private static Search.Sort sort(String sort) {
        if (sort == null || sort.isBlank()) {
            return Search.Sort.NEWEST;
        }
        boolean down = sort.startsWith("-");
        return new Search.Sort(down ? sort.substring(1) : sort, down);
    }

    /**
     * How the line could go on.
     *
     * @param line whole, with it
     * @param value null for a field whose value is still to be typed
     * @param documents how many have the value; 0 for a field
     */
    public record Suggestion(String line, String title, String value, int documents) {}

    /** For what stands last in the line: fields of that name, and values that begin so. */
    public List<Suggestion> suggest(String line, String who) {
        Map<String, String> titles = titles();
        List<SearchLine.Part> parts = understand(line, titles).parts();
        SearchLine.Part last = parts.isEmpty() ? null : parts.get(parts.size() - 1);
        if (last == null || last.to() < line.length() || last.kind() == SearchLine.Kind.RANGE) {
            return List.of();
        }
        String before = line.substring(0, last.from()) + (last.not() ? "-" : "");
        List<Suggestion> suggestions = new ArrayList<>();
        List<String> fields = index.fields();
        if (last.field() == null) {
            String begun = Plain.whole(last.text());
            for (String name : fields) {
                String title = titles.getOrDefault(name, name);
                if (Plain.whole(name).startsWith(begun) || Plain.whole(title).startsWith(begun)) {
                    suggestions.add(new Suggestion(before + name + ":", title, null, 0));
                }
            }
        }
        List<String> of = last.field() == null ? fields : List.of(last.field());
        for (Answer.Known k : index.known(of, last.text(), sights.of(who), SUGGESTIONS)) {
            suggestions.add(new Suggestion(
                    before + k.field() + ":" + quoted(k.value()),
                    titles.getOrDefault(k.field(), k.field()),
                    k.value(),
                    k.documents()));
        }
        return suggestions.stream().limit(SUGGESTIONS).toList();
    }

    private static String quoted(String value) {
        String plain = value.replace('"', ' ');
        return plain.contains(" ") ? "=\"" + plain + "\"" : "=" + plain;
    }

    /** All that match as a table, one row a document, in the order of the results; at most as many as are looked through. */
    public String csv(String line, String sort, String who) {
        Sight sight = sights.of(who);
        Map<String, String> titles = titles();
        SearchLine wanted = understand(line, titles);
        if (!wanted.asks() && !wanted.isBlank()) {
            throw Problem.NOTHING_ASKED.with();
        }
        Answer answer = index.search(new Search(wanted, sight, sort(sort), 0, DEEPEST));
        List<FoundDocuments.Found> all = new ArrayList<>();
        for (int from = 0; from < answer.ids().size(); from += A_PAGE) {
            List<Long> some = answer.ids()
                    .subList(from, Math.min(from + A_PAGE, answer.ids().size()));
            all.addAll(documents.of(some, FoundDocuments.Marked.NOTHING, sight));
            log.seen(some, who, DocumentLog.What.TABLE);
        }
        return ResultsTable.of(all, times);
    }
}

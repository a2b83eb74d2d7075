package jalon.core.index;

import jalon.core.read.PageFacts;
import jalon.core.register.Paper;
import jalon.core.register.Register;
import jalon.core.register.RowMatch;
import jalon.core.stream.Finder;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The register rows that a document may be about; what a person settled says which of them are meant. */
final class RowsOfDocument {
    /** From here on there is no doubt which row is meant. */
    private static final double KNOWN = 0.98;

    private final DocumentType type;
    private final Document document;
    private final Known known;
    private final Map<String, FieldValue> settled;
    private final Map<String, List<RowMatch>> byRegister = new HashMap<>();
    private final Map<Boolean, Paper> papers = new HashMap<>();

    RowsOfDocument(DocumentType type, Document document, Known known, Map<String, FieldValue> settled) {
        this.type = type;
        this.document = document;
        this.known = known;
        this.settled = settled;
    }

    List<RowMatch> of(Register register) {
        return noneOf(register).isPresent() ? List.of() : matches(register);
    }

    private List<RowMatch> matches(Register register) {
        return byRegister.computeIfAbsent(register.name(), name -> {
            Map<String, String> said = said(name);
            return register.search()
                    .on(
                            paper(lookedForInGroup(name)),
                            row -> said.entrySet().stream()
                                    .allMatch(e ->
                                            row.getOrDefault(e.getKey(), "").equals(e.getValue())));
        });
    }

    /**
     * What says that none of a register's rows is meant: a field that one would fill was settled as not there, while nothing
     * tells which row it could be. Where a row is known, that one value of it is not on the document says no more than that.
     */
    Optional<FieldValue> noneOf(Register register) {
        Optional<FieldValue> absent = type.fields().stream()
                .filter(field -> field.finders().stream().anyMatch(finder -> filledBy(finder, register.name())))
                .map(field -> settled.get(field.field()))
                .filter(value -> value != null && value.value() == null)
                .findFirst();
        boolean known = absent.isPresent()
                && (!said(register.name()).isEmpty()
                        || matches(register).stream().anyMatch(match -> match.certainty() >= KNOWN && match.telling()));
        return known ? Optional.empty() : absent;
    }

    private static boolean filledBy(Finder finder, String register) {
        return finder instanceof Finder.ByRegister by
                && by.byPaper()
                && by.register().equals(register);
    }

    /** Values that people settled of fields that a row of this register fills, by column. */
    private Map<String, String> said(String register) {
        Map<String, String> said = new HashMap<>();
        type.fields().forEach(field -> {
            FieldValue value = settled.get(field.field());
            for (Finder finder : field.finders()) {
                if (value != null && value.value() != null && filledBy(finder, register)) {
                    said.put(((Finder.ByRegister) finder).take(), value.value());
                }
            }
        });
        return said;
    }

    private boolean lookedForInGroup(String register) {
        return type.fields().stream()
                .flatMap(field -> field.finders().stream())
                .anyMatch(finder -> finder instanceof Finder.ByRegister by
                        && by.byPaper()
                        && by.wholeGroup()
                        && by.register().equals(register));
    }

    private Paper paper(boolean wholeGroup) {
        return papers.computeIfAbsent(wholeGroup, whole -> {
            List<PageFacts> pages = new ArrayList<>(document.pages());
            if (whole) {
                pages.addAll(document.related());
            }
            var first = new Dates(true, known.today(), false);
            var other = new Dates(false, known.today(), false);
            return Paper.of(pages, text -> {
                Set<LocalDate> all = new HashSet<>();
                first.find(text).forEach(d -> all.add(d.value()));
                other.find(text).forEach(d -> all.add(d.value()));
                return List.copyOf(all);
            });
        });
    }
}

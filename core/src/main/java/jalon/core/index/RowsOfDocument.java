package jalon.core.index;

import jalon.core.register.Paper;
import jalon.core.register.Register;
import jalon.core.register.RowMatch;
import jalon.core.stream.Finder;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The register rows that a document may be about; what a person settled says which of them are meant. */
final class RowsOfDocument {
    private final DocumentType type;
    private final Document document;
    private final Known known;
    private final Map<String, FieldValue> settled;
    private final Map<String, List<RowMatch>> byRegister = new HashMap<>();
    private Paper paper;

    RowsOfDocument(DocumentType type, Document document, Known known, Map<String, FieldValue> settled) {
        this.type = type;
        this.document = document;
        this.known = known;
        this.settled = settled;
    }

    List<RowMatch> of(Register register) {
        return byRegister.computeIfAbsent(register.name(), name -> {
            Map<String, String> said = said(name);
            return register.search()
                    .on(
                            paper(),
                            row -> said.entrySet().stream()
                                    .allMatch(e ->
                                            row.getOrDefault(e.getKey(), "").equals(e.getValue())));
        });
    }

    /** Values that people settled of fields that a row of this register fills, by column. */
    private Map<String, String> said(String register) {
        Map<String, String> said = new HashMap<>();
        type.fields().forEach(field -> {
            FieldValue value = settled.get(field.field());
            for (Finder finder : field.finders()) {
                if (value != null
                        && value.value() != null
                        && finder instanceof Finder.ByRegister by
                        && by.byPaper()
                        && by.register().equals(register)) {
                    said.put(by.take(), value.value());
                }
            }
        });
        return said;
    }

    private Paper paper() {
        if (paper == null) {
            var first = new Dates(true, known.today(), false);
            var other = new Dates(false, known.today(), false);
            paper = Paper.of(document.pages(), text -> {
                Set<LocalDate> all = new HashSet<>();
                first.find(text).forEach(d -> all.add(d.value()));
                other.find(text).forEach(d -> all.add(d.value()));
                return List.copyOf(all);
            });
        }
        return paper;
    }
}

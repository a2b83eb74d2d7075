package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Optional;

/**
 * One kind of incoming paper and all that is to be done with it. Plain data: what each part means is in {@code
 * docs/stream.md}, its form in {@code docs/schemas/stream.schema.json}. Absent lists are empty, absent settings have the
 * values given there.
 *
 * @param language reading models joined by {@code +}, such as {@code eng}
 */
public record StreamDefinition(
        String stream,
        String title,
        String language,
        IntakeRules intake,
        PageRules pages,
        CutRules cut,
        List<DocumentType> types,
        FilingRules filing,
        List<Destination> destinations) {

    /** Where nothing is known of a stream but that it is there. */
    public static final StreamDefinition NOTHING =
            new StreamDefinition("", "", null, null, null, null, null, null, null);

    public StreamDefinition {
        language = language == null ? "eng" : language;
        intake = intake == null ? IntakeRules.USUAL : intake;
        pages = pages == null ? PageRules.USUAL : pages;
        cut = cut == null ? new CutRules(null, null, false, false) : cut;
        types = types == null ? List.of() : List.copyOf(types);
        filing = filing == null ? FilingRules.USUAL : filing;
        destinations = destinations == null ? List.of() : List.copyOf(destinations);
    }

    public Optional<DocumentType> type(String name) {
        return types.stream().filter(t -> t.type().equals(name)).findFirst();
    }

    public Optional<Destination> destination(String name) {
        return destinations.stream().filter(d -> d.destination().equals(name)).findFirst();
    }

    /**
     * @param rules in order of trust: the first that speaks for a page decides
     * @param checkBelow a stake less certain than this is shown to a person
     * @param duplex whether the pages of a file are fronts and backs in turn: a separator's blank back goes with it, and no
     *     document begins on a back
     * @param beginOnBacks whether one may, for all that
     */
    public record CutRules(List<StakeRule> rules, Double checkBelow, boolean duplex, boolean beginOnBacks) {
        public CutRules {
            rules = rules == null ? List.of() : List.copyOf(rules);
            checkBelow = checkBelow == null ? 0.8 : checkBelow;
        }

        /** @param certainty of a stake that a rule set */
        public boolean asksStake(double certainty) {
            return certainty < checkBelow;
        }

        /** @param certainty that a document begins at a place without a stake */
        public boolean asksPlace(double certainty) {
            return certainty > 1 - checkBelow;
        }
    }

    /**
     * @param otherwise the type of a document that no type's words claim
     * @param checkBelow a type less certain than this is shown to a person
     */
    public record DocumentType(
            String type,
            String title,
            Words words,
            @JsonProperty("default") boolean otherwise,
            Double checkBelow,
            Layout layout,
            List<Field> fields) {
        public DocumentType {
            title = title == null ? type : title;
            words = words == null ? new Words(null, null) : words;
            checkBelow = checkBelow == null ? 0.7 : checkBelow;
            fields = fields == null ? List.of() : List.copyOf(fields);
        }

        public Optional<Field> field(String name) {
            return fields.stream().filter(f -> f.field().equals(name)).findFirst();
        }
    }

    /** Words or phrases that must all stand on the first page, and ones of which none may. */
    public record Words(List<String> must, List<String> mustNot) {
        public Words {
            must = must == null ? List.of() : List.copyOf(must);
            mustNot = mustNot == null ? List.of() : List.copyOf(mustNot);
        }
    }

    /** Printed words of a form and where they stand on a straight, unshifted sheet; they carry the zones along. */
    public record Layout(List<Anchor> anchors) {
        public Layout {
            anchors = anchors == null ? List.of() : List.copyOf(anchors);
        }
    }

    public record Anchor(String text, jalon.core.page.Box boxMm) {}
}

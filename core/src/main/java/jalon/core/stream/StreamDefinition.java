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
        cut = cut == null ? new CutRules(null, null, false, false, null) : cut;
        types = types == null ? List.of() : List.copyOf(types);
        filing = filing == null ? FilingRules.USUAL : filing;
        destinations = destinations == null ? List.of() : List.copyOf(destinations);
    }

    public Optional<DocumentType> type(String name) {
        return types.stream().filter(t -> t.type().equals(name)).findFirst();
    }

    /** For more pages of a document of this type: all of them belong to it, whatever stands on them. */
    public StreamDefinition forMoreOf(String type) {
        DocumentType its = type(type).orElseThrow();
        var plain =
                new DocumentType(type, its.title(), its.under(), null, true, its.confidential(), null, 0.0, null, null);
        return new StreamDefinition(stream, title, language, intake, pages, null, List.of(plain), filing, destinations);
    }

    /** Whether pages that were read by this stream are as another one would have them read. */
    public boolean readsAs(StreamDefinition other) {
        return language.equals(other.language)
                && pages.readingRepairs().equals(other.pages.readingRepairs())
                && pages.barcodes().equals(other.pages.barcodes());
    }

    /** The same with one field of one type otherwise. */
    public StreamDefinition with(String type, Field other) {
        List<DocumentType> changed = types.stream()
                .map(t -> t.type().equals(type) ? t.with(other) : t)
                .toList();
        return new StreamDefinition(stream, title, language, intake, pages, cut, changed, filing, destinations);
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
     * @param groups what groups of documents have
     */
    public record CutRules(
            List<StakeRule> rules, Double checkBelow, boolean duplex, boolean beginOnBacks, Groups groups) {
        public CutRules {
            groups = groups == null ? new Groups(null, null) : groups;
            rules = rules == null ? List.of() : List.copyOf(rules);
            checkBelow = checkBelow == null ? 0.8 : checkBelow;
        }

        /** Whether samples of its types are needed for the cut. */
        public boolean knowsBySamples() {
            return rules.stream().anyMatch(StakeRule::knowsBySamples);
        }

        /** Whether its documents come in groups: a rule opens them, or they have fields. */
        public boolean grouped() {
            return !groups.fields().isEmpty() || rules.stream().anyMatch(StakeRule::opensMore);
        }

        /** @param certainty of a stake that a rule set */
        public boolean asksStake(double certainty) {
            return certainty < checkBelow;
        }

        /**
         * A stake that is missing is seen by nobody, one too many by whoever looks at its page: places are asked about at a
         * quarter of what stakes are.
         *
         * @param certainty that a document begins at a place without a stake
         */
        public boolean asksPlace(double certainty) {
            return certainty > (1 - checkBelow) / 4;
        }
    }

    /**
     * Groups of documents, such as the papers of one person or case.
     *
     * @param title what one is called
     * @param fields found on the sheet that opens a group; its documents inherit them
     */
    public record Groups(String title, List<Field> fields) {
        public Groups {
            title = title == null ? "Group" : title;
            fields = fields == null ? List.of() : List.copyOf(fields);
        }

        /** As a type that has just these fields. */
        public DocumentType asType() {
            return DocumentType.of("group", title, fields);
        }
    }

    /**
     * @param under where it stands in the tree of types: a department, a kind, a sender; the widest first
     * @param otherwise the type of a document that no type's words claim
     * @param confidential whether its documents are only for those who may see what is confidential
     * @param keep for how long its documents are kept, or null for good
     * @param checkBelow a type less certain than this is shown to a person
     */
    public record DocumentType(
            String type,
            String title,
            List<String> under,
            Words words,
            @JsonProperty("default") boolean otherwise,
            boolean confidential,
            Retention keep,
            Double checkBelow,
            Layout layout,
            List<Field> fields) {
        public DocumentType {
            title = title == null ? type : title;
            under = under == null ? List.of() : List.copyOf(under);
            words = words == null ? new Words(null, null) : words;
            checkBelow = checkBelow == null ? 0.9 : checkBelow;
            fields = fields == null ? List.of() : List.copyOf(fields);
        }

        /** One that is known by nothing and has these fields. */
        public static DocumentType of(String type, String title, List<Field> fields) {
            return new DocumentType(type, title, null, null, false, false, null, null, null, fields);
        }

        private DocumentType with(Field other) {
            List<Field> changed = fields.stream()
                    .map(f -> f.field().equals(other.field()) ? other : f)
                    .toList();
            return new DocumentType(
                    type, title, under, words, otherwise, confidential, keep, checkBelow, layout, changed);
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

    /** @param variant the layout of the type on which it stands there, or null for all */
    public record Anchor(String text, jalon.core.page.Box boxMm, String variant) {
        public boolean standsOn(String other) {
            return variant == null || variant.equals(other);
        }
    }
}

package jalon.core.propose;

import jalon.core.index.FieldValue;
import jalon.core.mark.Mark;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.stream.Field;
import jalon.core.stream.Finder;
import jalon.core.stream.StakeRule;
import jalon.core.stream.StreamDefinition.DocumentType;
import jalon.core.stream.Streams;
import jalon.core.words.Words;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** The fields that papers of one kind have: what stands beside or below their labels, and what their barcodes say. */
final class FieldIdeas {
    /** Of the papers that have the label so many have a value. */
    private static final double ENOUGH = 0.5;

    /** A text that is the same on most papers is print. */
    private static final double SAME = 0.5;

    private static final int MOST_WORDS = 9;

    private final String type;
    private final List<List<PageFacts>> documents;
    private final Samples samples;
    private final Set<String> names = new HashSet<>();

    FieldIdeas(String type, List<List<PageFacts>> documents, Samples samples) {
        this.type = type;
        this.documents = documents;
        this.samples = samples;
    }

    /** What one label gives on one side. */
    private record Try(Labelled.Label label, Finder.ByLabel.Side side, List<FieldValue> values, ValueKind.Told kind) {
        /** How many papers it has something for; of what could be anything, a text is worth less than a date. */
        double worth() {
            return values.size() * (kind.telling() ? 1 : 0.7);
        }
    }

    /** Names of the fields that were proposed. */
    Set<String> names() {
        return names;
    }

    List<Proposal> all(List<StakeRule> cut) {
        List<Proposal> proposals = new ArrayList<>(barcodes(cut));
        boolean more = documents.stream().anyMatch(d -> d.size() > 1);
        Set<String> taken = new HashSet<>();
        List<List<PageFacts>> firsts =
                documents.stream().map(d -> d.subList(0, 1)).toList();
        proposals.addAll(labelled(firsts, more ? "first" : null, taken));
        if (more) {
            List<List<PageFacts>> lasts = documents.stream()
                    .map(d -> d.subList(Math.max(1, d.size() - 1), d.size()))
                    .filter(d -> !d.isEmpty())
                    .toList();
            if (lasts.size() > 1 && lasts.size() >= ENOUGH * documents.size()) {
                proposals.addAll(labelled(lasts, "last", taken));
            }
        }
        return new RegisterColumns(samples.registers(), documents).into(proposals);
    }

    /** @param on the pages of each paper that are looked at, @param page how a finder says which those are, or null */
    private List<Proposal> labelled(List<List<PageFacts>> on, String page, Set<String> taken) {
        List<Labelled.Label> labels = Labelled.of(on);
        List<Try> beside = tries(on, labels, l -> Finder.ByLabel.Side.BESIDE);
        List<Try> below = tries(on, labels, l -> Finder.ByLabel.Side.BELOW);
        Map<Labelled.Label, Try> kept = new LinkedHashMap<>();
        for (int i = 0; i < labels.size(); i++) {
            Try best = below.get(i).worth() > beside.get(i).worth() ? below.get(i) : beside.get(i);
            boolean enough = !"last".equals(page) || best.kind().telling();
            if (enough
                    && tells(best, labels, on.size())
                    && places(best).stream().noneMatch(taken::contains)) {
                taken.addAll(places(best));
                kept.put(labels.get(i), best);
            }
        }
        List<Labelled.Label> others =
                labels.stream().filter(l -> !kept.containsKey(l)).toList();
        List<Try> alone = tries(on, List.copyOf(kept.keySet()), l -> kept.get(l).side());
        return alone.stream()
                .map(now -> proposal(kept.get(now.label()), page, inTheWay(kept.get(now.label()), now, others)))
                .toList();
    }

    /** Labels without a field of their own that would be taken for the value as soon as nothing says that they are labels. */
    private static List<String> inTheWay(Try known, Try alone, List<Labelled.Label> others) {
        Set<String> right = known.values().stream().map(FieldValue::value).collect(Collectors.toSet());
        List<String> wrong = alone.values().stream()
                .map(FieldValue::value)
                .filter(v -> !right.contains(v))
                .map(Phrase::plain)
                .toList();
        return others.stream()
                .filter(l -> wrong.stream().anyMatch(v -> v.contains(l.plain())))
                .map(Labelled.Label::text)
                .toList();
    }

    private List<Try> tries(
            List<List<PageFacts>> on, List<Labelled.Label> labels, Function<Labelled.Label, Finder.ByLabel.Side> side) {
        List<Field> fields = new ArrayList<>();
        for (int i = 0; i < labels.size(); i++) {
            Labelled.Label label = labels.get(i);
            Finder finder = new Finder.ByLabel(List.of(label.text()), side.apply(label), null, null, null);
            fields.add(Field.of("f" + i, null, List.of(finder)));
        }
        DocumentType all = DocumentType.of("sample", null, fields);
        List<Map<String, FieldValue>> read =
                on.stream().map(d -> Samples.read(all, d, samples.today())).toList();
        List<Try> tries = new ArrayList<>();
        for (int i = 0; i < labels.size(); i++) {
            String name = "f" + i;
            List<FieldValue> values = read.stream()
                    .map(r -> r.get(name))
                    .filter(v -> v.value() != null && !v.value().isBlank())
                    .toList();
            List<String> texts = values.stream().map(FieldValue::value).toList();
            ValueKind.Told kind = texts.isEmpty()
                    ? new ValueKind.Told(Field.Kind.TEXT, Map.of(), false)
                    : ValueKind.of(texts, samples.today());
            tries.add(new Try(labels.get(i), side.apply(labels.get(i)), values, kind));
        }
        return tries;
    }

    /** Whether values stand there, and not more print. */
    private boolean tells(Try one, List<Labelled.Label> labels, int papers) {
        List<String> plain =
                one.values().stream().map(v -> Phrase.plain(v.value())).toList();
        if (plain.isEmpty() || plain.size() < ENOUGH * one.label().on().size()) {
            return false;
        }
        boolean named = one.label().colon() || one.label().whole();
        // Of one paper nobody knows what is print and what was written into it.
        boolean label = papers == 1
                ? named && one.kind().telling()
                : named || one.kind().telling();
        boolean brief = one.values().stream()
                        .filter(v -> v.value().split("\\s+").length <= MOST_WORDS)
                        .count()
                > SAME * plain.size();
        long others = plain.stream()
                .filter(v -> labels.stream().anyMatch(l -> l.plain().equals(v)))
                .count();
        return label
                && brief
                && others <= SAME * plain.size()
                && (changes(plain) || one.kind().telling() && plain.size() == 1);
    }

    /** The same print, read with a mistake here and there, is no value. */
    private static boolean changes(List<String> plain) {
        if (plain.size() == 1) {
            return true;
        }
        String commonest = plain.stream()
                .max(Comparator.comparingLong(v -> Collections.frequency(plain, v)))
                .orElseThrow();
        if (Collections.frequency(plain, commonest) <= SAME * plain.size()) {
            return true;
        }
        return plain.stream().anyMatch(v -> distance(v, commonest) > SAME * Math.max(v.length(), commonest.length()));
    }

    private static int distance(String a, String b) {
        return LevenshteinDistance.getDefaultInstance().apply(a, b);
    }

    /** What one label has is not another one's. */
    private static List<String> places(Try one) {
        return one.values().stream()
                .filter(v -> v.boxMm() != null)
                .map(v -> v.page() + "/" + Math.round(v.boxMm().centreX() / 2) + "/"
                        + Math.round(v.boxMm().centreY() / 2))
                .toList();
    }

    private Proposal proposal(Try one, String page, List<String> notOnLinesWith) {
        Map<String, Object> finder = new LinkedHashMap<>();
        finder.put("by", "label");
        finder.put("labels", List.of(one.label().text()));
        if (one.side() == Finder.ByLabel.Side.BELOW) {
            finder.put("side", "below");
        }
        if (page != null) {
            finder.put("page", page);
        }
        if (!notOnLinesWith.isEmpty()) {
            finder.put("notOnLinesWith", notOnLinesWith);
        }
        Map<String, Object> field = field(one.label().text(), one.kind().kind(), finder);
        field.putAll(one.kind().parts());
        List<String> values = one.values().stream().map(FieldValue::value).toList();
        return new Proposal(
                Proposal.What.FIELD,
                type,
                field,
                Proposal.Why.Code.LABEL.with(
                        one.label().text(), one.label().on().size(), documents.size(), values.get(0)),
                one.values().stream()
                        .map(v -> new Proposal.Spotted(v.page(), v.boxMm(), v.value()))
                        .toList());
    }

    /** A name made of a title that no other has; it has it from now on. */
    static String free(String title, Set<String> names) {
        String name = Streams.nameOf(title);
        for (int n = 2; !names.add(name); n++) {
            name = Streams.nameOf(title) + "-" + n;
        }
        return name;
    }

    private Map<String, Object> field(String title, Field.Kind kind, Map<String, Object> finder) {
        Map<String, Object> field = new LinkedHashMap<>();
        field.put("field", free(title, names));
        field.put("title", Character.toUpperCase(title.charAt(0)) + title.substring(1));
        field.put("kind", Words.name(kind));
        field.put("finders", List.of(finder));
        return field;
    }

    /** Those that do not only say where a paper begins. */
    private List<Proposal> barcodes(List<StakeRule> cut) {
        if (cut.stream().anyMatch(StakeRule.ByBarcode.class::isInstance)) {
            return List.of();
        }
        List<PageFacts> firsts = documents.stream().map(d -> d.get(0)).toList();
        List<Mark> marks = Barcodes.commonest(firsts);
        List<String> values = marks.stream().map(Mark::value).distinct().toList();
        if (marks.size() < Math.max(1, ENOUGH * documents.size()) || values.size() == 1 && documents.size() > 1) {
            return List.of();
        }
        Map<String, Object> finder = new LinkedHashMap<>();
        finder.put("by", "barcode");
        finder.put("kind", marks.get(0).symbology());
        return List.of(new Proposal(
                Proposal.What.FIELD,
                type,
                field("Barcode", Field.Kind.CODE, finder),
                Proposal.Why.Code.BARCODE_FIELD.with(marks.size(), documents.size(), values.get(0)),
                firsts.stream()
                        .flatMap(p -> p.marks().stream()
                                .filter(marks::contains)
                                .map(m -> new Proposal.Spotted(p.no(), m.box(), m.value())))
                        .toList()));
    }
}

package jalon.core.run;

import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.index.Document;
import jalon.core.index.FieldValue;
import jalon.core.index.Indexer;
import jalon.core.index.ZoneReader;
import jalon.core.read.PageFacts;
import jalon.core.register.Register;
import jalon.core.sort.Guess;
import jalon.core.sort.Learned;
import jalon.core.split.PageKnowledge;
import jalon.core.stream.Field;
import jalon.core.stream.StakeRule;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** What the stream's samples and a rule's finder say of each page of a batch. */
public final class KnownPages implements PageKnowledge {
    private static final String VALUE = "value";

    private final Learned learned;
    private final Map<String, Register> registers;
    private final LocalDate today;

    public KnownPages(Learned learned, Map<String, Register> registers, LocalDate today) {
        this.learned = learned;
        this.registers = registers;
        this.today = today;
    }

    @Override
    public Likeness likeness(PageFacts page) {
        if (learned.isEmpty()) {
            return Likeness.UNKNOWN;
        }
        Map<String, Double> firstOf = byType(learned.asFirst(page));
        Map<String, Double> innerOf = byType(learned.asLater(page));
        double first = sum(firstOf);
        Evidence evidence = learned.asFirst(page).stream()
                .filter(g -> g.type() != null)
                .findFirst()
                .map(g -> new Evidence(
                        Evidence.Rule.SPECIMEN,
                        page.no(),
                        g.evidence().get(0).box(),
                        Reason.Code.LIKE_FIRST_OF.with(g.type()),
                        first))
                .orElse(null);
        return new Likeness(first, sum(innerOf), firstOf, innerOf, evidence, true);
    }

    private static Map<String, Double> byType(List<Guess> guesses) {
        return guesses.stream()
                .filter(g -> g.type() != null)
                .collect(Collectors.toMap(Guess::type, Guess::certainty, Double::sum));
    }

    private static double sum(Map<String, Double> certainties) {
        return certainties.values().stream().mapToDouble(c -> c).sum();
    }

    @Override
    public Optional<Value> value(StakeRule.ByChange rule, PageFacts page) {
        var field = new Field(
                VALUE,
                null,
                null,
                null,
                false,
                false,
                true,
                false,
                List.of(rule.finder()),
                true,
                List.of(),
                List.of(),
                null);
        var type = DocumentType.of(VALUE, null, List.of(field));
        FieldValue found = Indexer.index(
                        type,
                        new Document(List.of(page), Optional.empty()),
                        ZoneReader.NONE,
                        registers,
                        today,
                        Map.of())
                .get(VALUE);
        return found.value() == null
                ? Optional.empty()
                : Optional.of(new Value(found.value(), found.source().boxMm(), found.certainty()));
    }
}

package jalon.core.run;

import jalon.core.index.FieldValue;
import jalon.core.index.Indexer;
import jalon.core.register.Register;
import jalon.core.stream.Finder;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** The values that people settled, of documents as they are now. */
record SettledValues(StreamDefinition stream, Map<String, Register> registers, LocalDate today, DecidedBatch desk) {

    /** @return by field */
    Map<String, FieldValue> of(DocumentType type, Draft draft) {
        return values(type, latest(draft));
    }

    /**
     * What was settled at one document of a group, of a field that comes from the group, holds for all of them.
     *
     * @param group as a type
     * @param drafts of the group
     * @param typeOf the type of one of them
     * @return by the group's field
     */
    Map<String, FieldValue> ofGroup(DocumentType group, List<Draft> drafts, Function<Draft, String> typeOf) {
        Map<String, Decided> latest = new LinkedHashMap<>();
        for (Draft draft : drafts) {
            Map<String, Decided> said = latest(draft);
            if (!said.isEmpty()) {
                DocumentType type = stream.type(typeOf.apply(draft)).orElseThrow();
                said.forEach((name, decided) -> type.field(name)
                        .ifPresent(field -> field.finders().forEach(finder -> {
                            if (finder instanceof Finder.Inherited inherited
                                    && inherited.from() == Finder.Inherited.From.GROUP) {
                                latest.merge(inherited.take(), decided, SettledValues::later);
                            }
                        })));
            }
        }
        return values(group, latest);
    }

    /** By field; of two for one field the later. */
    private Map<String, Decided> latest(Draft draft) {
        Map<String, Decided> latest = new LinkedHashMap<>();
        for (int page : draft.pages()) {
            desk.settled()
                    .getOrDefault(page, Map.of())
                    .forEach((name, decided) -> latest.merge(name, decided, SettledValues::later));
        }
        return latest;
    }

    private Map<String, FieldValue> values(DocumentType type, Map<String, Decided> latest) {
        Map<String, FieldValue> values = new LinkedHashMap<>();
        latest.forEach((name, decided) -> {
            var s = (Decision.Settle) decided.decision();
            type.field(name)
                    .ifPresent(f -> values.put(
                            name,
                            Indexer.settle(f, s.value(), registers, today, s.valuePage(), s.box(), decided.by())));
        });
        return values;
    }

    private static Decided later(Decided before, Decided now) {
        return isLater(now, before) ? now : before;
    }

    /** Of two decisions about documents that were joined since, the one that was made later holds. */
    static boolean isLater(Decided one, Decided other) {
        return other == null || !one.at().isBefore(other.at());
    }
}

package jalon.core.sort;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Says what a document is, from the words on its first page. */
public final class Sorter {
    private Sorter() {}

    public static Sorted sort(StreamDefinition stream, PageFacts first) {
        List<Sorted> claims = new ArrayList<>();
        for (DocumentType type : stream.types()) {
            if (!type.words().must().isEmpty()) {
                claim(type, first).ifPresent(claims::add);
            }
        }
        claims.sort(Comparator.comparingDouble(Sorted::certainty)
                .thenComparingInt(c -> c.evidence().size())
                .reversed());
        if (claims.size() == 1) {
            return claims.get(0);
        }
        if (claims.size() > 1) {
            Sorted best = claims.get(0);
            List<Evidence> all = new ArrayList<>(best.evidence());
            Reason also = Reason.Code.ALSO_WORDS_OF.with(claims.get(1).type());
            all.add(new Evidence(Evidence.Rule.WORDS, first.no(), null, also, Certainty.RIVAL_TYPE));
            return new Sorted(best.type(), Math.min(best.certainty(), Certainty.RIVAL_TYPE), all);
        }
        DocumentType otherwise = stream.types().stream()
                .filter(DocumentType::otherwise)
                .findFirst()
                .orElse(stream.types().get(0));
        boolean noChoice =
                stream.types().size() == 1 && otherwise.words().must().isEmpty();
        boolean meant = otherwise.otherwise() && otherwise.words().must().isEmpty();
        double certainty =
                noChoice ? 1 : meant ? Certainty.chosenDefault(otherwise.checkBelow()) : Certainty.ONLY_DEFAULT;
        Reason why = noChoice ? Reason.Code.ONLY_TYPE.with() : Reason.Code.NO_TYPE_CLAIMS.with(otherwise.title());
        return new Sorted(
                otherwise.type(),
                certainty,
                List.of(new Evidence(Evidence.Rule.DEFAULT, first.no(), null, why, certainty)));
    }

    private static Optional<Sorted> claim(DocumentType type, PageFacts page) {
        for (String phrase : type.words().mustNot()) {
            if (Phrase.of(phrase).find(page.words()).isPresent()) {
                return Optional.empty();
            }
        }
        List<Evidence> evidence = new ArrayList<>();
        for (String phrase : type.words().must()) {
            Optional<Phrase.Hit> hit = Phrase.of(phrase).find(page.words());
            if (hit.isEmpty()) {
                return Optional.empty();
            }
            Box box = hit.get().box();
            evidence.add(new Evidence(
                    Evidence.Rule.WORDS,
                    page.no(),
                    box,
                    Reason.Code.TYPE_WORDS.with(phrase),
                    hit.get().score()));
        }
        double certainty = evidence.stream().mapToDouble(Evidence::score).min().orElse(0);
        return Optional.of(new Sorted(type.type(), certainty, evidence));
    }
}

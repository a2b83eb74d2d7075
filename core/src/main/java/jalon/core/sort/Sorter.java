package jalon.core.sort;

import jalon.core.evidence.Evidence;
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
    /** None of the types' words are there: the default is a guess that a person should see. */
    private static final double ONLY_DEFAULT = 0.5;

    /** Two types claim the same page. */
    private static final double RIVAL = 0.6;

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
            all.add(new Evidence(
                    "words", first.no(), null, "the words of " + claims.get(1).type() + " are there too", RIVAL));
            return new Sorted(best.type(), Math.min(best.certainty(), RIVAL), all);
        }
        DocumentType otherwise = stream.types().stream()
                .filter(DocumentType::otherwise)
                .findFirst()
                .orElse(stream.types().get(0));
        boolean noChoice =
                stream.types().size() == 1 && otherwise.words().must().isEmpty();
        boolean meant = otherwise.otherwise() && otherwise.words().must().isEmpty();
        double certainty = noChoice ? 1 : meant ? Math.max(otherwise.checkBelow(), 0.75) : ONLY_DEFAULT;
        String why = noChoice
                ? "the only type of this stream"
                : "no type's words are on its first page; " + otherwise.title() + " is taken when nothing else fits";
        return new Sorted(
                otherwise.type(), certainty, List.of(new Evidence("default", first.no(), null, why, certainty)));
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
            evidence.add(new Evidence("words", page.no(), box, phrase, hit.get().score()));
        }
        double certainty = evidence.stream().mapToDouble(Evidence::score).min().orElse(0);
        return Optional.of(new Sorted(type.type(), certainty, evidence));
    }
}

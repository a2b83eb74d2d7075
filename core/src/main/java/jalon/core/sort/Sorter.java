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
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Says what a document is: from the words that must and must not stand on its first page, and from what its type's samples
 * look like.
 */
public final class Sorter {
    /** So many types are offered to a person. */
    private static final int OFFERED = 6;

    private static final double NOT_WORTH_OFFERING = 0.001;

    private Sorter() {}

    /** @param learned guesses from samples, see {@link LearnedTypes#guesses}; of a stream without any, "none" alone */
    public static Sorted sort(StreamDefinition stream, List<Guess> learned, PageFacts first) {
        boolean sampled = learned.stream().anyMatch(g -> g.type() != null);
        return sampled ? bySamples(stream, learned, first) : byWords(stream, first);
    }

    private static Sorted byWords(StreamDefinition stream, PageFacts first) {
        List<Guess> claims = new ArrayList<>();
        for (DocumentType type : stream.types()) {
            if (!type.words().must().isEmpty()) {
                claim(type, first).ifPresent(claims::add);
            }
        }
        claims.sort(Comparator.comparingDouble(Guess::certainty)
                .thenComparingInt(c -> c.evidence().size())
                .reversed());
        if (claims.size() == 1) {
            return sorted(claims.get(0), claims);
        }
        if (claims.size() > 1) {
            Guess best = claims.get(0);
            List<Evidence> all = new ArrayList<>(best.evidence());
            Reason also = Reason.Code.ALSO_WORDS_OF.with(claims.get(1).type());
            all.add(new Evidence(Evidence.Rule.WORDS, first.no(), null, also, Certainty.RIVAL_TYPE));
            return new Sorted(best.type(), null, Math.min(best.certainty(), Certainty.RIVAL_TYPE), all, claims);
        }
        return otherwise(stream, first, 1, claims);
    }

    private static Sorted sorted(Guess taken, List<Guess> guesses) {
        return new Sorted(taken.type(), taken.variant(), taken.certainty(), taken.evidence(), guesses);
    }

    /** @param none how certain it is that the document is of none of the types that words or samples tell */
    private static Sorted otherwise(StreamDefinition stream, PageFacts first, double none, List<Guess> guesses) {
        DocumentType otherwise = byDefault(stream).orElse(stream.types().get(0));
        Optional<Guess> own =
                guesses.stream().filter(g -> g.type().equals(otherwise.type())).findFirst();
        boolean noChoice =
                stream.types().size() == 1 && otherwise.words().must().isEmpty();
        boolean meant = otherwise.otherwise() && otherwise.words().must().isEmpty();
        double usual = noChoice ? 1 : meant ? Certainty.chosenDefault(otherwise.checkBelow()) : Certainty.ONLY_DEFAULT;
        // What is like none of the types is of this one, and so is what is like its own samples.
        double certainty = Math.min(usual, none) + own.map(Guess::certainty).orElse(0.0);
        Reason why = noChoice ? Reason.Code.ONLY_TYPE.with() : Reason.Code.NO_TYPE_CLAIMS.with(otherwise.title());
        var byDefault = new Evidence(Evidence.Rule.DEFAULT, first.no(), null, why, certainty);
        boolean likeOwn = own.isPresent() && own.get().certainty() > none;
        List<Evidence> evidence = new ArrayList<>(likeOwn ? own.get().evidence() : List.of(byDefault));
        String variant = own.map(Guess::variant).orElse(null);
        return new Sorted(otherwise.type(), variant, certainty, evidence, guesses);
    }

    private static Optional<DocumentType> byDefault(StreamDefinition stream) {
        return stream.types().stream().filter(DocumentType::otherwise).findFirst();
    }

    /** The odds of each guess, times what the words of its type say; types without samples share the odds of "none". */
    private static Sorted bySamples(StreamDefinition stream, List<Guess> learned, PageFacts first) {
        Map<String, Guess> byType = new LinkedHashMap<>();
        learned.stream().filter(g -> g.type() != null).forEach(g -> byType.put(g.type(), g));
        double none = learned.stream()
                .filter(g -> g.type() == null)
                .mapToDouble(Guess::certainty)
                .sum();
        List<Guess> weighed = new ArrayList<>();
        double sum = none;
        for (DocumentType type : stream.types()) {
            Guess guess = byType.get(type.type());
            Optional<Guess> claim = type.words().must().isEmpty() ? Optional.empty() : claim(type, first);
            double odds = guess == null ? none : guess.certainty();
            List<Evidence> evidence = new ArrayList<>(guess == null ? List.of() : guess.evidence());
            if (claim.isPresent()) {
                odds *= 1 + (Certainty.ODDS_OF_TYPE_WORDS - 1) * claim.get().certainty();
                evidence.addAll(claim.get().evidence());
            } else if (!type.words().must().isEmpty()) {
                odds *= guess == null ? 0 : Certainty.ODDS_WITHOUT_TYPE_WORDS;
            } else if (isForbidden(type, first)) {
                odds *= Certainty.ODDS_WITHOUT_TYPE_WORDS;
            } else if (guess == null) {
                odds = 0;
            }
            if (odds > 0) {
                weighed.add(new Guess(type.type(), guess == null ? null : guess.variant(), odds, evidence));
                sum += odds;
            }
        }
        double all = sum;
        List<Guess> guesses = weighed.stream()
                .map(g -> new Guess(g.type(), g.variant(), g.certainty() / all, g.evidence()))
                .filter(g -> g.certainty() >= NOT_WORTH_OFFERING)
                .sorted(Comparator.comparingDouble(Guess::certainty).reversed())
                .limit(OFFERED)
                .toList();
        boolean isNone = guesses.isEmpty() || guesses.get(0).certainty() < none / all;
        Optional<String> byDefault = byDefault(stream).map(DocumentType::type);
        boolean takesDefault =
                byDefault.isPresent() && (isNone || guesses.get(0).type().equals(byDefault.get()));
        if (takesDefault || guesses.isEmpty()) {
            return otherwise(stream, first, none / all, guesses);
        }
        Guess best = guesses.get(0);
        List<Evidence> evidence = new ArrayList<>(best.evidence());
        if (guesses.size() > 1 && guesses.get(1).certainty() > Certainty.RIVAL_WORTH_TELLING) {
            Reason also = Reason.Code.ALSO_LIKE.with(guesses.get(1).type());
            evidence.add(new Evidence(
                    Evidence.Rule.SPECIMEN,
                    first.no(),
                    null,
                    also,
                    1 - guesses.get(1).certainty()));
        }
        return new Sorted(best.type(), best.variant(), best.certainty(), evidence, guesses);
    }

    private static boolean isForbidden(DocumentType type, PageFacts page) {
        return type.words().mustNot().stream()
                .anyMatch(phrase -> Phrase.of(phrase).find(page.words()).isPresent());
    }

    private static Optional<Guess> claim(DocumentType type, PageFacts page) {
        if (isForbidden(type, page)) {
            return Optional.empty();
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
        return Optional.of(new Guess(type.type(), null, certainty, evidence));
    }
}

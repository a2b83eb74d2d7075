package jalon.core.sort;

import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;

/**
 * Types known by their samples. The samples whose text is most like a page's are laid on it word by word; among those that
 * fit, what only one of two lookalikes has decides; and a page may be of none of them. Immutable; made in well under a second
 * from hundreds of samples.
 */
public final class LearnedTypes {
    /** So many layouts are laid on a page. */
    private static final int CANDIDATES = 20;

    /** Of those so many are compared with each other. */
    private static final int RIVALS = 6;

    /** A lookalike is found on a page to so much of what the best one is found to. */
    private static final double ALIKE = 0.6;

    /** Of what speaks for one lookalike against another of one sample, in log odds, so much is kept. */
    private static final double OF_ONE_SAMPLE = 0.25;

    /** So many words are named as evidence. */
    private static final int NAMED = 3;

    private final List<Template> templates = new ArrayList<>();
    private final List<SeenPage> pages = new ArrayList<>();
    private final List<Template> templateOf = new ArrayList<>();
    private final List<String> variantOf = new ArrayList<>();
    private final TextVectors texts;
    private final Map<List<Template>, Difference> differences = new ConcurrentHashMap<>();

    private LearnedTypes(List<Specimen> specimens) {
        Map<String, List<Specimen>> byType = new LinkedHashMap<>();
        specimens.forEach(
                s -> byType.computeIfAbsent(s.type(), t -> new ArrayList<>()).add(s));
        byType.forEach((type, its) -> {
            for (Layouts.Layout layout : Layouts.of(its)) {
                var template = new Template(type, layout.pages());
                templates.add(template);
                for (SeenPage p : layout.pages()) {
                    pages.add(p);
                    templateOf.add(template);
                    variantOf.add(layout.name());
                }
            }
        });
        texts = new TextVectors(pages);
    }

    public static LearnedTypes of(List<Specimen> specimens) {
        return new LearnedTypes(specimens);
    }

    public boolean isEmpty() {
        return templates.isEmpty();
    }

    /** The layouts of a type, in the order in which they were found. */
    List<String> variants(String type) {
        return IntStream.range(0, pages.size())
                .filter(i -> templateOf.get(i).type.equals(type))
                .mapToObj(variantOf::get)
                .distinct()
                .toList();
    }

    /**
     * What the page may be as the first page of a document, most likely first; "none of these" is one of the guesses. The
     * certainties add up to 1.
     */
    public List<Guess> guesses(PageFacts page) {
        if (isEmpty()) {
            return List.of(new Guess(null, null, 1, List.of()));
        }
        var seen = new SeenPage(page);
        List<Claim> claims = claims(seen);
        temper(claims);
        double none = 1;
        double sum = none;
        for (Claim c : claims) {
            sum += Math.exp(c.utility);
        }
        List<Guess> guesses = new ArrayList<>();
        for (Claim c : claims) {
            double certainty = Math.exp(c.utility) / sum;
            guesses.add(new Guess(c.laid.template.type, c.variant, certainty, List.of(evidence(page, c, certainty))));
        }
        guesses.add(new Guess(null, null, none / sum, List.of()));
        guesses.sort(Comparator.comparingDouble(Guess::certainty).reversed());
        return guesses;
    }

    /**
     * What is print and what was filled in cannot be told from one sample, so that what tells it from a lookalike may be
     * neither: such odds count for less.
     */
    private static void temper(List<Claim> claims) {
        for (Claim rival : claims) {
            Claim best = claims.get(0);
            boolean one = best.laid.template.pages.size() == 1 || rival.laid.template.pages.size() == 1;
            if (rival != best && one && found(rival) >= ALIKE * found(best)) {
                rival.utility = best.utility - OF_ONE_SAMPLE * (best.utility - rival.utility);
            }
        }
    }

    /** How much of a layout's words stand where it has them. */
    private static double found(Claim c) {
        return (double) c.shares.telling().size() / Math.max(1, c.laid.template.anchors.size());
    }

    /** The rarest words that stand where the samples have them say most. */
    private Evidence evidence(PageFacts page, Claim c, double certainty) {
        List<SeenPage.Seen> telling = c.shares.telling().stream()
                .sorted(Comparator.comparingDouble((SeenPage.Seen s) -> -texts.rarity(s.plain())))
                .limit(NAMED)
                .toList();
        List<Word> words = telling.stream().map(SeenPage.Seen::word).toList();
        Reason why = Reason.Code.LIKE_SAMPLES.with(
                c.shares.telling().size(), c.laid.template.anchors.size(), Line.textOf(words));
        Box box = words.isEmpty() ? null : Line.boxOf(words);
        return new Evidence(Evidence.Rule.SPECIMEN, page.no(), box, why, certainty);
    }

    /** A layout that may be the page's, one for each type. */
    static final class Claim {
        final Laid laid;
        final String variant;
        final Laid.Shares shares;
        final double[] features;
        double utility;

        Claim(Laid laid, String variant, Laid.Shares shares, double[] features) {
            this.laid = laid;
            this.variant = variant;
            this.shares = shares;
            this.features = features;
        }
    }

    /** The page's claims with their utilities against "none of these", which has 0. */
    List<Claim> claims(SeenPage page) {
        double[] likeness = texts.likeness(page);
        Map<Template, Integer> best = new LinkedHashMap<>();
        for (int i = 0; i < likeness.length; i++) {
            int sample = i;
            best.merge(templateOf.get(i), sample, (a, b) -> likeness[b] > likeness[a] ? b : a);
        }
        List<Integer> candidates = best.values().stream()
                .sorted(Comparator.comparingDouble((Integer i) -> -likeness[i]))
                .limit(CANDIDATES)
                .toList();
        Map<String, Claim> byType = new LinkedHashMap<>();
        for (int sample : candidates) {
            if (likeness[sample] <= 0) {
                continue;
            }
            var laid = new Laid(templateOf.get(sample), page);
            Laid.Shares shares = laid.shares(texts);
            double[] features = SortWeights.features(likeness[sample], laid, shares, laid.explained(texts));
            var claim = new Claim(laid, variantOf.get(sample), shares, features);
            SortWeights.gainsaid(features, shares.gainsaid().size());
            claim.utility = SortWeights.alone(features);
            byType.merge(laid.template.type, claim, (a, b) -> b.utility > a.utility ? b : a);
        }
        List<Claim> claims = new ArrayList<>(byType.values());
        claims.sort(Comparator.comparingDouble((Claim c) -> -c.utility));
        compare(claims.subList(0, Math.min(RIVALS, claims.size())));
        claims.forEach(c -> c.utility = SortWeights.utility(c.features));
        claims.sort(Comparator.comparingDouble((Claim c) -> -c.utility));
        return claims;
    }

    /** What tells each from the rival that stands best against it. */
    private void compare(List<Claim> rivals) {
        for (Claim c : rivals) {
            double worst = Double.POSITIVE_INFINITY;
            Set<Template.Print> gainsaid = new HashSet<>(c.shares.gainsaid());
            for (Claim r : rivals) {
                if (r != c) {
                    Difference difference = difference(c.laid.template, r.laid.template);
                    gainsaid.removeAll(difference.filledIn());
                    double mine = difference.odds(c.laid);
                    double its = difference(r.laid.template, c.laid.template).odds(r.laid);
                    // A rival that fits badly need not be told apart.
                    worst = Math.min(worst, mine - its + Math.max(0, c.utility - r.utility));
                }
            }
            SortWeights.compared(c.features, worst, gainsaid.size());
        }
    }

    private Difference difference(Template has, Template lacks) {
        return differences.computeIfAbsent(List.of(has, lacks), k -> new Difference(has, lacks));
    }
}

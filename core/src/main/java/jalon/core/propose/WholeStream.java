package jalon.core.propose;

import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.stream.StreamDefinition;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/** What holds for a stream as a whole: the language of its papers, and their size. */
final class WholeStream {
    /** Knows the letters of all languages written with Latin letters. */
    private static final String LATIN = "Latin";

    private static final double WITHIN_MM = 5;
    private static final double NEARLY_ALL = 0.9;
    private static final Map<String, double[]> SIZES = new LinkedHashMap<>();

    static {
        SIZES.put("A4", new double[] {210, 297});
        SIZES.put("A5", new double[] {148, 210});
        SIZES.put("Letter", new double[] {215.9, 279.4});
    }

    private WholeStream() {}

    /**
     * @param base the stream as it is; what it says already is not proposed
     * @param installed whether there is a reading model of a name
     */
    static List<Proposal> of(StreamDefinition base, List<PageFacts> printed, Predicate<String> installed) {
        List<Proposal> proposals = new ArrayList<>();
        language(base, printed, installed).ifPresent(proposals::add);
        size(base, printed).ifPresent(proposals::add);
        return proposals;
    }

    private static Optional<Proposal> language(
            StreamDefinition base, List<PageFacts> printed, Predicate<String> installed) {
        List<String> words = printed.stream()
                .flatMap(p -> p.words().stream())
                .map(Word::text)
                .toList();
        return Languages.of(words).flatMap(spoken -> {
            String model = installed.test(spoken.language()) ? spoken.language() : LATIN;
            List<String> known = List.of(base.language().split("\\+"));
            return known.contains(model) || known.contains(spoken.language()) || !installed.test(model)
                    ? Optional.empty()
                    : Optional.of(proposal(
                            Map.of("language", model),
                            Proposal.Why.Code.LANGUAGE.with(
                                    spoken.language(), Math.round(100 * spoken.share()), words.size())));
        });
    }

    private static Optional<Proposal> size(StreamDefinition base, List<PageFacts> printed) {
        if (base.intake().scan().size() != null) {
            return Optional.empty();
        }
        return SIZES.entrySet().stream()
                .filter(size ->
                        printed.stream().filter(p -> is(p, size.getValue())).count() >= NEARLY_ALL * printed.size())
                .findFirst()
                .map(size -> proposal(
                        Map.of("intake", Map.of("scan", Map.of("size", size.getKey()))),
                        Proposal.Why.Code.PAPER_SIZE.with(printed.size(), size.getKey())));
    }

    private static boolean is(PageFacts page, double[] size) {
        double shorter = Math.min(page.image().widthMm(), page.image().heightMm());
        double longer = Math.max(page.image().widthMm(), page.image().heightMm());
        return Math.abs(shorter - size[0]) <= WITHIN_MM && Math.abs(longer - size[1]) <= WITHIN_MM;
    }

    private static Proposal proposal(Map<String, Object> part, Proposal.Why why) {
        return new Proposal(Proposal.What.STREAM, null, part, why, List.of());
    }
}

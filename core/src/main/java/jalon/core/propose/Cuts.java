package jalon.core.propose;

import jalon.core.split.Cut;
import java.util.Comparator;
import java.util.List;

/** Which of the ways that the samples show is the one that they are cut by. */
final class Cuts {
    private Cuts() {}

    /** @param worth the trust in its sign and how well what it makes agrees with what the pages look like */
    record Weighed(CutIdea.Idea idea, Cut cut, double worth) {}

    /** The best first. */
    static List<Weighed> of(Samples samples) {
        return CutIdea.all().stream()
                .flatMap(way -> way.of(samples).stream())
                .map(idea -> {
                    Cut cut = samples.cut(idea.rules());
                    return new Weighed(idea, cut, idea.trust() + samples.agreement(cut));
                })
                .sorted(Comparator.comparingDouble(w -> -w.worth()))
                .toList();
    }
}

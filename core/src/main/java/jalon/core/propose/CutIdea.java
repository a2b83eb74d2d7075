package jalon.core.propose;

import jalon.core.stream.StakeRule;
import java.util.List;
import java.util.Optional;

/** A way in which the papers of a stack may tell where they begin. */
interface CutIdea {
    /** @return nothing where the samples show nothing of the kind */
    Optional<Idea> of(Samples samples);

    /**
     * @param trust how far its sign is to be trusted before what the pages look like is asked, in the unit of
     *     {@link Samples#agreement}
     * @param seen where it shows
     */
    record Idea(List<StakeRule> rules, Proposal.Why why, double trust, List<Proposal.Spotted> seen) {}

    /** All ways that are known. */
    static List<CutIdea> all() {
        return List.of(
                new PatchSheets(),
                new SeparatorSheets(),
                new BarcodedPages(),
                new BlankSheets(),
                new NumberedPages(),
                new ChangingValue(),
                new FirstWords(),
                new EachFile(),
                new EachPage(),
                new PagesThemselves());
    }
}

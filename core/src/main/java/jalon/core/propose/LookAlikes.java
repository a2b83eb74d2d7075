package jalon.core.propose;

import jalon.core.read.PageFacts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Papers with the same print at the same places of their first pages, as a new layout of a sender has them.
 *
 * @param papers by their index in what was asked about; one alone is like no other
 * @param title what is printed largest at the head of most of them, or null
 */
public record LookAlikes(List<Integer> papers, String title) {
    /** @param papers the pages of each, at least one @return those with the most papers first */
    public static List<LookAlikes> of(List<List<PageFacts>> papers) {
        List<LookAlikes> groups = new ArrayList<>();
        for (LikePapers.Kind kind : LikePapers.of(papers)) {
            if (kind.alike()) {
                groups.add(new LookAlikes(indexes(papers, kind), kind.title()));
            } else {
                indexes(papers, kind).forEach(i -> groups.add(new LookAlikes(List.of(i), null)));
            }
        }
        groups.sort(Comparator.comparingInt(g -> -g.papers().size()));
        return groups;
    }

    private static List<Integer> indexes(List<List<PageFacts>> papers, LikePapers.Kind kind) {
        return IntStream.range(0, papers.size())
                .filter(i -> kind.documents().stream().anyMatch(d -> d == papers.get(i)))
                .boxed()
                .toList();
    }
}

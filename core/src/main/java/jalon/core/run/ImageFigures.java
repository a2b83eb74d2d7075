package jalon.core.run;

import com.fasterxml.jackson.annotation.JsonInclude;
import jalon.core.image.Measure;
import jalon.core.page.Box;
import jalon.core.read.PageFacts;
import jalon.core.stream.PageRules;
import java.util.List;
import java.util.Map;

/** The figures of one page, each with its limit. */
public record ImageFigures(int page, BatchView.Role role, int rotation, List<Figure> figures) {

    /**
     * @param limit null for none
     * @param tooMuch whether there can be too much of it; otherwise too little
     * @param beyond whether it is on the wrong side of its limit
     * @param said the figure with its unit
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Figure(
            Measure kind, double figure, Double limit, boolean tooMuch, boolean beyond, String said, Box where) {}

    public static List<ImageFigures> of(PageRules rules, BatchView view, Map<Integer, PageFacts> facts) {
        ImageFindings fitness = new ImageFindings(rules, List.copyOf(facts.values()));
        return view.pages().stream()
                .map(p -> {
                    PageFacts seen = facts.get(p.no());
                    return new ImageFigures(
                            p.no(),
                            p.role(),
                            seen.image().rotation(),
                            fitness.figures(seen).stream()
                                    .map(m -> {
                                        double limit = rules.limit(m.what());
                                        return new Figure(
                                                m.what(),
                                                m.figure(),
                                                Double.isInfinite(limit) ? null : Double.valueOf(limit),
                                                m.what().tooMuch(),
                                                m.what().breaks(m.figure(), limit),
                                                m.what().format(m.figure()),
                                                m.where());
                                    })
                                    .toList());
                })
                .toList();
    }
}

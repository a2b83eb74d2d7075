package jalon.core.run;

import jalon.core.image.Finding;
import jalon.core.image.Measure;
import jalon.core.image.Measured;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.stream.PageRules;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Whether pages are fit to keep: their figures against the stream's limits, and what only shows beside other pages of the
 * batch (a sheet longer than its neighbours, a page that repeats the one before).
 */
final class ImageFindings {
    /** Words must stand this near to where they stood to be the same ones; a sheet fed again lies a little off. */
    private static final double SAME_PLACE_MM = 8;

    private static final int FEWEST_WORDS = 6;

    private final PageRules rules;
    private final Map<Integer, PageFacts> before = new HashMap<>();
    private final Map<Long, Double> usualLength = new HashMap<>();

    /** @param received in the order received */
    ImageFindings(PageRules rules, List<PageFacts> received) {
        this.rules = rules;
        Map<Long, List<Double>> lengths = new HashMap<>();
        for (int i = 0; i < received.size(); i++) {
            PageFacts page = received.get(i);
            if (i > 0) {
                before.put(page.no(), received.get(i - 1));
            }
            lengths.computeIfAbsent(width(page), w -> new ArrayList<>()).add(length(page));
        }
        lengths.forEach((width, all) -> {
            all.sort(null);
            // Of two or three sheets none is the usual one.
            if (all.size() > 3) {
                usualLength.put(width, all.get(all.size() / 2));
            }
        });
    }

    /** In steps of a centimetre: as wide as the feeder held it. */
    private static long width(PageFacts page) {
        return Math.round(Math.min(page.image().widthMm(), page.image().heightMm()) / 10);
    }

    private static double length(PageFacts page) {
        return Math.max(page.image().widthMm(), page.image().heightMm());
    }

    /** All figures of a page, those that need its neighbours too. */
    List<Measured> figures(PageFacts page) {
        List<Measured> all = new ArrayList<>(page.image().measured());
        Double usual = usualLength.get(width(page));
        if (usual != null) {
            all.add(new Measured(Measure.LENGTH, Math.max(0, Math.round((length(page) - usual) * 10) / 10.0), null));
        }
        PageFacts previous = before.get(page.no());
        if (previous != null && page.words().size() >= FEWEST_WORDS) {
            all.add(new Measured(Measure.REPEAT, Math.round(likeness(page, previous) * 1000) / 1000.0, null));
        }
        return all;
    }

    List<Finding> findings(PageFacts page) {
        List<Finding> findings = new ArrayList<>();
        for (Measured m : figures(page)) {
            double limit = rules.limit(m.what());
            if (m.what().breaks(m.figure(), limit)) {
                findings.add(new Finding(m.what(), m.figure(), limit, m.where()));
            }
        }
        return findings;
    }

    /** Of the words of both pages, the share that stands on the other at the same place. */
    private static double likeness(PageFacts a, PageFacts b) {
        if (b.words().size() < FEWEST_WORDS) {
            return 0;
        }
        Map<String, List<Word>> there = new HashMap<>();
        b.words()
                .forEach(w ->
                        there.computeIfAbsent(w.text(), t -> new ArrayList<>()).add(w));
        int same = 0;
        for (Word word : a.words()) {
            for (Word other : there.getOrDefault(word.text(), List.of())) {
                if (Math.abs(other.box().centreX() - word.box().centreX()) < SAME_PLACE_MM
                        && Math.abs(other.box().centreY() - word.box().centreY()) < SAME_PLACE_MM) {
                    same++;
                    break;
                }
            }
        }
        return 2.0
                * Math.min(same, b.words().size())
                / (a.words().size() + b.words().size());
    }
}

package jalon.core.propose;

import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.PageTilt;
import java.util.List;

/**
 * A box that a person drew on a sample page, as a zone would have it.
 *
 * @param boxMm on the straight sheet
 * @param text what is printed in it; empty for nothing
 * @param anchors printed words of the page outside of it, by which the place is found on other papers
 */
public record DrawnBox(Box boxMm, String text, List<Anchor> anchors) {
    private static final int LEAST_LETTERS = 4;
    private static final double CLEAR = 0.85;
    private static final int MOST_ANCHORS = 24;

    /** @param boxMm on the straight sheet */
    public record Anchor(String text, Box boxMm) {}

    /**
     * @param drawn on the upright page
     * @param values where values are known to stand on it: what is written there is no print
     */
    public static DrawnBox of(PageFacts page, Box drawn, List<Box> values) {
        PageTilt tilt = PageTilt.of(page);
        List<Word> inside =
                page.words().stream().filter(w -> drawn.holdsCentreOf(w.box())).toList();
        List<Anchor> anchors = page.words().stream()
                .filter(w -> w.certainty() >= CLEAR && !inside.contains(w))
                .filter(w -> values.stream().noneMatch(v -> v.holdsCentreOf(w.box())))
                .map(w -> new Anchor(w.text().replaceAll(":$", ""), tilt.toStraight(w.box())))
                .filter(a ->
                        a.text().length() >= LEAST_LETTERS && a.text().chars().allMatch(Character::isLetter))
                .limit(MOST_ANCHORS)
                .toList();
        return new DrawnBox(tilt.toStraight(drawn), Line.textOf(inside), anchors);
    }
}

package jalon.core.propose;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.image.PageLayout;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.PageTilt;
import jalon.core.read.Phrase;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * A box that a person drew on a sample page: what it holds, where it lies, and how the like of it is found on other papers.
 *
 * @param text what is printed in it; empty for nothing
 * @param ways the best first
 */
public record DrawnBox(String text, DrawnPlace place, List<WayToFind> ways) {
    private static final int LEAST_LETTERS = 4;
    private static final double CLEAR = 0.85;
    private static final int MOST_ANCHORS = 24;

    /** It is answered while somebody waits. */
    private static final int MOST_PAPERS = 24;

    /**
     * A part of the straight sheet, as a zone has it.
     *
     * @param anchors printed words of the page outside of it, by which the place is found on other papers
     */
    public record DrawnPlace(Box boxMm, List<Anchor> anchors) {}

    /** @param boxMm on the straight sheet */
    public record Anchor(String text, Box boxMm) {}

    /** By what a value is found. */
    public enum How {
        @JsonProperty("label")
        LABEL,
        @JsonProperty("form")
        FORM,
        @JsonProperty("place")
        PLACE,
        /** As a box to tick. */
        @JsonProperty("tick")
        TICK
    }

    /**
     * A way to find what the box holds on all papers of its kind.
     *
     * @param title what the field may be called, or null
     * @param part of a field's JSON, without its name: kind, finders, checks
     * @param clear on how many papers it finds one value and no other that may be meant
     * @param of how many papers it was tried on
     * @param values what it finds, in the order of the papers that have something
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record WayToFind(How how, String title, Map<String, Object> part, int clear, int of, List<String> values) {}

    /**
     * @param drawn on the upright page
     * @param values where values are known to stand on it: what is written there is no print
     * @param papers pages of each paper of its kind; its own is tried first, then so many of the others
     * @param today for dates
     */
    public static DrawnBox of(
            PageFacts page, Box drawn, List<Box> values, List<List<PageFacts>> papers, LocalDate today) {
        PageTilt tilt = PageTilt.of(page);
        PageLayout layout = page.image().layout();
        Box straight = PrintedBoxes.snapped(tilt.toStraight(drawn), layout);
        Box meant = tilt.fromStraight(straight);
        List<Word> inside =
                page.words().stream().filter(w -> meant.holdsCentreOf(w.box())).toList();
        List<Box> written = Stream.concat(values.stream(), Stream.of(meant)).toList();
        DrawnPlace place = new DrawnPlace(straight, anchors(page, written));
        List<List<PageFacts>> some = some(papers, page);
        List<WayToFind> ways = new ArrayList<>();
        PrintedBoxes.tick(tilt.toStraight(drawn), layout).ifPresent(box -> ways.add(tick(box, page, some)));
        ways.addAll(new WaysToFind(page, meant, inside, place, some, today).all());
        return new DrawnBox(Line.textOf(inside), place, ways);
    }

    /** @param written what is no print, on the upright page */
    static List<Anchor> anchors(PageFacts page, List<Box> written) {
        PageTilt tilt = PageTilt.of(page);
        return page.words().stream()
                .filter(w -> w.certainty() >= CLEAR)
                .filter(w -> written.stream().noneMatch(v -> v.holdsCentreOf(w.box())))
                .map(w -> new Anchor(w.text().replaceAll(":$", ""), tilt.toStraight(w.box())))
                .filter(a ->
                        a.text().length() >= LEAST_LETTERS && a.text().chars().allMatch(Character::isLetter))
                .limit(MOST_ANCHORS)
                .toList();
    }

    private static WayToFind tick(Box box, PageFacts page, List<List<PageFacts>> papers) {
        String text = TickSheet.beside(page, box);
        Map<String, Object> finder =
                Map.of("by", "ticks", "boxes", List.of(Map.of("boxMm", box.toArray(), "means", "yes")), "none", "no");
        Phrase words = Phrase.of(text);
        int clear = (int) papers.stream()
                .filter(paper ->
                        paper.stream().anyMatch(p -> words.find(p.words()).isPresent()))
                .count();
        return new WayToFind(
                How.TICK,
                text.isEmpty() ? null : text,
                Map.of("kind", "yesNo", "finders", List.of(finder)),
                clear,
                papers.size(),
                List.of());
    }

    /** The paper that the page is of, and others. */
    private static List<List<PageFacts>> some(List<List<PageFacts>> papers, PageFacts page) {
        List<PageFacts> own = papers.stream()
                .filter(paper -> paper.stream().anyMatch(p -> p.no() == page.no()))
                .findFirst()
                .orElse(List.of(page));
        return Stream.concat(Stream.of(own), papers.stream().filter(paper -> paper != own))
                .limit(MOST_PAPERS)
                .toList();
    }
}

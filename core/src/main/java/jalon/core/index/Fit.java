package jalon.core.index;

import jalon.core.fit.FormFit;
import jalon.core.fit.Similarity;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.PageTilt;
import jalon.core.read.Phrase;
import jalon.core.stream.StreamDefinition;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Lays a type's zones on an actual page: the lean is taken out first, the rest comes from the printed words of the form
 * (anchors) that were found; see {@link FormFit}.
 */
final class Fit {
    /** A zone that lies no further off holds its value, and not its neighbour's. */
    private static final double MARGIN_MM = 2;

    private final FormFit form;
    private final PageTilt tilt;
    private final boolean anchored;

    private Fit(FormFit form, PageTilt tilt, boolean anchored) {
        this.form = form;
        this.tilt = tilt;
        this.anchored = anchored;
    }

    /** @param variant of the layouts of the type, or null where none is known */
    static Fit of(StreamDefinition.Layout layout, String variant, PageFacts page) {
        var tilt = PageTilt.of(page);
        List<StreamDefinition.Anchor> anchors = layout == null
                ? List.of()
                : layout.anchors().stream().filter(a -> a.standsOn(variant)).toList();
        return new Fit(
                FormFit.of(anchors.stream()
                        .map(anchor -> places(anchor, page.words(), tilt))
                        .toList()),
                tilt,
                !anchors.isEmpty());
    }

    PageTilt tilt() {
        return tilt;
    }

    /** Where a zone drawn on the straight sheet lies on this page, made straight. */
    Box onStraightPage(Box drawn) {
        return form.of(drawn);
    }

    /** How certain it is that the zone does not lie beside its value; a layout without anchors is taken as it is. */
    double trust(Box drawn) {
        return anchored ? form.trust(drawn, MARGIN_MM) : 1;
    }

    /** Wherever the anchor's words stand, by their left ends: words are read longer or shorter more often than moved. */
    private static List<Similarity.Pair> places(StreamDefinition.Anchor anchor, List<Word> words, PageTilt tilt) {
        Phrase phrase = Phrase.of(anchor.text());
        int parts = anchor.text().trim().split("\\s+").length;
        List<Similarity.Pair> places = new ArrayList<>();
        for (int i = 0; i + parts <= words.size(); i++) {
            Optional<Phrase.Hit> hit = phrase.find(words.subList(i, i + parts));
            if (hit.isPresent()) {
                Box box = tilt.toStraight(hit.get().box());
                Box drawn = anchor.boxMm();
                places.add(new Similarity.Pair(drawn.x(), drawn.centreY(), box.x(), box.centreY()));
            }
        }
        return places;
    }
}

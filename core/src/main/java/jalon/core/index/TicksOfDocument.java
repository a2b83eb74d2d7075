package jalon.core.index;

import jalon.core.image.Ticked;
import jalon.core.read.PageFacts;
import jalon.core.read.SeeTicks;
import jalon.core.stream.DocumentPages;
import jalon.core.stream.Finder;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The boxes to tick of a document, all of those of a page looked at in one go: its picture is unpacked once. */
final class TicksOfDocument {
    private final DocumentType type;
    private final Document document;
    private final ZoneReader zones;
    private final Map<DocumentPages, Optional<Seen>> seen = new HashMap<>();

    TicksOfDocument(DocumentType type, Document document, ZoneReader zones) {
        this.type = type;
        this.document = document;
        this.zones = zones;
    }

    /**
     * @param places of all finders of the page, in their order
     * @param marks what was seen of each, null for one beside the page
     */
    record Seen(PageFacts page, Fit fit, List<Finder.TickPlace> places, List<Ticked> marks) {
        Ticked of(Finder.TickPlace place) {
            return marks.get(places.indexOf(place));
        }
    }

    /** @return nothing when no image is at hand */
    Optional<Seen> on(DocumentPages page) {
        return seen.computeIfAbsent(page, this::look);
    }

    private Optional<Seen> look(DocumentPages which) {
        if (document.pages(which).isEmpty()) {
            return Optional.empty();
        }
        PageFacts page = document.pages(which).get(0);
        Fit fit = Fit.of(type.layout(), document.variant(), page);
        List<Finder.TickPlace> places = new ArrayList<>();
        type.fields()
                .forEach(field -> field.finders().forEach(finder -> {
                    if (finder instanceof Finder.ByTicks ticks
                            && ticks.page().equals(which)
                            && ticks.standsOn(document.variant())) {
                        places.addAll(ticks.boxes());
                    }
                }));
        List<SeeTicks.Place> onPage = places.stream()
                .map(b -> new SeeTicks.Place(fit.tilt().fromStraight(fit.onStraightPage(b.boxMm())), b.printed()))
                .toList();
        List<Ticked> marks = zones.ticks(page, onPage);
        return marks.isEmpty() ? Optional.empty() : Optional.of(new Seen(page, fit, places, marks));
    }
}

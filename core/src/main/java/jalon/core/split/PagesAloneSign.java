package jalon.core.split;

import jalon.core.evidence.Evidence;
import jalon.core.read.PageFacts;
import jalon.core.stream.StakeRule;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Nothing but the pages: where they look more like a new document than like the old one. */
final class PagesAloneSign implements StakeSign {
    private static final double MORE_LIKELY = 0.5;

    private final Map<Integer, PagesAlone.Place> places = new HashMap<>();

    PagesAloneSign(List<PageFacts> inFlow, PageKnowledge knowledge) {
        PagesAlone.places(inFlow, knowledge).forEach(p -> places.put(p.page().no(), p));
    }

    @Override
    public Optional<Sign> on(Place place) {
        PagesAlone.Place its = places.get(place.page().no());
        return its == null || its.certainty() < MORE_LIKELY
                ? Optional.empty()
                : Optional.of(new Sign(
                        StakeRule.Opens.DOCUMENT,
                        false,
                        StakeRule.Sheet.KEPT,
                        0,
                        its.evidence().get(0),
                        its.evidence().subList(1, its.evidence().size())));
    }

    @Override
    public Optional<Evidence> maybe(Place place) {
        PagesAlone.Place its = places.get(place.page().no());
        return its == null || its.certainty() >= MORE_LIKELY
                ? Optional.empty()
                : Optional.of(its.evidence().get(0));
    }
}

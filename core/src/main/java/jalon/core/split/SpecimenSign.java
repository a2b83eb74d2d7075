package jalon.core.split;

import java.util.Optional;

/** A page that is like the first pages of the samples. */
record SpecimenSign(PageKnowledge knowledge) implements StakeSign {
    /** Less like a first page than not. */
    private static final double MAYBE = 0.5;

    @Override
    public Optional<Sign> on(Place place) {
        PageKnowledge.Likeness likeness = knowledge.likeness(place.page());
        return likeness.first() < MAYBE || likeness.inner() > likeness.first()
                ? Optional.empty()
                : Optional.of(Sign.begins(likeness.evidence()));
    }
}

package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.stream.Field;
import jalon.core.stream.Finder;
import java.util.List;
import java.util.Map;

/** One way to get readings for a field; one class for each kind of {@link Finder}. */
@FunctionalInterface
interface FieldFinder {

    Found find(Search search);

    /** As certain as it is for the group; of a document that is in none there is nothing to say. */
    private static Found ofGroup(Map<String, FieldValue> group, String take) {
        FieldValue value = group.get(take);
        if (value == null || value.value() == null) {
            return group.isEmpty() ? Found.of(List.of()) : Found.nothing(Reason.Code.NOTHING_OF_GROUP.with());
        }
        return Found.of(
                List.of(Reading.of(value.value(), value.certainty(), value.page(), value.boxMm(), FoundBy.INHERITED)));
    }

    static FieldFinder of(Finder finder, Field field) {
        return finder.match(new Finder.Cases<>() {
            @Override
            public FieldFinder zone(Finder.ByZone zone) {
                return new ZoneFinder(zone);
            }

            @Override
            public FieldFinder barcode(Finder.ByBarcode barcode) {
                return new BarcodeFinder(barcode);
            }

            @Override
            public FieldFinder shape(Finder.ByShape shape) {
                return new ShapeFinder(shape);
            }

            @Override
            public FieldFinder label(Finder.ByLabel label) {
                return new LabelFinder(label);
            }

            @Override
            public FieldFinder register(Finder.ByRegister register) {
                return new RegisterFinder(register);
            }

            @Override
            public FieldFinder ticks(Finder.ByTicks ticks) {
                return new TickFinder(ticks, field);
            }

            @Override
            public FieldFinder inherited(Finder.Inherited inherited) {
                return inherited.from() == Finder.Inherited.From.GROUP
                        ? search -> ofGroup(search.document().group(), inherited.take())
                        : search -> Found.known(search.document().inherited().get(inherited.from()), FoundBy.INHERITED);
            }

            @Override
            public FieldFinder fixed(Finder.Fixed fixed) {
                return search -> Found.of(List.of(Reading.of(fixed.value(), 1, 0, null, FoundBy.FIXED)));
            }
        });
    }
}

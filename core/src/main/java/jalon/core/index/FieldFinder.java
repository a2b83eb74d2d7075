package jalon.core.index;

import jalon.core.stream.Finder;
import java.util.List;

/** One way to get readings for a field; one class for each kind of {@link Finder}. */
@FunctionalInterface
interface FieldFinder {

    Found find(Search search);

    static FieldFinder of(Finder finder) {
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
            public FieldFinder inherited(Finder.Inherited inherited) {
                return search -> Found.known(search.document().inherited().get(inherited.from()), FoundBy.INHERITED);
            }

            @Override
            public FieldFinder fixed(Finder.Fixed fixed) {
                return search -> Found.of(List.of(Reading.of(fixed.value(), 1, 0, null, FoundBy.FIXED)));
            }
        });
    }
}

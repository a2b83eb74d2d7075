package jalon.core.index;

import jalon.core.stream.Field;
import jalon.core.stream.Finder;
import java.util.List;

/** One way to get readings for a field; one class for each kind of {@link Finder}. */
@FunctionalInterface
interface FieldFinder {

    Found find(Search search);

    static FieldFinder of(Finder finder, Field field) {
        return finder.match(new Finder.Cases<>() {
            @Override
            public FieldFinder zone(Finder.ByZone zone) {
                return new ZoneFinder(zone, field);
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
                return new LabelFinder(label, field);
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
                return new InheritedFinder(inherited);
            }

            @Override
            public FieldFinder fields(Finder.ByFields fields) {
                return new FieldsFinder(fields);
            }

            @Override
            public FieldFinder fixed(Finder.Fixed fixed) {
                return search -> Found.of(List.of(Reading.of(fixed.value(), 1, 0, null, FoundBy.FIXED)));
            }
        });
    }
}

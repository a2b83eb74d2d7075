package jalon.core.index;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jalon.core.evidence.Reason;
import jalon.core.name.NameTemplate;
import jalon.core.stream.Field;
import jalon.core.stream.Finder;
import java.util.ArrayList;
import java.util.HashMap;
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

    /** The part of a known text that a pattern finds, all of it without one; null where there is none. */
    private static String part(String text, String pattern) {
        if (text == null || pattern == null) {
            return text;
        }
        Matcher part = Pattern.compile(pattern).matcher(text);
        return part.find() ? part.group(part.groupCount() > 0 ? 1 : 0) : null;
    }

    private static Found inherited(Finder.Inherited wanted, Document document) {
        if (wanted.from() == Finder.Inherited.From.GROUP) {
            return ofGroup(document.group(), wanted.take());
        }
        String text = document.inherited(wanted.from());
        String part = part(text, wanted.pattern());
        return text != null && part == null
                ? Found.nothing(Reason.Code.NO_PART.with(text, wanted.pattern()))
                : Found.known(part, FoundBy.INHERITED);
    }

    /** As certain as the least certain of the fields it is made of. */
    private static Found ofFields(Finder.ByFields wanted, Search search) {
        NameTemplate template = wanted.template();
        Map<String, String> texts = new HashMap<>();
        List<FieldValue> used = new ArrayList<>();
        for (String name : template.names()) {
            search.values().apply(name).filter(v -> v.value() != null).ifPresent(v -> {
                texts.put(name, v.value());
                used.add(v);
            });
        }
        if (!texts.keySet().containsAll(template.needed()) || used.isEmpty()) {
            return search.nothingOf(template.names());
        }
        String text = template.text(texts);
        String part = part(text, wanted.pattern());
        if (part == null) {
            return Found.nothing(Reason.Code.NO_PART.with(text, wanted.pattern()));
        }
        String meant = wanted.means().isEmpty() ? part : wanted.means().get(part.strip());
        if (meant == null) {
            return Found.nothing(Reason.Code.STANDS_FOR_NOTHING.with(part));
        }
        double certainty =
                used.stream().mapToDouble(FieldValue::certainty).min().orElse(0);
        FieldValue first = used.get(0);
        Reading made = Reading.of(meant, certainty, first.page(), first.boxMm(), FoundBy.FIELDS);
        for (String name : template.names()) {
            made = search.ofADoubt(name) ? made.doubted(Reason.Code.OF_A_DOUBT.with(search.title(name))) : made;
        }
        return Found.of(List.of(made));
    }

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
                return search -> FieldFinder.inherited(inherited, search.document());
            }

            @Override
            public FieldFinder fields(Finder.ByFields fields) {
                return search -> ofFields(fields, search);
            }

            @Override
            public FieldFinder fixed(Finder.Fixed fixed) {
                return search -> Found.of(List.of(Reading.of(fixed.value(), 1, 0, null, FoundBy.FIXED)));
            }
        });
    }
}

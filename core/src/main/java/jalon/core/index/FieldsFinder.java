package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.name.NameTemplate;
import jalon.core.stream.Finder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What other fields' values say, as certain as the least certain of them. */
record FieldsFinder(Finder.ByFields wanted) implements FieldFinder {
    @Override
    public Found find(Search search) {
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
        String part = InheritedFinder.part(text, wanted.pattern());
        if (part == null) {
            return Found.nothing(Reason.Code.NO_PART.with(text, wanted.pattern()));
        }
        String meant = wanted.means().isEmpty() ? part : wanted.means().get(part.strip());
        return meant == null
                ? Found.nothing(Reason.Code.STANDS_FOR_NOTHING.with(part))
                : Found.of(List.of(made(meant, used, template.names(), search)));
    }

    private static Reading made(String value, List<FieldValue> used, List<String> names, Search search) {
        double certainty =
                used.stream().mapToDouble(FieldValue::certainty).min().orElse(0);
        FieldValue first = used.get(0);
        Reading made = Reading.of(value, certainty, first.page(), first.boxMm(), FoundBy.FIELDS);
        for (String name : names) {
            made = search.ofADoubt(name) ? made.doubted(Reason.Code.OF_A_DOUBT.with(search.title(name))) : made;
        }
        return made;
    }
}

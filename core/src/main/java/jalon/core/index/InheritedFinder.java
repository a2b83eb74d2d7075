package jalon.core.index;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jalon.core.evidence.Reason;
import jalon.core.stream.Finder;
import java.util.List;
import java.util.Map;

/** What is known without looking at a page: of the batch, the file, or the document's group. */
record InheritedFinder(Finder.Inherited wanted) implements FieldFinder {
    @Override
    public Found find(Search search) {
        Document document = search.document();
        if (wanted.from() == Finder.Inherited.From.GROUP) {
            return ofGroup(document.group());
        }
        String text = document.inherited(wanted.from());
        String part = part(text, wanted.pattern());
        return text != null && part == null
                ? Found.nothing(Reason.Code.NO_PART.with(text, wanted.pattern()))
                : Found.known(part, FoundBy.INHERITED);
    }

    /** As certain as it is for the group; of a document that is in none there is nothing to say. */
    private Found ofGroup(Map<String, FieldValue> group) {
        FieldValue value = group.get(wanted.take());
        if (value == null || value.value() == null) {
            return group.isEmpty() ? Found.of(List.of()) : Found.nothing(Reason.Code.NOTHING_OF_GROUP.with());
        }
        return Found.of(
                List.of(Reading.of(value.value(), value.certainty(), value.page(), value.boxMm(), FoundBy.INHERITED)));
    }

    /** The part of a known text that a pattern finds, all of it without one; null where there is none. */
    static String part(String text, String pattern) {
        if (text == null || pattern == null) {
            return text;
        }
        Matcher part = Pattern.compile(pattern).matcher(text);
        return part.find() ? part.group(part.groupCount() > 0 ? 1 : 0) : null;
    }
}

package jalon.find;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The one line that people search with, understood.
 *
 * <pre>
 * dues 2026            both words, each as the beginning of a word
 * "harbour dues"       these words beside each other
 * PM-48                words beside each other, the last one as the beginning of a word; or a part of any value
 * vessel:821-K         a part of the value of a field
 * owner:"Ewa L"        the same, with a blank in it
 * type:="Dues letter"  the whole value
 * written:2026-03..05  from the first of March to the last of May
 * amount:100..         a hundred and more
 * -copy                not this
 * quay OR berth        one of the two
 * </pre>
 *
 * @param parts in the order of the line
 */
public record SearchLine(List<Part> parts) {
    /** What a part asks for. */
    public enum Kind {
        /** A word by its beginning. */
        WORD,
        /** Words beside each other. */
        PHRASE,
        /** Words beside each other as they were typed without quotation marks: the last one by its beginning. */
        JOINED,
        /** A part of a field's value. */
        IN_FIELD,
        /** A field's whole value. */
        WHOLE,
        /** A field's value between two. */
        RANGE,
        /** Signs alone, which ask for nothing. */
        NOTHING
    }

    /**
     * One part of the line.
     *
     * @param from where it begins in the line, its sign included; @param to where it ends
     * @param not whether documents with it are not wanted
     * @param or whether it is wanted instead of the part before it as well
     * @param field by the name that the index knows; null for all of the document
     * @param text what is looked for; of a range as it was typed
     */
    public record Part(int from, int to, Kind kind, boolean not, boolean or, String field, String text) {
        /** Its words, as they are compared. */
        public List<String> words() {
            return Plain.words(text);
        }
    }

    private static final String OR = "OR";
    private static final Pattern PART =
            Pattern.compile("(-)?(?:([\\p{L}][\\p{L}\\p{M}\\p{N}_-]*):(=)?)?(?:\"([^\"]*)\"?|(\\S+))");

    public SearchLine {
        parts = List.copyOf(parts);
    }

    /**
     * @param fields names of fields as people may type them, and as the index knows them; what stands before a colon and is
     *     none of them is a word like others
     */
    public static SearchLine of(String line, Map<String, String> fields) {
        Map<String, String> known = new HashMap<>();
        fields.forEach((typed, name) -> known.putIfAbsent(Plain.whole(typed), name));
        List<Part> parts = new ArrayList<>();
        boolean or = false;
        Matcher m = PART.matcher(line == null ? "" : line);
        while (m.find()) {
            if (OR.equals(m.group())) {
                or = !parts.isEmpty();
                continue;
            }
            parts.add(part(m, or, known));
            or = false;
        }
        return new SearchLine(parts);
    }

    private static Part part(Matcher m, boolean or, Map<String, String> known) {
        boolean not = m.group(1) != null;
        String quoted = m.group(4);
        String text = quoted != null ? quoted : m.group(5);
        String field = m.group(2) == null ? null : known.get(Plain.whole(m.group(2)));
        if (m.group(2) != null && field == null) {
            text = m.group(2) + " " + text;
        }
        List<String> words = Plain.words(text);
        Kind kind;
        if (words.isEmpty()) {
            kind = Kind.NOTHING;
        } else if (field == null) {
            kind = quoted != null ? Kind.PHRASE : words.size() == 1 ? Kind.WORD : Kind.JOINED;
        } else if (m.group(3) != null) {
            kind = Kind.WHOLE;
        } else {
            kind = quoted == null && Range.of(text).isPresent() ? Kind.RANGE : Kind.IN_FIELD;
        }
        return new Part(m.start(), m.end(), kind, not, or, field, text);
    }

    /** Whether it asks for anything; a line of signs alone does not, and does not ask for everything either. */
    public boolean asks() {
        return parts.stream().anyMatch(p -> p.kind() != Kind.NOTHING);
    }

    /** Whether nothing is written in it. */
    public boolean isBlank() {
        return parts.isEmpty();
    }

    /**
     * Which words of a printed line are what was looked for.
     *
     * @param printed the line's words
     * @param near words that were taken instead, as they are compared
     * @return their indices, in order
     */
    public List<Integer> marked(List<String> printed, List<String> near) {
        List<String> tokens = new ArrayList<>();
        List<Integer> owners = new ArrayList<>();
        for (int i = 0; i < printed.size(); i++) {
            for (String token : Plain.words(printed.get(i))) {
                tokens.add(token);
                owners.add(i);
            }
        }
        List<Integer> marked = new ArrayList<>();
        for (int at = 0; at < tokens.size(); at++) {
            int length = near.contains(tokens.get(at)) ? 1 : 0;
            for (Part part : parts) {
                length = marks(part) ? Math.max(length, matched(part, tokens, at)) : length;
            }
            for (int i = at; i < at + length; i++) {
                if (!marked.contains(owners.get(i))) {
                    marked.add(owners.get(i));
                }
            }
        }
        for (int i = 0; i < printed.size(); i++) {
            String word = printed.get(i);
            if (!marked.contains(i) && parts.stream().anyMatch(p -> marks(p) && isInside(p, word))) {
                marked.add(i);
            }
        }
        marked.sort(null);
        return marked;
    }

    /** Of numbers and the like any part may have been remembered, and it is not where a token begins. */
    private static boolean isInside(Part part, String printed) {
        String text = Plain.whole(part.text());
        boolean anywhere = part.kind() == Kind.IN_FIELD
                || (part.kind() == Kind.WORD || part.kind() == Kind.JOINED)
                        && text.codePoints().anyMatch(Character::isDigit);
        return anywhere
                && text.length() >= Indexed.TOGETHER
                && Plain.whole(printed).contains(text);
    }

    private boolean marks(Part part) {
        return !part.not() && (part.field() == null || !Indexed.OF_FILING.contains(part.field()));
    }

    /** How many tokens from this one on are the part's. */
    private static int matched(Part part, List<String> tokens, int at) {
        List<String> words = part.words();
        if (part.kind() == Kind.NOTHING || part.kind() == Kind.RANGE || at + words.size() > tokens.size()) {
            return 0;
        }
        boolean last = part.kind() != Kind.PHRASE && part.kind() != Kind.WHOLE;
        for (int i = 0; i < words.size(); i++) {
            String token = tokens.get(at + i);
            boolean same = last && i == words.size() - 1 ? token.startsWith(words.get(i)) : token.equals(words.get(i));
            if (!same) {
                return 0;
            }
        }
        return words.size();
    }
}

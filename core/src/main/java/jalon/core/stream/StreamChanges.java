package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What one definition of a stream says otherwise than another one, part by part. How it is spaced and in which order its names stand
 * says nothing; the order of rules, finders, checks and tidy steps does.
 */
public final class StreamChanges {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** What says nothing about paper. */
    private static final Set<String> NOT_SAID = Set.of("$schema", "jalon");

    private final List<Change> changes = new ArrayList<>();

    private StreamChanges() {}

    public enum How {
        @JsonProperty("added")
        ADDED,
        @JsonProperty("changed")
        CHANGED,
        /** It is the same, and is asked earlier or later. */
        @JsonProperty("moved")
        MOVED,
        @JsonProperty("removed")
        REMOVED
    }

    /** Which part of a stream. */
    public enum What {
        @JsonProperty("stream")
        STREAM,
        @JsonProperty("cut")
        CUT,
        @JsonProperty("rule")
        RULE,
        @JsonProperty("type")
        TYPE,
        @JsonProperty("field")
        FIELD,
        @JsonProperty("finder")
        FINDER,
        @JsonProperty("tidy")
        TIDY,
        @JsonProperty("check")
        CHECK,
        @JsonProperty("destination")
        DESTINATION
    }

    /**
     * @param type title of the document type that it belongs to, or null
     * @param field title of the field, or name of the destination, that it belongs to, or null
     * @param part name of the one thing of it that differs, or null where all of it is meant
     * @param before as the stream's JSON has it, null for nothing, @param after likewise
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Change(How how, What what, String type, String field, String part, Object before, Object after) {}

    /**
     * @param before a definition as JSON, which need not be a stream that could go live, @param after likewise
     * @return in the order in which a definition is written
     * @throws RuntimeException when one of them is no JSON object
     */
    public static List<Change> between(String before, String after) {
        var all = new StreamChanges();
        all.streams(JSON.readTree(before), JSON.readTree(after));
        return all.changes;
    }

    private void streams(JsonNode a, JsonNode b) {
        parts(What.STREAM, null, null, a, b, Set.of("cut", "types", "destinations"));
        parts(What.CUT, null, null, a.path("cut"), b.path("cut"), Set.of("rules"));
        lists(What.RULE, null, null, a.path("cut").path("rules"), b.path("cut").path("rules"), "by");
        named(What.TYPE, null, a.path("types"), b.path("types"), "type");
        named(What.DESTINATION, null, a.path("destinations"), b.path("destinations"), "destination");
    }

    /** Parts of one thing that is on both sides, each by its name. */
    private void parts(What what, String type, String field, JsonNode a, JsonNode b, Set<String> apart) {
        Set<String> names = new LinkedHashSet<>(a.propertyNames());
        names.addAll(b.propertyNames());
        for (String name : names) {
            if (!NOT_SAID.contains(name)
                    && !apart.contains(name)
                    && !a.path(name).equals(b.path(name))) {
                add(what, type, field, name, a.get(name), b.get(name));
            }
        }
    }

    private void add(What what, String type, String field, String part, JsonNode before, JsonNode after) {
        How how = before == null
                ? How.ADDED
                : after == null ? How.REMOVED : before.equals(after) ? How.MOVED : How.CHANGED;
        changes.add(new Change(how, what, type, field, part, plain(before), plain(after)));
    }

    private static Object plain(JsonNode node) {
        return node == null ? null : JSON.treeToValue(node, Object.class);
    }

    /** Things that have a name: types, fields, destinations. */
    private void named(What what, String type, JsonNode a, JsonNode b, String by) {
        Map<String, JsonNode> before = byName(a, by);
        Map<String, JsonNode> after = byName(b, by);
        Set<String> names = new LinkedHashSet<>(before.keySet());
        names.addAll(after.keySet());
        for (String name : names) {
            JsonNode was = before.get(name);
            JsonNode is = after.get(name);
            String title = title(is == null ? was : is, name);
            if (was == null || is == null) {
                add(what, what == What.TYPE ? title : type, what == What.TYPE ? null : title, null, was, is);
            } else if (what == What.TYPE) {
                parts(what, title, null, was, is, Set.of("fields"));
                named(What.FIELD, title, was.path("fields"), is.path("fields"), "field");
            } else {
                parts(what, type, title, was, is, Set.of("finders", "tidy", "checks"));
                lists(What.FINDER, type, title, was.path("finders"), is.path("finders"), "by");
                lists(What.TIDY, type, title, was.path("tidy"), is.path("tidy"), "do");
                lists(What.CHECK, type, title, was.path("checks"), is.path("checks"), "check");
            }
        }
    }

    private static Map<String, JsonNode> byName(JsonNode list, String by) {
        Map<String, JsonNode> named = new LinkedHashMap<>();
        list.forEach(one -> named.putIfAbsent(one.path(by).asString(""), one));
        return named;
    }

    private static String title(JsonNode one, String name) {
        return one.path("title").asString(name);
    }

    /** Things in an order, told apart by what they say: what is on one side only is changed where the other has one of its kind. */
    private void lists(What what, String type, String field, JsonNode a, JsonNode b, String kind) {
        List<JsonNode> before = new ArrayList<>(a.values());
        List<JsonNode> after = new ArrayList<>(b.values());
        for (JsonNode same : longestCommon(before, after)) {
            before.remove(same);
            after.remove(same);
        }
        for (JsonNode was : before) {
            Optional<JsonNode> is = after.stream()
                    .filter(other -> other.equals(was))
                    .findFirst()
                    .or(() -> after.stream()
                            .filter(other -> other.path(kind).equals(was.path(kind)) && !before.contains(other))
                            .findFirst());
            is.ifPresent(after::remove);
            add(what, type, field, null, was, is.orElse(null));
        }
        after.forEach(is -> add(what, type, field, null, null, is));
    }

    /** What both lists have in the same order, as long as can be. */
    private static List<JsonNode> longestCommon(List<JsonNode> a, List<JsonNode> b) {
        int[][] length = new int[a.size() + 1][b.size() + 1];
        for (int i = a.size() - 1; i >= 0; i--) {
            for (int j = b.size() - 1; j >= 0; j--) {
                length[i][j] = a.get(i).equals(b.get(j))
                        ? length[i + 1][j + 1] + 1
                        : Math.max(length[i + 1][j], length[i][j + 1]);
            }
        }
        List<JsonNode> common = new ArrayList<>();
        for (int i = 0, j = 0; i < a.size() && j < b.size(); ) {
            if (a.get(i).equals(b.get(j))) {
                common.add(a.get(i++));
                j++;
            } else if (length[i + 1][j] >= length[i][j + 1]) {
                i++;
            } else {
                j++;
            }
        }
        return common;
    }
}

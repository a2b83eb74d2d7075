package jalon.e2e;

import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/** What the server answers with all that people write made long, and with many more types and fields. */
final class Stretched {
    private static final JsonMapper JSON = new JsonMapper();
    private static final Set<String> WRITTEN =
            Set.of("title", "streamTitle", "with", "by", "value", "source", "file", "savedBy", "filedBy", "because");
    private static final String LONG =
            " 12345678901234567890 عبد الرحمن الميناء Hafenmeisterstellvertreterinnenvereinigung";
    private static final int TYPES = 300;
    private static final int FIELDS = 40;

    private Stretched() {}

    static String of(String answer) {
        JsonNode root = JSON.readTree(answer);
        if (root.get("types") instanceof ArrayNode types && root.get("documents") instanceof ArrayNode documents) {
            multiply(types, documents);
        }
        lengthen(root);
        return JSON.writeValueAsString(root);
    }

    private static void multiply(ArrayNode types, ArrayNode documents) {
        for (JsonNode type : types) {
            var fields = (ArrayNode) type.get("fields");
            while (!fields.isEmpty() && fields.size() < FIELDS) {
                fields.add(((ObjectNode) fields.get(0).deepCopy()).put("field", "more-" + fields.size()));
            }
        }
        for (JsonNode document : documents) {
            if (document.get("fields") instanceof ObjectNode values && !values.isEmpty()) {
                JsonNode value = values.iterator().next();
                for (int i = values.size(); i < FIELDS; i++) {
                    values.set("more-" + i, value.deepCopy());
                }
            }
        }
        while (types.size() < TYPES) {
            types.add(((ObjectNode) types.get(0).deepCopy()).put("type", "more-" + types.size()));
        }
    }

    private static void lengthen(JsonNode node) {
        if (node instanceof ObjectNode object) {
            for (String name : WRITTEN) {
                if (object.get(name) instanceof StringNode text
                        && !text.asString().isEmpty()) {
                    object.put(name, text.asString() + LONG);
                }
            }
        }
        node.forEach(Stretched::lengthen);
    }
}

package jalon.core.stream;

import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Reads stream definitions and says exactly where one is at fault. */
public final class Streams {
    // Absent true/false settings are false.
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();
    /** Of the definition's JSON. */
    private static final int FORM = 1;

    private static final Schema SCHEMA = schema("stream.schema.json");

    private Streams() {}

    /** The published schema of that file name, from {@code docs/schemas}. */
    public static Schema schema(String name) {
        try (InputStream in = Streams.class.getResourceAsStream("/jalon/schemas/" + name)) {
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * @param json the definition
     * @throws InvalidStream naming every fault with its JSON pointer
     */
    public static StreamDefinition parse(String json) throws InvalidStream {
        JsonNode tree;
        try {
            tree = JSON.readTree(json);
        } catch (JacksonException e) {
            throw new InvalidStream(List.of(new Fault("", "this is not JSON: " + e.getOriginalMessage())));
        }
        int form = tree.path("jalon").asInt(FORM);
        if (form > FORM) {
            throw new InvalidStream(List.of(new Fault(
                    "/jalon",
                    "this is form " + form + " of a stream, and this version of Jalon knows form " + FORM
                            + "; it takes a newer one")));
        }
        List<Fault> faults = new ArrayList<>();
        for (Error e : SCHEMA.validate(tree)) {
            faults.add(new Fault(e.getInstanceLocation().toString(), e.getMessage()));
        }
        if (!faults.isEmpty()) {
            faults.sort(Comparator.comparing(Fault::pointer));
            throw new InvalidStream(faults);
        }
        StreamDefinition definition = JSON.treeToValue(tree, StreamDefinition.class);
        var meant = new Faults();
        meaning(definition, meant);
        if (!meant.found().isEmpty()) {
            throw new InvalidStream(meant.found());
        }
        return definition;
    }

    /**
     * The definition with one type more, all else as it was written.
     *
     * @param type the new type's name
     * @param title how it is called
     * @param like an existing type whose fields it gets, or null for none
     */
    public static String withType(String json, String type, String title, String like) {
        ObjectNode tree = (ObjectNode) JSON.readTree(json);
        ObjectNode added = JSON.createObjectNode();
        added.put("type", type);
        added.put("title", title);
        for (JsonNode t : tree.path("types")) {
            if (t.path("type").asString().equals(like)) {
                if (t.has("checkBelow")) {
                    added.set("checkBelow", t.get("checkBelow").deepCopy());
                }
                if (t.has("layout")) {
                    added.set("layout", t.get("layout").deepCopy());
                }
                added.set("fields", t.path("fields").deepCopy());
            }
        }
        tree.withArray("types").add(added);
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(tree);
    }

    /** The definition under another name and title. */
    public static String renamed(String json, String stream, String title) {
        ObjectNode tree = (ObjectNode) JSON.readTree(json);
        tree.put("stream", stream);
        tree.put("title", title);
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(tree);
    }

    /** A name for a type or stream from its title: letters of other kinds, blanks and marks become what a name can have. */
    public static String nameOf(String title) {
        String plain = Normalizer.normalize(title, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        String begun = plain.isEmpty() || !Character.isLetter(plain.charAt(0)) ? "type-" + plain : plain;
        String name = begun.replaceAll("-$", "");
        return name.substring(0, Math.min(63, name.length()));
    }

    /** What a schema cannot say: names are unique, what is pointed to exists, patterns are patterns. */
    private static void meaning(StreamDefinition s, Faults faults) {
        for (int i = 0; i < s.cut().rules().size(); i++) {
            s.cut().rules().get(i).examine("/cut/rules/" + i, faults);
        }
        fields(s, s.cut().groups().asType(), "/cut/groups", faults);
        Set<String> types = new HashSet<>();
        for (int t = 0; t < s.types().size(); t++) {
            var type = s.types().get(t);
            faults.usedTwice(types, type.type(), "/types/" + t + "/type");
            fields(s, type, "/types/" + t, faults);
            if (type.keep() != null) {
                type.keep().examine(type, "/types/" + t + "/keep", faults);
            }
        }
        Set<String> destinations = new HashSet<>();
        for (int d = 0; d < s.destinations().size(); d++) {
            faults.usedTwice(
                    destinations, s.destinations().get(d).destination(), "/destinations/" + d + "/destination");
        }
    }

    private static void fields(StreamDefinition s, StreamDefinition.DocumentType type, String of, Faults faults) {
        Set<String> fields = new HashSet<>();
        for (int f = 0; f < type.fields().size(); f++) {
            String at = of + "/fields/" + f;
            faults.usedTwice(fields, type.fields().get(f).field(), at + "/field");
            field(s, type, type.fields().get(f), at, faults);
        }
    }

    private static void field(
            StreamDefinition s, StreamDefinition.DocumentType type, Field field, String at, Faults faults) {
        for (int i = 0; i < field.finders().size(); i++) {
            field.finders().get(i).examine(type, at + "/finders/" + i, faults);
            if (field.finders().get(i) instanceof Finder.Inherited inherited
                    && inherited.take() != null
                    && s.cut().groups().asType().field(inherited.take()).isEmpty()) {
                faults.add(at + "/finders/" + i + "/take", "groups have no field '" + inherited.take() + "'");
            }
        }
        if (field.kind() == Field.Kind.CHOICE && field.choices().isEmpty()) {
            faults.add(at, "a choice needs its choices");
        }
        for (int i = 0; i < field.checks().size(); i++) {
            field.checks().get(i).examine(type, at + "/checks/" + i, faults);
        }
    }

    /** @param pointer JSON pointer (RFC 6901) of the faulty place */
    public record Fault(String pointer, String message) {
        @Override
        public String toString() {
            return (pointer.isEmpty() ? "/" : pointer) + ": " + message;
        }
    }

    public static final class InvalidStream extends Exception {
        private static final long serialVersionUID = 1L;
        private final transient List<Fault> faults;

        public InvalidStream(List<Fault> faults) {
            super(String.join("\n", faults.stream().map(Fault::toString).toList()));
            this.faults = faults;
        }

        public List<Fault> faults() {
            return faults;
        }
    }
}

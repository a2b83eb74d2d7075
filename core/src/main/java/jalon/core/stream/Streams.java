package jalon.core.stream;

import com.google.re2j.Pattern;
import com.google.re2j.PatternSyntaxException;
import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads stream definitions and says exactly where one is at fault. */
public final class Streams {
    // Absent true/false settings are false.
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();
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
        List<Fault> faults = new ArrayList<>();
        for (Error e : SCHEMA.validate(tree)) {
            faults.add(new Fault(e.getInstanceLocation().toString(), e.getMessage()));
        }
        if (!faults.isEmpty()) {
            faults.sort(Comparator.comparing(Fault::pointer));
            throw new InvalidStream(faults);
        }
        StreamDefinition definition = JSON.treeToValue(tree, StreamDefinition.class);
        meaning(definition, faults);
        if (!faults.isEmpty()) {
            throw new InvalidStream(faults);
        }
        return definition;
    }

    public static String write(StreamDefinition definition) {
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(definition);
    }

    /** What a schema cannot say: names are unique, what is pointed to exists, patterns are patterns. */
    private static void meaning(StreamDefinition s, List<Fault> faults) {
        for (int i = 0; i < s.cut().rules().size(); i++) {
            String at = "/cut/rules/" + i + "/pattern";
            if (s.cut().rules().get(i) instanceof StakeRule.ByBarcode b) {
                pattern(b.pattern(), at, faults);
            } else if (s.cut().rules().get(i) instanceof StakeRule.ByWords w) {
                pattern(w.pattern(), at, faults);
            }
        }
        Set<String> types = new HashSet<>();
        for (int t = 0; t < s.types().size(); t++) {
            var type = s.types().get(t);
            unique(types, type.type(), "/types/" + t + "/type", faults);
            Set<String> fields = new HashSet<>();
            for (int f = 0; f < type.fields().size(); f++) {
                field(type, type.fields().get(f), "/types/" + t + "/fields/" + f, fields, faults);
            }
        }
        Set<String> destinations = new HashSet<>();
        for (int d = 0; d < s.destinations().size(); d++) {
            unique(destinations, s.destinations().get(d).destination(), "/destinations/" + d + "/destination", faults);
        }
    }

    private static void field(
            StreamDefinition.DocumentType type, Field field, String at, Set<String> names, List<Fault> faults) {
        unique(names, field.field(), at + "/field", faults);
        for (int i = 0; i < field.finders().size(); i++) {
            Finder finder = field.finders().get(i);
            if (finder instanceof Finder.ByShape shape) {
                pattern(shape.pattern(), at + "/finders/" + i + "/pattern", faults);
            } else if (finder instanceof Finder.ByRegister row
                    && type.field(row.from()).isEmpty()) {
                faults.add(new Fault(
                        at + "/finders/" + i + "/from", "there is no field '" + row.from() + "' in this type"));
            }
        }
        for (int i = 0; i < field.checks().size(); i++) {
            if (field.checks().get(i) instanceof Check.Matches m) {
                pattern(m.pattern(), at + "/checks/" + i + "/pattern", faults);
            }
        }
    }

    private static void unique(Set<String> seen, String name, String pointer, List<Fault> faults) {
        if (!seen.add(name)) {
            faults.add(new Fault(pointer, "the name '" + name + "' is used twice"));
        }
    }

    private static void pattern(String pattern, String pointer, List<Fault> faults) {
        if (pattern == null) {
            return;
        }
        try {
            Pattern.compile(pattern);
        } catch (PatternSyntaxException e) {
            faults.add(new Fault(pointer, "this pattern cannot be used: " + e.getDescription()));
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

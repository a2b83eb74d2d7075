package jalon.core.stream;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import jalon.core.image.Measure;
import jalon.core.image.Repair;
import jalon.core.index.FoundBy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Code, published schema and reference page name the same kinds. */
class ContractTest {
    private static final Path DOCS = Path.of("../docs");

    static List<Arguments> kinds() {
        return List.of(
                Arguments.of(names(Finder.class), "/$defs/finder/properties/by/enum"),
                Arguments.of(names(Check.class), "/$defs/check/properties/check/enum"),
                Arguments.of(names(TidyStep.class), "/$defs/tidyStep/properties/do/enum"),
                Arguments.of(names(StakeRule.class), "/$defs/stakeRule/properties/by/enum"),
                Arguments.of(names(Repair.class), "/$defs/repair/properties/do/enum"),
                Arguments.of(names(Field.Kind.values()), "/$defs/field/properties/kind/enum"),
                Arguments.of(names(Destination.To.values()), "/$defs/destination/properties/to/enum"),
                Arguments.of(names(Destination.Format.values()), "/$defs/destination/properties/formats/items/enum"),
                Arguments.of(names(Destination.Listed.values()), "/$defs/destination/properties/list/enum"),
                Arguments.of(names(Destination.Taken.values()), "/$defs/destination/properties/taken/enum"));
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void schemaAndReferencePageNameEveryKind(List<String> names, String pointer) throws IOException {
        JsonNode inSchema = schema().at(pointer);
        assertThat(inSchema.valueStream().map(JsonNode::asString))
                .as(pointer)
                .containsExactlyInAnyOrderElementsOf(names);
        String page = Files.readString(DOCS.resolve("stream.md")) + Files.readString(DOCS.resolve("image.md"));
        assertThat(names)
                .allMatch(name -> page.contains("`" + name) || page.contains("\"" + name + "\""), "is explained");
    }

    @Test
    void everyMeasureCanHaveALimitAndIsExplained() throws IOException {
        List<String> names = Arrays.stream(Measure.values()).map(Measure::json).toList();
        assertThat(schema().at("/properties/pages/properties/limits/propertyNames/enum")
                        .valueStream()
                        .map(JsonNode::asString))
                .containsExactlyInAnyOrderElementsOf(names);
        String page = Files.readString(DOCS.resolve("image.md"));
        assertThat(names).allMatch(name -> page.contains("`" + name + "`"), "is explained");
    }

    @Test
    void theReportNamesEveryWayToFindAValue() throws IOException {
        assertThat(schema("report.schema.json")
                        .at("/$defs/finder/enum")
                        .valueStream()
                        .map(JsonNode::asString))
                .containsExactlyInAnyOrderElementsOf(names(FoundBy.values()));
    }

    private static JsonNode schema() throws IOException {
        return schema("stream.schema.json");
    }

    private static JsonNode schema(String name) throws IOException {
        return JsonMapper.builder()
                .build()
                .readTree(Files.readString(DOCS.resolve("schemas").resolve(name)));
    }

    private static List<String> names(Class<?> family) {
        return Arrays.stream(family.getAnnotation(JsonSubTypes.class).value())
                .map(JsonSubTypes.Type::name)
                .toList();
    }

    private static List<String> names(Enum<?>[] constants) {
        return Arrays.stream(constants)
                .map(c -> {
                    try {
                        return c.getDeclaringClass()
                                .getField(c.name())
                                .getAnnotation(JsonProperty.class)
                                .value();
                    } catch (NoSuchFieldException e) {
                        throw new AssertionError(e);
                    }
                })
                .toList();
    }
}

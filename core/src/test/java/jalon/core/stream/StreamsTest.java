package jalon.core.stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class StreamsTest {
    @ParameterizedTest
    @ValueSource(strings = {"berth-applications", "licence-renewals", "dues-letters"})
    void theDemosStreamsAreValid(String name) throws Exception {
        assertThat(Streams.parse(Files.readString(Path.of("../demo/streams", name + ".json"))).stream())
                .isEqualTo(name);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"by\":\"colour\"}|/cut/rules/0/by",
                "{\"by\":\"barcode\",\"kind\":\"CODE_11\"}|/cut/rules/0/kind",
                "{\"by\":\"barcode\",\"pattern\":\"(\"}|/cut/rules/0/pattern",
                "{\"by\":\"pages\"}|/cut/rules/0",
                "{\"by\":\"file\",\"every\":2}|/cut/rules/0"
            })
    void aFaultIsNamedWithItsPointer(String rule, String pointer) {
        var fault = catchThrowableOfType(
                Streams.InvalidStream.class,
                () -> Streams.parse(
                        "{\"jalon\":1,\"stream\":\"x\",\"title\":\"X\",\"types\":[{\"type\":\"a\"}],\"cut\":{\"rules\":["
                                + rule + "]}}"));
        assertThat(fault.faults()).anyMatch(f -> f.pointer().equals(pointer));
    }

    @ParameterizedTest
    @EnumSource(Starter.class)
    void whatAStreamCanBeginWithIsAStream(Starter starter) throws Exception {
        StreamDefinition begun = Streams.parse(starter.json("post", "Post"));
        assertThat(begun.title()).isEqualTo("Post");
        assertThat(begun.types())
                .filteredOn(StreamDefinition.DocumentType::otherwise)
                .hasSize(1);
        assertThat(begun.types().get(0).fields().isEmpty()).isEqualTo(starter == Starter.NOTHING);
    }

    @Test
    void aTypeIsKeptForSoLongFromADateOrFromItsFiling() {
        LocalDate filed = LocalDate.of(2026, 11, 28);
        var dated = new Retention("ended", 10, 0, Retention.Ends.YEAR_END);
        assertThat(dated.of(Map.of("ended", "2016-03-01"), filed))
                .isEqualTo(new Retention.Kept("ended", LocalDate.of(2016, 3, 1), LocalDate.of(2026, 12, 31)));
        assertThat(dated.of(Map.of("ended", "2016-03-01; 2017-02-01"), filed).last())
                .as("the latest of several")
                .isEqualTo(LocalDate.of(2027, 12, 31));
        assertThat(dated.of(Map.of("ended", "unknown"), filed))
                .isEqualTo(new Retention.Kept(null, filed, LocalDate.of(2036, 12, 31)));
        var month = new Retention(null, 0, 1, null).of(Map.of(), LocalDate.of(2026, 1, 31));
        assertThat(month.last()).isEqualTo(LocalDate.of(2026, 2, 28));
        assertThat(month.isOver(LocalDate.of(2026, 2, 28))).isFalse();
        assertThat(month.isOver(LocalDate.of(2026, 3, 1))).isTrue();
    }

    @Test
    void textThatIsNotJsonIsSaidToBeSo() {
        var fault = catchThrowableOfType(Streams.InvalidStream.class, () -> Streams.parse("stream: x"));
        assertThat(fault.getMessage()).contains("not JSON");
    }

    @Test
    void aStreamOfANewerFormIsSaidToBeSo() {
        var fault = catchThrowableOfType(
                Streams.InvalidStream.class,
                () -> Streams.parse("{\"jalon\":2,\"stream\":\"x\",\"title\":\"X\",\"looks\":\"new\"}"));
        assertThat(fault.getMessage())
                .isEqualTo("/jalon: this is form 2 of a stream, and this version of Jalon knows"
                        + " form 1; it takes a newer one");
    }

    @Test
    void shapesFitByExample() {
        assertThat(Shape.of("PM-9999-A").fits("PM-4821-K")).isTrue();
        assertThat(Shape.of("PM-9999-A").fits("PM-482-K")).isFalse();
        assertThat(Shape.of("~A-99").fits("A-17")).isTrue();
        assertThat(Shape.of("~A-99").fits("C-17")).isFalse();
    }
}

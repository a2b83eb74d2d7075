package jalon.core.stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
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

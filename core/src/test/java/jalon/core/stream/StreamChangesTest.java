package jalon.core.stream;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class StreamChangesTest {
    private static final String BEFORE = """
            {"jalon": 1, "stream": "s", "title": "S", "language": "eng",
             "cut": {"rules": [{"by": "patch"}, {"by": "words", "must": ["Dear"]}, {"by": "file"}]},
             "types": [
               {"type": "slip", "title": "Slip", "fields": [
                 {"field": "sum", "title": "Sum", "kind": "amount",
                  "finders": [{"by": "label", "labels": ["Sum"]}, {"by": "zone", "boxMm": [1, 2, 3, 4]}],
                  "checks": [{"check": "range", "least": 1}]},
                 {"field": "day"}]},
               {"type": "other", "default": true}],
             "destinations": [{"destination": "archive", "folder": "{type}"}]}""";

    private static List<String> said(String after) {
        return StreamChanges.between(BEFORE, after).stream()
                .map(c -> c.how() + " " + c.what() + " " + c.type() + " " + c.field() + " " + c.part())
                .toList();
    }

    @Test
    void theSameInAnotherOrderOfNamesIsNoChange() {
        assertThat(said(BEFORE.replace("\n", " ")
                        .replace(
                                "{\"by\": \"words\", \"must\": [\"Dear\"]}",
                                "{\"must\": [\"Dear\"], \"by\": \"words\"}")))
                .isEmpty();
    }

    @Test
    void whatIsAddedChangedMovedAndTakenOutIsToldByWhatItBelongsTo() {
        assertThat(said(BEFORE.replace("\"eng\"", "\"deu\"")
                        .replace("{\"by\": \"patch\"}, ", "")
                        .replace("{\"by\": \"file\"}", "{\"by\": \"file\"}, {\"by\": \"patch\"}, {\"by\": \"blank\"}")))
                .containsExactly(
                        "CHANGED STREAM null null language", "MOVED RULE null null null", "ADDED RULE null null null");
        assertThat(said(BEFORE.replace(
                                "[\"Sum\"]}, {\"by\": \"zone\", \"boxMm\": [1, 2, 3, 4]}", "[\"Sum\", \"Total\"]}")
                        .replace("\"kind\": \"amount\"", "\"kind\": \"number\", \"required\": true")
                        .replace("{\"field\": \"day\"}", "{\"field\": \"who\", \"title\": \"Holder\"}")))
                .containsExactly(
                        "CHANGED FIELD Slip Sum kind",
                        "ADDED FIELD Slip Sum required",
                        "CHANGED FINDER Slip Sum null",
                        "REMOVED FINDER Slip Sum null",
                        "REMOVED FIELD Slip day null",
                        "ADDED FIELD Slip Holder null");
        assertThat(said(BEFORE.replaceAll(",\\s*\\{\"type\": \"other\", \"default\": true\\}", "")
                        .replace("\"{type}\"", "\"{batch}\"")
                        .replace("\"least\": 1", "\"least\": 5")))
                .containsExactly(
                        "CHANGED CHECK Slip Sum null",
                        "REMOVED TYPE other null null",
                        "CHANGED DESTINATION null archive folder");
    }

    @Test
    void aPartIsToldAsItWasAndAsItIs() {
        var changes = StreamChanges.between(BEFORE, BEFORE.replace("[\"Dear\"]", "[\"Dear\", \"neighbours\"]"));
        assertThat(changes).hasSize(1);
        assertThat(changes.get(0).before()).hasToString("{by=words, must=[Dear]}");
        assertThat(changes.get(0).after()).hasToString("{by=words, must=[Dear, neighbours]}");
    }
}

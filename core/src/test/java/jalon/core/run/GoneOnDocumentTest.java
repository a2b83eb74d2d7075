package jalon.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.PageBuilder;
import jalon.core.image.Repair;
import jalon.core.output.FiledDocument;
import jalon.core.read.PageFacts;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class GoneOnDocumentTest {
    private static final Instant FIRST = Instant.parse("2026-11-20T10:00:00Z");
    private static final Instant LATER = Instant.parse("2026-11-27T10:00:00Z");

    private static FiledDocument document(
            String type, Map<String, String> fields, Map<Integer, List<Repair>> recipes, Instant at, int... pages) {
        List<PageFacts> facts = java.util.Arrays.stream(pages)
                .mapToObj(no -> PageBuilder.page(no).seen())
                .toList();
        var origin = new FiledDocument.Origin("letters", type, "B-0007", 3);
        return new FiledDocument("Letter 3", origin, fields, facts, recipes, at);
    }

    private static final List<Repair> STRAIGHT = List.of(new Repair.Straighten());

    @Test
    void pagesOfBothStandBehindEachOtherUnderNumbersOfTheirOwn() {
        FiledDocument first =
                document("letter", Map.of("vessel", "PM-4821-K", "amount", "1.00"), Map.of(5, STRAIGHT), FIRST, 4, 5);
        FiledDocument more = document("letter", Map.of("amount", "2.00"), Map.of(4, STRAIGHT), LATER, 4);
        FiledDocument both = first.with(more);
        assertThat(both.pages()).extracting(PageFacts::no).containsExactly(1, 2, 3);
        assertThat(both.recipes()).as("each repaired as it was").containsOnlyKeys(2, 3);
        assertThat(both.fields()).containsExactlyInAnyOrderEntriesOf(Map.of("vessel", "PM-4821-K", "amount", "2.00"));
        assertThat(both.title()).isEqualTo("Letter 3");
        assertThat(both.at()).isEqualTo(LATER);
    }

    @Test
    void whatGoesOnAnotherStreamsDocumentIsToldByTheNameOfItsType() {
        var stream = new StreamDefinition("other", "Other", null, null, null, null, List.of(), null, null);
        var destination = new Destination(
                "records",
                Destination.To.PLACE,
                "office",
                null,
                null,
                null,
                null,
                Map.of("kind", "{type}", "of", "{vessel}"),
                null);
        assertThat(Filing.properties(
                        stream,
                        destination,
                        document("letter", Map.of("vessel", "PM-4821-K"), Map.of(), FIRST, 1),
                        LocalDate.of(2026, 11, 27)))
                .containsExactlyInAnyOrderEntriesOf(Map.of("kind", "letter", "of", "PM-4821-K"));
    }
}

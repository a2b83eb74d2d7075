package jalon.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.PageBuilder;
import jalon.core.evidence.Reason;
import jalon.core.index.FieldValue;
import jalon.core.index.ZoneReader;
import jalon.core.read.PageFacts;
import jalon.core.sort.Learned;
import jalon.core.stream.Streams;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class AcrossDocumentsTest {
    private static final String STREAM = """
            {"jalon":1,"stream":"s","title":"S","cut":{"rules":[{"by":"pages","every":1}]},
             "types":[{"type":"t","default":true,"fields":[
               {"field":"no","finders":[{"by":"shape","like":"A-9999"}],"checks":[{"check":"onceInBatch"},{"check":"notFiledBefore","with":["year"]}]},
               {"field":"year","finders":[{"by":"label","labels":["Year"]}]}]}]}
            """;

    private static List<FieldValue> numbers(FiledBefore filed, List<Decided> decided, String... pages)
            throws Exception {
        List<PageFacts> facts = new ArrayList<>();
        for (int i = 0; i < pages.length; i++) {
            facts.add(PageBuilder.page(i + 1).lines(pages[i].split("/")).seen());
        }
        var about = new BatchContext(Map.of(), null, null, filed);
        return new BatchRun(
                        Streams.parse(STREAM),
                        Learned.NOTHING,
                        Map.of(),
                        ZoneReader.NONE,
                        LocalDate.of(2026, 11, 27),
                        about,
                        BatchMemory.NONE)
                .index(facts, decided).documents().stream()
                        .map(d -> d.fields().get("no"))
                        .toList();
    }

    @Test
    void oneNumberOnTwoDocumentsIsADoubtOnBoth() throws Exception {
        List<FieldValue> found =
                numbers(FiledBefore.NOTHING, List.of(), "A-4821/Year: 2026", "A-1177/Year: 2026", "A-4821/Year: 2026");
        assertThat(found.get(0).reasons()).contains(Reason.Code.TWICE_IN_BATCH.with(3));
        assertThat(found.get(1).reasons()).noneMatch(r -> r.code() == Reason.Code.TWICE_IN_BATCH);
        assertThat(found.get(2).reasons()).contains(Reason.Code.TWICE_IN_BATCH.with(1));
    }

    @Test
    void whatWasFiledBeforeIsToldWithWhereItLies() throws Exception {
        FiledBefore filed = (type, values) -> values.equals(Map.of("no", "A-4821", "year", "2026"))
                ? Optional.of(new FiledBefore.Earlier(LocalDate.of(2026, 3, 1), "B-0031", 4))
                : Optional.empty();
        List<FieldValue> found = numbers(filed, List.of(), "A-4821/Year: 2026", "A-4821/Year: 2025", "A-4821");
        Reason told = Reason.Code.FILED_BEFORE.with("2026-03-01", "B-0031", 4);
        assertThat(found.get(0).reasons()).contains(told);
        assertThat(told.words()).isEqualTo("filed before, on 2026-03-01: batch B-0031, from page 4");
        assertThat(found.subList(1, 3)).allSatisfy(v -> assertThat(v.reasons()).doesNotContain(told));
    }

    @Test
    void whatAPersonSettledStaysSettledAndSaysItAllTheSame() throws Exception {
        FiledBefore filed =
                (type, values) -> Optional.of(new FiledBefore.Earlier(LocalDate.of(2026, 3, 1), "B-0031", 4));
        var settled = new Decided(
                new Decision.Settle(1, "no", "A-4821", 1, null), "T. Vane", Instant.parse("2026-11-27T09:00:00Z"));
        FieldValue value = numbers(filed, List.of(settled), "A-4821/Year: 2026").get(0);
        assertThat(value.state()).isEqualTo(FieldValue.State.SETTLED);
        assertThat(value.reasons()).hasSize(1);
    }
}

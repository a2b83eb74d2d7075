package jalon.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import jalon.core.PageBuilder;
import jalon.core.index.ZoneReader;
import jalon.core.read.PageFacts;
import jalon.core.run.Replay.Confirmed;
import jalon.core.run.Replay.Did;
import jalon.core.run.Replay.What;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ReplayTest {
    private static final List<PageFacts> PAGES = List.of(
            page(1, "Dear Harbour Master", "the dues for PM-4821-K", "paid 12.50"),
            page(2, "the rest of the letter"),
            page(3, "Dear Harbour Master", "the dues for PM-5510-A", "paid 7.25"));

    /** As people confirmed it. */
    private static final List<Confirmed> CONFIRMED = List.of(
            new Confirmed(
                    List.of(1, 2),
                    "dues",
                    Map.of("vessel", new Confirmed.Value("PM-4821-K", 1), "amount", new Confirmed.Value("12.50", 1))),
            new Confirmed(
                    List.of(3),
                    "dues",
                    Map.of("vessel", new Confirmed.Value("PM-5510-A", 3), "amount", new Confirmed.Value(null, 0))));

    private static PageFacts page(int no, String... lines) {
        return PageBuilder.page(no).lines(lines).seen();
    }

    private static BatchView by(String cut, String vessel, String amount) throws Exception {
        StreamDefinition stream = Streams.parse("""
                {"jalon":1,"stream":"letters","title":"Letters","cut":{"rules":[{"by":"words","must":["%s"]}]},
                 "types":[{"type":"dues","default":true,"fields":[
                   {"field":"vessel","finders":[%s]},{"field":"amount","finders":[%s]}]}],
                 "destinations":[{"destination":"office","to":"folder"}]}""".formatted(cut, vessel, amount));
        return new BatchRun(stream, Map.of(), ZoneReader.NONE, LocalDate.of(2026, 11, 28)).index(PAGES, List.of());
    }

    private static final String VESSEL = "{\"by\":\"shape\",\"like\":\"PM-9999-A\"}";
    private static final String AMOUNT = "{\"by\":\"shape\",\"pattern\":\"paid ([0-9.]+)\"}";

    @Test
    void whatTheChangedStreamDoesBetterAndWorseIsToldWithItsPage() throws Exception {
        BatchView before = by("Dear Harbour Master", "{\"by\":\"shape\",\"like\":\"XX-9999\"}", AMOUNT);
        BatchView after = by("the", VESSEL, AMOUNT);
        Replay replay = Replay.of(CONFIRMED, before, after);
        assertThat(replay.differences())
                .extracting(Replay.Difference::what, Replay.Difference::page, Replay.Difference::field)
                .contains(tuple(What.CUT, 2, null), tuple(What.VALUE, 1, "vessel"), tuple(What.VALUE, 3, "vessel"));
        assertThat(replay.differences())
                .filteredOn(Replay.Difference::worse)
                .extracting(Replay.Difference::what)
                .contains(What.CUT);
        assertThat(replay.differences())
                .filteredOn(Replay.Difference::better)
                .extracting(Replay.Difference::confirmed)
                .contains("PM-4821-K", "PM-5510-A");
        assertThat(replay.worse()).isTrue();
        assertThat(replay.before().get(What.CUT).sureAndRight()).isEqualTo(3);
        assertThat(replay.after().get(What.CUT).sureAndRight()).isLessThan(3);
    }

    @Test
    void aSureValueWherePeopleConfirmedNoneIsSureAndWrong() throws Exception {
        BatchView same = by("Dear Harbour Master", VESSEL, AMOUNT);
        Replay replay = Replay.of(CONFIRMED, same, same);
        assertThat(replay.differences()).as("the two are alike").isEmpty();
        assertThat(replay.worse()).isFalse();
        assertThat(replay.after().get(What.VALUE)).isEqualTo(new Replay.Tally(3, 0, 1));
        assertThat(Replay.of(CONFIRMED, same).differences())
                .as("beside people: the one value that they would have to take out again")
                .singleElement()
                .satisfies(d -> assertThat(d.worse()).isTrue());
        assertThat(Replay.of(List.of(replay, replay)).after().get(What.VALUE)).isEqualTo(new Replay.Tally(6, 0, 2));
    }

    @Test
    void aDocumentThatWasNotSeenHasNothingSaidOfIt() throws Exception {
        BatchView before = by("Dear Harbour Master", VESSEL, AMOUNT);
        BatchView after = by("no such words", VESSEL, AMOUNT);
        Replay replay = Replay.of(CONFIRMED, before, after);
        assertThat(replay.differences())
                .filteredOn(d -> d.page() == 3 && d.what() != What.CUT)
                .isNotEmpty()
                .allSatisfy(d -> {
                    assertThat(d.after().did()).isEqualTo(Did.IN_DOUBT);
                    assertThat(d.after().text()).isNull();
                });
    }
}

package jalon.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.PageBuilder;
import jalon.core.evidence.Reason;
import jalon.core.image.Ticked;
import jalon.core.image.Ticked.State;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.SeeTicks;
import jalon.core.stream.StreamDefinition.DocumentType;
import jalon.core.stream.Streams;
import jalon.core.text.Model;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tick boxes, choices, times, lists, and what fields of one document say of each other. */
class FieldKindsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 27);

    private static DocumentType type(String fields) throws Exception {
        return Streams.parse("{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\",\"fields\":["
                        + fields + "]}]}")
                .types()
                .get(0);
    }

    private static Map<String, FieldValue> index(DocumentType type, ZoneReader zones, String... lines) {
        List<Word> words = new ArrayList<>();
        for (int l = 0; l < lines.length; l++) {
            double x = 20;
            for (String text : lines[l].split(" ")) {
                words.add(new Word(text, new Box(x, 20 + 10 * l, 2.2 * text.length(), 3), 0.97, l));
                x += 2.2 * text.length() + 1.5;
            }
        }
        PageFacts page = PageBuilder.page(1).words(words).seen();
        return Indexer.index(type, new Document(List.of(page), Optional.empty()), zones, Map.of(), TODAY, Map.of());
    }

    /** Boxes in the order of their finders, looked at once; print is read again as it was read. */
    private static ZoneReader seeing(Ticked... marks) {
        return new ZoneReader() {
            @Override
            public List<Word> read(PageFacts page, Box zone, Model model) {
                return page.words().stream()
                        .filter(w -> zone.grown(0.5).holdsCentreOf(w.box()))
                        .toList();
            }

            @Override
            public List<Ticked> ticks(PageFacts page, List<SeeTicks.Place> places) {
                assertThat(places).hasSize(marks.length);
                return Arrays.asList(marks);
            }
        };
    }

    private static Ticked box(State state) {
        return new Ticked(state, 0.998, state == State.FILLED ? 0.9 : 0.1, true, new Box(10, 10, 4, 4));
    }

    private static final String BOXES =
            "{\"by\":\"ticks\",\"boxes\":[{\"boxMm\":[10,10,4,4],\"means\":\"new\"},{\"boxMm\":[10,20,4,4],\"means\":\"renewal\"},{\"boxMm\":[10,30,4,4],\"means\":\"copy\"}]}";

    private static FieldValue ticked(String more, State... states) throws Exception {
        var type = type("{\"field\":\"f\",\"required\":true" + more + ",\"finders\":[" + BOXES + "]}");
        return index(type, seeing(Arrays.stream(states).map(FieldKindsTest::box).toArray(Ticked[]::new)))
                .get("f");
    }

    @Test
    void theTickedBoxIsTheValue() throws Exception {
        FieldValue value = ticked("", State.EMPTY, State.TICKED, State.EMPTY);
        assertThat(value.value()).isEqualTo("renewal");
        assertThat(value.state()).isEqualTo(FieldValue.State.SURE);
        assertThat(value.finder()).isEqualTo(FoundBy.TICKS);
    }

    @Test
    void whatWasStruckOutIsToldAndNeverSure() throws Exception {
        FieldValue line = ticked("", State.STRUCK_OUT, State.TICKED, State.EMPTY);
        assertThat(line.value()).isEqualTo("renewal");
        assertThat(line.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(line.reasons()).containsExactly(Reason.Code.STRUCK_OUT.with("new"));
        FieldValue full = ticked("", State.FILLED, State.TICKED, State.EMPTY);
        assertThat(full.value()).isEqualTo("renewal");
        assertThat(full.reasons()).containsExactly(Reason.Code.STRUCK_OUT.with("new"));
    }

    @Test
    void twoTicksWhereOneBelongsAreADoubtWithBothToChooseFrom() throws Exception {
        FieldValue value = ticked("", State.TICKED, State.TICKED, State.EMPTY);
        assertThat(value.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(value.reasons()).contains(Reason.Code.SEVERAL_TICKED.with("new, renewal"));
        assertThat(value.candidates()).containsExactly("renewal");
        assertThat(ticked(",\"several\":true", State.TICKED, State.TICKED, State.EMPTY)
                        .value())
                .isEqualTo("new; renewal");
    }

    @Test
    void noTickIsNoValueAndABoxBesideThePageIsSaid() throws Exception {
        assertThat(ticked("", State.EMPTY, State.EMPTY, State.EMPTY).reasons())
                .containsExactly(Reason.Code.REQUIRED.with(), Reason.Code.NOTHING_TICKED.with());
        var type = type("{\"field\":\"f\",\"finders\":[" + BOXES + "]}");
        assertThat(index(type, seeing(box(State.EMPTY), null, box(State.EMPTY)))
                        .get("f")
                        .reasons())
                .containsExactly(Reason.Code.BOX_OFF_PAGE.with());
        assertThat(index(type, ZoneReader.NONE).get("f").reasons()).containsExactly(Reason.Code.BOXES_NOT_SEEN.with());
    }

    @ParameterizedTest
    @CsvSource({"Ja,yes,0", "NEIN,no,0", "oui,yes,0", "yes please,yes,1", "Nowhere,Nowhere,1"})
    void yesAndNoAreKnownInManyLanguages(String text, String value, int problems) throws Exception {
        var type = type("{\"field\":\"f\",\"kind\":\"yesNo\"}");
        FieldValue found = Indexer.settle(type.fields().get(0), text, Map.of(), TODAY, 1, null, "T. Vane");
        assertThat(found.value()).isEqualTo(value);
        Tidying.Tidied tidied = Choices.of(type.fields().get(0)).meant(text);
        assertThat(tidied.doubts().size() + (tidied.problem() == null ? 0 : 1)).isEqualTo(problems);
    }

    @Test
    void aChoiceIsNamedByItsSpellingsAndOffersAllOfThem() throws Exception {
        var type = type(
                "{\"field\":\"f\",\"kind\":\"choice\",\"choices\":{\"new\":[\"Erstantrag\",\"first application\"],\"renewal\":[\"Verlängerung\"]},"
                        + "\"finders\":[{\"by\":\"label\",\"labels\":[\"Kind\"]}]}");
        assertThat(index(type, seeing(), "Kind: Verlangerung").get("f").value()).isEqualTo("renewal");
        FieldValue odd = index(type, seeing(), "Kind: something").get("f");
        assertThat(odd.state()).isEqualTo(FieldValue.State.WRONG);
        assertThat(odd.candidates()).contains("new", "renewal");
        assertThat(Indexer.settle(type.fields().get(0), "erstantrag", Map.of(), TODAY, 1, null, "T. Vane")
                        .value())
                .isEqualTo("new");
    }

    @ParameterizedTest
    @CsvSource({
        "at 15:45 Uhr,15:45",
        "kl. 9.05,09:05",
        "15h30,15:30",
        "3 p.m.,15:00",
        "12:10 am,00:10",
        "l5:O5,15:05",
        "8 Uhr,08:00",
        "24:00,00:00",
    })
    void timesAreReadInEverySpelling(String text, String time) {
        assertThat(ClockTimes.find(text)).extracting(s -> s.value().toString()).containsExactly(time);
    }

    @ParameterizedTest
    @CsvSource({"12.04.2026", "25:10", "1:75", "13 pm", "07", "2026-04-03"})
    void whatIsNoTimeIsNone(String text) {
        assertThat(ClockTimes.find(text)).isEmpty();
    }

    @Test
    void aListHoldsEachValueOnceAndIsAsSureAsItsLeast() throws Exception {
        var type = type(
                "{\"field\":\"f\",\"several\":true,\"finders\":[{\"by\":\"shape\",\"like\":\"PM-9999\"}],\"checks\":[{\"check\":\"like\",\"like\":\"PM-9999\"}]}");
        FieldValue value =
                index(type, seeing(), "PM-4821 and PM-1177", "again PM-4821").get("f");
        assertThat(value.value()).isEqualTo("PM-4821; PM-1177");
        assertThat(value.reasons()).noneMatch(r -> r.code() == Reason.Code.RIVALS);
        assertThat(Indexer.settle(type.fields().get(0), "PM-4821;PM-11", Map.of(), TODAY, 1, null, "T. Vane")
                        .reasons())
                .containsExactly(Reason.Code.NOT_OF_FORM.with("PM-9999"));
    }

    private static String amount(String name, String label, String checks) {
        return "{\"field\":\"%s\",\"title\":\"%s\",\"kind\":\"amount\",\"finders\":[{\"by\":\"label\",\"labels\":[\"%s\"]}],\"checks\":[%s]}"
                .formatted(name, label, label, checks);
    }

    @Test
    void aSumThatIsRightRaisesItsPartsAndOneThatIsWrongDoubtsAll() throws Exception {
        var type = type(amount("net", "Net", "") + "," + amount("tax", "Tax", "") + ","
                + amount("total", "Total", "{\"check\":\"sum\",\"of\":[\"net\",\"tax\"]}"));
        var right = index(type, seeing(), "Net: 100.00", "Tax: 19.00", "Total: 119.00");
        var wrong = index(type, seeing(), "Net: 100.00", "Tax: 19.00", "Total: 117.00");
        assertThat(right.get("net").certainty()).isGreaterThan(0.99);
        assertThat(wrong.values()).allMatch(v -> v.state() == FieldValue.State.DOUBTFUL);
        assertThat(wrong.get("total").reasons()).contains(Reason.Code.SUM_DIFFERS.with("Net, Tax", "119.00"));
    }

    private static String day(String name, String label, String checks) {
        return amount(name, label, checks).replace("\"amount\"", "\"date\"");
    }

    @Test
    void daysInTheWrongOrderAreDoubted() throws Exception {
        var type = type(day("written", "Written", "") + ","
                + day("due", "Due", "{\"check\":\"after\",\"field\":\"written\",\"least\":1,\"most\":90}"));
        assertThat(index(type, seeing(), "Written: 3 April 2026", "Due: 3 March 2026")
                        .get("written")
                        .reasons())
                .contains(Reason.Code.TOO_SOON_AFTER.with("Written", "2026-04-03"));
        assertThat(index(type, seeing(), "Written: 3 April 2026", "Due: 3 March 2027")
                        .get("due")
                        .reasons())
                .contains(Reason.Code.TOO_LONG_AFTER.with("Written", "2026-04-03", 90));
        assertThat(index(type, seeing(), "Written: 3 April 2026", "Due: 3 May 2026")
                        .get("due")
                        .reasons())
                .noneMatch(r -> r.code() == Reason.Code.TOO_SOON_AFTER);
    }

    @Test
    void theSameInTwoPlacesIsBelievedAndTwoDifferentAreNot() throws Exception {
        var type = type(amount("head", "Number", "").replace("\"amount\"", "\"text\"") + ","
                + amount("foot", "Repeat", "{\"check\":\"sameAs\",\"field\":\"head\"}")
                        .replace("\"amount\"", "\"text\""));
        var same = index(type, ZoneReader.NONE, "Number: 48213", "Repeat: 48213");
        var alone = index(type, ZoneReader.NONE, "Number: 48213", "Other: 48213");
        var other = index(type, seeing(), "Number: 48213", "Repeat: 48218");
        assertThat(same.get("head").certainty()).isGreaterThan(alone.get("head").certainty());
        assertThat(other.get("head").state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(other.get("foot").reasons()).contains(Reason.Code.DIFFERS_FROM.with("Number", "48213"));
    }
}

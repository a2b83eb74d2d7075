package jalon.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.PageBuilder;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.stream.DocumentPages;
import jalon.core.stream.Finder;
import jalon.core.stream.Shape;
import jalon.core.stream.StreamDefinition.DocumentType;
import jalon.core.stream.Streams;
import jalon.core.text.Model;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.assertj.core.api.InstanceOfAssertFactories;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every way a value is found, on pages written line by line. */
class FindersTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 27);
    private static final double LINE_MM = 5;
    private static final double LETTER_MM = 2;

    private static DocumentType type(String... fields) throws Exception {
        return Streams.parse("{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\",\"fields\":["
                        + String.join(",", fields) + "]}]}")
                .types()
                .get(0);
    }

    private static String field(String kind, String... finders) {
        return "{\"field\":\"v\",\"kind\":\"" + kind + "\",\"finders\":[" + String.join(",", finders) + "]}";
    }

    /** @param lines 5 mm apart from the top; {@code @60} goes to 60 mm from the left, where each begins at 20 */
    private static PageFacts page(int no, String... lines) {
        List<Word> words = new ArrayList<>();
        for (int l = 0; l < lines.length; l++) {
            double x = 20;
            for (String text : lines[l].strip().split("\\s+")) {
                if (text.startsWith("@")) {
                    x = Double.parseDouble(text.substring(1));
                } else if (!text.isEmpty()) {
                    double width = LETTER_MM * text.length();
                    words.add(new Word(text, new Box(x, LINE_MM * (l + 1), width, 3), 0.97, l));
                    x += width + 1.5;
                }
            }
        }
        return PageBuilder.page(no).words(words).seen();
    }

    /** Reads again what the page has, as a good picture would be read. */
    private static final ZoneReader CLEAR = (page, zone, model) -> model == Model.SAME
            ? List.of()
            : page.words().stream()
                    .filter(w -> zone.grown(0.3).holdsCentreOf(w.box()))
                    .toList();

    private static Map<String, FieldValue> index(DocumentType type, PageFacts... pages) {
        var about = Map.of(
                Finder.Inherited.From.SENDER, "n.pell@port-merrow.example",
                Finder.Inherited.From.STATION, "counter",
                Finder.Inherited.From.FILE_NAME, "first-of-the-batch.pdf");
        var document = new Document(List.of(pages), Optional.empty(), about, Map.of(), null, List.of());
        return Indexer.index(type, document, CLEAR, Map.of(), TODAY, Map.of());
    }

    private static FieldValue value(String kind, String finders, PageFacts... pages) throws Exception {
        return index(type(field(kind, finders)), pages).get("v");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            quoteCharacter = '`',
            value = {
                "A{2,4}[/-]9{5,8} # KJ/12345 # true",
                "A{2,4}[/-]9{5,8} # KJMO-12345678 # true",
                "A{2,4}[/-]9{5,8} # K-12345 # false",
                "A{2,4}[/-]9{5,8} # KJ-1234 # false",
                "A{2,4}[/-]9{5,8} # KJ.12345 # false",
                "9{3,} # 12 # false",
                "9{3,} # 1234567 # true",
                "PM~{9~} # PM{9} # true"
            })
    void aShapeSaysHowOftenAndWhichSigns(String shape, String value, boolean fits) {
        assertThat(Shape.of(shape).fits(value)).isEqualTo(fits);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            quoteCharacter = '`',
            value = {
                "{'by':'shape','like':'A{'} # is not closed",
                "{'by':'shape','like':'A[]9'} # has nothing in it",
                "{'by':'shape','like':'A{4,2}'} # the smaller first",
                "{'by':'shape','like':'A{x}'} # is no number",
                "{'by':'shape','pattern':'.*'} # fits everything",
                "{'by':'shape','pattern':'[^§]+'} # fits everything",
                "{'by':'inherited','from':'fileName','pattern':'('} # cannot be used",
                "{'by':'fields','text':'{year}-{v}'} # no field 'year'",
                "{'by':'fields','text':'year'} # name at least one field",
                "{'by':'zone','boxMm':[1,1,9,9],'page':0} # ",
            })
    void aFinderThatSaysNothingOrWrongIsRefused(String finder, String why) {
        assertThat(org.assertj.core.api.Assertions.catchThrowable(() -> type(field("text", finder.replace('\'', '"')))))
                .isInstanceOf(Streams.InvalidStream.class)
                .hasMessageContaining(why == null ? "/finders/0" : why);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            quoteCharacter = '`',
            nullValues = "-",
            value = {
                // Misread letters and blanks that people put.
                "{'like':'A{2,4}[/-]9{5,8}'} # See KJ/l2345 of May # KJ/12345",
                "{'like':'A{2,4}[/-]9{5,8}'} # See KJM- 12 345 678 of May # KJM-12345678",
                "{'like':'A{2,4}[/-]9{5,8}'} # See K/12345 of May # -",
                // Near, and not near.
                "{'like':'9{4}','near':['Our number']} # Phone 5550 @150 Our number @180 4711 # 4711",
                "{'like':'9{4}','near':['Our number']} # Phone 5550 # -",
                "{'like':'9{4}','where':[100,0,110,297]} # 5550 @150 4711 # 4711",
                "{'pattern':'No ([0-9]+)','where':[10,0,60,297]} # No 5550 @150 No 4711 # 5550",
            })
    void aShapeIsFoundWhereItIsAskedFor(String finder, String line, String value) throws Exception {
        String by = "{\"by\":\"shape\"," + finder.replace('\'', '"').substring(1);
        assertThat(value("text", by, page(1, line)).value()).isEqualTo(value);
    }

    @Test
    void aValueThatGoesOnInTheNextLineIsFoundOnlyWhereThatIsAskedFor() throws Exception {
        PageFacts page = page(1, "We write about KJM-123", "45678 and nothing else");
        assertThat(value("text", "{\"by\":\"shape\",\"like\":\"AAA-9{8}\"}", page)
                        .value())
                .isNull();
        FieldValue found = value("text", "{\"by\":\"shape\",\"like\":\"AAA-9{8}\",\"overLines\":true}", page);
        assertThat(found.value()).isEqualTo("KJM-12345678");
        assertThat(found.boxMm().height()).isGreaterThan(LINE_MM);
        // Each part was read again by itself.
        assertThat(found.state()).isEqualTo(FieldValue.State.SURE);
    }

    @Test
    void whereLettersMayGoOnAsDigitsAnOIsADoubt() throws Exception {
        String finder = "{\"by\":\"shape\",\"like\":\"A{2,4}9{5,8}\"}";
        FieldValue found = value("text", finder, page(1, "Your KJO12345 of May"));
        assertThat(found.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(found.reasons()).extracting(Reason::code).contains(Reason.Code.FORM_TWO_WAYS);
        assertThat(found.candidates()).contains("KJ012345");
        FieldValue more = value("text", finder, page(1, "Your KJM12345 678 parts"));
        assertThat(more.reasons()).contains(Reason.Code.FORM_TWO_WAYS.with("KJM12345678", "KJM12345"));
        // A check may tell.
        String checked = field("text", finder)
                .replace("\"kind\"", "\"checks\":[{\"check\":\"matches\",\"pattern\":\"KJO.*\"}],\"kind\"");
        assertThat(index(type(checked), page(1, "Your KJO12345 of May"))
                        .get("v")
                        .reasons())
                .isEmpty();
        FieldValue plain = value("text", finder, page(1, "Your KJM12345 of May"));
        assertThat(plain.reasons()).isEmpty();
        assertThat(plain.state()).isEqualTo(FieldValue.State.SURE);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            quoteCharacter = '`',
            nullValues = "-",
            value = {
                "above # date # 12 May 2026; Received # 2026-05-12",
                "left # text # Ewa Lindqvist @60 (tenant) # Ewa Lindqvist",
                "left # text # Ewa Lindqvist tenant # Ewa Lindqvist",
                // A file number beside it is no date; the day above it is.
                "nearest # date # 12 May 2026; Received K-77; . # 2026-05-12",
                "nearest # amount # Received 42,50 @90 12,00 # 42.50",
                "nearest # date # nothing; Received soon; else # -",
            })
    void aLabelNamesWhatStandsOnAnySideOfIt(String side, String kind, String lines, String value) throws Exception {
        String label = side.equals("left") ? "tenant" : "Received";
        String finder = "{\"by\":\"label\",\"labels\":[\"" + label + "\"],\"side\":\"" + side + "\"}";
        FieldValue found = value(kind, finder, page(1, lines.split(";")));
        // What is no value of its kind stays to be seen, and is wrong.
        assertThat(found.state() == FieldValue.State.WRONG ? null : found.value())
                .isEqualTo(value);
    }

    @Test
    void anAddressGoesOnOverTheLinesThatBeginWhereItDoes() throws Exception {
        PageFacts page = page(
                1,
                "Applicant: @60 Ewa Lindqvist",
                "@60 4 Tern Street",
                "@60 PM2 7KK Port Merrow",
                "",
                "",
                "@60 Not of it");
        String finder = "{\"by\":\"label\",\"labels\":[\"Applicant\"]}";
        assertThat(value("address", finder, page).value())
                .isEqualTo("Ewa Lindqvist, 4 Tern Street, PM2 7KK Port Merrow");
        assertThat(value("text", finder, page).value()).isEqualTo("Ewa Lindqvist");
        String zone = "{\"by\":\"zone\",\"boxMm\":[58,3,80,16],\"holds\":\"block\"}";
        FieldValue block = value("text", zone, page);
        assertThat(block.value()).isEqualTo("Ewa Lindqvist, 4 Tern Street, PM2 7KK Port Merrow");
        assertThat(block.state()).isEqualTo(FieldValue.State.SURE);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            quoteCharacter = '`',
            nullValues = "-",
            value = {
                "'page':2 # second",
                "'page':-2 # second",
                "'page':'last' # third",
                "'page':4 # -",
                "'page':'any' # first",
                "'holds':'line','boxMm':[18,3,60,14] # below",
                "'holds':'word','boxMm':[18,13,60,4] # AB12",
                "'boxMm':[18,18,60,4],'read':{'only':'digits'} # 501",
                "'boxMm':[18,18,60,4],'read':{'characters':'S0l'} # S0l",
            })
    void aZoneIsReadAsItsPlaceSays(String settings, String value) throws Exception {
        String own = settings.contains("boxMm") ? "" : "'boxMm':[18,3,60,4],";
        String finder = "{'by':'zone'," + own + settings + "}";
        FieldValue found = value(
                "text",
                finder.replace('\'', '"'),
                page(1, "first", "below", "AB 12", "S0l"),
                page(2, "second"),
                page(3, "third"));
        assertThat(found.value()).isEqualTo(value);
    }

    @Test
    void whatCannotStandInAZoneKeepsItsValueFromBeingSure() throws Exception {
        String finder = "{\"by\":\"zone\",\"boxMm\":[18,3,60,4],\"read\":{\"only\":\"digits\"}}";
        assertThat(value("text", finder, page(1, "47-11")).state()).isEqualTo(FieldValue.State.SURE);
        FieldValue found = value("text", finder, page(1, "47K11"));
        assertThat(found.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(found.reasons()).contains(Reason.Code.OUTSIDE_LIMITS.with("K"));
    }

    @Test
    void aValueThatRunsOverItsBoxIsTakenWholeButNotFromTheNextBox() throws Exception {
        String zone = "{\"by\":\"zone\",\"boxMm\":[18,3,30,5]}";
        String next = "{\"field\":\"n\",\"finders\":[{\"by\":\"zone\",\"boxMm\":[70,3,30,5]}]}";
        DocumentType type = type(field("text", zone), next);
        assertThat(index(type, page(1, "Montgomery-Lindqvist @75 next"))
                        .get("v")
                        .value())
                .isEqualTo("Montgomery-Lindqvist");
        FieldValue over =
                index(type, page(1, "Anna Montgomery-Lin Ewa @75 next")).get("v");
        assertThat(over.value()).isEqualTo("Anna Montgomery-Lin Ewa");
        assertThat(over.reasons()).extracting(Reason::code).contains(Reason.Code.RUNS_OVER);
        // A unit behind the box of a value that fits is no part of it.
        assertThat(index(type, page(1, "12 @48.5 metres")).get("v").value()).isEqualTo("12");
    }

    @Test
    void findersThatDisagreeAreADoubtUnlessTheStreamRanksThem() throws Exception {
        String label = "{\"by\":\"label\",\"labels\":[\"Number\"]}";
        String foot = "{\"by\":\"zone\",\"boxMm\":[18,13,40,4]}";
        PageFacts differs = page(1, "Number: PM-1", "", "PM-2");
        FieldValue doubted = index(type(field("text", label, foot)), differs).get("v");
        assertThat(doubted.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(doubted.reasons()).contains(Reason.Code.FOUND_OTHERWISE.with("PM-2"));
        assertThat(doubted.candidates()).contains("PM-2");
        assertThat(doubted.alsoFound())
                .extracting(FieldValue.AlsoFound::value, also -> also.source().finder())
                .containsExactly(org.assertj.core.api.Assertions.tuple("PM-2", FoundBy.ZONE));
        String ranked = field("text", label, foot).replace("\"kind\"", "\"ranked\":true,\"kind\"");
        assertThat(index(type(ranked), differs).get("v").state()).isEqualTo(FieldValue.State.SURE);
        FieldValue agreed = index(type(field("text", label, foot)), page(1, "Number: PM-1", "", "PM-1"))
                .get("v");
        assertThat(agreed.state()).isEqualTo(FieldValue.State.SURE);
        assertThat(agreed.alsoFound()).hasSize(1);
    }

    @Test
    void aFieldIsMadeOfWhatOthersSay() throws Exception {
        DocumentType type = type(
                "{\"field\":\"ref\",\"finders\":[{\"by\":\"shape\",\"like\":\"A{2}-9999\"}]}",
                "{\"field\":\"year\",\"finders\":[{\"by\":\"fixed\",\"value\":\"2026-05-01\"}]}",
                "{\"field\":\"office\",\"finders\":[{\"by\":\"fields\",\"text\":\"{ref}\",\"pattern\":\"^([A-Z]+)\","
                        + "\"means\":{\"PM\":\"Moorings\"}}]}",
                "{\"field\":\"file\",\"finders\":[{\"by\":\"fields\",\"text\":\"{year:yyyy}/{ref}{none|}\"}]}",
                "{\"field\":\"none\"}");
        Map<String, FieldValue> found = index(type, page(1, "Yours PM-4821 of May"));
        assertThat(found.get("office"))
                .extracting(FieldValue::value, FieldValue::state, FieldValue::page)
                .containsExactly("Moorings", FieldValue.State.SURE, 1);
        assertThat(found.get("file").value()).isEqualTo("2026/PM-4821");
        Map<String, FieldValue> other = index(type, page(1, "Yours KX-4821 or PM-4822"));
        assertThat(other.get("office").reasons()).contains(Reason.Code.STANDS_FOR_NOTHING.with("KX"));
        assertThat(other.get("file"))
                .satisfies(v -> assertThat(v.state()).isEqualTo(FieldValue.State.DOUBTFUL))
                .extracting(FieldValue::reasons, InstanceOfAssertFactories.list(Reason.class))
                .contains(Reason.Code.OF_A_DOUBT.with("ref"));
    }

    @Test
    void fieldsMadeOfEachOtherEndEmptyAndSayWhy() throws Exception {
        DocumentType type = type(
                "{\"field\":\"a\",\"finders\":[{\"by\":\"fields\",\"text\":\"{b}\"}]}",
                "{\"field\":\"b\",\"finders\":[{\"by\":\"fields\",\"text\":\"{a}\"}]}");
        assertThat(index(type, page(1, "text")).values())
                .allSatisfy(v -> assertThat(v.state()).isEqualTo(FieldValue.State.EMPTY))
                .anySatisfy(v -> assertThat(v.reasons()).contains(Reason.Code.CIRCLE.with()));
    }

    @Test
    void whatIsKnownOfTheBatchIsTakenWholeOrInPart() throws Exception {
        PageFacts page = page(1, "text").numbered(1);
        assertThat(value("text", "{\"by\":\"inherited\",\"from\":\"station\"}", page)
                        .value())
                .isEqualTo("counter");
        assertThat(value("text", "{\"by\":\"inherited\",\"from\":\"sender\",\"pattern\":\"@(.*)\"}", page)
                        .value())
                .isEqualTo("port-merrow.example");
        assertThat(value("text", "{\"by\":\"inherited\",\"from\":\"sender\",\"pattern\":\"#(.*)\"}", page)
                        .reasons())
                .extracting(Reason::code)
                .contains(Reason.Code.NO_PART);
        // The document's own file, not the batch's first.
        assertThat(value("text", "{\"by\":\"inherited\",\"from\":\"fileName\"}", page)
                        .value())
                .isEqualTo(page.file());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            nullValues = "-",
            value = {
                // Nothing tells an O from a 0 beside a letter and a digit, nor in a short word beside a number.
                "D4 OMP # D4 0MP",
                "B0-1234 # BO-1234",
                "TO 3SJ # T0 3SJ",
                "House 39, TO # House 39, T0",
                "400-77 # -",
                "NORTON 12 # -",
                "Flat 3, Ostrel # -",
                "PO-ALL # -",
            })
    void anOThatMayBeAZeroIsADoubtWhereNoCheckTells(String read, String other) throws Exception {
        FieldValue found = value("text", "{\"by\":\"label\",\"labels\":[\"Code\"]}", page(1, "Code: " + read));
        assertThat(found.state()).isEqualTo(other == null ? FieldValue.State.SURE : FieldValue.State.DOUBTFUL);
        assertThat(found.candidates()).isEqualTo(other == null ? List.of() : List.of(other));
    }

    @Test
    void aNumberBehindALabelWithItsOwnValueIsNotThatLabels() throws Exception {
        String finder = "{\"by\":\"shape\",\"like\":\"AA-9999\",\"notOnLinesWith\":[\"Nostro riferimento\"]}";
        assertThat(value("text", finder, page(1, "Nostro riferimento AB-1234 @120 KX-4821"))
                        .value())
                .isEqualTo("KX-4821");
        assertThat(value("text", finder, page(1, "Nostro riferimento @120 KX-4821"))
                        .value())
                .isNull();
        // It differs in one letter that is clear to read.
        assertThat(value("text", finder, page(1, "Vostro riferimento @120 KX-4821"))
                        .value())
                .isEqualTo("KX-4821");
    }

    @Test
    void whereALabelStandsLetterForLetterNoOtherWordIsTakenForIt() throws Exception {
        String finder = "{\"by\":\"label\",\"labels\":[\"Crates\"]}";
        FieldValue found = value("text", finder, page(1, "Crate slip", "", "Crates @60 58"));
        assertThat(found.value()).isEqualTo("58");
        assertThat(found.state()).isEqualTo(FieldValue.State.SURE);
        assertThat(value("text", finder, page(1, "Crate slip", "", "Crates @60 "))
                        .value())
                .as("no value beside it is none, and not another word's")
                .isNull();
        assertThat(value("text", finder, page(1, "Crate: 58")).value())
                .as("misread where it stands nowhere else")
                .isEqualTo("58");
    }

    @Test
    void anAddressThatMayGoOnElsewhereIsNotSure() throws Exception {
        FieldValue found = value(
                "address",
                "{\"by\":\"label\",\"labels\":[\"Applicant\"]}",
                page(1, "Applicant : @60 Ewa Lindqvist", "@56 'Tern Street"));
        assertThat(found.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(found.reasons()).extracting(Reason::code).contains(Reason.Code.RUNS_OVER);
    }

    @Test
    void pagesAreCountedFromBothEnds() {
        List<Integer> pages = IntStream.rangeClosed(1, 3).boxed().toList();
        assertThat(Arrays.asList(
                        new DocumentPages(2).of(pages),
                        new DocumentPages(-3).of(pages),
                        new DocumentPages(4).of(pages),
                        DocumentPages.ANY.of(pages)))
                .containsExactly(List.of(2), List.of(1), List.of(), pages);
    }
}

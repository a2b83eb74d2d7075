package jalon.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.PageBuilder;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.register.Register;
import jalon.core.stream.StreamDefinition.DocumentType;
import jalon.core.stream.Streams;
import java.io.StringReader;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which value is taken from a page with others beside it, and what keeps it from being sure. */
class EvidenceTest {
    private static final Map<String, Register> REGISTERS =
            Map.of("vessels", Register.parse("vessels", new StringReader("""
                            registration,owner,berth
                            PM-4821-K,Ewa Lindqvist,C-17
                            PM-7730-B,Lüder Hägelin,A-02
                            PM-7730-B,Zoë Brackenbury,A-03
                            """)));

    private static final String NUMBER = "{\"by\":\"shape\",\"like\":\"99999-99\"%s}";
    private static final String DATES =
            "\"kind\":\"date\",\"finders\":[{\"by\":\"label\",\"labels\":[\"Date\"]},{\"by\":\"shape\",\"pattern\":\"(\\\\d{1,2}[^:]+\\\\d{2,4})\"}]";

    /** A word at a place, mm. */
    private record At(double x, double y, String text) {}

    private static FieldValue value(String field, At... printed) throws Exception {
        return values("{\"field\":\"f\"," + field + "}", printed).get("f");
    }

    private static Map<String, FieldValue> values(String fields, At... printed) throws Exception {
        return valuesOn(null, fields, printed);
    }

    /** @param variant the layout that the document has */
    private static Map<String, FieldValue> valuesOn(String variant, String fields, At... printed) throws Exception {
        List<Word> words = new ArrayList<>();
        int line = 0;
        for (At at : printed) {
            double x = at.x();
            for (String word : at.text().split(" ")) {
                words.add(new Word(word, new Box(x, at.y(), 2 * word.length(), 3), 0.95, line));
                x += 2 * word.length() + 1.5;
            }
            line++;
        }
        DocumentType type = Streams.parse(
                        "{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\",\"fields\":[" + fields
                                + "]}]}")
                .types()
                .get(0);
        ZoneReader again = (page, zone, model) -> page.words().stream()
                .filter(w -> zone.grown(0.5).union(w.box()).width() < zone.width() + 1.1
                        && zone.grown(0.5).holdsCentreOf(w.box()))
                .toList();
        List<PageFacts> pages = List.of(PageBuilder.page(1).words(words).seen());
        var document = new Document(pages, Optional.empty(), Map.of(), Map.of(), variant, List.of());
        return Indexer.index(type, document, again, REGISTERS, LocalDate.of(2026, 11, 23), Map.of());
    }

    private static boolean has(FieldValue value, Reason.Code code) {
        return value.reasons().stream().anyMatch(r -> r.code() == code);
    }

    @Test
    void anotherValueOfTheSameFormIsADoubtUnlessTheStreamSaysWhich() throws Exception {
        At[] two = {new At(20, 50, "account 48213-77 and"), new At(20, 60, "account 51102-03 too")};
        FieldValue open = value("\"finders\":[" + NUMBER.formatted("") + "]", two);
        assertThat(open.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(open.candidates()).containsExactly("51102-03");
        assertThat(has(open, Reason.Code.RIVALS)).isTrue();
        FieldValue second = value("\"finders\":[" + NUMBER.formatted(",\"hit\":2") + "]", two);
        assertThat(second.value()).isEqualTo("51102-03");
        assertThat(second.state()).isEqualTo(FieldValue.State.SURE);
    }

    @Test
    void aHitIsCountedAsItStandsOnThePageThoughItIsPoorlyPrinted() throws Exception {
        At[] two = {new At(20, 50, "48Z13-77"), new At(20, 60, "51102-03")};
        FieldValue first = value("\"finders\":[" + NUMBER.formatted(",\"hit\":1") + "]", two);
        assertThat(first.value()).isEqualTo("48213-77");
    }

    @Test
    void eachLayoutOfATypeHasItsOwnZones() throws Exception {
        String fields = """
                {"field":"no","finders":[{"by":"zone","boxMm":[15,45,60,10],"variant":"1"},
                                         {"by":"zone","boxMm":[15,95,60,10],"variant":"2"}]}""";
        At[] printed = {new At(20, 48, "48213"), new At(20, 98, "51102")};
        assertThat(valuesOn("1", fields, printed).get("no").value()).isEqualTo("48213");
        assertThat(valuesOn("2", fields, printed).get("no").value()).isEqualTo("51102");
        assertThat(valuesOn(null, fields, printed).get("no").value()).isNull();
    }

    @Test
    void aSearchGoesOnBehindWhatItFound() throws Exception {
        FieldValue number = value(
                "\"finders\":[{\"by\":\"shape\",\"pattern\":\"[0-9]+\",\"hit\":2}]", new At(20, 50, "48213 of 77"));
        assertThat(number.value()).isEqualTo("77");
    }

    @Test
    void whereTheDateCouldNotBeReadTheNextOneIsNotSure() throws Exception {
        FieldValue date = value(DATES, new At(20, 50, "Date: 3 Xprq 2026"), new At(20, 70, "payable by 17 May 2026"));
        assertThat(date.value()).isEqualTo("2026-05-17");
        assertThat(date.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(has(date, Reason.Code.LOST_BEFORE)).isTrue();
        FieldValue blotted = value(DATES, new At(20, 50, "Date:"), new At(20, 90, "payable by 17 May 2026"));
        assertThat(blotted.state()).isEqualTo(FieldValue.State.DOUBTFUL);
    }

    @Test
    void valuesOfTwoRowsAreNotSureThoughEachIsInTheRegister() throws Exception {
        String fields = """
                {"field":"no","finders":[{"by":"label","labels":["No"]}],"checks":[{"check":"inRegister","register":"vessels","column":"registration"}]},
                {"field":"berth","finders":[{"by":"label","labels":["Berth"]}],"checks":[{"check":"inRegister","register":"vessels","column":"berth"}]}""";
        var together = values(fields, new At(20, 50, "No: PM-4821-K"), new At(20, 60, "Berth: C-17"));
        assertThat(together.values()).allMatch(v -> v.state() == FieldValue.State.SURE);
        var apart = values(fields, new At(20, 50, "No: PM-4821-K"), new At(20, 60, "Berth: A-02"));
        assertThat(apart.values()).allMatch(v -> v.state() == FieldValue.State.DOUBTFUL);
        assertThat(apart.values()).allMatch(v -> has(v, Reason.Code.OTHER_ROW));
    }

    @Test
    void rowsThatShareAKeyAreADoubt() throws Exception {
        String fields = """
                {"field":"no","finders":[{"by":"label","labels":["No"]}]},
                {"field":"owner","finders":[{"by":"register","register":"vessels","column":"registration","from":"no","take":"owner"}]}""";
        FieldValue owner = values(fields, new At(20, 50, "No: PM-7730-B")).get("owner");
        assertThat(owner.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(owner.candidates()).containsExactly("Zoë Brackenbury");
        assertThat(has(owner, Reason.Code.SEVERAL_ROWS)).isTrue();
    }

    @Test
    void aRegisterSpellsANameThatLostItsAccents() throws Exception {
        FieldValue owner = value(
                "\"finders\":[{\"by\":\"label\",\"labels\":[\"Owner\"]}],\"checks\":[{\"check\":\"inRegister\",\"register\":\"vessels\",\"column\":\"owner\"}]",
                new At(20, 50, "Owner: Luder Hagelin"));
        assertThat(owner.value()).isEqualTo("Lüder Hägelin");
        assertThat(owner.state()).isEqualTo(FieldValue.State.SURE);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // the next label on the line
                "20;50;Your ref: AB-12 Our ref: 77/1|AB-12",
                "20;50;Our ref: 77/1 Your ref: AB-12|AB-12",
                // run together
                "20;50;Your ref:AB-12|AB-12",
                // a table with its labels in a row, above the values
                "20;50;Our ref/70;50;Your ref/120;50;Date/20;55;77-1/70;55;AB-12/120;55;3 May 2026|AB-12",
                // beside, over a wide gap, as in an unruled table
                "20;50;Our ref/120;50;77-1/20;57;Your ref/120;57;AB-12|AB-12",
                // nothing there, and below it the value of another label
                "20;50;Your ref:/20;55;Name:/37;55;Cosimo Tessaro|",
                // a speck between its words
                "20;50;Your . ref: AB-12|AB-12",
                "20;50;Our ref: 77-1|"
            })
    void whatBelongsToALabelIsTaken(String printed, String value) throws Exception {
        String finder =
                "\"finders\":[{\"by\":\"label\",\"labels\":[\"Your ref\"],\"notOnLinesWith\":[\"Our ref\"]},{\"by\":\"label\",\"labels\":[\"Date\"],\"notOnLinesWith\":[\"Date\"]}]";
        List<At> all = new ArrayList<>();
        String[] parts = printed.split("[;]|(?<=[a-z0-9:])/(?=\\d+;)");
        for (int i = 0; i + 2 < parts.length; i += 3) {
            all.add(new At(Double.parseDouble(parts[i]), Double.parseDouble(parts[i + 1]), parts[i + 2]));
        }
        assertThat(value(finder, all.toArray(At[]::new)).value()).isEqualTo(value);
    }

    @Test
    void aNumberUnderAForbiddenLabelIsPassedOver() throws Exception {
        String finder = "\"finders\":[" + NUMBER.formatted(",\"notOnLinesWith\":[\"Bank\"]") + "]";
        assertThat(value(finder, new At(20, 50, "Bank"), new At(20, 54, "48213-77"))
                        .value())
                .isNull();
        assertThat(value(finder, new At(20, 50, "Bank:"), new At(60, 50, "48213-77"))
                        .value())
                .isNull();
        assertThat(value(finder, new At(20, 50, "Bank"), new At(20, 70, "no 48213-77"))
                        .value())
                .isEqualTo("48213-77");
    }

    @ParameterizedTest
    @CsvSource({
        "ITF,false,DOUBTFUL",
        "ITF,true,SURE",
        "CODE_128,false,SURE",
        "CODE_39,false,SURE",
        "CODABAR,false,DOUBTFUL"
    })
    void aBarcodeThatCanBeCutShortIsSureOnlyWithItsForm(String kind, boolean form, FieldValue.State state)
            throws Exception {
        DocumentType type = Streams.parse(
                        "{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\",\"fields\":[{\"field\":\"f\",\"finders\":[{\"by\":\"barcode\""
                                + (form ? ",\"like\":\"999999\"" : "") + "}]}]}]}")
                .types()
                .get(0);
        var document =
                new Document(List.of(PageBuilder.page(1).barcode(kind, "123456").seen()), Optional.empty());
        FieldValue value = Indexer.index(
                        type, document, ZoneReader.NONE, Map.of(), LocalDate.of(2026, 11, 23), Map.of())
                .get("f");
        assertThat(value.state()).isEqualTo(state);
    }

    @Test
    void whatStandsInForABarcodeThatIsMissingIsADoubt() throws Exception {
        DocumentType type = Streams.parse("""
                {"jalon":1,"stream":"s","title":"S","types":[{"type":"t","fields":[
                  {"field":"no","finders":[{"by":"barcode","pattern":"ML-.*","where":[0,0,210,120]},
                                           {"by":"fixed","value":"ML-1"}]},
                  {"field":"may","finders":[{"by":"barcode","kind":"QR_CODE"}]}]}]}
                """).types().get(0);
        var with = new Document(List.of(PageBuilder.page(1).barcode("ML-77").seen()), Optional.empty());
        var without = new Document(List.of(PageBuilder.page(1).barcode("PM-77").seen()), Optional.empty());
        Map<String, FieldValue> found =
                Indexer.index(type, with, ZoneReader.NONE, Map.of(), LocalDate.of(2026, 11, 23), Map.of());
        assertThat(found.get("no").value()).isEqualTo("ML-77");
        assertThat(found.get("no").state()).isEqualTo(FieldValue.State.SURE);
        Map<String, FieldValue> missing =
                Indexer.index(type, without, ZoneReader.NONE, Map.of(), LocalDate.of(2026, 11, 23), Map.of());
        assertThat(missing.get("no").state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(missing.get("no").reasons()).extracting(Reason::code).containsExactly(Reason.Code.NO_BARCODE);
        assertThat(missing.get("may").reasons()).as("nobody expects it").isEmpty();
    }
}

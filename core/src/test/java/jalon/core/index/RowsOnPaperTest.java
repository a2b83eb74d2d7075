package jalon.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.PageBuilder;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.read.PageFacts;
import jalon.core.register.ColumnKind;
import jalon.core.register.Register;
import jalon.core.stream.StreamDefinition.DocumentType;
import jalon.core.stream.Streams;
import java.io.StringReader;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rows of a register found by what else stands on the paper. */
class RowsOnPaperTest {
    private static final String HEAD = "no,holder,born,telephone,address\n";
    private static final Register HOLDERS = register();

    private static Register register() {
        StringBuilder rows = new StringBuilder(HEAD);
        String[] given = {"Ewa", "Aron", "Dagny", "Emil", "Ida", "Marek", "Oda", "Pavel"};
        String[] family = {"Lindqvist", "Brackenbury", "Hägelin", "Overlund", "Saltmere", "Tarrow", "Vane", "Wickham"};
        for (int i = 0; i < 256; i++) {
            rows.append("K%d,%s %s%s,%d-0%d-1%d,01638 77%04d,\"%d %s Row, Port Merrow\"%n"
                    .formatted(
                            1000 + i,
                            given[i % 8],
                            family[i / 8 % 8],
                            List.of("", "sen", "by", "ova").get(i / 64),
                            1940 + i % 60,
                            1 + i % 9,
                            i % 10,
                            i * 37 % 10_000,
                            1 + i % 99,
                            List.of("Chandlers", "Oyster", "Lantern").get(i % 3)));
        }
        // Her sister is not in the register, and these two are not to be told apart by name and house.
        rows.append("K2000,Ewa Rosenholt,1961-03-04,01638 990011,\"7 Pilot Hill, Port Merrow\"\n");
        rows.append("K2001,Jon Torvald,1950-01-02,01638 995500,\"9 Harbour Steps, Port Merrow\"\n");
        rows.append("K2002,Jon Torvald,1981-05-06,01638 995500,\"9 Harbour Steps, Port Merrow\"\n");
        return Register.parse("holders", new StringReader(rows.toString()));
    }

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);

    private static DocumentType type(String more) throws Exception {
        String take = "{\"field\":\"%s\",\"finders\":[{\"by\":\"register\",\"register\":\"holders\",\"take\":\"%s\""
                + more + "}]}";
        return Streams.parse("{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\",\"fields\":["
                        + take.formatted("no", "no") + "," + take.formatted("holder", "holder") + "]}]}")
                .types()
                .get(0);
    }

    private static Map<String, FieldValue> read(Map<String, FieldValue> settled, String... lines) throws Exception {
        var document = new Document(List.of(PageBuilder.page(1).lines(lines).seen()), Optional.empty());
        return Indexer.index(type(""), document, ZoneReader.NONE, Map.of("holders", HOLDERS), TODAY, settled);
    }

    private static FieldValue no(String... lines) throws Exception {
        return read(Map.of(), lines).get("no");
    }

    @Test
    void noneOfTheRowsIsOneAnswerForAllThatARowWouldFill() throws Exception {
        var none = Indexer.settle(
                type("").field("no").orElseThrow(), null, Map.of("holders", HOLDERS), TODAY, 0, null, "t.vane");
        assertThat(read(Map.of("no", none), "Jon Torvald", "9 Harbour Steps").get("holder"))
                .extracting(FieldValue::value, FieldValue::state, FieldValue::by)
                .containsExactly(null, FieldValue.State.SETTLED, "t.vane");
        // Where the row is known, that one of its values is not there says no more than that.
        assertThat(read(Map.of("no", none), "Ewa Rosenholt", "born 1961-03-04, 7 Pilot Hill, 01638 990011")
                        .get("holder")
                        .value())
                .isEqualTo("Ewa Rosenholt");
    }

    @Test
    void aPersonTheRegisterDoesNotHaveYetIsTakenAndSaidToBeNew() throws Exception {
        var holder = type("").field("holder").orElseThrow();
        assertThat(Indexer.settle(holder, "Liv Norrland", Map.of("holders", HOLDERS), TODAY, 1, null, "t.vane")
                        .reasons())
                .containsExactly(Reason.Code.NOT_IN_REGISTER.with("holders"));
        assertThat(Indexer.settle(holder, "Jon Torvald", Map.of("holders", HOLDERS), TODAY, 1, null, "t.vane")
                        .reasons())
                .isEmpty();
    }

    @Test
    void theOtherDocumentsOfAGroupTellWhichRowIsMeantWhereTheStreamSaysSo() throws Exception {
        PageFacts letter = PageBuilder.page(1)
                .lines("Jon Torvald", "9 Harbour Steps, Port Merrow")
                .seen();
        PageFacts other = PageBuilder.page(2).lines("born 1981-05-06").seen();
        var document = new Document(List.of(letter), Optional.empty(), Map.of(), Map.of(), null, List.of(other));
        for (boolean whole : List.of(false, true)) {
            FieldValue no = Indexer.index(
                            type(whole ? ",\"wholeGroup\":true" : ""),
                            document,
                            ZoneReader.NONE,
                            Map.of("holders", HOLDERS),
                            TODAY,
                            Map.of())
                    .get("no");
            assertThat(no.state()).isEqualTo(whole ? FieldValue.State.SURE : FieldValue.State.DOUBTFUL);
            assertThat(no.rows().get(0).value()).startsWith("K200");
        }
    }

    @Test
    void whatColumnsHoldIsSeenFromTheirValues() {
        assertThat(HOLDERS.search().kinds())
                .containsEntry("no", ColumnKind.NUMBER)
                .containsEntry("holder", ColumnKind.NAME)
                .containsEntry("born", ColumnKind.DATE)
                .containsEntry("telephone", ColumnKind.TELEPHONE)
                .containsEntry("address", ColumnKind.STREET);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Ewa Rosenholt;Tel. 01638/990011",
                "ROSENHOLT, Ewa;7 Pilot Hill",
                "Ewa Rosenholt;born 4 March 1961",
                "Ewa M. Rosenholt;+44 1638 99 00 11;Harbour Office, 1 Quay Street, 01638 200200"
            })
    void aNameWithAnythingElseOfTheRowIsSure(String lines) throws Exception {
        Map<String, FieldValue> all = read(Map.of(), lines.split(";"));
        assertThat(all.get("no").value()).isEqualTo("K2000");
        assertThat(all.get("no").state()).isEqualTo(FieldValue.State.SURE);
        assertThat(all.get("no").page()).isEqualTo(1);
        assertThat(all.get("no").boxMm().width())
                .as("all of what agrees best, not its first word")
                .isGreaterThan(10);
        assertThat(all.get("holder").value()).isEqualTo("Ewa Rosenholt");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a name alone may be a namesake's|Ewa Rosenholt",
                "two digits swapped and a letter misread|Ewa Roscnholt;Tel. 01638 990101",
                "an initial with the house|E. Rosenholt;7 Pilot Hill",
                "her sister, of the same house and telephone|Ida Rosenholt;7 Pilot Hill;01638 990011"
            })
    void whatMayBeAnotherIsFirstAndNotSure(String why, String lines) throws Exception {
        FieldValue value = no(lines.split(";"));
        assertThat(value.value()).as(why).isEqualTo("K2000");
        assertThat(value.state()).as(why).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(value.rows().get(0).why()).isNotEmpty();
    }

    @Test
    void rowsThatThePaperCannotTellApartAreBothOfferedWithWhatAgrees() throws Exception {
        FieldValue value = no("Jon Torvald", "9 Harbour Steps");
        assertThat(value.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(value.certainty()).isLessThan(0.6);
        assertThat(value.rows()).extracting(FieldValue.RowFound::value).startsWith("K2001", "K2002");
        assertThat(value.candidates()).containsAnyOf("K2001", "K2002");
        assertThat(value.rows().get(0).why())
                .contains(
                        Reason.Code.ROW_AGREES.with("address, holder"),
                        Reason.Code.ROW_LACKS.with("no, born, telephone"));
        // His day of birth tells which.
        assertThat(no("Jon Torvald", "9 Harbour Steps", "born 06.05.1981").value())
                .isEqualTo("K2002");
    }

    @Test
    void oneSettledFieldSaysWhichRowFillsTheOthers() throws Exception {
        var told = new FieldValue(
                "K2000",
                FieldValue.State.SETTLED,
                1,
                new FieldValue.Source(1, new Box(0, 0, 1, 1), FoundBy.PERSON),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                "t.vane");
        assertThat(read(Map.of("no", told), "Ewa R.", "7 Pilot Hill")
                        .get("holder")
                        .value())
                .isEqualTo("Ewa Rosenholt");
    }

    @Test
    void ofNobodyInTheRegisterNothingIsTaken() throws Exception {
        FieldValue value = no("Zeno Quarmby", "12 Nowhere Lane", "01999 123456");
        assertThat(value.state()).isEqualTo(FieldValue.State.EMPTY);
        assertThat(value.reasons()).contains(Reason.Code.NO_ROW_ON_PAPER.with("holders"));
    }

    @Test
    void aColumnHoldsWhatPeopleSayThoughItsValuesLookOtherwise() {
        Register said = HOLDERS.saying(Map.of("telephone", ColumnKind.TEXT));
        assertThat(HOLDERS.kind("telephone")).isEqualTo(ColumnKind.TELEPHONE);
        assertThat(said.kind("telephone")).isEqualTo(ColumnKind.TEXT);
        assertThat(said.search().kinds())
                .containsEntry("telephone", ColumnKind.TEXT)
                .containsEntry("holder", ColumnKind.NAME);
    }
}

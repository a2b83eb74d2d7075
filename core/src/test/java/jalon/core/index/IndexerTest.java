package jalon.core.index;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.core.PageBuilder;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.PageTilt;
import jalon.core.register.Register;
import jalon.core.stream.StreamDefinition.DocumentType;
import jalon.core.stream.Streams;
import jalon.core.text.Model;
import java.io.StringReader;
import java.text.Normalizer;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IndexerTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);
    private static final Map<String, Register> REGISTERS = Map.of(
            "vessels", Register.parse("vessels", new StringReader("registration,owner\nPM-4821-K,Ewa Lindqvist\n")));
    private static final String FORM =
            "\"layout\":{\"anchors\":[{\"text\":\"Owner\",\"boxMm\":[20,50,12,3]},{\"text\":\"Berth\",\"boxMm\":[20,150,12,3]},"
                    + "{\"text\":\"Signature\",\"boxMm\":[120,240,20,3]}]},";

    @ParameterizedTest
    @CsvSource({"0,0,0,1", "7,-5,0,1", "0,0,3,1", "-4,6,-2.5,1", "2,3,1,1.03"})
    void aZoneFollowsTheFormWhenItIsShiftedSkewedOrScaled(double dx, double dy, double skew, double scale)
            throws Exception {
        List<Word> straight = List.of(
                at("Owner", 20, 50, 12),
                at("Ewa", 72, 50, 8),
                at("Lindqvist", 82, 50, 20),
                at("Berth", 20, 150, 12),
                at("C-17", 72, 150, 11),
                at("Signature", 120, 240, 20));
        var tilt = new PageTilt(skew, 210, 297);
        List<Word> seen = straight.stream()
                .map(w -> new Word(w.text(), tilt.fromStraight(moved(w.box(), dx, dy, scale)), 0.95, w.line()))
                .toList();
        var fields = index(
                FORM + field("owner", "{\"by\":\"zone\",\"boxMm\":[70,48,50,7]}") + ","
                        + field("berth", "{\"by\":\"zone\",\"boxMm\":[70,148,30,7]}") + "]",
                AGAIN,
                page(1, skew, seen));
        assertThat(fields.get("owner").value()).isEqualTo("Ewa Lindqvist");
        assertThat(fields.get("owner").state()).isEqualTo(FieldValue.State.SURE);
        assertThat(fields.get("berth").value()).isEqualTo("C-17");
        assertThat(fields.get("berth").boxMm().centreX())
                .isCloseTo(seen.get(4).box().centreX(), within(0.5));
    }

    /** What stands on the page is what is read there again. */
    private static final ZoneReader AGAIN = (page, zone, model) -> page.words().stream()
            .filter(w -> zone.grown(0.5).holdsCentreOf(w.box()))
            .toList();

    @Test
    void aZoneWhoseFormWasNotFoundIsNeverSure() throws Exception {
        var fields = index(
                FORM + field("owner", "{\"by\":\"zone\",\"boxMm\":[70,48,50,7]}") + "]",
                ZoneReader.NONE,
                page(1, 0, List.of(at("Ewa", 72, 50, 8))));
        assertThat(fields.get("owner").state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(fields.get("owner").reasons()).anyMatch(r -> r.code() == Reason.Code.ANCHORS_MISSING);
    }

    @Test
    void aValueIsReadTwiceAndTwoReadingsThatAgreeAreBelieved() throws Exception {
        List<Model> asked = new ArrayList<>();
        String zone =
                "\"fields\":[{\"field\":\"no\",\"finders\":[{\"by\":\"zone\",\"boxMm\":[70,48,50,7],\"read\":{\"only\":\"digits\"}}]}]";
        ZoneReader same = (page, box, model) -> {
            asked.add(model);
            return List.of(new Word("4821", new Box(72, 50, 12, 3), 0.8, 0));
        };
        var page = page(1, 0, List.of(new Word("48Z1", new Box(72, 50, 12, 3), 0.7, 0)));
        var agreed = index("\"x\":0," + zone, same, page).get("no");
        assertThat(asked).containsExactly(Model.OTHER);
        assertThat(agreed.value()).isEqualTo("4821");
        assertThat(agreed.state()).isEqualTo(FieldValue.State.SURE);
        var other = index(zone, (p, box, model) -> List.of(new Word("4877", new Box(72, 50, 12, 3), 0.6, 0)), page)
                .get("no");
        assertThat(other.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(List.of(other.value(), other.candidates().get(0))).containsExactlyInAnyOrder("4821", "4877");
        assertThat(other.reasons()).anyMatch(r -> r.code() == Reason.Code.READ_TWO_WAYS);
        var once = index(zone, ZoneReader.NONE, page).get("no");
        assertThat(once.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(once.reasons()).containsExactly(Reason.Code.ONLY_READ_ONCE.with());
    }

    private static FieldValue withAccents(String plain, String accented) throws Exception {
        var page = page(1, 0, List.of(new Word(plain, new Box(72, 50, 12, 3), 0.95, 0)));
        ZoneReader latin = (p, box, model) ->
                List.of(new Word(model == Model.OTHER ? accented : plain, new Box(72, 50, 12, 3), 0.95, 0));
        return index(
                        "\"fields\":[{\"field\":\"name\",\"finders\":[{\"by\":\"zone\",\"boxMm\":[70,48,50,7]}]}]",
                        latin,
                        page)
                .get("name");
    }

    @Test
    void thePagesModelDropsAccentsAndTheOtherBringsThemBack() throws Exception {
        FieldValue name = withAccents("Liider", "Lüder");
        assertThat(name.value()).isEqualTo("Lüder");
        assertThat(name.state()).isEqualTo(FieldValue.State.SURE);
    }

    /** The other model knows the letters of all languages and mixes them where print is worn. */
    @Test
    void lettersThatNoLanguageHasTogetherAreNotSure() throws Exception {
        for (String name : List.of("Grażyna", "Straußberg", "Şğıc", "Müşerref", "Čížková")) {
            String plain = Normalizer.normalize(name.replace('ß', 's').replace('ı', 'i'), Normalizer.Form.NFD)
                    .replaceAll("\\p{M}", "");
            assertThat(withAccents(plain, name).state()).as(name).isEqualTo(FieldValue.State.SURE);
        }
        FieldValue mixed = withAccents("Grazyna", "Ģrażyna");
        assertThat(mixed.value()).isEqualTo("Ģrażyna");
        assertThat(mixed.state()).isEqualTo(FieldValue.State.DOUBTFUL);
    }

    private static FieldValue lostOnPage(String seen, double x, Word... wide) throws Exception {
        var page = page(1, 0, List.of(new Word(seen, new Box(x, 50, 2.3 * seen.length(), 3), 0.95, 0)));
        ZoneReader both = (p, box, model) -> box.width() > 20 ? List.of(wide) : page.words();
        return index(
                        "\"fields\":[{\"field\":\"f\",\"finders\":[{\"by\":\"zone\",\"boxMm\":[70,48,50,7]}]}]",
                        both,
                        page)
                .get("f");
    }

    @Test
    void aZoneOfWhichThePageLostAWordIsNotSure() throws Exception {
        Word first = new Word("Cosimo", new Box(72, 50, 14, 3), 0.95, 0);
        FieldValue name = lostOnPage("Cosimo", 72, first, new Word("Tessaro", new Box(88, 50, 15, 3), 0.9, 0));
        assertThat(name.value()).isEqualTo("Cosimo Tessaro");
        assertThat(name.state()).isEqualTo(FieldValue.State.DOUBTFUL);
    }

    /** "20" of "202,20" was sure: its own print, read again by itself, says so too. */
    @Test
    void aZoneOfWhichThePageLostABeginningIsNotSure() throws Exception {
        FieldValue amount = lostOnPage("20", 79.2, new Word("202,20", new Box(72, 50, 12, 3), 0.9, 0));
        assertThat(amount.value()).isEqualTo("202,20");
        assertThat(amount.state()).isEqualTo(FieldValue.State.DOUBTFUL);
    }

    @Test
    void aZoneWithPrintThatNoReadingMadeAWordOfIsNotSure() throws Exception {
        Word seen = new Word("20", new Box(79.2, 50, 4.6, 3), 0.95, 0);
        FieldValue amount = lostOnPage("20", 79.2, seen, new Word(Word.UNREAD, new Box(72, 50, 2, 3), 0, 0));
        assertThat(amount.value()).isEqualTo("20");
        assertThat(amount.reasons()).contains(Reason.Code.PRINT_LEFT.with());
        assertThat(amount.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        FieldValue covered = lostOnPage("20", 79.2, seen, new Word(Word.UNREAD, new Box(80, 50, 2, 3), 0, 0));
        assertThat(covered.state()).isEqualTo(FieldValue.State.SURE);
    }

    @Test
    void findersAreTriedInOrderAndTheLastHitCanBeAskedFor() throws Exception {
        var page = page(
                1,
                0,
                List.of(
                        line(0, "Ref:", 20, 40),
                        line(0, "77/1", 40, 40),
                        line(1, "total", 20, 60),
                        line(1, "12.50", 40, 60),
                        line(2, "total", 20, 80),
                        line(2, "99.00", 40, 80)));
        var fields = index(
                "\"fields\":["
                        + "{\"field\":\"ref\",\"finders\":[{\"by\":\"shape\",\"like\":\"ML-99\"},{\"by\":\"label\",\"labels\":[\"Ref\"]}]},"
                        + "{\"field\":\"sum\",\"kind\":\"amount\",\"finders\":[{\"by\":\"shape\",\"pattern\":\"total ([0-9.]+)\",\"hit\":-1}]},"
                        + "{\"field\":\"under\",\"finders\":[{\"by\":\"label\",\"labels\":[\"Ref\"],\"side\":\"below\",\"notOnLinesWith\":[\"zzz\"]}]},"
                        + "{\"field\":\"always\",\"finders\":[{\"by\":\"fixed\",\"value\":\"Port Merrow\"}]}]",
                ZoneReader.NONE,
                page);
        assertThat(fields.get("ref").value()).isEqualTo("77/1");
        assertThat(fields.get("ref").finder()).isEqualTo(FoundBy.LABEL);
        assertThat(fields.get("sum").value()).isEqualTo("99.00");
        assertThat(fields.get("always").state()).isEqualTo(FieldValue.State.SURE);
    }

    @Test
    void fieldsLookedUpFromEachOtherInACircleEndEmpty() throws Exception {
        String from =
                "{\"by\":\"register\",\"register\":\"vessels\",\"column\":\"registration\",\"from\":\"%s\",\"take\":\"owner\"}";
        var fields = index(
                "\"fields\":[{\"field\":\"a\",\"finders\":[" + from.formatted("b")
                        + "]},{\"field\":\"b\",\"required\":true,\"finders\":[" + from.formatted("a") + "]}]",
                ZoneReader.NONE,
                page(1, 0, List.of(line(0, "x", 20, 40))));
        assertThat(fields.values()).allMatch(v -> v.state() == FieldValue.State.EMPTY);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"check\":\"length\",\"least\":3}|ab|has 2 characters",
                        "{\"check\":\"oneOf\",\"values\":[\"A\",\"B\"]}|C|not one of A, B",
                "{\"check\":\"range\",\"most\":10}|11|more than 10", "{\"check\":\"range\",\"least\":1}|x|not a number",
                "{\"check\":\"date\"}|2027-01-01|in the future",
                        "{\"check\":\"date\",\"yearsBack\":3}|1961-03-14|more than 3 years back",
                "{\"check\":\"matches\",\"pattern\":\"[A-D]-\\\\d+\"}|E-1|does not match",
                        "{\"check\":\"inRegister\",\"register\":\"none\",\"column\":\"x\"}|1|is not there"
            })
    void aCheckThatFailsSaysWhy(String check, String value, String why) throws Exception {
        var fields = index(
                "\"fields\":[{\"field\":\"f\",\"finders\":[{\"by\":\"fixed\",\"value\":\"" + value + "\"}],\"checks\":["
                        + check + "]}]",
                ZoneReader.NONE,
                page(1, 0, List.of(line(0, "x", 20, 40))));
        assertThat(fields.get("f").state()).isEqualTo(FieldValue.State.WRONG);
        assertThat(fields.get("f").reasons())
                .singleElement()
                .satisfies(r -> assertThat(r.words()).contains(why));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"do\":\"trim\"}|  a   b |a b",
                "{\"do\":\"case\",\"to\":\"upper\"}|pm|PM",
                "{\"do\":\"replace\",\"what\":\"/\",\"with\":\"-\"}|a/b|a-b",
                "{\"do\":\"keep\",\"characters\":\"0123456789\"}|No. 48-21|4821",
                "{\"do\":\"drop\",\"characters\":\" .\"}|4 8.2|482",
                "{\"do\":\"pad\",\"length\":6,\"with\":\"0\"}|4821|004821",
                "{\"do\":\"date\",\"order\":\"monthFirst\"}|04/03/2026|2026-04-03",
                "{\"do\":\"amount\"}|EUR 1.234,50|1234.50"
            })
    void tidyStepsDoWhatTheySay(String step, String raw, String tidied) throws Exception {
        var fields = index(
                "\"fields\":[{\"field\":\"f\",\"finders\":[{\"by\":\"fixed\",\"value\":\"" + raw + "\"}],\"tidy\":["
                        + step + "]}]",
                ZoneReader.NONE,
                page(1, 0, List.of(line(0, "x", 20, 40))));
        assertThat(fields.get("f").value()).isEqualTo(tidied);
    }

    @Test
    void whatAPersonTypesIsTidiedAndToldButNeverRefused() throws Exception {
        DocumentType type = type("\"fields\":[{\"field\":\"d\",\"kind\":\"date\",\"checks\":[{\"check\":\"date\"}]}]");
        var good = Indexer.settle(type.fields().get(0), "3 April 2026", REGISTERS, TODAY, 1, null, "T. Vane");
        assertThat(good.value()).isEqualTo("2026-04-03");
        assertThat(good.reasons()).isEmpty();
        var odd = Indexer.settle(type.fields().get(0), "soon", REGISTERS, TODAY, 1, null, "T. Vane");
        assertThat(odd.value()).isEqualTo("soon");
        assertThat(odd.state()).isEqualTo(FieldValue.State.SETTLED);
        assertThat(odd.reasons()).containsExactly(Reason.Code.NOT_A_DATE.with("soon"));
        assertThat(Indexer.settle(type.fields().get(0), " ", REGISTERS, TODAY, 0, null, "T. Vane")
                        .value())
                .isNull();
    }

    private static String field(String name, String finder) {
        String one = "{\"field\":\"" + name + "\",\"finders\":[" + finder + "]}";
        return name.equals("owner") ? "\"fields\":[" + one : one;
    }

    private static DocumentType type(String parts) throws Exception {
        String json = "{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\","
                + parts.replace("\"x\":0,", "") + "}]}";
        return Streams.parse(json).types().get(0);
    }

    private static Map<String, FieldValue> index(String parts, ZoneReader zones, PageFacts... pages) throws Exception {
        return Indexer.index(
                type(parts), new Document(List.of(pages), Optional.empty()), zones, REGISTERS, TODAY, Map.of());
    }

    private static Word at(String text, double x, double y, double width) {
        return new Word(text, new Box(x, y, width, 3), 0.95, (int) y);
    }

    private static Word line(int line, String text, double x, double y) {
        return new Word(text, new Box(x, y, 2.5 * text.length(), 3), 0.95, line);
    }

    private static Box moved(Box b, double dx, double dy, double scale) {
        return new Box(b.x() * scale + dx, b.y() * scale + dy, b.width() * scale, b.height() * scale);
    }

    private static PageFacts page(int no, double skew, List<Word> words) {
        return PageBuilder.page(no).skew(skew).words(words).seen();
    }
}

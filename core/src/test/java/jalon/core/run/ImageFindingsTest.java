package jalon.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.PageBuilder;
import jalon.core.image.Finding;
import jalon.core.image.Measure;
import jalon.core.image.Measured;
import jalon.core.image.Repair;
import jalon.core.index.ZoneReader;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.commons.csv.CSVFormat;
import org.junit.jupiter.api.Test;

class ImageFindingsTest {
    private static final Instant AT = Instant.parse("2026-11-23T10:00:00Z");

    private final StreamDefinition stream = stream("""
            "limits":{"blur":0.5,"contrast":null},"repairs":[{"do":"whitenEdges"},{"do":"fillHoles"}]""");

    private static StreamDefinition stream(String pages) {
        try {
            return Streams.parse("""
                {"jalon":1,"stream":"letters","title":"Letters","pages":{%s},
                 "types":[{"type":"other","default":true}]}""".formatted(pages));
        } catch (Streams.InvalidStream e) {
            throw new IllegalStateException(e);
        }
    }

    private static PageFacts page(int no, double height, String words, Measured... figures) {
        List<Word> all = new ArrayList<>();
        for (String word : words.split(" ")) {
            all.add(new Word(word, new Box(20 + 15 * all.size(), 40, 12, 3), 0.9, 0));
        }
        return PageBuilder.page(no).height(height).words(all).figures(figures).seen();
    }

    private BatchView view(List<PageFacts> pages, Decision... decisions) {
        return new BatchRun(stream, Map.of(), ZoneReader.NONE, LocalDate.of(2026, 11, 23))
                .cut(
                        pages,
                        java.util.Arrays.stream(decisions)
                                .map(d -> new Decided(d, "M. Tarrow", AT))
                                .toList());
    }

    @Test
    void figuresAreHeldAgainstTheStreamsLimitsAndOneThatIsTakenAwayIsNone() {
        BatchView view = view(List.of(
                page(1, 297, "a", new Measured(Measure.BLUR, 0.45, null), new Measured(Measure.CONTRAST, 0.05, null)),
                page(2, 297, "b", new Measured(Measure.BLUR, 0.62, null), new Measured(Measure.CORNER, 9, null))));
        assertThat(view.pages().get(0).image().findings()).isEmpty();
        assertThat(view.pages().get(1).image().findings())
                .extracting(Finding::kind, Finding::limit)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(Measure.BLUR, 0.5),
                        org.assertj.core.groups.Tuple.tuple(Measure.CORNER, 4.0));
        assertThat(view.imageDoubts()).isEqualTo(1);
        assertThat(view.cutDoubts()).isGreaterThanOrEqualTo(1);
    }

    @Test
    void keepingRepairingAndSettingAsideEachSettleItAndAskingDoesNot() {
        var bad = List.of(page(1, 297, "a", new Measured(Measure.BLUR, 0.9, null)));
        assertThat(view(bad).imageDoubts()).isEqualTo(1);
        BatchView kept = view(bad, new Decision.AcceptImage(List.of(1)));
        assertThat(kept.imageDoubts()).isZero();
        assertThat(kept.pages().get(0).image().acceptedBy()).isEqualTo("M. Tarrow");
        assertThat(kept.pages().get(0).image().acceptedAt()).isEqualTo(AT);
        BatchView repaired = view(bad, new Decision.RepairPage(1, List.of(new Repair.Sharpen())));
        assertThat(repaired.imageDoubts()).isZero();
        assertThat(repaired.pages().get(0).image().repairs()).containsExactly(new Repair.Sharpen());
        assertThat(view(bad, new Decision.SetAside(List.of(1))).imageDoubts()).isZero();
        BatchView asked = view(bad, new Decision.AskAgain(1, "blurred"));
        assertThat(asked.imageDoubts()).isEqualTo(1);
        assertThat(asked.askedAgain()).hasSize(1);
        assertThat(view(bad, new Decision.AskAgain(1, "blurred"), new Decision.AskAgain(1, null))
                        .askedAgain())
                .isEmpty();
    }

    @Test
    void theStreamsRepairsAreTakenOnlyWhereTheyAreNeeded() {
        BatchView view = view(List.of(page(1, 297, "a", new Measured(Measure.EDGE, 2, null)), page(2, 297, "b")));
        assertThat(view.pages().get(0).image().repairs()).containsExactly(new Repair.WhitenEdges());
        assertThat(view.pages().get(1).image().repairs()).isEmpty();
    }

    @Test
    void aPageIsReadAsItWasTurnedAndRepairedLast() {
        var byHand = new Decision.RepairPage(1, List.of(new Repair.Sharpen()));
        var how = HowToRead.of(
                stream.pages(),
                List.of(new Decision.Turn(1, 90), byHand, new Decision.Turn(1, -90), new Decision.Turn(2, 180)));
        assertThat(how.turn(1)).isEqualTo(270);
        assertThat(how.turn(3)).isNull();
        assertThat(how.page(1).recipe()).containsExactly(new Repair.Sharpen());
        assertThat(how.page(2).recipe()).hasSize(2);
        assertThat(how.recipe(page(2, 297, "b"))).as("nothing that it needs").isEmpty();
        var back = HowToRead.of(stream.pages(), List.of(byHand, new Decision.RepairPage(1, null)));
        assertThat(back.page(1).recipe()).isEqualTo(stream.pages().repairs());
        var forFiling = stream("\"repairFor\":\"filing\",\"repairs\":[{\"do\":\"sharpen\"}]")
                .pages();
        assertThat(HowToRead.of(forFiling, List.of(byHand)).page(1).recipe()).isEmpty();
        assertThat(forFiling.readingRepairs()).isEmpty();
    }

    @Test
    void aLongSheetAndARepeatedPageShowBesideTheirNeighbours() {
        BatchView view = view(List.of(
                page(1, 297, "the dues for the berth are"),
                page(2, 297, "paid until the end of May"),
                page(3, 297, "paid until the end of May"),
                page(4, 430, "two sheets fed as one again"),
                page(5, 297, "and an end of it now")));
        assertThat(view.pages())
                .extracting(
                        p -> p.image().findings().stream().map(Finding::kind).toList())
                .containsExactly(List.of(), List.of(), List.of(Measure.REPEAT), List.of(Measure.LENGTH), List.of());
    }

    @Test
    void theReportSaysFiguresRepairsAndWhoKeptWhat() throws Exception {
        var pages =
                List.of(page(1, 297, "a", new Measured(Measure.BLUR, 0.9, null), new Measured(Measure.EDGE, 2, null)));
        Map<Integer, PageFacts> facts = new TreeMap<>();
        pages.forEach(p -> facts.put(p.no(), p));
        BatchView view = view(pages, new Decision.AcceptImage(List.of(1)));
        String csv = ImageReport.csv(stream.pages(), view, facts);
        try (var read = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(csv))) {
            var line = read.iterator().next();
            assertThat(line.get("blur mm")).isEqualTo("0.900");
            assertThat(line.get("beyond its limit")).isEqualTo("blur 0.90 mm over 0.50 mm");
            assertThat(line.get("repairs")).isEqualTo("whiten edges");
            assertThat(line.get("accepted by")).isEqualTo("M. Tarrow, 2026-11-23T10:00:00Z");
        }
        byte[] pdf = ImageReport.pdf("B-0001", stream.pages(), view, facts);
        try (var document = org.apache.pdfbox.Loader.loadPDF(pdf)) {
            String text = new org.apache.pdfbox.text.PDFTextStripper().getText(document);
            assertThat(text).contains("B-0001", "0.90 !", "accepted by M. Tarrow");
        }
    }
}

package jalon.core.split;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.PageBuilder;
import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.mark.Mark;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.sort.Sorter;
import jalon.core.stream.Streams;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CutterTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"by\":\"pages\",\"every\":2}|1 3 5",
                "{\"by\":\"file\"}|1 3",
                "{\"by\":\"barcode\"}|1 2",
                "{\"by\":\"barcode\",\"like\":\"PM-9999-A\"}|1 2",
                "{\"by\":\"barcode\",\"like\":\"ML-99\"}|1",
                "{\"by\":\"barcode\",\"pattern\":\"PM-.*\",\"where\":[0,0,210,20]}|1",
                "{\"by\":\"barcode\",\"kind\":\"QR_CODE\"}|1",
                "{\"by\":\"barcode\",\"hit\":2}|1",
                "{\"by\":\"barcode\",\"hit\":-1,\"quality\":0.5}|1 2",
                "{\"by\":\"words\",\"must\":[\"Dear Harbour Master\"]}|1 3",
                "{\"by\":\"words\",\"must\":[\"Dear Harbour Master\"],\"mustNot\":[\"copy\"]}|1",
                "{\"by\":\"words\",\"pattern\":\"Our ref \\\\d+\"}|1 6",
                "{\"by\":\"words\",\"pattern\":\"Our ref \\\\d+\",\"where\":[0,100,210,100]}|1"
            })
    void eachRuleSetsItsStakes(String rule, String pages) throws Exception {
        Cut cut = Cutter.cut(
                Streams.parse(
                        "{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\"}],\"cut\":{\"rules\":["
                                + rule + "]}}"),
                batch());
        assertThat(String.join(
                        " ", cut.stakes().stream().map(s -> "" + s.page()).toList()))
                .isEqualTo(pages);
        assertThat(cut.outOfFlow()).containsOnlyKeys(4);
        assertThat(cut.stakes()).allMatch(s -> !s.evidence().isEmpty());
    }

    @Test
    void rulesThatAgreeAreKeptAsEvidenceAndTheFirstDecides() throws Exception {
        var stream = Streams.parse(
                "{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\"}],\"cut\":{\"rules\":["
                        + "{\"by\":\"words\",\"must\":[\"Dear Harbour Master\"]},{\"by\":\"file\"}]}}");
        var third = Cutter.cut(stream, batch()).stakes().get(1);
        assertThat(third.evidence()).extracting(e -> e.rule()).containsExactly(Evidence.Rule.WORDS, Evidence.Rule.FILE);
    }

    @Test
    void aMisreadLetterInAPhraseIsForgivenAndACleanPageIsBelievedMore() throws Exception {
        var stream = Streams.parse(
                "{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\",\"words\":{\"must\":[\"Harbour Master\"]}},"
                        + "{\"type\":\"other\",\"default\":true}]}");
        var clean = Sorter.sort(stream, List.of(), page(1, 1, "Harbour Master"));
        var misread = Sorter.sort(stream, List.of(), page(1, 1, "Harbaur Mastcr"));
        var other = Sorter.sort(stream, List.of(), page(1, 1, "Something else"));
        assertThat(clean.type()).isEqualTo("t");
        assertThat(misread.type()).isEqualTo("t");
        assertThat(misread.certainty()).isLessThan(clean.certainty());
        assertThat(other.type()).isEqualTo("other");
    }

    private static final String BY_BARCODE =
            "{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\"},"
                    + "{\"type\":\"invoice\",\"words\":{\"must\":[\"INVOICE\"]}}],\"cut\":{\"rules\":[{\"by\":\"barcode\"}]}}";

    @Test
    void aPageLikeTheFirstPagesThatHasNoSignIsADoubt() throws Exception {
        var cut = Cutter.cut(
                Streams.parse(BY_BARCODE),
                List.of(
                        letter(1).barcode("PM-4821-K").seen(),
                        inner(2).seen(),
                        letter(3).barcode("PM-5510-A").seen(),
                        inner(4).seen(),
                        // The sheet was forgotten, or its barcode is too faint.
                        letter(5).seen(),
                        inner(6).seen()));
        assertThat(cut.stakes()).extracting(Stake::page).containsExactly(1, 3, 5);
        assertThat(cut.stakes().get(2).certainty()).isEqualTo(Certainty.OVERLOOKED);
        assertThat(cut.stakes().get(2).evidence().get(0).why().code()).isEqualTo(Reason.Code.LOOKS_LIKE_FIRST);
    }

    @Test
    void aHeadingOfATypeInsideOfADocumentIsADoubtAndAMentionIsNot() throws Exception {
        var heading = new Word("INVOICE", new Box(20, 20, 60, 9), 0.95, 90);
        var cut = Cutter.cut(
                Streams.parse(BY_BARCODE),
                List.of(
                        letter(1).barcode("PM-4821-K").seen(),
                        inner(2).lines("with our invoice of May").seen(),
                        inner(3).words(List.of(heading)).seen()));
        assertThat(cut.stakes()).extracting(Stake::page).containsExactly(1, 3);
    }

    @Test
    void whatAllPagesHaveSaysNothing() throws Exception {
        var cut = Cutter.cut(
                Streams.parse(BY_BARCODE),
                List.of(
                        letter(1).barcode("PM-4821-K").seen(),
                        letter(2).seen(),
                        letter(3).barcode("PM-5510-A").seen(),
                        letter(4).seen(),
                        letter(5).seen()));
        assertThat(cut.stakes()).extracting(Stake::page).containsExactly(1, 3);
    }

    private static PageBuilder letter(int no) {
        return PageBuilder.page(no).filePage(no).lines("Northgate Chandlers Limited", "Wharf Street Port Merrow");
    }

    private static PageBuilder inner(int no) {
        return PageBuilder.page(no).filePage(no).lines("and the dues that were paid before", "as we wrote last week");
    }

    @Test
    void twoTypesThatClaimAPageAreADoubt() throws Exception {
        var stream = Streams.parse(
                "{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"a\",\"words\":{\"must\":[\"dues\"]}},"
                        + "{\"type\":\"b\",\"words\":{\"must\":[\"berth\"]}}]}");
        var both = Sorter.sort(stream, List.of(), page(1, 1, "dues for a berth"));
        assertThat(both.certainty()).isLessThan(0.7);
        assertThat(both.evidence())
                .anyMatch(e -> e.why().equals(Reason.Code.ALSO_WORDS_OF.with("a"))
                        || e.why().equals(Reason.Code.ALSO_WORDS_OF.with("b")));
    }

    private static List<Integer> stakes(String rules, PageFacts... pages) throws Exception {
        var stream = Streams.parse(
                "{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\"}],\"cut\":{\"rules\":["
                        + rules + "]}}");
        return Cutter.cut(stream, List.of(pages)).stakes().stream()
                .map(Stake::page)
                .toList();
    }

    private static PageFacts blank(int no, int filePage) {
        return PageBuilder.page(no).filePage(filePage).ink(0.000001).seen();
    }

    @Test
    void aFileWhoseFirstPageIsBlankIsAFileOfItsOwn() throws Exception {
        assertThat(stakes("{\"by\":\"file\"}", page(1, 1, "a"), page(2, 2, "b"), blank(3, 1), page(4, 2, "c")))
                .containsExactly(1, 4);
    }

    @Test
    void blankBacksOfSheetsAreCountedWhereEverySoManyPagesAreADocument() throws Exception {
        assertThat(stakes(
                        "{\"by\":\"pages\",\"every\":2}",
                        page(1, 1, "a"),
                        blank(2, 2),
                        page(3, 3, "b"),
                        page(4, 4, "b"),
                        blank(5, 5),
                        page(6, 6, "c"),
                        page(7, 7, "d")))
                .containsExactly(1, 3, 6, 7);
    }

    @Test
    void aFlagStandsOnThePageOrOnTheOneBehindItsSheet() throws Exception {
        PageFacts patch = PageBuilder.page(2).patch("3", Mark.KnownBy.PRINT).seen();
        for (String sheet : List.of("kept", "dropped")) {
            var stream = Streams.parse(
                    "{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\"}],\"cut\":{\"rules\":["
                            + "{\"by\":\"patch\",\"codes\":{\"3\":\"flag\"},\"sheet\":\"" + sheet + "\"}]}}");
            Cut cut = Cutter.cut(stream, List.of(page(1, 1, "a"), patch, page(3, 3, "b"), page(4, 4, "c")));
            assertThat(cut.flags()).containsOnlyKeys(sheet.equals("kept") ? 2 : 3);
        }
    }

    @Test
    void aPatchThatOnlyFlagsDoesNotKeepALaterRuleFromCutting() throws Exception {
        PageFacts flagged = PageBuilder.page(2)
                .patch("3", Mark.KnownBy.PRINT)
                .lines("Dear Harbour Master")
                .seen();
        assertThat(stakes(
                        "{\"by\":\"patch\",\"codes\":{\"3\":\"flag\"},\"sheet\":\"kept\"},{\"by\":\"words\",\"must\":[\"Dear Harbour Master\"]}",
                        page(1, 1, "Dear Harbour Master"),
                        flagged))
                .containsExactly(1, 2);
    }

    private static Cut byNumbers(String others, String... heads) throws Exception {
        var stream = Streams.parse(
                "{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\"}],\"cut\":{\"rules\":["
                        + others + "{\"by\":\"numbering\"}]}}");
        List<PageFacts> pages = new java.util.ArrayList<>();
        for (String head : heads) {
            pages.add(page(pages.size() + 1, pages.size() + 1, head, "Dear Harbour Master"));
        }
        return Cutter.cut(stream, pages);
    }

    @Test
    void aPageNumberedFirstBeginsADocumentAndNumbersThatGoOnStayInIt() throws Exception {
        Cut cut = byNumbers("", "Page 1 of 2", "Page 2 of 2", "Seite 1/1", "- 1 -", "- 2 -", "- 3 -");
        assertThat(cut.stakes()).extracting(Stake::page).containsExactly(1, 3, 4);
        assertThat(cut.stakes().get(0).certainty()).isGreaterThan(0.9);
        assertThat(cut.stakes().get(0).evidence().get(0).why()).isEqualTo(Reason.Code.NUMBERED_FIRST_OF.with(2));
    }

    @Test
    void numbersThatJumpAndPagesBehindALastOneAreDoubts() throws Exception {
        Cut cut = byNumbers("", "Page 1 of 3", "Page 2 of 3", "Page 2 of 2", "a sketch of the berth");
        assertThat(cut.stakes()).extracting(Stake::page).containsExactly(1, 3, 4);
        assertThat(cut.stakes().subList(1, 3)).allMatch(s -> s.certainty() < 0.7);
        assertThat(cut.stakes().get(1).evidence().get(0).why()).isEqualTo(Reason.Code.NUMBER_JUMPS.with(2, 2));
        assertThat(cut.stakes().get(2).evidence().get(0).why()).isEqualTo(Reason.Code.AFTER_LAST_PAGE.with(2));
    }

    @Test
    void aPageThatSaysNothingBeginsADocumentWhereTheNextOnesCountFromIt() throws Exception {
        Cut cut = byNumbers("", "A letter", "- 2 -", "Another", "p. 2", "p. 3", "A third", "Page 2 of 2");
        assertThat(cut.stakes()).extracting(Stake::page).containsExactly(1, 3, 6);
        assertThat(cut.stakes()).allMatch(s -> s.certainty() >= Certainty.NUMBERED_FROM_HERE);
        assertThat(cut.stakes().get(1).evidence().get(0).why()).isEqualTo(Reason.Code.NUMBERED_FROM_HERE.with(2));
    }

    @Test
    void aPageThatIsCountedPastIsNoneAndOneWhereNumbersEndIsAsked() throws Exception {
        Cut backs = byNumbers("", "Page 1 of 3", "Page 2 of 3", "terms on the back", "Page 3 of 3");
        assertThat(backs.stakes()).extracting(Stake::page).containsExactly(1);
        assertThat(backs.maybe()).isEmpty();
        Cut unread = byNumbers("", "p. 1", "blurred", "p. 3", "a sketch of the berth");
        assertThat(unread.stakes()).extracting(Stake::page).containsExactly(1);
        assertThat(unread.maybe()).extracting(Stake::page).containsExactly(4);
        assertThat(byNumbers("", "p. 3", "p. 4")
                        .stakes()
                        .get(0)
                        .evidence()
                        .get(0)
                        .why())
                .as("nothing stands before it to jump from")
                .isEqualTo(Reason.Code.FIRST_WITHOUT_SIGN.with());
        Cut nowhere = byNumbers("", "a sketch", "another sketch", "p. 1");
        assertThat(nowhere.maybe()).extracting(Stake::page).containsExactly(2);
        assertThat(nowhere.maybe().get(0).evidence().get(0).why()).isEqualTo(Reason.Code.NO_PAGE_NUMBER.with());
        assertThat(byNumbers("{\"by\":\"words\",\"must\":[\"Order\"]},", "a sketch", "another sketch", "p. 1")
                        .maybe())
                .as("where another rule cuts too")
                .isEmpty();
        Cut either = byNumbers("", "p. 1", "a sketch of the berth", "p. 2");
        assertThat(either.stakes()).extracting(Stake::page).containsExactly(1, 2);
        assertThat(either.stakes().get(1).certainty()).isLessThan(0.7);
    }

    @Test
    void aNumberThatWasMisreadIsOutvotedByThoseAroundIt() throws Exception {
        Cut cut = byNumbers("", "1 of 4", "4 of 4", "2 of 4", "3 of 4", "4 of 4");
        assertThat(cut.stakes()).extracting(Stake::page).containsExactly(1, 2);
        assertThat(byNumbers("", "p. 1", "p. 2", "p. 8", "p. 4").stakes())
                .extracting(Stake::page)
                .containsExactly(1);
    }

    @Test
    void aStakeThatNumbersSpeakAgainstIsADoubtAndOneThatTheyAgreeWithIsNot() throws Exception {
        String words = "{\"by\":\"words\",\"must\":[\"Dear Harbour Master\"]},";
        Cut cut = byNumbers(words, "Page 1 of 2", "Page 2 of 2", "Page 1 of 1");
        assertThat(cut.stakes()).extracting(Stake::page).containsExactly(1, 2, 3);
        assertThat(cut.stakes().get(1).certainty()).isEqualTo(Certainty.CONTRADICTED);
        assertThat(cut.stakes().get(1).evidence())
                .extracting(e -> e.why().code())
                .containsExactly(Reason.Code.WORDS, Reason.Code.NUMBER_GOES_ON);
        assertThat(cut.stakes().get(2).certainty()).isGreaterThan(0.9);
        assertThat(cut.stakes().get(2).evidence())
                .extracting(Evidence::rule)
                .containsExactly(Evidence.Rule.WORDS, Evidence.Rule.NUMBERING);
    }

    /** Six pages: two files, a barcode on 2, salutations on 1 and 3, 4 blank. */
    private static List<PageFacts> batch() {
        return List.of(
                page(1, 1, "Dear Harbour Master"),
                PageBuilder.page(2).barcode("PM-4821-K").lines("text").seen(),
                page(3, 1, "Dear Harbour Master copy"),
                PageBuilder.page(4).filePage(2).ink(0.000001).seen(),
                page(5, 3, "more"),
                page(6, 4, "Our ref 4711"));
    }

    private static PageFacts page(int no, int filePage, String... lines) {
        return PageBuilder.page(no).filePage(filePage).lines(lines).seen();
    }
}

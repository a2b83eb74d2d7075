package jalon.core.split;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.PageBuilder;
import jalon.core.evidence.Reason;
import jalon.core.index.ZoneReader;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchContext;
import jalon.core.run.BatchMemory;
import jalon.core.run.BatchRun;
import jalon.core.run.BatchView;
import jalon.core.run.Decided;
import jalon.core.run.Decision;
import jalon.core.sort.Learned;
import jalon.core.sort.Sorter;
import jalon.core.sort.Specimen;
import jalon.core.stream.Streams;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Rules that look at more than one page, through the whole run of a batch. */
class RulesTest {
    private static BatchView view(String cut, Learned learned, List<Decided> decisions, List<PageFacts> pages)
            throws Exception {
        var stream = Streams.parse(
                "{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"permit\"},{\"type\":\"notice\"}],\"cut\":{"
                        + cut + "}}");
        return new BatchRun(
                        stream,
                        learned,
                        Map.of(),
                        ZoneReader.NONE,
                        LocalDate.of(2026, 11, 23),
                        BatchContext.NOTHING,
                        BatchMemory.NONE)
                .cut(pages, decisions);
    }

    private static BatchView view(String cut, PageFacts... pages) throws Exception {
        return view(cut, Learned.NOTHING, List.of(), List.of(pages));
    }

    private static List<List<Integer>> documents(BatchView view) {
        return view.documents().stream().map(BatchView.DocumentView::pages).toList();
    }

    private static PageFacts page(int no, String... lines) {
        return PageBuilder.page(no).lines(lines).seen();
    }

    private static PageFacts blank(int no) {
        return PageBuilder.page(no).ink(0).seen();
    }

    @Test
    void behindTheWordsOfALastPageTheNextDocumentBegins() throws Exception {
        BatchView view = view(
                "\"rules\":[{\"by\":\"words\",\"must\":[\"Yours faithfully\"],\"on\":\"last\"}]",
                page(1, "Dear Harbour Master"),
                page(2, "the end", "Yours faithfully"),
                page(3, "Another letter"),
                page(4, "and more of it"));
        assertThat(documents(view)).containsExactly(List.of(1, 2), List.of(3, 4));
        assertThat(view.documents().get(1).stake().evidence().get(0).why())
                .isEqualTo(Reason.Code.LAST_PAGE_WORDS.with("Yours faithfully"));
    }

    @Test
    void aBlankSheetPartsDocumentsAndABlankBackDoesNot() throws Exception {
        BatchView simplex =
                view("\"rules\":[{\"by\":\"blank\"}]", page(1, "one"), page(2, "two"), blank(3), page(4, "three"));
        assertThat(documents(simplex)).containsExactly(List.of(1, 2), List.of(4));
        assertThat(simplex.pages().get(2).role()).isEqualTo(BatchView.Role.SEPARATOR);
        BatchView duplex = view(
                "\"duplex\":true,\"rules\":[{\"by\":\"blank\"}]",
                page(1, "one"),
                blank(2),
                page(3, "two"),
                page(4, "three"),
                blank(5),
                blank(6),
                page(7, "four"));
        assertThat(documents(duplex)).containsExactly(List.of(1, 3, 4), List.of(7));
        assertThat(duplex.pages())
                .extracting(BatchView.PageView::role)
                .containsSubsequence(BatchView.Role.BLANK, BatchView.Role.SEPARATOR, BatchView.Role.SEPARATOR);
    }

    @Test
    void withDuplexASignOnABackIsOnlyADoubtAndASeparatorTakesItsBlankBackAlong() throws Exception {
        String rules =
                "\"rules\":[{\"by\":\"barcode\",\"sheet\":\"dropped\"},{\"by\":\"words\",\"must\":[\"Notice\"]}]";
        PageFacts[] pages = {
            PageBuilder.page(1).barcode("A-1").seen(),
            blank(2),
            page(3, "Notice of something"),
            page(4, "Notice on the back"),
            page(5, "more"),
        };
        BatchView view = view("\"duplex\":true," + rules, pages);
        assertThat(documents(view)).containsExactly(List.of(3, 4, 5));
        assertThat(view.pages().get(1).role()).isEqualTo(BatchView.Role.SEPARATOR);
        assertThat(view.places()).extracting(BatchView.PlaceView::page).containsExactly(4);
        assertThat(view.cutDoubts()).isPositive();
        assertThat(documents(view("\"duplex\":true,\"beginOnBacks\":true," + rules, pages)))
                .containsExactly(List.of(3), List.of(4, 5));
    }

    private static final String CHANGE =
            "\"rules\":[{\"by\":\"change\",\"finder\":{\"by\":\"shape\",\"like\":\"PM-9999\"}}]";

    @Test
    void pagesWithOneValueBelongTogetherANewOneBeginsADocumentAndNoneFollows() throws Exception {
        BatchView view = view(
                CHANGE,
                page(1, "about PM-4821"),
                page(2, "PM-4821 again"),
                page(3, "nothing here"),
                page(4, "about PM-7730"),
                page(5, "still PM-7730"));
        assertThat(documents(view)).containsExactly(List.of(1, 2, 3), List.of(4, 5));
        assertThat(view.documents()).noneMatch(d -> d.stake().doubtful());
        assertThat(view.documents().get(1).stake().evidence().get(0).why())
                .isEqualTo(Reason.Code.NEW_VALUE.with("PM-4821", "PM-7730"));
    }

    @Test
    void aLetterAndTheDigitThatItIsReadAsAreOneValue() throws Exception {
        String pattern =
                "\"rules\":[{\"by\":\"change\",\"finder\":{\"by\":\"shape\",\"pattern\":\"No ([A-Z0-9]{8})\"}}]";
        BatchView view = view(
                pattern,
                page(1, "No IA160423"),
                page(2, "No 1A160423"),
                page(3, "No IA160423"),
                page(4, "No KA160423"));
        assertThat(documents(view)).containsExactly(List.of(1, 2, 3), List.of(4));
    }

    @Test
    void whereEveryPageHasAValueAPageWithoutOneMayBelongToTheNext() throws Exception {
        List<PageFacts> pages = new ArrayList<>();
        for (int i = 1; i <= 20; i++) {
            pages.add(page(i, "about PM-4821"));
        }
        pages.add(page(21, "a stain where the number is"));
        pages.add(page(22, "about PM-7730"));
        pages.add(page(23, "about PM-7730"));
        BatchView view = view(CHANGE, Learned.NOTHING, List.of(), pages);
        assertThat(view.places()).extracting(BatchView.PlaceView::page).containsExactly(21);
        assertThat(view.documents().get(1).stake().doubtful()).isTrue();
        // Where only first pages have one, nobody is asked.
        BatchView firsts =
                view(CHANGE, page(1, "about PM-4821"), page(2, "on"), page(3, "about PM-7730"), page(4, "on"));
        assertThat(firsts.places()).isEmpty();
    }

    @Test
    void whereOthersHaveTheirValueFiguresThatAreNoneMayBeANewOne() throws Exception {
        BatchView view = view(CHANGE, page(1, "PM-4821"), page(2, "PM-4821"), page(3, "nothing"), page(4, "PM-4 ~~"));
        assertThat(view.places()).extracting(BatchView.PlaceView::page).containsExactly(4);
    }

    @Test
    void aBlankReadIntoAValueOrASpeckInTheOneThatItHasMakesNoOtherValue() throws Exception {
        BatchView dashes = view(CHANGE.replace("PM-9999", "99-9999-A"), page(1, "83-3818-Q"), page(2, "83-38 18-Q"));
        assertThat(documents(dashes)).containsExactly(List.of(1, 2));
        BatchView blanks = view(
                CHANGE.replace("PM-9999", "AA 999999"),
                page(1, "KB 796871"),
                page(2, "NZ‘594395"),
                page(3, "NZ 594395"));
        assertThat(documents(blanks)).containsExactly(List.of(1), List.of(2, 3));
    }

    @Test
    void aValueThatComesBackIsADoubtAtBothEndsAndNoCut() throws Exception {
        List<PageFacts> pages = List.of(page(1, "PM-4821"), page(2, "PM-4871"), page(3, "PM-4821"), page(4, "PM-6000"));
        BatchView view = view(CHANGE, Learned.NOTHING, List.of(), pages);
        assertThat(documents(view)).containsExactly(List.of(1, 2, 3), List.of(4));
        assertThat(view.places()).extracting(BatchView.PlaceView::page).containsExactly(2, 3);
        // Whoever says that no document begins there has answered it.
        var lifted = new Decided(new Decision.LiftStake(2), "t.vane", Instant.EPOCH);
        var planted = new Decided(new Decision.PlantStake(3), "t.vane", Instant.EPOCH);
        BatchView decided = view(CHANGE, Learned.NOTHING, List.of(lifted, planted), pages);
        assertThat(decided.places()).isEmpty();
        assertThat(documents(decided)).containsExactly(List.of(1, 2), List.of(3), List.of(4));
    }

    private static PageFacts form(int no, String title) {
        return page(
                no,
                "Corvow Board",
                title,
                "Surname " + "abcdefg".charAt(no % 7) + "xq" + no,
                "Street and number",
                "Postcode",
                "Telephone " + 1000 * no,
                "Place and date",
                "Signature of the applicant");
    }

    private static Specimen sample(String type, int no, String title) {
        return new Specimen(type + "/" + no, type, null, List.of(form(no, title)));
    }

    static Learned learned() {
        return Learned.from(List.of(
                sample("permit", 1, "Application for a parking permit"),
                sample("permit", 2, "Application for a parking permit"),
                sample("notice", 3, "Notice of a change of address"),
                sample("notice", 4, "Notice of a change of address")));
    }

    @Test
    void aKnownFirstPageBeginsADocumentAndWhateverFollowsBelongsToIt() throws Exception {
        BatchView view = view(
                "\"rules\":[{\"by\":\"specimen\"}]",
                learned(),
                List.of(),
                List.of(
                        form(1, "Notice of a change of address"),
                        page(2, "A letter that came with it and says much", "of this and of that and of nothing else"),
                        form(3, "Application for a parking permit"),
                        form(4, "Application for a parking permit")));
        assertThat(documents(view)).containsExactly(List.of(1, 2), List.of(3), List.of(4));
        assertThat(view.documents()).extracting(d -> d.type().type()).containsExactly("notice", "permit", "permit");
        assertThat(view.documents().get(0).type().guesses().get(0).type()).isEqualTo("notice");
        assertThat(view.documents().get(0).type().variant()).isEqualTo("1");
    }

    /** Two letters over five pages. @param oneFile whether they are the pages of one file, or each of its own */
    private static List<PageFacts> letters(boolean oneFile) {
        String[] more = new String[28];
        Arrays.fill(more, "and so the water of the river stood higher than the sill of the lower sluice had");
        String[][] pages = {
            letter("Dear Mrs Harrowby,", "PK-77301"),
            more,
            {"was in the end agreed.", "Yours faithfully", "Corvow Tarnick"},
            letter("Dear Mr Tolland,", "QX-10442"),
            {"that is all there is to say of it.", "Kind regards", "Brimow Ashley"},
        };
        List<PageFacts> all = new ArrayList<>();
        for (String[] lines : pages) {
            int no = all.size() + 1;
            all.add(PageBuilder.page(no).filePage(oneFile ? no : 1).lines(lines).seen());
        }
        return all;
    }

    private static final String ALONE = "\"rules\":[{\"by\":\"pages-alone\"}]";

    @Test
    void fromThePagesAloneALetterEndsWhereTheNextOneBeginsAndEveryPlaceHasItsCertainty() throws Exception {
        BatchView view = view(ALONE, Learned.NOTHING, List.of(), letters(true));
        assertThat(documents(view)).containsExactly(List.of(1, 2, 3), List.of(4, 5));
        var stake = view.documents().get(1).stake();
        assertThat(stake.certainty()).isGreaterThan(0.5).isLessThan(1);
        assertThat(stake.evidence()).extracting(e -> e.why().words()).anyMatch(w -> w.contains("letter"));
        assertThat(view.places())
                .allMatch(p -> p.certainty() > 0.2
                        && p.certainty() < 0.5
                        && !p.evidence().isEmpty());
    }

    private static PageFacts terms(int no) {
        return page(
                no,
                "Terms of the permit",
                "It ends with the year in which it was given out",
                "The place is kept free of whatever is not a vehicle",
                "Whoever loses it pays for another one",
                "The council may take it back at any time",
                "Fees that were paid are not given back");
    }

    private static Learned permitsWithTerms() {
        List<Specimen> all = new ArrayList<>(learned().specimens());
        all.removeIf(s -> s.type().equals("permit"));
        for (int no = 1; no <= 2; no++) {
            all.add(new Specimen(
                    "permit/" + no,
                    "permit",
                    null,
                    List.of(form(no, "Application for a parking permit"), terms(no + 10))));
        }
        return Learned.from(all);
    }

    private static final String PERMIT = "Application for a parking permit";
    private static final String NOTICE = "Notice of a change of address";

    @Test
    void knownPagesBelongTogetherAndTwoOfOneFormAreTwoDocuments() throws Exception {
        List<PageFacts> pages =
                List.of(form(1, PERMIT), terms(2), form(3, PERMIT), terms(4), form(5, NOTICE), form(6, NOTICE));
        BatchView view = view(ALONE, permitsWithTerms(), List.of(), pages);
        assertThat(documents(view)).containsExactly(List.of(1, 2), List.of(3, 4), List.of(5), List.of(6));
        assertThat(view.places()).isEmpty();
        assertThat(view.documents().get(0).stake().doubtful()).isFalse();
    }

    @Test
    void aPageThatStrayedIsADoubtUntilItIsMoved() throws Exception {
        List<PageFacts> pages = List.of(form(1, PERMIT), form(2, NOTICE), terms(3), form(4, NOTICE));
        BatchView strayed = view(ALONE, permitsWithTerms(), List.of(), pages);
        List<Integer> asked = new ArrayList<>();
        strayed.places().forEach(p -> asked.add(p.page()));
        strayed.documents().stream()
                .filter(d -> d.stake().doubtful())
                .forEach(d -> asked.add(d.stake().page()));
        assertThat(asked).contains(3);
        var moved = new Decided(new Decision.MovePages(List.of(3), 2), "t.vane", Instant.EPOCH);
        BatchView view = view(ALONE, permitsWithTerms(), List.of(moved), pages);
        assertThat(view.places()).extracting(BatchView.PlaceView::page).doesNotContain(3, 4);
    }

    @Test
    void aBatchThatBeginsWithALaterPageIsADoubt() throws Exception {
        BatchView view = view(ALONE, permitsWithTerms(), List.of(), List.of(terms(1), form(2, NOTICE)));
        assertThat(view.documents().get(0).stake().doubtful()).isTrue();
        assertThat(documents(view)).containsExactly(List.of(1), List.of(2));
    }

    @Test
    void whatIsLikeTheSamplesOfTheDefaultOrLikeNoneIsOfTheDefault() throws Exception {
        String types = "\"types\":[{\"type\":\"notice\",\"default\":true},{\"type\":\"permit\"}]";
        var stream = Streams.parse("{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\"," + types + "}");
        var known = Sorter.sort(stream, learned().asFirst(form(7, NOTICE)), form(7, NOTICE));
        assertThat(known.type()).isEqualTo("notice");
        assertThat(known.variant()).isEqualTo("1");
        assertThat(known.certainty()).isGreaterThan(0.9).isLessThanOrEqualTo(1);
        assertThat(known.evidence()).extracting(e -> e.why().code()).contains(Reason.Code.LIKE_SAMPLES);
        PageFacts other = page(8, "Quite another sheet", "on which nothing stands that any sample has");
        var none = Sorter.sort(stream, learned().asFirst(other), other);
        assertThat(none.type()).isEqualTo("notice");
        assertThat(none.certainty()).isBetween(0.7, 0.9);
        assertThat(none.evidence()).extracting(e -> e.why().code()).containsExactly(Reason.Code.NO_TYPE_CLAIMS);
    }

    @Test
    void whereEveryPageIsAFileOfItsOwnANewFileSaysNothing() throws Exception {
        BatchView view = view(ALONE, Learned.NOTHING, List.of(), letters(false));
        assertThat(documents(view)).containsExactly(List.of(1, 2, 3), List.of(4, 5));
        assertThat(view.documents().get(1).stake())
                .isEqualTo(view(ALONE, Learned.NOTHING, List.of(), letters(true))
                        .documents()
                        .get(1)
                        .stake());
    }

    private static String[] letter(String greeting, String number) {
        List<String> lines = new ArrayList<>(List.of("Corvow Board", number + "  3 April 2026", greeting));
        while (lines.size() < 29) {
            lines.add("we write about the sluice of the lower weir and about the water that the river brought");
        }
        return lines.toArray(String[]::new);
    }
}

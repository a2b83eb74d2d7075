package jalon.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.standins.ScannerStandIn;
import java.nio.file.Files;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What is done with the mouse at the desks, and what others see of it. */
class DesksTest extends InTheBrowser {
    @Test
    void aPageIsDraggedBeforeAnotherAndTheMoveIsUndone() throws Exception {
        Api api = api();
        String no = longBatch(api);
        Page page = desk(no, "pages");
        Locator cells = page.locator(".strip .cell");
        assertThat(cells.nth(2)).isVisible();
        cells.nth(2).dragTo(cells.nth(0));
        assertThat(cells.nth(0).locator(".foot .mono")).hasText("3");
        assertThat(order(api, no)).startsWith(3, 1, 2);
        page.keyboard().press("z");
        assertThat(cells.nth(0).locator(".foot .mono")).hasText("1");
        assertThat(order(api, no)).startsWith(1, 2, 3);
        assertThat(problems).isEmpty();
    }

    @Test
    void aBoxDraggedOnThePaperIsReadIntoTheCurrentField() throws Exception {
        var stack = Paper.duesLetters(folder("read"), Harbour.portMerrow(), 3, 61);
        Api api = api();
        String no = bring(api, stack.stream(), stack.files());
        Page page = desk(no, "index");
        Locator value = page.locator(".field.current input");
        assertThat(value).isFocused();
        value.fill("");
        Locator first = page.locator("rect.word").nth(1);
        first.scrollIntoViewIfNeeded();
        BoundingBox word = first.boundingBox();
        page.mouse().move(word.x - 6, word.y - 5);
        page.mouse().down();
        page.mouse().move(word.x + word.width / 2, word.y + word.height / 2);
        page.mouse().move(word.x + word.width + 6, word.y + word.height + 5);
        page.mouse().up();
        page.waitForCondition(() -> !value.inputValue().isBlank());
        assertThat(value).isFocused();
        assertThat(problems).isEmpty();
    }

    @Test
    void aColumnIsFilledInAtTheTableByKeyAndUndoneAsOne() throws Exception {
        var stack = Paper.duesLetters(folder("table"), Harbour.portMerrow(), 4, 67);
        Api api = api();
        String no = bring(api, stack.stream(), stack.files());
        Page page = desk(no, "table");
        page.locator(".grid .cell.current").waitFor();
        page.keyboard().press("Control+Home");
        page.keyboard().type("PM-1234-A");
        page.keyboard().press("Enter");
        Locator filled = page.locator(".grid .cell", new Page.LocatorOptions().setHasText("PM-1234-A"));
        assertThat(filled).hasCount(1);
        page.keyboard().press("ArrowUp");
        page.keyboard().press("Control+d");
        assertThat(filled).hasCount(4);
        page.keyboard().press("Control+z");
        assertThat(filled).hasCount(1);
        page.keyboard().press("Control+Enter");
        assertThat(page.locator(".field.current input")).hasValue("PM-1234-A");
        page.keyboard().press("Escape");
        page.keyboard().press("t");
        assertThat(page.locator(".grid .cell.current")).hasText("PM-1234-A");
        assertThat(problems).isEmpty();
    }

    @Test
    void aLongBatchShowsOnlyWhatIsInSightAndMovesByKey() throws Exception {
        String no = longBatch(api());
        Page page = desk(no, "pages");
        Locator cells = page.locator(".strip .cell");
        assertThat(cells.first()).isVisible();
        assertThat(cells.count()).as("cells in the document").isLessThanOrEqualTo(longBatchPages);
        for (int i = 1; i < longBatchPages; i++) {
            page.keyboard().press("ArrowRight");
        }
        Locator current = page.locator(".strip .cell.current");
        assertThat(current.locator(".foot .mono")).hasText(Integer.toString(longBatchPages));
        assertThat(current).isInViewport();
        assertThat(problems).isEmpty();
    }

    @Test
    void unfitPagesAreFoundKeptRepairedAndAskedForByKey() throws Exception {
        var worn = Paper.wornLetters(folder("worn"), Harbour.portMerrow(), 5, 39)
                .files()
                .subList(2, 5);
        Api api = api();
        String no = bring(api, "dues-letters", worn);
        Page page = desk(no, "pages");
        assertThat(page.locator(".badge.eye")).hasText(new String[] {"▲ faint", "▲ blurred", "▲ corner"});
        assertThat(page.locator(".image.eye")).containsText("Contrast 0.21, limit 0.30");
        page.keyboard().press("p");
        page.keyboard().press("8");
        assertThat(page.locator(".frame img")).hasAttribute("src", java.util.regex.Pattern.compile("recipe=.*bitonal"));
        page.keyboard().press("Enter");
        assertThat(page.locator(".badge").first()).hasText("✓ repaired");
        page.keyboard().down("b");
        assertThat(page.locator(".frame img")).not().hasAttribute("src", java.util.regex.Pattern.compile("recipe="));
        page.keyboard().up("b");
        page.keyboard().press("e");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("Shift+ArrowRight");
        assertThat(page.locator(".strip .cell.chosen .foot .mono")).hasText(new String[] {"2", "3"});
        page.keyboard().press("ArrowLeft");
        page.keyboard().press("e");
        page.keyboard().press("k");
        assertThat(page.locator(".badge").nth(1)).hasText("✓ kept");
        page.keyboard().press("e");
        assertThat(page.locator(".strip .cell")).hasCount(1);
        page.keyboard().press("o");
        assertThat(page.locator("#reason-typed")).hasValue("corner");
        page.keyboard().press("Enter");
        assertThat(page.locator(".badge.eye")).hasText("↻ scan again");
        page.locator("nav").getByText("Rescans").click();
        assertThat(page.locator("article")).containsText("worn-letters-005.jpg");
        assertThat(problems).isEmpty();
    }

    @Test
    void aStackIsScannedByKeyThroughAJamToABatch() throws Exception {
        try (var scanner = ScannerStandIn.start(0)) {
            Api supervisor = supervisorsApi();
            supervisor.post(
                    "/api/channels",
                    Map.of("name", "office", "settings", Map.of("kind", "scanner", "address", scanner.address())));
            scanner.load("dues-letters", 3, 7, false);
            int sheets = scanner.sheets();
            scanner.fail(ScannerStandIn.Fault.JAM, 1);
            Page page = signedIn("m.tarrow", "merrow-operator");
            page.navigate(address() + "/desk/intake");
            page.locator(".stream-choice").getByText("Dues letters").click();
            assertThat(page.locator(".device")).containsText("Merrow simulated scanner");
            page.keyboard().press("s");
            assertThat(page.locator(".fault")).containsText("jammed. Sheet 1 is here. Put sheet 2");
            scanner.attend();
            page.keyboard().press("s");
            assertThat(page.locator("figure")).hasCount(sheets);
            assertThat(page.locator("figure").last()).containsText("sheet " + sheets + " front");
            assertThat(page.getByText("Go on scanning")).isVisible();
            page.keyboard().press("Enter");
            assertThat(page.locator(".done")).containsText("is being read");
            assertThat(problems).isEmpty();
        }
    }

    @Test
    void aReaderSeesTheArchiveAndNothingElse() {
        Page page = signedIn("i.ravenel", "merrow-reader");
        assertThat(page.locator("nav")).containsText("Archive");
        assertThat(page.locator("nav")).not().containsText("Intake");
        page.navigate(address() + "/desk/intake");
        assertThat(page.locator("input[type=file]")).hasCount(0);
    }

    private static String longBatch;
    private static int longBatchPages;

    /** One for the tests that leave a batch as it was. */
    private static String longBatch(Api api) throws Exception {
        if (longBatch == null) {
            var stack = Paper.duesLetters(folder("long"), Harbour.portMerrow(), 10, 85);
            longBatchPages = stack.pages();
            longBatch = bring(api, stack.stream(), stack.files());
        }
        return longBatch;
    }

    private Page desk(String no, String desk) {
        Page page = signedIn("m.tarrow", "merrow-operator");
        page.navigate(address() + "/desk/batches/" + no + "/" + desk);
        return page;
    }

    private static java.nio.file.Path folder(String name) throws Exception {
        return Files.createDirectories(folder.resolve(name));
    }

    private static List<Integer> order(Api api, String no) throws Exception {
        List<Integer> all = new java.util.ArrayList<>();
        for (JsonNode p : api.get("/api/batches/" + no).get("pages")) {
            all.add(p.get("no").asInt());
        }
        return all;
    }
}

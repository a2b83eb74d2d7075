package jalon.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import jalon.demo.Api;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** From six slips and six letters that no stream knows to a live stream that reads five fields of each, as somebody new does it. */
class StreamStoryTest extends InTheBrowser {
    private static final int MOST_ACTS = 40;

    private Page page;
    private Api api;
    private int acts;

    private void press(String key) {
        acts++;
        page.keyboard().press(key);
    }

    private void type(String words) {
        page.keyboard().type(words);
    }

    @Test
    void aStreamForPaperThatNobodyKnowsIsMadeInFortyActs() throws Exception {
        OrchardPaper.Stack slips = OrchardPaper.slips(folder.resolve("samples"), 6, 71);
        OrchardPaper.Stack letters = OrchardPaper.letters(folder.resolve("samples"), 6, 72);
        api = supervisorsApi();
        page = signedIn("t.vane", "merrow-supervisor");
        // Whoever waits for the dialog only as the key is pressed may come too late for it.
        page.onFileChooser(chooser -> {});

        acts++;
        page.locator("nav").getByText("Streams").click();
        assertThat(page.locator(".el-table__row, tbody tr").first()).isVisible();
        press("n");
        assertThat(page.locator("main input").first()).isFocused();
        type("Growers");
        press("Enter");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add samples")))
                .isVisible();
        bring(slips.file(), letters.file());

        press("p");
        assertThat(page.locator(".area-says .list li").first()).isVisible();
        press("Shift+T");
        assertThat(page.locator(".area-says")).containsText("Nothing more is proposed.");
        String no = api.get("/api/workbench/growers").get("samples").asString();
        assertThat(page.locator(".area-table thead")).hasCount(2);

        Map<String, String> first = letters.papers().get(0);
        List<String> wanted = new ArrayList<>(List.of("Written", "Grower", "Slip", "Owed"));
        for (String title : wanted) {
            String printed = title.equals("Written") ? OrchardPaper.inWords(first.get(title)) : first.get(title);
            draw(no, 1, printed);
            type(title);
            press("Enter");
            assertThat(page.locator(".area-table")).containsText(title);
        }
        press("g");
        press("Enter");
        assertThat(page.locator("main")).containsText("Growers");
        page.waitForURL("**/desk/streams");
        assertThat(problems).isEmpty();
        assertThat(acts).as("clicks and keys beside typing").isLessThanOrEqualTo(MOST_ACTS);

        read(OrchardPaper.slips(folder.resolve("more"), 4, 1071));
        read(OrchardPaper.letters(folder.resolve("more"), 4, 1072));
    }

    private void bring(Path... files) {
        FileChooser chooser = page.waitForFileChooser(() -> press("o"));
        acts++;
        chooser.setFiles(files);
        assertThat(page.locator(".strip li")).hasCount(14, new LocatorAssertions.HasCountOptions().setTimeout(240_000));
        assertThat(page.getByText("still being read")).hasCount(0);
    }

    /** Drags a box over words that somebody sees on the page. */
    private void draw(String no, int at, String words) throws Exception {
        acts++;
        JsonNode read = api.get("/api/batches/" + no + "/pages/" + at + "/words");
        String[] parts = words.split(" ");
        JsonNode from = null;
        JsonNode to = null;
        for (int i = 0; i + parts.length <= read.size() && to == null; i++) {
            if (read.get(i).get("text").asString().startsWith(parts[0])
                    && read.get(i + parts.length - 1).get("text").asString().startsWith(parts[parts.length - 1])) {
                from = read.get(i).get("box");
                to = read.get(i + parts.length - 1).get("box");
            }
        }
        assertThat(from).as("%s on page %d: %s", words, at, read).isNotNull();
        double[] start = onScreen(from.get(0).asDouble() - 1, from.get(1).asDouble() - 1);
        double[] end = onScreen(
                to.get(0).asDouble() + to.get(2).asDouble() + 0.6,
                Math.max(
                                from.get(1).asDouble() + from.get(3).asDouble(),
                                to.get(1).asDouble() + to.get(3).asDouble())
                        + 1);
        page.mouse().move(start[0], start[1]);
        page.mouse().down();
        page.mouse().move(end[0], end[1], new Mouse.MoveOptions().setSteps(4));
        page.mouse().up();
        Locator title = page.locator(".area-says form input[type=text]");
        assertThat(title).isFocused();
    }

    /** Millimetres of the page as pixels of the screen. */
    private double[] onScreen(double x, double y) {
        List<?> at = (List<?>) page.evaluate(
                "([x, y]) => { const s = document.querySelector('.area-page svg');"
                        + " const p = new DOMPoint(x, y).matrixTransform((s.querySelector('g') ?? s).getScreenCTM());"
                        + " return [p.x, p.y] }",
                List.of(x, y));
        return new double[] {((Number) at.get(0)).doubleValue(), ((Number) at.get(1)).doubleValue()};
    }

    /** What the stream reads on paper of the same kind that it has not seen. */
    private void read(OrchardPaper.Stack stack) throws Exception {
        String no = bring(api, "growers", List.of(stack.file()));
        JsonNode documents = api.get("/api/batches/" + no + "?fields=true").get("documents");
        assertThat(documents.size())
                .as("documents of %s: %s", stack.file(), documents)
                .isEqualTo(stack.papers().size());
        var all = new SoftAssertions();
        for (int i = 0; i < documents.size(); i++) {
            JsonNode fields = documents.get(i).get("fields");
            List<String> read = new ArrayList<>();
            fields.forEach(value -> read.add(
                    value.get("value") == null ? "" : value.get("value").asString()));
            all.assertThat(read)
                    .as("document %d of %s", i + 1, no)
                    .containsAll(stack.papers().get(i).values());
        }
        all.assertAll();
    }
}

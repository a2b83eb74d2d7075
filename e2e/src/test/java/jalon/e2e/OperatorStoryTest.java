package jalon.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The whole path as an operator goes it, by keyboard: from a scanned stack to a document found again. */
class OperatorStoryTest extends InTheBrowser {
    @Test
    void fromAStackOfPaperToADocumentFoundAgain() throws Exception {
        Paper.Stack stack = Paper.duesLetters(folder, Harbour.portMerrow(), 4, 163);
        Path rotten = Files.writeString(folder.resolve("rotten.tif"), "II*\0");
        Page page = newPage();

        page.fill("input[name=username]", "m.tarrow");
        page.fill("input[name=password]", "wrong");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("do not go together");
        page.fill("input[name=password]", "merrow-operator");
        page.keyboard().press("Enter");
        assertThat(page.getByText("No batches yet")).isVisible();

        page.getByText("Intake").first().click();
        page.getByText("Bring files").click();
        page.locator(".stream-choice").getByText("Dues letters").click();
        List<Path> files = new ArrayList<>(stack.files());
        files.add(rotten);
        page.locator(".files-input input").setInputFiles(files.toArray(Path[]::new));
        assertThat(page.locator("li.rejected")).containsText("damaged");
        assertThat(page.getByText("being read")).isVisible(WHILE_READING);
        page.keyboard().press("b");

        // Read; a file that could not be read is to be looked at, and one letter's registration is not in the register.
        assertThat(page.locator(".rail .word").getByText("Pages")).isVisible(WHILE_READING);
        page.keyboard().press("Enter");
        pageDesk(page, stack);
        page.keyboard().press("Enter");
        indexDesk(page, stack);

        assertThat(page.getByText("What will be made")).isVisible();
        assertThat(page.locator(".node.file")).hasCount(2 * stack.documents().size());
        page.keyboard().press("Enter");
        assertThat(page.locator("footer .state.settled")).isVisible(WHILE_READING);
        assertThat(page.locator(".ledger"))
                .hasText(stack.pages() + " pages received = " + stack.pages() + " filed + 0 open");

        String registration = stack.documents().get(2).fields().get("vessel");
        page.keyboard().press("/");
        page.keyboard().type("vessel:" + registration.substring(3) + " faithfully");
        page.keyboard().press("Enter");
        assertThat(page.locator("article")).hasCount(1);
        assertThat(page.locator("article .snippet")).isVisible();
        page.locator("article a").click();
        assertThat(page.locator(".shape.hit").first()).isVisible();
        page.keyboard().press("n");
        assertThat(page.locator(".shape.hitNow").first()).isVisible();
        assertThat(page.locator(".text").getByText("faithfully").first()).hasText("Yours faithfully");
        foundByWhatIsOffered(page, registration, stack.documents().size());
        assertThat(problems).isEmpty();
    }

    /** A field and its value are offered while it is typed; parts are taken off and put on with a press. */
    private static void foundByWhatIsOffered(Page page, String registration, int all) {
        page.keyboard().press("Escape");
        page.locator("#archive-words").fill("vess");
        assertThat(page.locator(".offers .offer").first()).containsText("Vessel");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Enter");
        assertThat(page.locator("#archive-words")).hasValue("vessel:");
        page.keyboard().type(registration);
        page.keyboard().press("Enter");
        assertThat(page.locator("article")).hasCount(1);
        page.getByText("Keep this search").click();
        assertThat(page.locator("#reason-typed")).isFocused();
        page.keyboard().type("That boat");
        page.keyboard().press("Enter");
        assertThat(page.locator(".saved .el-tag")).hasText("That boat");
        page.locator(".chips .el-tag__close").first().click();
        assertThat(page.locator("article")).hasCount(all);
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Control+Space");
        assertThat(page.getByText("1 document chosen")).isVisible();
        page.locator("#archive-words").fill("+-(");
        page.keyboard().press("Enter");
        assertThat(page.getByText("no letter and no digit")).isVisible();
    }

    /** Stakes are lifted, undone, done again and undone; a page is set aside and put back. */
    private static void pageDesk(Page page, Paper.Stack stack) {
        Locator stakes = page.locator(".strip .stake");
        int documents = stack.documents().size();
        assertThat(stakes).hasCount(documents);
        assertThat(page.locator(".not-read")).containsText("rotten.tif");
        page.keyboard().press("]");
        page.keyboard().press("Space");
        assertThat(stakes).hasCount(documents - 1);
        page.keyboard().press("z");
        assertThat(stakes).hasCount(documents);
        page.keyboard().press("Shift+Z");
        assertThat(stakes).hasCount(documents - 1);
        page.keyboard().press("z");
        assertThat(stakes).hasCount(documents);
        page.keyboard().press("a");
        assertThat(page.locator(".cell.setAside")).hasCount(1);
        page.keyboard().press("a");
        assertThat(page.locator(".cell.setAside")).hasCount(0);
        page.keyboard().press("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Set aside");
        page.keyboard().press("Escape");
    }

    /** The doubtful value is clicked on the page, mended by hand and settled; what hangs on it follows by itself. */
    private static void indexDesk(Page page, Paper.Stack stack) {
        Locator current = page.locator(".field.current input");
        assertThat(current).isFocused();
        assertThat(page.locator(".reasons")).containsText("not in the register");
        assertThat(page.locator(".field.current .snippet")).isVisible();
        page.locator("rect.word").first().click(new Locator.ClickOptions().setForce(true));
        assertThat(current).isFocused();
        String registration = stack.documents().get(2).fields().get("vessel");
        current.fill(registration);
        whatIsTypedOutlivesAServerThatGoesAwayAndTheSession(page, current, registration);
        assertThat(page.getByText("All settled.")).isVisible(WHILE_READING);
        assertThat(page.locator(".field", new Page.LocatorOptions().setHasText("settled by M. Tarrow")))
                .hasCount(1);
        assertThat(page.locator(".field", new Page.LocatorOptions().setHasText("Owner"))
                        .locator(".shown"))
                .hasText(stack.documents().get(2).fields().get("owner"));
        // Until no field is open any more Enter is about that.
        assertThat(page.locator(".field.current")).hasCount(0);
        page.keyboard().press("Enter");
    }

    private static void whatIsTypedOutlivesAServerThatGoesAwayAndTheSession(Page page, Locator typed, String text) {
        page.route("**/decisions*", Route::abort);
        page.keyboard().press("Enter");
        assertThat(page.getByText("what was typed is still here")).isVisible();
        assertThat(typed).hasValue(text);
        page.unroute("**/decisions*");
        page.context().clearCookies(new BrowserContext.ClearCookiesOptions().setName("JSESSIONID"));
        page.keyboard().press("Enter");
        Locator door = page.getByRole(AriaRole.DIALOG);
        assertThat(door).containsText("The session has ended");
        assertThat(typed).hasValue(text);
        assertThat(door.locator("input[type=password]")).isFocused();
        page.keyboard().type("merrow-operator");
        page.keyboard().press("Enter");
        // Until it is gone the keys are the dialog's.
        assertThat(door).isHidden();
    }
}

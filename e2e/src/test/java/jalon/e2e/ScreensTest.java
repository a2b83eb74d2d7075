package jalon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.LoadState;
import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.standins.ScannerStandIn;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.GZIPOutputStream;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Every screen with something on it: for people who cannot see it well, in other words, and in little room. */
class ScreensTest extends InTheBrowser {
    private static final String AT_REST = "() => document.getAnimations().every(a => a.playState !== 'running')";

    /** Answers that carry data, and not pictures, files or events. */
    private static final Pattern DATA = Pattern.compile("/api/(?!.*(picture|snippet|events|/file$|report))");

    private static final Pattern WORD = Pattern.compile("\\p{L}{2,}");

    /** Screens and what is opened on them, by what they are called here. */
    private static final Map<String, Consumer<Page>> SCREENS = new LinkedHashMap<>();

    private static ScannerStandIn scanner;

    @BeforeAll
    static void fill() throws Exception {
        Api api = api();
        scanner = ScannerStandIn.start(0);
        supervisorsApi()
                .post(
                        "/api/channels",
                        Map.of(
                                "name",
                                "front hall",
                                "settings",
                                Map.of("kind", "scanner", "address", scanner.address())));
        // All are read side by side.
        String filed = begin(api, Paper.licenceRenewals(folder("filed"), Harbour.portMerrow(), 2, 12));
        var worn = Paper.wornLetters(folder("worn"), Harbour.portMerrow(), 5, 39);
        String unfit = api.bring("dues-letters", worn.files().subList(2, 5));
        String doubtful = begin(api, Paper.duesLetters(folder("doubtful"), Harbour.portMerrow(), 3, 61));
        for (String no : List.of(filed, unfit, doubtful)) {
            untilRead(api, no);
        }
        api.post("/api/batches/" + filed + "/filing", Map.of());
        api.post(
                "/api/batches/" + unfit + "/decisions",
                Map.of("act", "askAgain", "page", 3, "because", "the corner is missing"));

        SCREENS.put("/desk/board", page -> page.keyboard().press("i"));
        SCREENS.put("/desk/day", page -> {});
        SCREENS.put("/desk/intake", page -> {});
        SCREENS.put("/desk/intake?files", page -> page.keyboard().press("2"));
        SCREENS.put(
                "/desk/intake?channel",
                page -> page.locator(".channels button").first().click());
        SCREENS.put("/desk/batches/" + unfit + "/pages", page -> page.keyboard().press("i"));
        SCREENS.put(
                "/desk/batches/" + unfit + "/pages?repair",
                page -> page.keyboard().press("p"));
        SCREENS.put(
                "/desk/batches/" + unfit + "/pages?types",
                page -> page.keyboard().press("t"));
        SCREENS.put("/desk/batches/" + doubtful + "/index", page -> {});
        SCREENS.put(
                "/desk/batches/" + doubtful + "/table", page -> page.keyboard().press("Control+h"));
        SCREENS.put("/desk/batches/" + doubtful + "/filing", page -> {});
        SCREENS.put("/desk/batches/" + filed + "/filing", page -> {});
        SCREENS.put("/desk/registers", page -> {});
        SCREENS.put("/desk/registers?source", page -> page.keyboard().press("s"));
        SCREENS.put("/desk/people", page -> page.keyboard().press("a"));
        SCREENS.put("/desk/people?rights", page -> page.locator("#tab-rights").click());
        SCREENS.put("/desk/retention", page -> {});
        SCREENS.put("/desk/retention?held", page -> page.locator("#tab-held").click());
        SCREENS.put("/desk/places", page -> page.keyboard().press("a"));
        SCREENS.put("/desk/rescans", page -> {});
        SCREENS.put("/desk/archive?q=licence", page -> {});
        SCREENS.put("/desk/archive/1?q=licence", page -> {});
        SCREENS.put("/desk/streams", page -> page.keyboard().press("?"));
        SCREENS.put(
                "/desk/streams/dues-letters",
                page -> page.locator("#tab-fields").click());
        SCREENS.put("/desk/streams?watch", page -> openStream(page, 0, ".watch"));
        SCREENS.put("/desk/streams?types", page -> openStream(page, 1, ".el-tree"));
        SCREENS.put("/desk/streams?names", page -> openStream(page, 2, ".names"));
        SCREENS.put("/desk/streams?versions", page -> openStream(page, 3, ".versions"));
        SCREENS.put("/desk/streams?limits", page -> openStream(page, 4, ".limits"));
        SCREENS.put("/desk/streams?certainty", page -> openStream(page, 5, ".certainty"));
        SCREENS.put("/desk/me", page -> {});
    }

    @AfterAll
    static void end() {
        scanner.close();
    }

    /** With aids for those who cannot see it well, and in little room: 640 by 400 is what 1280 by 800 has at 200 %. */
    @Test
    void noScreenShutsAnybodyOut() {
        Page page = signedIn("t.vane", "merrow-supervisor");
        var all = new SoftAssertions();
        visit(page, name -> {
            all.assertThat(findings(page)).as(name).isEmpty();
            for (int[] size : new int[][] {{1024, 700}, {640, 400}}) {
                page.setViewportSize(size[0], size[1]);
                var lost = (List<?>) page.evaluate(script("out-of-reach.js"));
                all.assertThat(lost).as(name + " at " + size[0]).isEmpty();
            }
            page.setViewportSize(1280, 800);
        });
        Page door = newPage();
        door.locator("input").first().waitFor();
        all.assertThat(findings(door)).as("sign in").isEmpty();
        all.assertAll();
        assertThat(problems).isEmpty();
    }

    /**
     * Words in a language made from English, each marked and a third longer (see {@code i18n/pseudo.ts}), and data to
     * go with them: names that are long or run from right to left, figures of 20 digits, 300 types, 40 fields.
     */
    @Test
    void everyWordComesFromTheWordsFileAndHasRoom() {
        Page page = signedIn("t.vane", "merrow-supervisor");
        page.evaluate("localStorage.setItem('jalon.place', JSON.stringify({ language: 'en-XA' }))");
        Set<String> data = ofTheCalendar();
        page.route(DATA, route -> {
            APIResponse answer = route.fetch();
            if (answer.text().isEmpty()) {
                route.fulfill(new Route.FulfillOptions().setResponse(answer));
                return;
            }
            String stretched = Stretched.of(answer.text());
            addWords(data, stretched);
            route.fulfill(new Route.FulfillOptions().setResponse(answer).setBody(stretched));
        });
        var all = new SoftAssertions();
        visit(page, name -> {
            @SuppressWarnings("unchecked")
            var seen = (Map<String, List<Object>>) page.evaluate(script("words-without-mark.js"));
            Set<String> strange = new LinkedHashSet<>();
            for (Object found : seen.get("unmarked")) {
                var word = (Map<?, ?>) found;
                if (!data.contains(word.get("word"))) {
                    strange.add(word.get("word") + " <" + word.get("where") + ">");
                }
            }
            all.assertThat(strange).as(name + ": words from elsewhere").isEmpty();
            all.assertThat(seen.get("cut")).as(name + ": cut off").isEmpty();
            all.assertThat((List<?>) page.evaluate(script("out-of-reach.js")))
                    .as(name + ": out of reach")
                    .isEmpty();
            all.assertThat((List<?>) page.evaluate(script("overlaps.js")))
                    .as(name + ": one over the other")
                    .isEmpty();
        });
        all.assertAll();
        assertThat(problems).isEmpty();
    }

    /** What is fetched before the first batch is seen, packed as servers pack it. */
    @Test
    void theFirstLookAtTheBoardIsLight() {
        Page page = signedIn("m.tarrow", "merrow-operator");
        Page fresh = newPage();
        fresh.context().addCookies(page.context().cookies());
        List<Integer> sizes = new ArrayList<>();
        fresh.route(Pattern.compile("\\.(js|css)$"), route -> {
            APIResponse answer = route.fetch();
            sizes.add(packed(answer.body()));
            route.fulfill(new Route.FulfillOptions().setResponse(answer));
        });
        fresh.navigate(address() + "/desk/board");
        fresh.locator(".rail").first().waitFor();
        int bytes = sizes.stream().mapToInt(n -> n).sum();
        assertThat(bytes).as("bytes of scripts and styles").isBetween(50_000, 250_000);
    }

    private static int packed(byte[] body) {
        var out = new ByteArrayOutputStream();
        try (var gzip = new GZIPOutputStream(out)) {
            gzip.write(body);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return out.size();
    }

    private static void visit(Page page, Consumer<String> look) {
        SCREENS.forEach((name, open) -> {
            page.navigate(address() + name);
            try {
                page.waitForLoadState(LoadState.NETWORKIDLE);
                open.accept(page);
                // Drawers and menus slide in.
                page.waitForCondition(() -> (Boolean) page.evaluate(AT_REST));
            } catch (TimeoutError e) {
                throw new AssertionError(name + " does not come to rest", e);
            }
            look.accept(name);
        });
    }

    /** What of the first stream is looked at. @param nth of what its menu offers */
    private static void openStream(Page page, int nth, String shows) {
        page.locator(".el-table .act").first().click();
        page.locator(".el-dropdown-menu__item:visible").nth(nth).click();
        page.locator(shows).waitFor();
    }

    private static List<String> findings(Page page) {
        return new AxeBuilder(page)
                        .withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"))
                        .analyze()
                        .getViolations()
                        .stream()
                        .filter(v -> Set.of("serious", "critical").contains(v.getImpact()))
                        .map(ScreensTest::said)
                        .toList();
    }

    private static String said(Rule rule) {
        var first = rule.getNodes().get(0);
        return rule.getId() + " (" + rule.getNodes().size() + "): " + first.getHtml() + " " + first.getFailureSummary();
    }

    private static void addWords(Set<String> words, String text) {
        Matcher found = WORD.matcher(text);
        while (found.find()) {
            words.add(found.group());
        }
    }

    /** What the browser says of days and times in the language of the region. */
    private static Set<String> ofTheCalendar() {
        Set<String> words = new HashSet<>(Set.of("AM", "PM", "ago", "sec", "min", "hr", "now", "yesterday"));
        for (var style : List.of(TextStyle.FULL, TextStyle.SHORT)) {
            for (Month month : Month.values()) {
                words.add(month.getDisplayName(style, Locale.ENGLISH));
            }
            for (DayOfWeek day : DayOfWeek.values()) {
                words.add(day.getDisplayName(style, Locale.ENGLISH));
            }
        }
        return words;
    }

    private static String script(String name) {
        try (var in = ScreensTest.class.getResourceAsStream("/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static String begin(Api api, Paper.Stack stack) throws Exception {
        return api.bring(stack.stream(), stack.files());
    }

    private static Path folder(String name) throws IOException {
        return Files.createDirectories(folder.resolve(name));
    }
}

package jalon.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import jalon.demo.Api;
import jalon.demo.Corrections;
import jalon.demo.Harbour;
import jalon.demo.HarbourPost;
import jalon.demo.Paper;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A bag of a hundred mixed pages without a sheet between them, with five faults: how many keys until it is right. */
class PostBagTest extends InTheBrowser {
    private static final int KEYS_A_FAULT = 3;
    private static final int MOST_STEPS = 60;

    private final HarbourPost.Bag bag = Paper.bag(Harbour.portMerrow(), 100, 52);
    private Api api;
    private String no;
    private Page desk;
    private int keys;

    @Test
    void aBagOfMixedPostIsRightAfterAHandfulOfKeys() throws Exception {
        api = api();
        teach();
        no = bring(api, Paper.POST, List.of(Paper.postBag(folder, bag, 52)));
        desk = signedIn("m.tarrow", "merrow-operator");
        desk.navigate(address() + "/desk/batches/" + no + "/pages");
        assertThat(desk.locator(".strip .cell.current")).isVisible();
        for (int step = 0; step < MOST_STEPS && !doubts().isEmpty(); step++) {
            if (doubts().contains(current())) {
                answer(current());
            } else {
                press("n");
            }
        }
        // What the machine cannot know: a declaration that was pinned to a letter. It is gone to with the mouse.
        for (int page : beginningsThatAreNone()) {
            // Without the browser driver's own idea of what can be clicked: what counts is that the desk goes there.
            desk.locator(".segment.document").nth(documentWith(page)).click(new Locator.ClickOptions().setForce(true));
            assertThat(desk.locator(".strip .cell.current .foot .mono")).hasText(String.valueOf(page));
            keys++;
            decide("Space");
        }
        assertThat(documents()).isEqualTo(truth());
        assertThat(keys).as("keys pressed").isLessThanOrEqualTo(KEYS_A_FAULT * HarbourPost.Fault.values().length);
        settleEveryValueInDoubt();
        assertThat(problems).isEmpty();
    }

    /** One key for each: the cursor stands in the next doubt by itself, and typing takes the place of what is there. */
    private void settleEveryValueInDoubt() throws Exception {
        int asked = Corrections.values(api, no, bag.documents()).size();
        assertThat(asked).as("values in doubt").isPositive();
        desk.navigate(address() + "/desk/batches/" + no + "/index");
        int before = keys;
        int typed = 0;
        for (int i = 0; i < asked + MOST_STEPS; i++) {
            List<Map<String, Object>> left = Corrections.values(api, no, bag.documents());
            if (left.isEmpty()) {
                break;
            }
            Map<String, Object> next = left.get(0);
            Locator input = desk.locator("[id='f-" + next.get("field") + "']");
            assertThat(input).isFocused();
            String value = (String) next.get("value");
            List<String> offered =
                    desk.locator(".field.current .choices button .mono").allInnerTexts();
            if (value == null) {
                decide("Control+0");
            } else if (offered.contains(value)) {
                decide("Control+" + (offered.indexOf(value) + 1));
            } else {
                if (!input.inputValue().equals(value)) {
                    typed++;
                    input.fill(value);
                }
                decide("Enter");
            }
        }
        assertThat(Corrections.values(api, no, bag.documents())).isEmpty();
        assertThat(keys - before).as("keys, one for each value in doubt").isLessThanOrEqualTo(asked);
        assertThat(typed).as("values that had to be typed").isLessThanOrEqualTo(asked / 2 + 1);
    }

    /** Four papers of each kind, filed by a person. */
    private void teach() throws Exception {
        Paper.Stack taught = Paper.postSamples(folder, Harbour.portMerrow(), 4, 51);
        String first = bring(api, Paper.POST, taught.files());
        Corrections.make(api, first, taught.documents());
        for (Map<String, Object> value : Corrections.values(api, first, taught.documents())) {
            api.post("/api/batches/" + first + "/decisions", value);
        }
        api.post("/api/batches/" + first + "/filing", Map.of());
        until(() -> api.get("/api/streams/harbour-post/samples").get("lesson").isObject());
    }

    private int documentWith(int first) throws Exception {
        int at = 0;
        for (JsonNode d : batch().get("documents")) {
            if (d.get("pages").get(0).asInt() == first) {
                return at;
            }
            at++;
        }
        throw new AssertionError("no document begins with page " + first);
    }

    private JsonNode batch() throws Exception {
        return api.get("/api/batches/" + no);
    }

    private int current() {
        return Integer.parseInt(
                desk.locator(".strip .cell.current .foot .mono").innerText().strip());
    }

    private void press(String key) {
        keys++;
        desk.keyboard().press(key);
    }

    /** A key that writes a decision down; the screen has it when the answer is there. */
    private void decide(String key) {
        desk.waitForResponse(r -> r.url().contains("/decisions"), () -> press(key));
    }

    private List<Integer> doubts() throws Exception {
        JsonNode batch = batch();
        List<Integer> doubts = new ArrayList<>();
        batch.get("places").forEach(p -> doubts.add(p.get("page").asInt()));
        for (JsonNode d : batch.get("documents")) {
            if (d.get("stake").get("doubtful").asBoolean()
                    || d.get("type").get("doubtful").asBoolean()) {
                doubts.add(d.get("pages").get(0).asInt());
            }
        }
        for (JsonNode p : batch.get("pages")) {
            if (p.get("needsEye").asBoolean()) {
                doubts.add(p.get("no").asInt());
            }
        }
        return doubts;
    }

    /** As somebody does who sees the page, and the one before it. */
    private void answer(int page) throws Exception {
        HarbourPost.Fed fed = bag.fed().get(page - 1);
        List<Integer> order = new ArrayList<>();
        batch().get("pages").forEach(p -> order.add(p.get("no").asInt()));
        int at = order.indexOf(page);
        if (fed.document() < 0) {
            decide("a");
        } else if (!follows(order, at - 1, fed) && follows(order, at - 2, fed)) {
            decide(",");
        } else if (!follows(order, at - 1, fed) && follows(order, at + 1, fed)) {
            decide(".");
        } else {
            sayWhatItIs(page, fed);
        }
    }

    /** Whether the page at this place is the one that a page should stand behind. */
    private boolean follows(List<Integer> order, int at, HarbourPost.Fed fed) {
        if (at < 0 || at >= order.size() || fed.page() == 1) {
            return fed.page() == 1;
        }
        HarbourPost.Fed before = bag.fed().get(order.get(at) - 1);
        return before.document() == fed.document() && before.page() == fed.page() - 1;
    }

    private void sayWhatItIs(int page, HarbourPost.Fed fed) throws Exception {
        for (JsonNode d : batch().get("documents")) {
            if (d.get("pages").get(0).asInt() == page) {
                if (d.get("stake").get("doubtful").asBoolean() || fed.page() > 1) {
                    decide(fed.page() == 1 ? "y" : "Space");
                } else {
                    nameType(d, bag.documents().get(fed.document()).type());
                }
                return;
            }
        }
        decide(fed.page() == 1 ? "Space" : "y");
    }

    private void nameType(JsonNode document, String type) throws Exception {
        List<String> offered = new ArrayList<>();
        document.get("type")
                .get("guesses")
                .forEach(g -> offered.add(g.get("type").asString()));
        batch().get("types").forEach(t -> offered.add(t.get("type").asString()));
        List<String> each = offered.stream().distinct().toList();
        press("t");
        decide(String.valueOf(each.indexOf(type) + 1));
    }

    private List<Integer> beginningsThatAreNone() throws Exception {
        List<Integer> none = new ArrayList<>();
        for (JsonNode d : batch().get("documents")) {
            int first = d.get("pages").get(0).asInt();
            if (bag.fed().get(first - 1).page() > 1) {
                none.add(first);
            }
        }
        return none;
    }

    /** Each document's type and pages, as the desk has them now. */
    private List<String> documents() throws Exception {
        List<String> documents = new ArrayList<>();
        for (JsonNode d : batch().get("documents")) {
            documents.add(d.get("type").get("type").asString() + " " + d.get("pages"));
        }
        return documents;
    }

    private List<String> truth() {
        List<String> documents = new ArrayList<>();
        for (int d = 0; d < bag.documents().size(); d++) {
            int document = d;
            List<Integer> pages = IntStream.rangeClosed(1, bag.fed().size())
                    .filter(p -> bag.fed().get(p - 1).document() == document)
                    .boxed()
                    .sorted(Comparator.comparingInt(p -> bag.fed().get(p - 1).page()))
                    .toList();
            String listed = pages.stream().map(String::valueOf).collect(Collectors.joining(",", "[", "]"));
            documents.add(bag.documents().get(d).type() + " " + listed);
        }
        return documents;
    }
}

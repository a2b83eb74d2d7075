package jalon.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.standins.FileServerStandIn;
import jalon.standins.MailStandIn;
import jalon.standins.ObjectStoreStandIn;
import jalon.standins.RepositoryStandIn;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** From a mail with scanned and written pages in one PDF to documents in four places, found, gone on with and told of. */
class MailedStoryTest extends InTheBrowser {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String SENDER = "post@boats.example";
    private static final String RECORDS = "records@merrow.example";
    private static final double POINTS_PER_MM = 72 / 25.4;
    private static final int MOST_DOUBTS = 8;

    private final Paper.Stack letter;

    MailedStoryTest() throws IOException {
        letter = Paper.duesLetters(Files.createDirectories(folder.resolve("scanned")), Harbour.portMerrow(), 1, 171);
    }

    @Test
    void aMailIsCutIndexedFiledInFourPlacesFoundGoneOnWithAndToldOf() throws Exception {
        try (var mail = MailStandIn.start(0, mailPort());
                var office = FileServerStandIn.start(0, folder.resolve("office"), "secret");
                var papers = RepositoryStandIn.start(0, "secret");
                var store = ObjectStoreStandIn.start(0, folder.resolve("store"), "secret")) {
            mail.person(RECORDS);
            mail.person(SENDER);
            Api supervisor = supervisorsApi();
            supervisor.put("/api/places/records-office", JSON.readValue(office.settings(), Map.class));
            supervisor.put("/api/places/paper-repository", JSON.readValue(papers.settings(), Map.class));
            supervisor.put("/api/places/paper-store", JSON.readValue(store.settings(), Map.class));
            supervisor.post("/api/streams", Map.of("json", stream()));
            supervisor.post(
                    "/api/channels",
                    Map.of("name", "post by mail", "stream", "mailed-letters", "settings", mail.channel(1)));
            mail.deliver(SENDER, "Two letters", Map.of("letters.pdf", mixedPdf()));

            Page page = signedIn("m.tarrow", "merrow-operator");
            until(() -> !supervisor.get("/api/board").get("batches").isEmpty());
            String no =
                    supervisor.get("/api/board").get("batches").get(0).get("no").asString();
            untilRead(supervisor, no);
            page.navigate(address() + "/desk/batches/" + no + "/pages");
            assertThat(page.locator(".strip .stake")).hasCount(2);
            page.keyboard().press("Enter");
            settled(page, supervisor, no);
            filed(page);
            assertThat(files(office.folder())).hasSize(8).anyMatch(f -> f.endsWith(".docx"));
            assertThat(files(store.folder())).hasSize(4);

            foundAndGoneOnWith(page);
            until(() -> mail.receivedBy(RECORDS).length == 2);
            until(() -> mail.receivedBy(SENDER).length >= 1);
            assertThat(mail.receivedBy(RECORDS)[0].getContent().toString())
                    .contains("Document 1: ", "Document 2: ", "records: Dues/", "papers: ", "store: ", "archive: ")
                    .contains("Pages: " + (letter.pages() + 1) + " received = " + (letter.pages() + 1) + " filed");
            assertThat(problems).isEmpty();
        }
    }

    /** As the demo's, but that people give the word. */
    private static String stream() throws IOException {
        var stream = (ObjectNode) JSON.readTree(Files.readString(Path.of("../demo/streams/mailed-letters.json")));
        stream.putObject("filing").putArray("report").add(RECORDS).add("{sender}");
        JsonNode destinations = stream.get("destinations");
        var four = stream.putArray("destinations");
        for (JsonNode destination : destinations) {
            if (List.of("records", "papers", "store", "archive")
                    .contains(destination.get("destination").asString())) {
                four.add(destination);
            }
        }
        return stream.toString();
    }

    /** A letter that was scanned, and one that was written and never printed. */
    private byte[] mixedPdf() throws IOException {
        try (var pdf = new PDDocument()) {
            for (Path scan : letter.files()) {
                PDPage page = new PDPage(PDRectangle.A4);
                pdf.addPage(page);
                try (var content = new PDPageContentStream(pdf, page)) {
                    PDImageXObject image = PDImageXObject.createFromFile(scan.toString(), pdf);
                    content.drawImage(image, 0, 0, PDRectangle.A4.getWidth(), PDRectangle.A4.getHeight());
                }
            }
            PDPage written = new PDPage(PDRectangle.A4);
            pdf.addPage(written);
            try (var content = new PDPageContentStream(pdf, written)) {
                String vessel = Harbour.portMerrow().vessels().get(3).registration();
                List<String> lines = List.of(
                        "Port Merrow Harbour Office, Lantern Quay",
                        "Written on 6 August 2026",
                        "Dear Harbour Master,",
                        "I write about the harbour dues for my vessel, " + vessel + ", which lies at North Quay.",
                        "I have worked the sum out again and come to an amount of 353.45 which I have paid today.",
                        "The pelorus on her deck is not mine.",
                        "Yours faithfully");
                for (int i = 0; i < lines.size(); i++) {
                    content.beginText();
                    content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 11);
                    content.newLineAtOffset(
                            (float) (25 * POINTS_PER_MM), (float) ((297 - 60 - 11 * i) * POINTS_PER_MM));
                    content.showText(lines.get(i));
                    content.endText();
                }
            }
            var out = new ByteArrayOutputStream();
            pdf.save(out);
            return out.toByteArray();
        }
    }

    /** What is in doubt is what the paper says. */
    private static void settled(Page page, Api api, String no) throws Exception {
        for (int i = 0; i < MOST_DOUBTS && doubts(api, no) > 0; i++) {
            assertThat(page.locator(".field.current input")).isFocused();
            page.waitForResponse(
                    r -> r.url().contains("/decisions"), () -> page.keyboard().press("Enter"));
        }
        assertThat(page.getByText("All settled.")).isVisible();
        page.keyboard().press("Enter");
    }

    private static int doubts(Api api, String no) throws Exception {
        return api.get("/api/batches/" + no + "?fields=true").get("fieldDoubts").asInt();
    }

    private static void filed(Page page) {
        assertThat(page.getByText("What will be made")).isVisible();
        assertThat(page.locator(".node.file")).hasCount(8);
        page.keyboard().press("Enter");
        assertThat(page.locator("footer .state.settled")).isVisible(WHILE_READING);
    }

    private void foundAndGoneOnWith(Page page) throws IOException {
        String registration = Harbour.portMerrow().vessels().get(3).registration();
        search(page, registration.substring(3, 7));
        assertThat(page.locator("article")).hasCount(1);
        search(page, "pelorus");
        assertThat(page.locator("article")).hasCount(1);
        page.locator("article a").first().click();
        assertThat(page.locator(".shape.hit").first()).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add pages"))
                .click();
        page.getByText("Bring files").click();
        page.locator(".files-input input").setInputFiles(letter.files().get(0));
        Locator more = page.locator(".el-drawer a[href$='/pages']");
        assertThat(more).isVisible(WHILE_READING);
        more.click();
        assertThat(page.locator(".strip .cell")).hasCount(1);
        page.navigate(page.url().replaceFirst("pages$", "filing"));
        assertThat(page.locator("footer .stretch + *")).isVisible();
        assertThat(page.getByText("File the batch")).isEnabled();
        page.keyboard().press("Enter");
        assertThat(page.locator("footer .state.settled")).isVisible(WHILE_READING);
        search(page, "pelorus");
        page.locator("article a").first().click();
        assertThat(page.getByText("Version 2").first()).isVisible();
    }

    private static void search(Page page, String words) {
        // Out of the field, if the words of the last search are still typed in it.
        page.keyboard().press("Escape");
        page.keyboard().press("/");
        page.keyboard().type(words);
        page.keyboard().press("Enter");
        assertThat(page.locator("article .snippet").first()).isVisible();
    }

    private static List<String> files(Path below) throws IOException {
        try (Stream<Path> all = Files.walk(below)) {
            return new ArrayList<>(
                    all.filter(Files::isRegularFile).map(Path::toString).toList());
        }
    }
}

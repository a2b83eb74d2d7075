package jalon.demo;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import tools.jackson.databind.json.JsonMapper;

/** Writes the harbour's paper as scan files, with the truth beside them. */
public final class Paper {
    /** The stream of mixed papers. */
    public static final String POST = "harbour-post";

    private Paper() {}

    /** A stack as one stream gets it. */
    public record Stack(String stream, List<Path> files, List<PaperDocument> documents, int pages) {}

    /**
     * Berth applications as a bitonal TIFF, licence renewals as a colour PDF, dues letters as grey JPEG files.
     *
     * @param pages about how many pages in all, at least 9
     */
    public static List<Stack> write(Path folder, long seed, int pages) throws IOException {
        Files.createDirectories(folder);
        Harbour harbour = Harbour.portMerrow();
        // On average an application is 2.6 sides with its cover, a renewal 4, a letter 1.3.
        int share = Math.max(3, pages / 3);
        List<Stack> stacks = List.of(
                berthApplications(folder, harbour, Math.max(1, (int) Math.round(share / 2.6)), seed),
                licenceRenewals(folder, harbour, Math.max(1, share / 4), seed + 1),
                duesLetters(folder, harbour, Math.max(1, (int) Math.round(share / 1.3)), seed + 2));
        Files.writeString(folder.resolve("truth.json"), truth(stacks));
        return stacks;
    }

    /** The sides of each document's sheets, its separators before them, for whoever scans them himself. */
    public static List<List<Sheet>> sheets(String stream, Harbour harbour, int documents, long seed) {
        Random r = new Random(seed);
        List<PaperDocument> made = switch (stream) {
            case "berth-applications" -> BerthApplications.make(harbour, documents, r);
            case "licence-renewals" -> LicenceRenewals.make(harbour, documents, r);
            case "dues-letters" -> DuesLetters.make(harbour, documents, r);
            default -> throw new IllegalArgumentException("no paper for " + stream);
        };
        return made.stream().map(d -> ScanFiles.sheets(List.of(d))).toList();
    }

    public static Stack berthApplications(Path folder, Harbour harbour, int documents, long seed) throws IOException {
        Random r = new Random(seed);
        List<PaperDocument> made = BerthApplications.make(harbour, documents, r);
        List<Sheet> sheets = ScanFiles.sheets(made);
        Path file = folder.resolve("berth-applications.tif");
        ScanFiles.tiff(file, sheets.size(), i -> scan(sheets.get(i), Scanner.Mode.BITONAL, 300, r), 300, "CCITT T.6");
        return new Stack("berth-applications", List.of(file), made, sheets.size());
    }

    public static Stack licenceRenewals(Path folder, Harbour harbour, int documents, long seed) throws IOException {
        Random r = new Random(seed);
        List<PaperDocument> made = LicenceRenewals.make(harbour, documents, r);
        List<Sheet> sheets = ScanFiles.sheets(made);
        Path file = folder.resolve("licence-renewals.pdf");
        ScanFiles.pdf(file, sheets.size(), i -> scan(sheets.get(i), Scanner.Mode.COLOUR, 200, r));
        return new Stack("licence-renewals", List.of(file), made, sheets.size());
    }

    public static Stack duesLetters(Path folder, Harbour harbour, int documents, long seed) throws IOException {
        Random r = new Random(seed);
        List<PaperDocument> made = DuesLetters.make(harbour, documents, r);
        List<Sheet> sheets = ScanFiles.sheets(made);
        List<Path> files = new ArrayList<>();
        for (int i = 0; i < sheets.size(); i++) {
            Path file = folder.resolve(String.format(Locale.ROOT, "dues-letters-%03d.jpg", i + 1));
            ScanFiles.jpeg(file, scan(sheets.get(i), Scanner.Mode.GREY, 300, r), 300);
            files.add(file);
        }
        return new Stack("dues-letters", files, made, sheets.size());
    }

    /** Dues letters as they come after a hard voyage and a hurried scan: some faint, blurred, torn, cut off, fed twice. */
    public static Stack wornLetters(Path folder, Harbour harbour, int documents, long seed) throws IOException {
        Random r = new Random(seed);
        List<PaperDocument> made = DuesLetters.make(harbour, documents, r);
        List<Sheet> sheets = ScanFiles.sheets(made);
        List<Path> files = new ArrayList<>();
        for (int i = 0; i < sheets.size(); i++) {
            var setting = Scanner.Setting.feeder(Scanner.Mode.GREY, 300, r);
            double skew = i == 1 ? 9.5 : setting.skew();
            double shift = i == 5 ? -27 : setting.shiftX();
            BufferedImage page = Scanner.scan(
                    sheets.get(i), new Scanner.Setting(setting.mode(), 300, skew, shift, 0, i % 4 == 2, i % 4 == 0), r);
            page = switch (i) {
                case 2 -> Wear.faded(page, 0.2);
                case 3 -> Wear.blurred(page, 300, 0.24);
                case 4 -> Wear.draw(page, 300, g -> Wear.corner(g, 1, 24, 17, 210, 297));
                case 7 -> Wear.shaded(page, 0.5);
                default -> page;
            };
            keep(folder, page, files);
            if (i == 6) {
                keep(folder, page, files);
            }
        }
        return new Stack("dues-letters", files, made, files.size());
    }

    /** Two documents of each kind that the post brings, a file each: what its types are taught by. */
    public static Stack postSamples(Path folder, Harbour harbour, int each, long seed) throws IOException {
        Random r = new Random(seed);
        List<PaperDocument> made = HarbourPost.ofEachKind(harbour, each, r);
        List<Path> files = new ArrayList<>();
        int pages = 0;
        for (PaperDocument d : made) {
            Path file = folder.resolve(String.format(Locale.ROOT, "post-%03d.tif", files.size() + 1));
            List<Sheet> sheets = d.pages();
            ScanFiles.tiff(
                    file, sheets.size(), i -> scan(sheets.get(i), Scanner.Mode.BITONAL, 200, r), 200, "CCITT T.6");
            files.add(file);
            pages += sheets.size();
        }
        return new Stack(POST, files, made, pages);
    }

    /** A bag of post in one file, in the order in which it was fed. */
    public static Path postBag(Path folder, HarbourPost.Bag bag, long seed) throws IOException {
        Random r = new Random(seed);
        Path file = folder.resolve("harbour-post.tif");
        List<HarbourPost.Fed> fed = bag.fed();
        ScanFiles.tiff(file, fed.size(), i -> scan(fed.get(i).sheet(), Scanner.Mode.BITONAL, 200, r), 200, "CCITT T.6");
        return file;
    }

    public static HarbourPost.Bag bag(Harbour harbour, int pages, long seed) {
        return HarbourPost.bag(harbour, pages, new Random(seed));
    }

    private static void keep(Path folder, BufferedImage page, List<Path> files) throws IOException {
        Path file = folder.resolve(String.format(Locale.ROOT, "worn-letters-%03d.jpg", files.size() + 1));
        ScanFiles.jpeg(file, page, 300);
        files.add(file);
    }

    private static BufferedImage scan(Sheet sheet, Scanner.Mode mode, int dpi, Random r) {
        return Scanner.scan(sheet, Scanner.Setting.feeder(mode, dpi, r), r);
    }

    private static String truth(List<Stack> stacks) {
        List<Map<String, Object>> all = new ArrayList<>();
        for (Stack stack : stacks) {
            int page = 0;
            List<Map<String, Object>> documents = new ArrayList<>();
            for (PaperDocument d : stack.documents()) {
                page += d.before().size();
                List<Integer> pages = new ArrayList<>();
                List<Integer> blank = new ArrayList<>();
                for (Sheet sheet : d.pages()) {
                    page++;
                    (sheet == Sheet.BLANK ? blank : pages).add(page);
                }
                Map<String, Object> one = new LinkedHashMap<>();
                one.put("type", d.type());
                one.put("pages", pages);
                one.put("blank", blank);
                one.put("fields", d.fields());
                documents.add(one);
            }
            Map<String, Object> one = new LinkedHashMap<>();
            one.put("stream", stack.stream());
            one.put(
                    "files",
                    stack.files().stream().map(f -> f.getFileName().toString()).toList());
            one.put("pages", stack.pages());
            one.put("documents", documents);
            all.add(one);
        }
        return JsonMapper.builder().build().writerWithDefaultPrettyPrinter().writeValueAsString(all);
    }
}

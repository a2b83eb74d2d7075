package jalon.bench.codes;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.MultiFormatReader;
import com.google.zxing.PlanarYUVLuminanceSource;
import com.google.zxing.ReaderException;
import com.google.zxing.Result;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.multi.GenericMultipleBarcodeReader;
import jalon.bench.Table;
import jalon.core.image.GrayPlane;
import jalon.core.mark.Mark;
import jalon.core.mark.Marks;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.SplittableRandom;
import javax.imageio.ImageIO;

/**
 * Codes of all kinds on clean, worn and photographed pages, against the plain library trying hard and the common
 * command-line reader; and pages without codes. {@code OUT PAGES CODELESS SEED}.
 */
public final class CodeBench {
    private enum Reader {
        JALON,
        LIBRARY,
        COMMAND
    }

    private static final class Tally {
        int printed;
        final int[] read = new int[Reader.values().length];
    }

    private final Map<CodePaper.Wearing, Map<CodeKind, Tally>> tallies = new EnumMap<>(CodePaper.Wearing.class);
    private final int[] wrong = new int[Reader.values().length];
    private final long[] nanos = new long[Reader.values().length];
    private final boolean show = System.getenv("SHOW") != null;
    /** The others are slow, and do not change. */
    private final Reader[] readers = System.getenv("ALONE") != null ? new Reader[] {Reader.JALON} : Reader.values();

    private record Seen(String kind, String value) {}

    public static void main(String[] args) throws IOException, InterruptedException {
        var bench = new CodeBench();
        int pages = Integer.parseInt(args[1]);
        int codeless = Integer.parseInt(args[2]);
        long seed = Long.parseLong(args[3]);
        for (int i = 0; i < pages; i++) {
            var chance = new Random(new SplittableRandom(seed * 1_000_003 + i).nextLong());
            var wearing = CodePaper.Wearing.values()[i % CodePaper.Wearing.values().length];
            bench.page(i, CodePaper.page(wearing, chance));
        }
        var table = new Table();
        bench.write(table, pages);
        bench.codeless(table, codeless, seed);
        patches(table, pages / 3, seed);
        Files.createDirectories(Path.of(args[0]).toAbsolutePath().getParent());
        Files.writeString(Path.of(args[0]), table.text());
    }

    private void page(int no, CodePaper.Page page) throws IOException, InterruptedException {
        for (Reader reader : readers) {
            List<Seen> seen = read(reader, page.image(), page.dpi());
            List<Seen> left = new ArrayList<>(seen);
            for (CodePaper.Printed printed : page.codes()) {
                Tally tally = tallies.computeIfAbsent(page.wearing(), w -> new EnumMap<>(CodeKind.class))
                        .computeIfAbsent(printed.kind(), k -> new Tally());
                tally.printed += reader == Reader.JALON ? 1 : 0;
                boolean read = left.removeIf(s -> same(printed, s));
                tally.read[reader.ordinal()] += read ? 1 : 0;
                if (show && reader == Reader.JALON && !read) {
                    System.err.println(no + " " + page.wearing() + " " + page.dpi() + " dpi not read: " + printed);
                }
            }
            wrong[reader.ordinal()] += left.size();
            if (show && reader == Reader.JALON && !left.isEmpty()) {
                System.err.println(
                        no + " " + page.wearing() + " " + page.dpi() + " dpi FALSE: " + left + " of " + page.codes());
            }
        }
        if (show
                && System.getenv("PAGES") != null
                && List.of(System.getenv("PAGES").split(",")).contains("" + no)) {
            ImageIO.write(page.image(), "png", new java.io.File(System.getenv("SHOW"), "code-" + no + ".png"));
        }
    }

    /** The other readers name the kind otherwise or leave start and stop away; what they mean is the same. */
    private static boolean same(CodePaper.Printed printed, Seen seen) {
        String value = printed.value();
        boolean kind = seen.kind == null || seen.kind.equals(printed.kind().name());
        return switch (printed.kind()) {
            case CODABAR ->
                kind && (seen.value.equals(value) || seen.value.equals(value.substring(1, value.length() - 1)));
            case UPC_A -> kind && seen.value.equals(value) || seen.value.equals("0" + value);
            case UPC_E -> seen.value.equals(value) && kind || seen.value.equals(expanded(value));
            default -> kind && seen.value.equals(value);
        };
    }

    /** The long number that a short one with an end of 0 to 2 stands for, as a goods number of 13 digits. */
    private static String expanded(String upcE) {
        return "00" + upcE.substring(1, 3) + upcE.charAt(6) + "0000" + upcE.substring(3, 6) + upcE.charAt(7);
    }

    private List<Seen> read(Reader reader, BufferedImage image, int dpi) throws IOException, InterruptedException {
        if (reader == Reader.COMMAND) {
            return command(image);
        }
        GrayPlane plane = GrayPlane.of(image, dpi);
        long from = System.nanoTime();
        List<Seen> seen = reader == Reader.JALON ? jalon(plane) : library(plane);
        nanos[reader.ordinal()] += System.nanoTime() - from;
        return seen;
    }

    private static List<Seen> jalon(GrayPlane plane) {
        return Marks.found(plane).upright(0, false).stream()
                .filter(m -> m.kind() == Mark.Kind.BARCODE)
                .map(m -> new Seen(m.symbology(), m.value()))
                .toList();
    }

    private static List<Seen> library(GrayPlane p) {
        Map<DecodeHintType, Object> hints = new EnumMap<>(DecodeHintType.class);
        hints.put(DecodeHintType.TRY_HARDER, Boolean.TRUE);
        hints.put(
                DecodeHintType.POSSIBLE_FORMATS,
                Arrays.stream(CodeKind.values()).map(k -> k.format).toList());
        var source =
                new PlanarYUVLuminanceSource(p.pixels(), p.width(), p.height(), 0, 0, p.width(), p.height(), false);
        try {
            Result[] results = new GenericMultipleBarcodeReader(new MultiFormatReader())
                    .decodeMultiple(new BinaryBitmap(new HybridBinarizer(source)), hints);
            return Arrays.stream(results)
                    .map(r -> new Seen(r.getBarcodeFormat().name(), r.getText()))
                    .distinct()
                    .toList();
        } catch (ReaderException | RuntimeException e) {
            return List.of();
        }
    }

    private List<Seen> command(BufferedImage image) throws IOException, InterruptedException {
        Path file = Files.createTempFile("jalon-bench-code", ".png");
        try {
            ImageIO.write(image, "png", file.toFile());
            long from = System.nanoTime();
            Process p = new ProcessBuilder(
                            "zbarimg",
                            "-q",
                            "--set",
                            "*.enable",
                            "--set",
                            "isbn10.disable",
                            "--set",
                            "isbn13.disable",
                            file.toString())
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
            String out = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            p.waitFor();
            nanos[Reader.COMMAND.ordinal()] += System.nanoTime() - from;
            Map<String, String> kinds = new LinkedHashMap<>();
            kinds.put("EAN-13", "EAN_13");
            kinds.put("EAN-8", "EAN_8");
            kinds.put("UPC-A", "UPC_A");
            kinds.put("UPC-E", "UPC_E");
            kinds.put("I2/5", "ITF");
            kinds.put("CODE-39", "CODE_39");
            kinds.put("CODE-93", "CODE_93");
            kinds.put("CODE-128", "CODE_128");
            kinds.put("Codabar", "CODABAR");
            kinds.put("QR-Code", "QR_CODE");
            return out.lines()
                    .map(l -> l.split(":", 2))
                    .filter(l -> l.length == 2)
                    .map(l -> new Seen(kinds.getOrDefault(l[0], l[0]), l[1]))
                    .distinct()
                    .toList();
        } finally {
            Files.delete(file);
        }
    }

    private void write(Table table, int pages) {
        tallies.forEach((wearing, kinds) -> {
            table.title(
                    "Codes, " + wearing.name().toLowerCase(java.util.Locale.ROOT),
                    "kind",
                    "printed",
                    "Jalon",
                    "plain library",
                    "command");
            kinds.forEach((kind, t) -> table.row(kind, t.printed, t.read[0], t.read[1], t.read[2]));
            int[] all = new int[4];
            kinds.values().forEach(t -> {
                all[3] += t.printed;
                for (int i = 0; i < 3; i++) {
                    all[i] += t.read[i];
                }
            });
            table.row(
                    "all",
                    all[3],
                    Table.share(all[0], all[3]),
                    Table.share(all[1], all[3]),
                    Table.share(all[2], all[3]));
        });
        table.title("All pages", "", "Jalon", "plain library", "command");
        table.row("values not printed", wrong[0], wrong[1], wrong[2]);
        table.row("ms a page", nanos[0] / 1e6 / pages, nanos[1] / 1e6 / pages, nanos[2] / 1e6 / pages);
    }

    private void codeless(Table table, int pages, long seed) throws IOException, InterruptedException {
        int[] found = new int[Reader.values().length];
        int patches = 0;
        Arrays.fill(nanos, 0);
        for (int i = 0; i < pages; i++) {
            var chance = new Random(new SplittableRandom(seed * 2_000_003 + i).nextLong());
            int dpi = i % 2 == 0 ? 200 : 300;
            BufferedImage image = OtherPaper.page(dpi, chance);
            // The other readers are slow; a fifth of the pages tells how they do.
            for (Reader reader : i % 5 == 0 ? readers : new Reader[] {Reader.JALON}) {
                List<Seen> seen = read(reader, image, dpi);
                found[reader.ordinal()] += seen.size();
                if (show && reader == Reader.JALON && !seen.isEmpty()) {
                    System.err.println("codeless " + i + " FALSE " + seen);
                    ImageIO.write(image, "png", new java.io.File(System.getenv("SHOW"), "codeless-" + i + ".png"));
                }
            }
            List<Mark> bars = Marks.found(GrayPlane.of(image, dpi)).upright(0, false).stream()
                    .filter(m -> m.kind() == Mark.Kind.PATCH)
                    .toList();
            patches += bars.size();
            if (show && !bars.isEmpty()) {
                System.err.println("codeless " + i + " FALSE " + bars);
                ImageIO.write(image, "png", new java.io.File(System.getenv("SHOW"), "codeless-patch-" + i + ".png"));
            }
        }
        int some = (pages + 4) / 5;
        table.title("Pages without codes", "", "Jalon", "plain library", "command");
        table.row("pages", pages, some, some);
        table.row("values seen", found[0], found[1], found[2]);
        table.row("patches seen", patches, "", "");
        table.row("ms a page", nanos[0] / 1e6 / pages, nanos[1] / 1e6 / some, nanos[2] / 1e6 / some);
    }

    private static void patches(Table table, int pages, long seed) {
        table.title("Patches", "pages", "right", "wrong or further");
        for (boolean worn : new boolean[] {false, true}) {
            int right = 0;
            int wrong = 0;
            for (int i = 0; i < pages; i++) {
                var chance = new Random(new SplittableRandom(seed * 3_000_017 + i).nextLong());
                PatchPaper.Page page = PatchPaper.page(worn, chance);
                for (Mark m :
                        Marks.found(GrayPlane.of(page.image(), page.dpi())).upright(0, false)) {
                    boolean is = m.kind() == Mark.Kind.PATCH && m.value().equals(page.code());
                    right += is ? 1 : 0;
                    wrong += is ? 0 : 1;
                }
            }
            table.row(worn ? "worn" : "clean", Table.share(right, pages), wrong);
        }
    }
}

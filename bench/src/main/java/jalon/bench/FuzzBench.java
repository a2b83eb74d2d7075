package jalon.bench;

import jalon.core.apart.CountPages;
import jalon.core.apart.PageWorkers;
import jalon.core.apart.ReadOnePage;
import jalon.core.apart.WorkFailed;
import jalon.core.apart.WorkerLaunch;
import jalon.core.page.UnreadableFile;
import jalon.core.read.HowToReadPage;
import jalon.core.read.ReadPage;
import jalon.demo.Harbour;
import jalon.demo.Hostile;
import jalon.demo.Paper;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.imageio.ImageIO;

/**
 * Damaged and hostile files: mutations of the demo's paper in every format, seeded, and a hostile one among twenty. Each is
 * opened and all its pages are read as the server does it, in workers that can be killed. Every file has to come to an end,
 * within a minute, with something said about every page.
 */
final class FuzzBench {
    private static final int WORKERS = 2;
    private static final double LONGEST_SECONDS = 60;

    private FuzzBench() {}

    private enum Kind {
        TIFF,
        PDF,
        JPEG,
        PNG,
        HOSTILE
    }

    /** @param pages of which something was said, @param read of them */
    private record Outcome(Kind kind, double seconds, int pages, int read, String told, WorkFailed.Why failed) {}

    public static void main(String[] args) throws Exception {
        System.setProperty("java.awt.headless", "true");
        int files = Integer.parseInt(args[1]);
        long seed = Long.parseLong(args[2]);
        Path folder = Files.createTempDirectory("jalon-fuzz");
        Map<Kind, List<byte[]>> samples = samples(folder);
        var random = new Random(seed);
        List<Outcome> outcomes = new ArrayList<>();
        ExecutorService pool = Executors.newFixedThreadPool(WORKERS);
        try (var workers = new PageWorkers(WORKERS, WorkerLaunch.likeThis(), 1)) {
            List<Future<Outcome>> running = new ArrayList<>();
            for (int i = 0; i < files; i++) {
                Kind kind = i % 20 == 19 ? Kind.HOSTILE : Kind.values()[i % 4];
                byte[] bytes = kind == Kind.HOSTILE ? hostile(i / 20) : mutated(samples, kind, random);
                Path file = Files.write(folder.resolve("fuzzed-" + i), bytes);
                running.add(pool.submit(() -> tried(workers, kind, file)));
            }
            for (int i = 0; i < running.size(); i++) {
                outcomes.add(running.get(i).get());
                if ((i + 1) % 50 == 0) {
                    System.err.println((i + 1) + " of " + files);
                }
            }
        } finally {
            pool.shutdownNow();
        }
        Files.writeString(Path.of(args[0]), table(outcomes, seed));
        boolean over = outcomes.stream().anyMatch(o -> o.seconds() > LONGEST_SECONDS);
        System.err.println(over ? "a file took more than a minute" : "every file came to an end within a minute");
        System.exit(over ? 1 : 0);
    }

    private static Map<Kind, List<byte[]>> samples(Path folder) throws IOException {
        Map<Kind, List<byte[]>> samples = new EnumMap<>(Kind.class);
        Harbour harbour = Harbour.portMerrow();
        List<Path> jpegs = Paper.duesLetters(folder, harbour, 2, 71).files();
        samples.put(
                Kind.TIFF, read(Paper.berthApplications(folder, harbour, 2, 72).files()));
        samples.put(Kind.PDF, read(Paper.licenceRenewals(folder, harbour, 1, 73).files()));
        samples.put(Kind.JPEG, read(jpegs));
        List<byte[]> pngs = new ArrayList<>();
        for (Path jpeg : jpegs) {
            BufferedImage image = ImageIO.read(jpeg.toFile());
            Path png = folder.resolve("sample.png");
            ImageIO.write(image, "png", png.toFile());
            pngs.add(Files.readAllBytes(png));
        }
        samples.put(Kind.PNG, pngs);
        return samples;
    }

    private static List<byte[]> read(List<Path> files) throws IOException {
        List<byte[]> all = new ArrayList<>();
        for (Path file : files) {
            all.add(Files.readAllBytes(file));
        }
        return all;
    }

    private static byte[] hostile(int i) {
        return switch (i % 4) {
            case 0 -> Hostile.selfDrawingPdf();
            case 1 -> Hostile.loopingPagesPdf();
            case 2 -> Hostile.deepPdf();
            default -> Hostile.boastingPdf();
        };
    }

    /** One to eight changes: mostly in the first kilobytes and the last, where structure is. */
    private static byte[] mutated(Map<Kind, List<byte[]>> samples, Kind kind, Random random) {
        List<byte[]> of = samples.get(kind);
        byte[] bytes = of.get(random.nextInt(of.size())).clone();
        for (int n = 1 + random.nextInt(8); n > 0; n--) {
            int at = place(bytes.length, random);
            int length = Math.min(bytes.length - at, 1 + random.nextInt(64));
            switch (random.nextInt(8)) {
                case 0 -> bytes[at] ^= (byte) (1 << random.nextInt(8));
                case 1 -> fill(bytes, at, length, random);
                case 2 -> java.util.Arrays.fill(bytes, at, at + length, (byte) 0);
                case 3 -> java.util.Arrays.fill(bytes, at, at + Math.min(length, 4), (byte) 0xFF);
                case 4 -> System.arraycopy(bytes, place(bytes.length - length, random), bytes, at, length);
                case 5 -> digits(bytes, at, random);
                case 6 -> bytes = spliced(bytes, of.get(random.nextInt(of.size())), random);
                default -> bytes = java.util.Arrays.copyOf(bytes, Math.max(16, random.nextInt(bytes.length)));
            }
        }
        return bytes;
    }

    private static int place(int length, Random random) {
        int near = Math.min(length, 2048);
        return switch (random.nextInt(3)) {
            case 0 -> random.nextInt(near);
            case 1 -> length - 1 - random.nextInt(near);
            default -> random.nextInt(length);
        };
    }

    private static void fill(byte[] bytes, int at, int length, Random random) {
        byte[] noise = new byte[length];
        random.nextBytes(noise);
        System.arraycopy(noise, 0, bytes, at, length);
    }

    /** The next number written in digits becomes another: references, lengths and counts of a PDF. */
    private static void digits(byte[] bytes, int from, Random random) {
        int at = from;
        while (at < bytes.length && (bytes[at] < '0' || bytes[at] > '9')) {
            at++;
        }
        for (; at < bytes.length && bytes[at] >= '0' && bytes[at] <= '9'; at++) {
            bytes[at] = (byte) ('0' + random.nextInt(10));
        }
    }

    private static byte[] spliced(byte[] head, byte[] tail, Random random) {
        int cut = random.nextInt(head.length);
        int on = random.nextInt(tail.length);
        byte[] both = java.util.Arrays.copyOf(head, cut + tail.length - on);
        System.arraycopy(tail, on, both, cut, tail.length - on);
        return both;
    }

    private static Outcome tried(PageWorkers workers, Kind kind, Path file) throws InterruptedException {
        long begin = System.nanoTime();
        int pages = 0;
        int read = 0;
        String told = null;
        WorkFailed.Why failed = null;
        try {
            int count = workers.insist(new CountPages(file)).pages();
            for (int i = 1; i <= count; i++) {
                var origin = new ReadPage.Origin(i, file.getFileName().toString(), i, "00");
                try {
                    workers.insist(new ReadOnePage(file, origin, "eng", HowToReadPage.USUAL));
                    read++;
                } catch (UnreadableFile e) {
                    told = e.getMessage();
                } catch (WorkFailed e) {
                    told = e.getMessage();
                    failed = e.why();
                }
                pages++;
            }
        } catch (UnreadableFile e) {
            told = e.getMessage();
        } catch (WorkFailed e) {
            told = e.getMessage();
            failed = e.why();
        }
        double seconds = (System.nanoTime() - begin) / 1e9;
        if (failed != null) {
            System.err.printf("%s %s: %s in %.1f s%n", kind, file.getFileName(), told, seconds);
        }
        return new Outcome(kind, seconds, pages, read, told, failed);
    }

    private static String table(List<Outcome> outcomes, long seed) {
        var table = new Table();
        table.title(
                outcomes.size() + " damaged and hostile files, seed " + seed,
                "kind",
                "files",
                "whole",
                "some pages read",
                "told as not readable",
                "ended by force or failed",
                "nothing said",
                "median s",
                "longest s");
        Map<Kind, List<Outcome>> by = new LinkedHashMap<>();
        outcomes.forEach(
                o -> by.computeIfAbsent(o.kind(), k -> new ArrayList<>()).add(o));
        for (Kind kind : Kind.values()) {
            List<Outcome> its = by.getOrDefault(kind, List.of());
            double[] seconds = its.stream().mapToDouble(Outcome::seconds).toArray();
            if (seconds.length > 0) {
                table.row(
                        kind,
                        its.size(),
                        its.stream()
                                .filter(o -> o.told() == null && o.read() > 0)
                                .count(),
                        its.stream()
                                .filter(o -> o.told() != null && o.read() > 0)
                                .count(),
                        its.stream()
                                .filter(o -> o.told() != null && o.read() == 0 && o.failed() == null)
                                .count(),
                        its.stream().filter(o -> o.failed() != null).count(),
                        its.stream()
                                .filter(o -> o.told() == null && o.read() == 0)
                                .count(),
                        Table.percentile(seconds, 0.5),
                        Table.percentile(seconds, 1));
            }
        }
        return "# Damaged and hostile files\n" + table.text();
    }
}

package jalon.cli;

import jalon.core.image.GrayPlane;
import jalon.core.page.PageFile;
import jalon.core.text.TesseractReader;
import jalon.core.text.TextReader;
import jalon.core.text.TextReaders;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/** For the benchmark: the engine on every page of a folder, two at a time, and nothing else. */
final class BareReading {
    private BareReading() {}

    public static void main(String[] args) throws Exception {
        System.setProperty("java.awt.headless", "true");
        List<Path> files;
        try (var all = Files.list(Path.of(args[0]))) {
            files = all.filter(f -> f.toString().endsWith(".png")).sorted().toList();
        }
        ExecutorService pool = Executors.newFixedThreadPool(2);
        try (var readers = new TextReaders(2, TesseractReader::open)) {
            List<Future<Integer>> work = files.stream()
                    .map(f -> pool.submit(() -> {
                        try (PageFile file = PageFile.open(f);
                                TextReader reader = readers.borrow("eng")) {
                            var scan = file.page(0);
                            return reader.read(GrayPlane.of(scan.image(), scan.dpi()), TextReader.Layout.PAGE)
                                    .size();
                        }
                    }))
                    .toList();
            int words = 0;
            for (Future<Integer> w : work) {
                words += w.get();
            }
            System.out.println(words + " words");
        } finally {
            pool.shutdown();
        }
    }
}

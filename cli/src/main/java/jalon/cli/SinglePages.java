package jalon.cli;

import jalon.core.page.PageFile;
import jalon.core.page.UnreadableFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import javax.imageio.ImageIO;

/** For the benchmark: writes every page of some files as a PNG, which the plain reading command takes. */
final class SinglePages {
    private SinglePages() {}

    public static void main(String[] args) throws IOException, UnreadableFile {
        System.setProperty("java.awt.headless", "true");
        Path folder = Files.createDirectories(Path.of(args[0]));
        int no = 0;
        for (int i = 1; i < args.length; i++) {
            try (PageFile file = PageFile.open(Path.of(args[i]))) {
                for (int p = 0; p < file.pageCount(); p++) {
                    var page = folder.resolve(String.format(Locale.ROOT, "%04d.png", ++no));
                    ImageIO.write(file.page(p).image(), "png", page.toFile());
                }
            }
        }
    }
}

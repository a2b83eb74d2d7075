package jalon.server.picture;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.apart.PageWorkers;
import jalon.core.apart.WorkerLaunch;
import jalon.core.image.ImageFacts;
import jalon.core.image.Repair;
import jalon.core.read.PageFacts;
import jalon.server.JalonSettings;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PageRenditionsTest {
    @TempDir
    Path data;

    /** A preview by slider is gone after its time; the page as received and looks of today stay. */
    @Test
    void oldLooksThroughRepairsAreThrownAwayAndMadeAgainWhenWanted() throws Exception {
        Path scan = data.resolve("scan.png");
        ImageIO.write(new BufferedImage(1000, 500, BufferedImage.TYPE_BYTE_GRAY), "png", scan.toFile());
        PageWorkers workers = new PageWorkers(1, WorkerLaunch.likeThis(), 1);
        var renditions = new PageRenditions(new OneFileStore(scan), workers, JalonSettings.in(data.toString()));
        var image = new ImageFacts(
                new ImageFacts.Size(100, 50),
                new ImageFacts.Density(254, true),
                new ImageFacts.Pose(0, 0),
                1,
                null,
                null,
                null,
                null);
        var page = new PageFacts(1, "scan.png", 1, "ab".repeat(32), image, List.of(), List.of());
        List<Repair> tried = List.of(new Repair.Levels(0.1, 0.3));
        Instant lastWeek = Instant.now().minus(Duration.ofDays(8));
        Path received = renditions.picture(page, 200);
        Path old = renditions.picture(page, 200, tried);
        Path today = renditions.picture(page, 200, List.of(new Repair.Sharpen()));
        for (Path file : List.of(received, old)) {
            Files.setLastModifiedTime(file, FileTime.from(lastWeek));
        }
        renditions.clearPreviews(Instant.now().minus(Duration.ofDays(7)));
        assertThat(old).doesNotExist();
        assertThat(received).exists();
        assertThat(today).exists();
        assertThat(renditions.picture(page, 200, tried)).isEqualTo(old).exists();
        workers.close();
    }
}

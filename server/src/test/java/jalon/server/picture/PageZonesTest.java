package jalon.server.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.core.apart.PageWorkers;
import jalon.core.apart.WorkerLaunch;
import jalon.core.image.ImageFacts;
import jalon.core.page.Box;
import jalon.core.read.PageFacts;
import jalon.core.text.Model;
import jalon.server.JalonSettings;
import jalon.server.NotPossible;
import jalon.server.Times;
import java.awt.Color;
import java.awt.Font;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A disk that does not give a page for a moment is not remembered as an empty page. */
class PageZonesTest {
    private static final PageWorkers WORKERS = new PageWorkers(1, WorkerLaunch.likeThis(), 1);
    private static final Box ALL = new Box(0, 0, 1000, 1000);

    private static final Times NOW = new Times(Clock.systemUTC());
    private static final Map<String, String> WORDS = new HashMap<>();
    private static final ZoneRows KEPT = new ZoneRows() {
        @Override
        public String find(String id) {
            return WORDS.get(id);
        }

        @Override
        public void put(String id, String words, Instant now) {
            WORDS.put(id, words);
        }

        @Override
        public int forget(Instant before) {
            return 0;
        }
    };

    @TempDir
    Path data;

    @AfterAll
    static void stop() {
        WORKERS.close();
    }

    @Test
    void aZoneThatCouldNotBeReadIsNotTakenForEmpty() throws Exception {
        var image = new ImageFacts(
                new ImageFacts.Size(100, 30),
                new ImageFacts.Density(200, true),
                new ImageFacts.Pose(0, 0),
                1,
                List.of(),
                List.of(),
                List.of(),
                null);
        var page = new PageFacts(1, "scan.png", 1, "ab".repeat(32), image, List.of(), List.of());
        var away = new PageZones(new OneFileStore(data.resolve("scan.png")), WORKERS, KEPT, NOW).in("eng");
        assertThat(away.read(page, ALL, Model.SAME)).isEmpty();
        assertThat(away.missed()).isEqualTo(1);
        var renditions = new PageRenditions(
                new OneFileStore(data.resolve("scan.png")), WORKERS, JalonSettings.in(data.toString()));
        assertThatThrownBy(() -> renditions.picture(page, 200))
                .isInstanceOf(NotPossible.class)
                .hasMessageContaining("cannot be shown")
                .hasMessageContaining("disk");
        draw();
        var there = new PageZones(new OneFileStore(data.resolve("scan.png")), WORKERS, KEPT, NOW).in("eng");
        assertThat(there.read(page, ALL, Model.SAME)).anyMatch(w -> w.text().equals("BERTH"));
        assertThat(there.missed()).isZero();
        Files.delete(data.resolve("scan.png"));
        var restarted = new PageZones(new OneFileStore(data.resolve("scan.png")), WORKERS, KEPT, NOW).in("eng");
        assertThat(restarted.read(page, ALL, Model.SAME)).anyMatch(w -> w.text().equals("BERTH"));
    }

    private void draw() throws Exception {
        var picture = new BufferedImage(787, 236, BufferedImage.TYPE_BYTE_GRAY);
        var g = picture.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, 787, 236);
        g.setColor(Color.BLACK);
        g.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, 60));
        g.drawString("BERTH", 100, 140);
        ImageIO.write(picture, "png", data.resolve("scan.png").toFile());
        assertThat(Files.exists(data.resolve("scan.png"))).isTrue();
    }
}

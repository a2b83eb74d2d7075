package jalon.standins;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A stack is scanned from the simulated scanner by a client that is not ours (Debian's sane-utils and sane-airscan), so that
 * client and stand-in cannot both be wrong in the same way. Passed over where those packages are not installed.
 */
class IndependentClientTest {
    @TempDir
    Path folder;

    @Test
    void aStackIsScannedByAnotherClient() throws Exception {
        assumeTrue(Files.isExecutable(Path.of("/usr/bin/scanimage")), "sane-utils is not installed");
        assumeTrue(Files.exists(Path.of("/etc/sane.d/airscan.conf")), "sane-airscan is not installed");
        try (var scanner = ScannerStandIn.start(0)) {
            scanner.load("dues-letters", 2, 21, false);
            int sheets = scanner.sheets();
            Files.writeString(
                    folder.resolve("airscan.conf"),
                    "[devices]\n\"Merrow\" = " + scanner.address() + ", eSCL\n[options]\ndiscovery = disable\n");
            Files.writeString(folder.resolve("dll.conf"), "airscan\n");
            var builder = new ProcessBuilder(
                    "scanimage",
                    "-d",
                    "airscan:e0:Merrow",
                    "--source",
                    "ADF",
                    "--resolution",
                    "150",
                    "--mode",
                    "Gray",
                    "--format=png",
                    "--batch=" + folder.resolve("page-%d.png"));
            builder.environment().put("SANE_CONFIG_DIR", folder.toString());
            Path log = folder.resolve("scanimage.log");
            Process scan = builder.redirectErrorStream(true)
                    .redirectOutput(log.toFile())
                    .start();
            assertThat(scan.waitFor(90, TimeUnit.SECONDS)).as("ended").isTrue();
            assertThat(folder.resolve("page-" + sheets + ".png"))
                    .as(Files.readString(log))
                    .exists();
            assertThat(folder.resolve("page-" + (sheets + 1) + ".png")).doesNotExist();
            BufferedImage page = ImageIO.read(folder.resolve("page-1.png").toFile());
            assertThat(page.getWidth()).isBetween(1200, 1300);
            assertThat(scanner.sheets()).isZero();
        }
    }
}

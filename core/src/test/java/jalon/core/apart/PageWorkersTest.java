package jalon.core.apart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.core.Pictures;
import jalon.core.page.UnreadableFile;
import jalon.core.read.HowToReadPage;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadPage;
import jalon.demo.Hostile;
import java.awt.Graphics2D;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PageWorkersTest {
    private static final PageWorkers WORKERS = new PageWorkers(2, WorkerLaunch.likeThis(), 0.3);

    @TempDir
    Path folder;

    @AfterAll
    static void stop() {
        WORKERS.close();
    }

    @Test
    void drawingThatNeverEndsIsEndedWhileOtherPagesAreRead() throws Exception {
        Path endless = file("endless.pdf", Hostile.selfDrawingPdf());
        assertThat(count(endless)).isEqualTo(1);
        CompletableFuture<Throwable> stuck = CompletableFuture.supplyAsync(() -> {
            try {
                WORKERS.ask(page(endless));
                return null;
            } catch (Exception e) {
                return e;
            }
        });
        Path letter = letter();
        for (int i = 0; i < 3; i++) {
            assertThat(WORKERS.ask(page(letter)).words()).isNotEmpty();
        }
        assertThat(stuck.get()).isInstanceOfSatisfying(WorkFailed.class, e -> {
            assertThat(e.why()).isEqualTo(WorkFailed.Why.TIME);
            assertThat(e).hasMessageContaining("did not end within 3 seconds");
        });
        assertThat(WORKERS.ask(page(letter)).words()).isNotEmpty();
    }

    @Test
    void whatLeadsBackIntoItselfOrIsNestedWithoutEndIsToldAndHarmsNobody() throws Exception {
        for (byte[] hostile : List.of(Hostile.loopingPagesPdf(), Hostile.deepPdf())) {
            Path file = file("hostile.pdf", hostile);
            assertThatThrownBy(() -> WORKERS.ask(page(file))).isInstanceOfAny(WorkFailed.class, UnreadableFile.class);
        }
        assertThat(count(file("harmless.pdf", Hostile.harmlessPdf()))).isEqualTo(1);
    }

    @Test
    void aPageThatTheEngineIsLostInComesInWithoutItsWords() throws Exception {
        Path page = folder.resolve("dense.png");
        ImageIO.write(Pictures.page(200, 0, PageWorkersTest::everyCornerInPrint), "png", page.toFile());
        var work = new ReadOnePage(page, new ReadPage.Origin(1, "dense", 1, "00"), "eng", HowToReadPage.USUAL);
        try (var hasty = new PageWorkers(1, WorkerLaunch.likeThis(), 0.01);
                PageWorkers.Lent one = hasty.borrow()) {
            one.ask(page(letter()), 100);
            assertThatThrownBy(() -> one.ask(work))
                    .isInstanceOfSatisfying(
                            WorkFailed.class, e -> assertThat(e.lostInReading()).isTrue());
            PageFacts facts = one.ask(work.withoutWords(), 100);
            assertThat(facts.words()).isEmpty();
            assertThat(facts.image().widthMm()).isBetween(205.0, 215.0);
        }
    }

    @Test
    void aWorkerThatDiesIsToldAndReplaced() throws Exception {
        Path letter = letter();
        try (var workers = new PageWorkers(1, WorkerLaunch.with(List.of("-version")), 1)) {
            assertThatThrownBy(() -> workers.ask(new CountPages(letter)))
                    .isInstanceOfSatisfying(
                            WorkFailed.class, e -> assertThat(e.why()).isEqualTo(WorkFailed.Why.DIED));
            assertThatThrownBy(() -> workers.insist(new CountPages(letter))).isInstanceOf(WorkFailed.class);
        }
        try (PageWorkers.Lent one = WORKERS.borrow()) {
            assertThat(one.ask(new CountPages(letter)).pages()).isEqualTo(1);
            ProcessHandle.current()
                    .children()
                    .filter(p -> p.info().commandLine().orElse("").contains("PageWorker"))
                    .forEach(ProcessHandle::destroyForcibly);
        }
        assertThat(WORKERS.insist(new CountPages(letter)).pages()).isEqualTo(1);
    }

    @Test
    void aDamagedFileIsUnreadableAndOneThatTheDiskDoesNotGiveIsNot() throws Exception {
        assertThatThrownBy(() -> count(file("cut.png", new byte[] {(byte) 0x89, 'P', 'N', 'G', 0})))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("damaged");
        assertThatThrownBy(() -> count(folder.resolve("gone.png")))
                .isInstanceOfSatisfying(
                        WorkFailed.class, e -> assertThat(e.why()).isEqualTo(WorkFailed.Why.DISK));
    }

    @Test
    void whatIsUnderWayWhenItIsClosedIsStoppedAndNotToBlame() throws Exception {
        var workers = new PageWorkers(1, WorkerLaunch.likeThis(), 1);
        Path endless = file("endless.pdf", Hostile.selfDrawingPdf());
        PageWorkers.Lent one = workers.borrow();
        one.ask(new CountPages(endless));
        var asked = new CompletableFuture<Throwable>();
        var asking = new Thread(() -> {
            try {
                one.ask(page(endless));
                asked.complete(null);
            } catch (Exception e) {
                asked.complete(e);
            }
        });
        asking.start();
        workers.close();
        assertThat(asked.get())
                .isInstanceOfSatisfying(
                        WorkFailed.class, e -> assertThat(e.why()).isEqualTo(WorkFailed.Why.STOPPED));
    }

    /** Takes the engine many times what a hasty worker is given, whatever the machine. */
    private static void everyCornerInPrint(Graphics2D g) {
        var random = new Random(5);
        g.setFont(g.getFont().deriveFont(17f));
        for (int y = 20; y < 2330; y += 18) {
            StringBuilder line = new StringBuilder();
            while (line.length() < 190) {
                line.append(random.nextInt(6) == 0 ? ' ' : (char) ('a' + random.nextInt(26)));
            }
            g.drawString(line.toString(), 10, y);
        }
    }

    private static int count(Path file) throws Exception {
        return WORKERS.ask(new CountPages(file)).pages();
    }

    private static PageWork<PageFacts> page(Path file) {
        return new ReadOnePage(file, new ReadPage.Origin(1, "file", 1, "00"), "eng", HowToReadPage.USUAL);
    }

    private Path file(String name, byte[] bytes) throws Exception {
        return Files.write(folder.resolve(name), bytes);
    }

    private Path letter() throws Exception {
        Path file = folder.resolve("letter.png");
        ImageIO.write(Pictures.page(150, 0, Pictures::letter), "png", file.toFile());
        return file;
    }
}

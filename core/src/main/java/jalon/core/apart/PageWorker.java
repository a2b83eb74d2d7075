package jalon.core.apart;

import jalon.core.page.Unread;
import jalon.core.page.UnreadableFile;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.logging.LogManager;

/**
 * The other process: takes work from its standard input, one piece after another, and says what came of it on its standard
 * output. It ends when its input does, in the middle of work too: nobody would hear the answer.
 */
public final class PageWorker {
    private static final byte[] NO_MORE = {};

    /** Taken by the kernel before the server, when memory runs out (man 5 proc_pid_oom_score_adj). */
    private static final String FIRST_TO_GO = "700";

    private final DataOutputStream out;
    private final Tools tools;

    private volatile boolean busy;

    private PageWorker(DataOutputStream out) {
        this.out = out;
        this.tools = new Tools(pixels -> say(Frames.Said.decoded(pixels)));
    }

    public static void main(String[] args) throws InterruptedException, IOException {
        var out = new DataOutputStream(new BufferedOutputStream(System.out, 1 << 16));
        // What a library prints must not be taken for an answer.
        System.setOut(System.err);
        LogManager.getLogManager().reset();
        goFirst();
        var orders = new LinkedBlockingQueue<byte[]>();
        var worker = new PageWorker(out);
        var listener = new Thread(() -> listen(orders, worker), "orders");
        listener.setDaemon(true);
        listener.start();
        worker.say(Frames.Said.READY);
        for (byte[] order = orders.take(); order != NO_MORE; order = orders.take()) {
            worker.busy = true;
            boolean fit = worker.work(order);
            worker.busy = false;
            if (!fit) {
                // Memory or stack ran out in the middle of a library: whatever it left behind goes with this process.
                Runtime.getRuntime().halt(1);
            }
        }
    }

    private static void listen(LinkedBlockingQueue<byte[]> orders, PageWorker worker) {
        try (var in = new DataInputStream(System.in)) {
            while (true) {
                orders.add(Frames.read(in));
            }
        } catch (IOException e) {
            if (worker.busy) {
                Runtime.getRuntime().halt(0);
            }
            orders.add(NO_MORE);
        }
    }

    private static void goFirst() {
        try {
            Files.writeString(Path.of("/proc/self/oom_score_adj"), FIRST_TO_GO);
        } catch (IOException e) {
            // Not every system has it; then the kernel chooses.
        }
    }

    /** @return whether this process can go on */
    private boolean work(byte[] order) throws IOException {
        PageWork<?> work = Frames.parse(order, PageWork.class);
        try {
            say(Frames.Said.answer(work.done(tools)));
            return true;
        } catch (UnreadableFile e) {
            tools.letGo();
            sayUnreadable(work, e.why());
            return true;
        } catch (OutOfMemoryError e) {
            say(Frames.Said.failed(WorkFailed.Why.MEMORY, Unread.Code.TOO_MUCH_MEMORY.with()));
            return false;
        } catch (StackOverflowError e) {
            say(Frames.Said.failed(WorkFailed.Why.DEPTH, Unread.Code.TOO_DEEP.with()));
            return false;
        } catch (IOException e) {
            tools.letGo();
            say(disk(e));
            return true;
        } catch (Tools.NotInstalled e) {
            say(Frames.Said.failed(WorkFailed.Why.NOT_INSTALLED, Unread.Code.NOT_INSTALLED.with(e.getMessage())));
            return true;
        } catch (RuntimeException | Error e) {
            say(Frames.Said.failed(
                    WorkFailed.Why.UNEXPECTED,
                    Unread.Code.UNEXPECTED.with(e.getClass().getSimpleName())));
            return false;
        }
    }

    /** A file is damaged only when the disk gives all of it: one that does not makes every reader say so. */
    private void sayUnreadable(PageWork<?> work, Unread reason) throws IOException {
        for (Path file : work.files()) {
            try (InputStream in = Files.newInputStream(file)) {
                in.transferTo(OutputStream.nullOutputStream());
            } catch (IOException e) {
                say(disk(e));
                return;
            }
        }
        say(Frames.Said.unreadable(reason));
    }

    private static Frames.Said disk(IOException e) {
        String what = e instanceof NoSuchFileException ? "there is no " + e.getMessage() : e.getMessage();
        return Frames.Said.failed(WorkFailed.Why.DISK, Unread.Code.DISK.with(what));
    }

    private void say(Frames.Said said) throws IOException {
        Frames.write(out, Frames.JSON.writeValueAsBytes(said));
    }
}

package jalon.core.apart;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * How a worker is started.
 *
 * @param options of the Java machine
 * @param main what it runs: a class path and a main class
 */
public record WorkerLaunch(List<String> options, List<String> main) {
    /** Options that an installation adds, parted by blanks. */
    private static final String MORE_OPTIONS = "jalon.worker.options";

    /**
     * Most of the work is native and most workers live briefly: the second compiler would not pay, and a small young
     * generation keeps memory flat. Two gigabytes hold a page of the largest size that is taken, and its repairs.
     */
    private static final List<String> USUAL = List.of(
            "-XX:+UseSerialGC",
            "-XX:TieredStopAtLevel=1",
            "-Xmn96m",
            "-Xmx2g",
            "-Xshare:auto",
            "-XX:-UsePerfData",
            "-XX:ErrorFile=/dev/null",
            "-XX:-CreateCoredumpOnCrash",
            "-Djava.awt.headless=true");

    /** From the classes that this program runs with. */
    public static WorkerLaunch likeThis() {
        return with(List.of("-cp", System.getProperty("java.class.path"), PageWorker.class.getName()));
    }

    /** @param main a class path and a main class that leads to {@link PageWorker} */
    public static WorkerLaunch with(List<String> main) {
        List<String> options = new ArrayList<>(USUAL);
        for (String more : System.getProperty(MORE_OPTIONS, "").split(" ")) {
            if (!more.isBlank()) {
                options.add(more);
            }
        }
        return new WorkerLaunch(options, main);
    }

    Process start() throws IOException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(options);
        command.addAll(main);
        var builder = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD);
        // The engine's own threads make it slower on pages; there is one worker a core instead.
        builder.environment().put("OMP_THREAD_LIMIT", "1");
        return builder.start();
    }
}

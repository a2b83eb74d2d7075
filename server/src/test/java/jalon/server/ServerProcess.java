package jalon.server;

import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import java.io.IOException;
import java.net.BindException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ThreadLocalRandom;

/** A server in a process of its own, which can be killed. */
public final class ServerProcess {
    private final Process process;
    private final int port;
    private final Path log;

    private ServerProcess(Process process, int port, Path log) {
        this.process = process;
        this.port = port;
        this.log = log;
    }

    static ServerProcess start(Path folder, String database, int port, String... settings) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                System.getProperty("java.home") + "/bin/java",
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-cp",
                System.getProperty("java.class.path"),
                JalonServer.class.getName(),
                "--server.port=" + port,
                "--spring.datasource.url=" + database,
                "--spring.datasource.username=root",
                "--jalon.data=" + folder.resolve("data"),
                "--jalon.intake.folder-roots=" + folder.toAbsolutePath(),
                "--jalon.intake.hosts=127.0.0.1",
                "--jalon.setup=../demo"));
        command.addAll(List.of(settings));
        Path log = folder.resolve("server-" + port + ".log");
        var builder = new ProcessBuilder(command);
        builder.environment().put("OMP_THREAD_LIMIT", "1");
        Process process =
                builder.redirectErrorStream(true).redirectOutput(log.toFile()).start();
        // A test that fails leaves none behind.
        Runtime.getRuntime().addShutdownHook(new Thread(() -> {
            process.descendants().forEach(ProcessHandle::destroyForcibly);
            process.destroyForcibly();
        }));
        return new ServerProcess(process, port, log);
    }

    /** Below those that connections get for themselves, so that it is free when what listens there starts again. */
    public static int freePort() throws IOException {
        while (true) {
            try (ServerSocket free =
                    new ServerSocket(ThreadLocalRandom.current().nextInt(20_000, 32_000))) {
                return free.getLocalPort();
            } catch (BindException e) {
                // Another one, then.
            }
        }
    }

    String address() {
        return "http://127.0.0.1:" + port;
    }

    /** Waits until the server answers. */
    Api signedIn(String name, String password) {
        Api api = new Api(address());
        await().atMost(Duration.ofSeconds(180))
                .ignoreExceptionsMatching(e -> e instanceof IOException)
                .until(() -> {
                    if (!process.isAlive()) {
                        throw new IllegalStateException(Files.readString(log));
                    }
                    api.signIn(name, password);
                    return true;
                });
        return api;
    }

    /** As a power cut does it (SIGKILL); its workers go with it, busy or not. */
    void kill() throws InterruptedException {
        List<ProcessHandle> workers = process.descendants().toList();
        process.destroyForcibly().waitFor();
        await().atMost(Duration.ofSeconds(20)).until(() -> workers.stream().noneMatch(ProcessHandle::isAlive));
    }
}

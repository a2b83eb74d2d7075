package jalon.server;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;

/** One MariaDB for a test run, on loopback, stopped when the run ends; each asker gets an empty database of its own. */
public final class TestDatabase {
    private static String server;
    private static int made;

    private TestDatabase() {}

    /** @return a JDBC address */
    public static synchronized String fresh() {
        try {
            if (server == null) {
                server = start();
            }
            String name = "jalon_test_" + ++made;
            try (var connection = DriverManager.getConnection(server + "?user=root");
                    var statement = connection.createStatement()) {
                statement.execute("create database " + name + " character set utf8mb4 collate utf8mb4_uca1400_ai_ci");
            }
            return server + name;
        } catch (SQLException e) {
            throw new IllegalStateException("no test database", e);
        }
    }

    private static String start() {
        try {
            // The database runs as a user of its own, who must be able to reach its folder.
            Path parent = Files.createTempDirectory("jalon-test-db");
            parent.toFile().setExecutable(true, false);
            parent.toFile().setReadable(true, false);
            Path folder = parent.resolve("db");
            int port;
            try (ServerSocket free = new ServerSocket(0)) {
                port = free.getLocalPort();
            }
            run("start", folder.toString(), Integer.toString(port), "test");
            Runtime.getRuntime().addShutdownHook(new Thread(() -> run("stop", folder.toString())));
            return "jdbc:mariadb://127.0.0.1:" + port + "/";
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void run(String... args) {
        String[] command = new String[args.length + 2];
        command[0] = "bash";
        command[1] =
                Path.of("../scripts/mariadb.sh").toAbsolutePath().normalize().toString();
        System.arraycopy(args, 0, command, 2, args.length);
        try {
            if (new ProcessBuilder(command).inheritIO().start().waitFor() != 0) {
                throw new IllegalStateException("the test database could not be " + args[0] + "ed");
            }
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}

package jalon.demo;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The demo's own commands. */
@Command(
        name = "demo",
        subcommands = {
            DemoCommand.PaperCommand.class,
            DemoCommand.StackCommand.class,
            DemoCommand.RegisterCommand.class,
            DemoCommand.FillCommand.class
        })
public final class DemoCommand {
    private DemoCommand() {}

    public static void main(String[] args) {
        System.setProperty("java.awt.headless", "true");
        System.exit(new CommandLine(new DemoCommand()).execute(args));
    }

    @Command(name = "paper", description = "Writes the demo's scans as files, with truth.json beside them.")
    static final class PaperCommand implements Callable<Integer> {
        @Parameters(paramLabel = "DIR")
        private Path folder;

        @Option(names = "--seed", defaultValue = "1", description = "Same seed, same paper (${DEFAULT-VALUE}).")
        private long seed;

        @Option(names = "--pages", defaultValue = "60", description = "About how many pages (${DEFAULT-VALUE}).")
        private int pages;

        @Override
        public Integer call() throws Exception {
            for (Paper.Stack stack : Paper.write(folder, seed, pages)) {
                System.out.println(stack.stream() + ": " + stack.pages() + " pages in "
                        + stack.files().size() + " files");
            }
            return 0;
        }
    }

    @Command(name = "register", description = "Writes the register of vessels.")
    static final class RegisterCommand implements Callable<Integer> {
        @Parameters(paramLabel = "FILE")
        private Path file;

        @Override
        public Integer call() throws Exception {
            Files.writeString(file, Harbour.portMerrow().csv());
            return 0;
        }
    }

    @Command(
            name = "fill",
            description = "Brings batches into a running server, so that its Day board has some in every stage.")
    static final class FillCommand implements Callable<Integer> {
        @Parameters(index = "0", paramLabel = "ADDRESS")
        private String address;

        @Parameters(index = "1", paramLabel = "DIR", description = "Where the scans are written first.")
        private Path scans;

        @Parameters(
                index = "2",
                paramLabel = "WATCHED",
                description = "A folder that the server watches and gathers from.")
        private Path watched;

        @Parameters(index = "3", description = "Watched folder that letters are put into which file themselves.")
        private Path overnight;

        @Option(names = "--done", description = "A file that is made when all of it is in.")
        private Path done;

        @Override
        public Integer call() throws Exception {
            new Fill(new Api(address), scans, watched, overnight).run();
            if (done != null) {
                Files.createFile(done);
            }
            return 0;
        }
    }

    @Command(name = "stack", description = "Writes one long stack of berth applications.")
    static final class StackCommand implements Callable<Integer> {
        @Parameters(paramLabel = "DIR")
        private Path folder;

        @Option(names = "--pages", defaultValue = "60", description = "About how many pages (${DEFAULT-VALUE}).")
        private int pages;

        @Override
        public Integer call() throws Exception {
            Files.createDirectories(folder);
            Paper.berthApplications(folder, Harbour.portMerrow(), Math.max(1, (int) (pages / 2.6)), 3);
            return 0;
        }
    }
}

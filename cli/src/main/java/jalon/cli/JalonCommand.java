package jalon.cli;

import picocli.CommandLine;
import picocli.CommandLine.Command;

/** {@code jalon}: Jalon without a server. */
@Command(
        name = "jalon",
        subcommands = {
            ProcessCommand.class,
            LearnCommand.class,
            ReplayCommand.class,
            SheetsCommand.class,
            VerifyCommand.class
        },
        description = "Separates, checks, reads and files scanned paper.",
        mixinStandardHelpOptions = true)
public final class JalonCommand {
    private JalonCommand() {}

    public static void main(String[] args) {
        System.setProperty("java.awt.headless", "true");
        System.exit(run(args));
    }

    /** @return the exit code: see {@link ProcessCommand} */
    public static int run(String... args) {
        return new CommandLine(new JalonCommand())
                .setCaseInsensitiveEnumValuesAllowed(true)
                .execute(args);
    }
}

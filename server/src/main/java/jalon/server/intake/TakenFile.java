package jalon.server.intake;

import jalon.core.page.Sha256;
import jalon.server.NotPossible;
import jalon.server.Problem;
import jalon.server.store.FileStore;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/**
 * Removes files from folders once they are taken, and only then: exactly the bytes that lie in the store, and nothing that
 * was written since. A file is first put out of reach under another name, looked at there, and put back when it is not what
 * was taken.
 */
@Component
class TakenFile {
    private static final String PREFIX = ".jalon-taken-";
    private static final Pattern OUT_OF_REACH =
            Pattern.compile(Pattern.quote(PREFIX) + "([0-9a-f]{64})-(.*)", Pattern.DOTALL);
    private static final int LONGEST_NAME = 100;

    private final FileStore store;

    TakenFile(FileStore store) {
        this.store = store;
    }

    /**
     * @param then as it was when it was taken
     * @param sha256 of what was taken
     * @return false when it has changed since, and stays
     */
    boolean remove(Path file, FileState then, String sha256) throws IOException {
        if (!FileState.of(file).equals(then)) {
            return false;
        }
        String name = file.getFileName().toString();
        Path aside =
                file.resolveSibling(PREFIX + sha256 + "-" + name.substring(Math.max(0, name.length() - LONGEST_NAME)));
        if (Files.exists(aside)) {
            settle(aside, sha256, name);
        }
        Files.move(file, aside, StandardCopyOption.ATOMIC_MOVE);
        return settle(aside, sha256, name);
    }

    /**
     * Ends what a crash broke off in a folder: what was put out of reach goes, or comes back.
     *
     * @param tell gets what could not be ended
     */
    void settleLeft(Path folder, Consumer<NotPossible> tell) throws IOException {
        try (DirectoryStream<Path> all = Files.newDirectoryStream(folder, PREFIX + "*")) {
            for (Path aside : all) {
                Matcher m = OUT_OF_REACH.matcher(aside.getFileName().toString());
                if (m.matches() && Files.isRegularFile(aside, LinkOption.NOFOLLOW_LINKS)) {
                    try {
                        settle(aside, m.group(1), m.group(2));
                    } catch (IOException e) {
                        tell.accept(Problem.LEFT_HALF_TAKEN.with(aside, e.getMessage()));
                    }
                }
            }
        }
    }

    private boolean settle(Path aside, String sha256, String name) throws IOException {
        if (Sha256.of(aside).equals(sha256) && store.holds(sha256)) {
            Files.delete(aside);
            return true;
        }
        Files.move(aside, free(aside.getParent(), name));
        return false;
    }

    /** A place for a file under its name, or under the next number before it. */
    static Path free(Path folder, String name) {
        Path wanted = folder.resolve(name);
        for (int n = 2; Files.exists(wanted, LinkOption.NOFOLLOW_LINKS); n++) {
            wanted = folder.resolve(n + " " + name);
        }
        return wanted;
    }
}

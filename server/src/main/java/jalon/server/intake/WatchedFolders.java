package jalon.server.intake;

import jalon.server.JalonSettings;
import jalon.server.Problem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Which folders of the server a channel may take files out of, since taking is removing: those below the roots that the
 * installation names, never Jalon's own, and each by one channel only. Folders are compared as they really are on the disk,
 * whatever links lead to them.
 */
@Component
public class WatchedFolders {
    private final ChannelRows rows;
    private final JalonSettings settings;

    WatchedFolders(ChannelRows rows, JalonSettings settings) {
        this.rows = rows;
        this.settings = settings;
    }

    /**
     * @param channelId of the channel that asks, or null for a new one
     * @return the folder as it really is
     * @throws ChannelProblem when it may not be watched
     * @throws IOException when it is not there or cannot be looked at
     */
    Path allowed(Long channelId, String name, ChannelSettings.Folder wanted) throws ChannelProblem, IOException {
        Path folder = wanted.path().toRealPath();
        List<Path> roots =
                real(settings.intake().folderRoots().stream().map(Path::of).toList());
        if (roots.isEmpty()) {
            throw new ChannelProblem(Problem.NO_FOLDER_ROOTS.with());
        }
        if (roots.stream().noneMatch(folder::startsWith)) {
            throw new ChannelProblem(Problem.FOLDER_OUTSIDE.with(
                    folder, roots.stream().map(Path::toString).collect(Collectors.joining(" or "))));
        }
        for (Path own : real(List.of(settings.dataFolder(), settings.filingFolder()))) {
            if (folder.startsWith(own) || own.startsWith(folder)) {
                throw new ChannelProblem(Problem.FOLDER_OWN.with(folder));
            }
        }
        for (ChannelRows.Row other : rows.all()) {
            boolean itself = channelId == null ? other.name().equals(name) : other.id() == channelId;
            if (!itself
                    && Channels.settings(other) instanceof ChannelSettings.Folder f
                    && !meets(folder, f).isEmpty()) {
                throw new ChannelProblem(Problem.FOLDER_SHARED.with(other.name(), f.folder()));
            }
        }
        return folder;
    }

    /** Refuses a folder that files may not be read from: it has to lie below the same roots, and be no channel's. */
    public void readable(Path folder) throws IOException {
        try {
            allowed(null, "", new ChannelSettings.Folder(folder.toString(), false, null, null, null, null));
        } catch (ChannelProblem e) {
            throw e.what();
        }
    }

    private static List<Path> meets(Path folder, ChannelSettings.Folder other) throws IOException {
        return real(List.of(other.path())).stream()
                .filter(o -> folder.startsWith(o) || o.startsWith(folder))
                .toList();
    }

    /** Those of them that are there. */
    private static List<Path> real(List<Path> folders) throws IOException {
        List<Path> there = new ArrayList<>();
        for (Path folder : folders) {
            if (Files.isDirectory(folder)) {
                there.add(folder.toRealPath());
            }
        }
        return there;
    }
}

package jalon.server.intake;

import jalon.server.JalonSettings;
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
class WatchedFolders {
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
        List<Path> roots = real(settings.folderRoots().stream().map(Path::of).toList());
        if (roots.isEmpty()) {
            throw new ChannelProblem("This installation names no folders that may be watched. Have whoever runs the"
                    + " server set jalon.folder-roots.");
        }
        if (roots.stream().noneMatch(folder::startsWith)) {
            throw new ChannelProblem(folder + " may not be watched. Choose a folder in "
                    + roots.stream().map(Path::toString).collect(Collectors.joining(" or ")) + ".");
        }
        for (Path own : real(List.of(settings.dataFolder(), settings.filingFolder()))) {
            if (folder.startsWith(own) || own.startsWith(folder)) {
                throw new ChannelProblem(folder + " holds Jalon's own files, which would be taken out of it."
                        + " Choose another folder.");
            }
        }
        for (ChannelRows.Row other : rows.all()) {
            boolean itself = channelId == null ? other.name().equals(name) : other.id() == channelId;
            if (!itself
                    && Channels.settings(other) instanceof ChannelSettings.Folder f
                    && !meets(folder, f).isEmpty()) {
                throw new ChannelProblem("The channel " + other.name() + " watches " + f.folder()
                        + " already. Two channels cannot share a folder, nor one within the other; choose another.");
            }
        }
        return folder;
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

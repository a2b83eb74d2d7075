package jalon.core.output;

import jalon.core.disk.Disk;
import jalon.core.page.Sha256;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;

/**
 * Puts a document's files into a folder. They are copied whole under a name of no meaning first, forced to the disk, and
 * then given their own, which fails where something has it: nothing is ever overwritten, and nothing half written is ever
 * seen. A file that is there already with just these bytes is this document filed before, and is left as it is.
 */
final class FolderPlace implements FilingPlace {
    private static final int LENGTH_OF_PARTS = 24;

    /** What Linux says of it. */
    private static final String TOO_LONG = "File name too long";

    private final Path root;
    private final Disk disk;
    private final Mount mount;

    FolderPlace(Path root) {
        this(root, new Disk(), Mount.notRemembered(root));
    }

    FolderPlace(Path root, Disk disk, Mount mount) {
        this.root = root;
        this.disk = disk;
        this.mount = mount;
    }

    @Override
    public String where() {
        return root.toString();
    }

    @Override
    public InputStream open(String file) throws IOException {
        return Files.newInputStream(there(file));
    }

    private Path there(String file) throws IOException {
        mount.check();
        Path path = root.resolve(file).normalize();
        if (!path.startsWith(root)) {
            throw new NoSuchFileException(file);
        }
        return path;
    }

    @Override
    public void rewrite(String file, Ready with, Collection<String> before) throws IOException {
        mount.begin();
        Path target = there(file);
        Disk.makeFolders(target.getParent());
        Copied copy = copy(with, target.getParent(), target.getFileName().toString());
        try {
            if (Files.exists(target) && !Disk.isEmpty(target)) {
                String lies = Sha256.of(target);
                if (!lies.equals(with.sha256()) && !before.contains(lies)) {
                    throw new NameTaken(file);
                }
            } else if (disk.name(copy.part(), target)) {
                return;
            }
            Disk.replace(copy.part(), target);
        } finally {
            Files.deleteIfExists(copy.part());
        }
    }

    /** The folders above it go too, where nothing else lies in them: their names may say what the file's did. */
    @Override
    public void remove(String file) throws IOException {
        Path gone = there(file);
        Files.deleteIfExists(gone);
        Path folder = gone.getParent();
        Disk.syncNames(folder);
        while (!folder.equals(root) && Disk.removeEmpty(folder)) {
            folder = folder.getParent();
        }
    }

    /** @param part in the folder where it is going to lie */
    private record Copied(Path part) {
        boolean liesAt(Path target) throws IOException {
            return Files.exists(target) && Files.mismatch(part, target) == -1;
        }

        boolean mayLieAt(Path target) throws IOException {
            return !Files.exists(target) || liesAt(target);
        }
    }

    @Override
    public List<Placed> put(Parcel parcel, Remembered remembered) throws IOException {
        try {
            return lie(parcel.spot(), parcel.files(), remembered).stream()
                    .map(file -> new Placed(file, null))
                    .toList();
        } catch (FileSystemException e) {
            if (TOO_LONG.equals(e.getReason())) {
                throw new NameTooLong(parcel.spot().path());
            }
            throw e;
        }
    }

    private List<String> lie(Spot spot, List<Ready> files, Remembered remembered) throws IOException {
        mount.begin();
        Path folder = spot.folder().isEmpty() ? root : root.resolve(spot.folder());
        Disk.makeFolders(folder);
        List<Copied> copies = new ArrayList<>();
        try {
            for (Ready file : files) {
                copies.add(copy(file, folder, spot.name()));
            }
            List<Path> before = remembered.before().stream().map(root::resolve).toList();
            if (before.size() == files.size() && named(copies, before, true)) {
                return below(before);
            }
            Spot.Free free = n -> mayLieAt(copies, targets(folder, spot.name(n), files));
            for (int number = spot.free(0, free); number > 0; number = spot.free(number, free)) {
                List<Path> targets = targets(folder, spot.name(number), files);
                remembered.about(below(targets));
                if (named(copies, targets, false)) {
                    return below(targets);
                }
            }
            throw new NameTaken(root.relativize(folder.resolve(spot.name())).toString());
        } finally {
            for (Copied copy : copies) {
                Files.deleteIfExists(copy.part());
            }
        }
    }

    /** What a try that was broken off left under this name is taken away first. */
    private static Copied copy(Ready file, Path folder, String name) throws IOException {
        String own = Sha256.of(name + "/" + file.sha256()).substring(0, LENGTH_OF_PARTS);
        Path part = folder.resolve(".jalon-" + own + ".part");
        Files.deleteIfExists(part);
        Disk.copy(file.file(), part);
        if (!new Ready(file.format(), file.part(), part, file.sha256(), file.bytes()).isWhole()) {
            throw new IOException(file.file() + " is not what was written for filing");
        }
        return new Copied(part);
    }

    private static List<Path> targets(Path folder, String name, List<Ready> files) {
        return files.stream().map(f -> folder.resolve(name + f.ending())).toList();
    }

    private List<String> below(List<Path> targets) {
        return targets.stream().map(t -> root.relativize(t).toString()).toList();
    }

    private static boolean mayLieAt(List<Copied> copies, List<Path> targets) throws IOException {
        for (int i = 0; i < copies.size(); i++) {
            if (!copies.get(i).mayLieAt(targets.get(i))) {
                return false;
            }
        }
        return true;
    }

    /**
     * Names all files or none.
     *
     * @param reserved whether the names were about to be given before: an empty file there is what is left of that
     */
    private boolean named(List<Copied> copies, List<Path> targets, boolean reserved) throws IOException {
        List<Path> mine = new ArrayList<>();
        for (int i = 0; i < copies.size(); i++) {
            Copied copy = copies.get(i);
            Path target = targets.get(i);
            if (reserved && Disk.isEmpty(target)) {
                Disk.replace(copy.part(), target);
                mine.add(target);
            } else if (disk.name(copy.part(), target)) {
                mine.add(target);
            } else if (copy.liesAt(target)) {
                Disk.sync(target);
                Disk.syncNames(target.getParent());
            } else {
                for (Path made : mine) {
                    Files.delete(made);
                }
                return false;
            }
        }
        return true;
    }
}

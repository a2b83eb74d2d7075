package jalon.places;

import jalon.core.output.NameTaken;
import jalon.core.page.Sha256;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;

/**
 * Puts a document's files into a place on another machine. Each is given its name when it is whole there, and only where
 * nothing has it; then it is read back. A file that is there already with just these bytes is this document filed before.
 */
final class RemotePlace implements OwnPlace {
    private static final int LENGTH_OF_NAME = 12;
    private static final String TRIED = "Jalon tries whether it can file here, and takes this file away again.";

    private final PlaceSettings.OfFiles settings;

    RemotePlace(PlaceSettings.OfFiles settings) {
        this.settings = settings;
    }

    @Override
    public String where() {
        return settings.where();
    }

    @Override
    public List<Placed> put(Parcel parcel, Remembered remembered) throws IOException {
        try (RemoteFiles remote = settings.open()) {
            List<Placed> placed = new ArrayList<>();
            for (String path : lie(remote, parcel, remembered)) {
                placed.add(new Placed(path, remote.identifier(path)));
            }
            return placed;
        }
    }

    private static List<String> lie(RemoteFiles remote, Parcel parcel, Remembered remembered) throws IOException {
        Spot spot = parcel.spot();
        List<Ready> files = parcel.files();
        remote.makeFolders(spot.folder());
        List<String> before = remembered.before();
        if (before.size() == files.size() && placed(remote, parcel, before)) {
            return before;
        }
        if (spot.taken().isVersion() && remote.keepsVersions(parcel.properties())) {
            List<String> targets = targets(spot, 1, files);
            remembered.about(targets);
            putVersions(remote, parcel, targets);
            return targets;
        }
        Spot.Free free = n -> mayLieAt(remote, files, targets(spot, n, files));
        for (int number = spot.free(0, free); number > 0; number = spot.free(number, free)) {
            List<String> targets = targets(spot, number, files);
            remembered.about(targets);
            if (placed(remote, parcel, targets)) {
                return targets;
            }
        }
        throw new NameTaken(below(spot.folder(), spot.name()));
    }

    private static List<String> targets(Spot spot, int number, List<Ready> files) {
        String name = spot.name(number);
        return files.stream().map(f -> below(spot.folder(), name + f.ending())).toList();
    }

    private static String below(String folder, String name) {
        return folder.isEmpty() ? name : folder + "/" + name;
    }

    private static boolean mayLieAt(RemoteFiles remote, List<Ready> files, List<String> targets) throws IOException {
        for (int i = 0; i < files.size(); i++) {
            if (remote.exists(targets.get(i)) && !lies(remote, files.get(i), targets.get(i))) {
                return false;
            }
        }
        return true;
    }

    /** Each the newest version of its name; one that is so already was brought by an earlier try. */
    private static void putVersions(RemoteFiles remote, Parcel parcel, List<String> targets) throws IOException {
        for (int i = 0; i < targets.size(); i++) {
            Ready file = parcel.files().get(i);
            String target = targets.get(i);
            if (remote.exists(target) && lies(remote, file, target)) {
                continue;
            }
            if (!remote.putNew(target, file.file(), parcel.properties())) {
                remote.putVersion(target, file.file(), parcel.properties());
            }
            if (!lies(remote, file, target)) {
                throw new PlaceTrouble(PlaceTrouble.Why.NOT_THE_SAME, target);
            }
        }
    }

    /** All files or none. */
    private static boolean placed(RemoteFiles remote, Parcel parcel, List<String> targets) throws IOException {
        List<String> mine = new ArrayList<>();
        for (int i = 0; i < targets.size(); i++) {
            Ready file = parcel.files().get(i);
            String target = targets.get(i);
            boolean made = remote.putNew(target, file.file(), parcel.properties());
            if (made) {
                mine.add(target);
            }
            if (!lies(remote, file, target)) {
                for (String own : mine) {
                    remote.delete(own);
                }
                if (made) {
                    throw new PlaceTrouble(PlaceTrouble.Why.NOT_THE_SAME, target);
                }
                return false;
            }
        }
        return true;
    }

    private static boolean lies(RemoteFiles remote, Ready file, String target) throws IOException {
        long size = remote.size(target);
        if (size >= 0 && size != file.bytes()) {
            return false;
        }
        try (InputStream there = remote.open(target)) {
            return Sha256.of(there).equals(file.sha256());
        }
    }

    @Override
    public InputStream open(String file) throws IOException {
        RemoteFiles remote = settings.open();
        try {
            if (!remote.exists(file)) {
                throw new NoSuchFileException(file);
            }
            return new FilterInputStream(remote.open(file)) {
                @Override
                public void close() throws IOException {
                    try (remote) {
                        super.close();
                    }
                }
            };
        } catch (IOException e) {
            remote.close();
            throw e;
        }
    }

    /** What was there is taken away first, with its versions: for a moment nothing has the name. */
    @Override
    public void rewrite(String file, Ready with, Collection<String> before) throws IOException {
        try (RemoteFiles remote = settings.open()) {
            remote.makeFolders(file.substring(0, Math.max(0, file.lastIndexOf('/'))));
            if (remote.exists(file)) {
                if (lies(remote, with, file)) {
                    return;
                }
                try (InputStream there = remote.open(file)) {
                    if (!before.contains(Sha256.of(there))) {
                        throw new NameTaken(file);
                    }
                }
                remote.erase(file);
            }
            if (!remote.putNew(file, with.file(), Map.of())) {
                throw new NameTaken(file);
            }
            if (!lies(remote, with, file)) {
                throw new PlaceTrouble(PlaceTrouble.Why.NOT_THE_SAME, file);
            }
        }
    }

    @Override
    public void remove(String file) throws IOException {
        try (RemoteFiles remote = settings.open()) {
            remote.erase(file);
            if (remote.exists(file)) {
                throw new PlaceTrouble(PlaceTrouble.Why.REFUSED, file + " was to be erased and is still there");
            }
        }
    }

    /** Writes, reads back and removes a file of no meaning. */
    @Override
    public void tryIt() throws IOException {
        byte[] bytes = TRIED.getBytes(StandardCharsets.UTF_8);
        String name = "jalon-" + Sha256.of(Long.toString(System.nanoTime())).substring(0, LENGTH_OF_NAME) + ".txt";
        Path file = Files.createTempFile("jalon-", ".txt");
        try (RemoteFiles remote = settings.open()) {
            Files.write(file, bytes);
            remote.putNew(name, file, Map.of());
            try (InputStream back = remote.open(name)) {
                if (!Arrays.equals(back.readAllBytes(), bytes)) {
                    throw new PlaceTrouble(PlaceTrouble.Why.NOT_THE_SAME, name);
                }
                if (remote.putNew(name, file, Map.of())) {
                    throw new PlaceTrouble(PlaceTrouble.Why.WRITES_OVER, settings.where());
                }
            } finally {
                remote.delete(name);
            }
        } finally {
            Files.deleteIfExists(file);
        }
    }
}

package jalon.core.output;

import jalon.core.disk.Disk;
import jalon.core.page.Sha256;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** A destination at work; one class for each kind of place that documents are filed in. */
public interface FilingPlace {

    /**
     * A document's own place in a destination.
     *
     * @param folder below the place, parts parted by {@code /}; empty for the place itself
     * @param name without ending
     */
    record Spot(String folder, String name, List<Destination.Format> formats, Destination.Taken taken) {
        private static final int MOST_NUMBERS = 1_000_000;
        private static final int ONE_BY_ONE = 100;

        /** Folder and name. */
        public String path() {
            return folder.isEmpty() ? name : folder + "/" + name;
        }

        /** How many names may be tried, the first of them its own. */
        public int names() {
            return taken == Destination.Taken.REFUSE ? 1 : MOST_NUMBERS;
        }

        /** Whether a document may lie under its name with this number. */
        @FunctionalInterface
        public interface Free {
            boolean at(int number) throws IOException;
        }

        /**
         * The next number that is free. One after the other at first: what has one may be this document, filed before. Among very
         * many that are taken, by ever longer steps and back by halves, so that not all of them are looked at.
         *
         * @param after the last number that is not to be had, 0 for none
         * @return 0 where there is none
         */
        public int free(int after, Free free) throws IOException {
            int number = after;
            while (number < Math.min(names(), after + ONE_BY_ONE)) {
                number++;
                if (free.at(number)) {
                    return number;
                }
            }
            int step = ONE_BY_ONE;
            int taken = number;
            while (taken < names()) {
                int next = Math.min(names(), taken + step);
                if (free.at(next)) {
                    return firstFree(taken, next, free);
                }
                taken = next;
                step *= 2;
            }
            return 0;
        }

        /** Between one that is taken and one that is free. */
        private static int firstFree(int taken, int lastFree, Free free) throws IOException {
            int low = taken;
            int high = lastFree;
            while (high - low > 1) {
                int middle = (low + high) / 2;
                if (free.at(middle)) {
                    high = middle;
                } else {
                    low = middle;
                }
            }
            return high;
        }

        /** Its name, or with a number or as a version from the second one on. */
        public String name(int number) {
            if (number == 1) {
                return name;
            }
            return taken.isVersion() ? name + " v" + number : name + " (" + number + ")";
        }
    }

    /**
     * One of a document's files, whole and on the disk, that has to go to its place yet.
     *
     * @param part which page it has, from 1; 0 for a file that has them all
     * @param sha256 in hex
     */
    record Ready(Destination.Format format, int part, Path file, String sha256, long bytes) {
        /** A file just written that has all of its document. */
        public static Ready of(Destination.Format format, Path file) throws IOException {
            return of(format, 0, file);
        }

        /** A file just written. */
        public static Ready of(Destination.Format format, int part, Path file) throws IOException {
            Disk.sync(file);
            return new Ready(format, part, file, Sha256.of(file), Files.size(file));
        }

        /** What its name ends with. */
        public String ending() {
            return OutputFormat.of(format).ending(part);
        }

        /** Whether it still is what was written. */
        public boolean isWhole() throws IOException {
            return Files.exists(file)
                    && Files.size(file) == bytes
                    && Sha256.of(file).equals(sha256);
        }
    }

    /**
     * A document's files on their way to a place.
     *
     * @param properties what the place is told beside them, by name, without those that are empty
     * @param files in the order of the formats of the spot, one for each or one for each page
     */
    record Parcel(Spot spot, FiledDocument document, Map<String, String> properties, List<Ready> files) {
        /** What its files are called, each with its ending, where nothing else has their names. */
        public List<String> names() {
            return files.stream().map(f -> spot.name() + f.ending()).toList();
        }

        /** Of this document at this spot with these files and of no other, in hex: another try has the same. */
        public String key() {
            String all = files.stream().map(Ready::sha256).collect(Collectors.joining(" "));
            return Sha256.of(document.origin() + "/" + spot.folder() + "/" + spot.name() + " " + all);
        }
    }

    /**
     * Where a file came to lie.
     *
     * @param path below the place, with its ending
     * @param identifier that it has there, or null where nothing but its path names it
     */
    record Placed(String path, String identifier) {}

    /** Where the one of a document's files lies that people look at. @param placed where each lies */
    static Placed shown(List<Ready> files, List<Placed> placed) {
        for (int i = 0; i < files.size(); i++) {
            if (OutputFormat.of(files.get(i).format()) instanceof SearchablePdf) {
                return placed.get(i);
            }
        }
        return placed.get(0);
    }

    /** What outlives a try: where the files are about to lie is written down before they lie there. */
    interface Remembered {
        /** Where they were about to lie when this was tried before, one for each file; empty when it was not. */
        List<String> before();

        /** @param files below the place, with their endings; one for each file */
        void about(List<String> files);

        /** For what is tried once. */
        static Remembered nothing() {
            return new Remembered() {
                @Override
                public List<String> before() {
                    return List.of();
                }

                @Override
                public void about(List<String> files) {
                    // Nobody will ask.
                }
            };
        }
    }

    /**
     * Puts a document's files where they belong; when this returns, they are on the disk there. Nothing is ever overwritten;
     * done twice it does nothing the second time.
     *
     * @return where the files came to lie, one for each file
     * @throws NameTaken when the name is taken and the destination refuses
     * @throws NameTooLong when it is longer than the place takes
     */
    List<Placed> put(Parcel parcel, Remembered remembered) throws IOException;

    /**
     * Puts a file in the place of what Jalon put there before, or where nothing lies. Done twice it does nothing the second
     * time.
     *
     * @param file its path
     * @param before SHA-256, in hex, of what may lie there and be lost
     * @throws NameTaken where something else lies there
     */
    void rewrite(String file, Ready with, Collection<String> before) throws IOException;

    /** Whether what was filed can be fetched again; what was sent away cannot. */
    default boolean keeps() {
        return true;
    }

    /**
     * Fetches what was filed, from a place that {@link #keeps} it.
     *
     * @param file its path, as {@link #put} gave it
     */
    InputStream open(String file) throws IOException;

    /**
     * Takes away what was filed, for good; what lies there and is not that, is left. Done twice it does nothing the second time.
     *
     * @param file its path, as {@link #put} gave it
     * @param sha256 of what was filed, in hex
     * @throws IOException when the place cannot be asked now, or refuses
     */
    default Erasure erase(String file, String sha256) throws IOException {
        if (!keeps()) {
            return Erasure.SENT_AWAY;
        }
        return switch (Fixity.of(this, file, sha256)) {
            case GONE -> Erasure.NOT_THERE;
            case CHANGED -> Erasure.CHANGED;
            case NOT_KEPT -> Erasure.SENT_AWAY;
            case SAME -> {
                remove(file);
                yield Erasure.ERASED;
            }
        };
    }

    /** Takes a file away that is there, with all its versions, from a place that {@link #keeps} it. */
    void remove(String file) throws IOException;

    /** Where it is, for people who have to look after it. */
    String where();
}

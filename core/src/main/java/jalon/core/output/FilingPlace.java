package jalon.core.output;

import jalon.core.page.UnreadableFile;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** A destination at work; one class for each kind of place that documents are filed in. */
public interface FilingPlace {

    /** Writes a document's files. */
    @FunctionalInterface
    interface Writer {
        /** @param files one for each format, empty yet */
        void write(Map<Destination.Format, Path> files) throws IOException, UnreadableFile, InterruptedException;
    }

    /**
     * A document's own place in a destination.
     *
     * @param folder below the place, parts parted by {@code /}; empty for the place itself
     * @param name without ending
     */
    record Spot(String folder, String name, List<Destination.Format> formats, Destination.Taken taken) {}

    /**
     * Puts a document's files where they belong. Nothing is ever overwritten; done twice with the same bytes it does
     * nothing the second time.
     *
     * @param writer is asked once, whatever name is free then
     * @return where the files came to lie, below the place, with their endings; one for each format
     * @throws NameTaken when the name is taken and the destination refuses
     */
    List<String> put(Spot spot, Writer writer) throws IOException, UnreadableFile, InterruptedException;

    /**
     * Fetches what was filed.
     *
     * @param file as {@link #put} gave it
     */
    InputStream open(String file) throws IOException;

    /** Where it is, for people who have to look after it. */
    String where();
}

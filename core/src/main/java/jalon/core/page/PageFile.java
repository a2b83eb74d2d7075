package jalon.core.page;

import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** A received file as a row of pages. Pages are decoded one at a time; nothing of a page stays in memory here. */
public interface PageFile extends Closeable {

    int pageCount();

    /**
     * Decodes one page.
     *
     * @param index from 0
     * @throws UnreadableFile when this page is damaged; the others may still be good
     */
    Scan page(int index) throws UnreadableFile;

    /**
     * The page image as it lies in the file, where it can go into a PDF untouched; nothing is decoded.
     *
     * @param index from 0
     */
    Optional<Encoded> asIs(int index) throws UnreadableFile;

    /**
     * Opens a file by what is in it, whatever its name says.
     *
     * @throws UnreadableFile when it is empty, of no known kind, damaged, locked or too large
     */
    static PageFile open(Path file) throws UnreadableFile {
        byte[] head;
        try (var in = Files.newInputStream(file)) {
            head = in.readNBytes(1024);
        } catch (IOException e) {
            throw new UnreadableFile(Unread.Code.NOT_OPENED.with(e.getMessage()), e);
        }
        return switch (FileKind.of(head)) {
            case TIFF -> TiffPages.open(file);
            case JPEG, PNG -> PicturePages.open(file);
            case PDF -> PdfPages.open(file);
            case EMPTY -> throw new UnreadableFile(Unread.Code.EMPTY_FILE.with());
            case UNKNOWN -> throw new UnreadableFile(Unread.Code.UNKNOWN_KIND.with());
        };
    }
}

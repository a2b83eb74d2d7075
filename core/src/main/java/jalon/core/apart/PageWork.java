package jalon.core.apart;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import jalon.core.page.UnreadableFile;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Collection;

/**
 * One piece of work on received bytes. They come from strangers: opening, drawing and reading them may never end, ask for
 * any memory, or take the process down. So it is done in another process, which can be killed ({@link PageWorkers}).
 *
 * @param <R> a record, which has to survive being written as JSON
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "work")
@JsonSubTypes({
    @JsonSubTypes.Type(value = CountPages.class, name = "countPages"),
    @JsonSubTypes.Type(value = ReadOnePage.class, name = "readPage"),
    @JsonSubTypes.Type(value = ReadOneZone.class, name = "readZone"),
    @JsonSubTypes.Type(value = SeeTickBoxes.class, name = "seeTickBoxes"),
    @JsonSubTypes.Type(value = MakePictures.class, name = "makePictures"),
    @JsonSubTypes.Type(value = WriteDocument.class, name = "writeDocument")
})
public sealed interface PageWork<R extends Record> permits OneFileWork, WriteDocument {

    Class<R> answer();

    /** The received files it works on. */
    Collection<Path> files();

    /** What it may take until {@link Tools#decoded} is told of a page, and until the end when there is none. */
    Bounds bounds();

    /**
     * Does it; called in the other process.
     *
     * @throws UnreadableFile when the file or page is damaged: trying again changes nothing
     * @throws IOException when a disk did not do its part
     */
    R done(Tools tools) throws IOException, UnreadableFile;
}

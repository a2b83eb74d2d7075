package jalon.core.apart;

import java.nio.file.Path;
import java.util.Collection;
import java.util.List;

/** Work on one received file, mostly on one page of it. */
public sealed interface OneFileWork<R extends Record> extends PageWork<R>
        permits CountPages, ReadOnePage, ReadOneZone, SeeTickBoxes, MakePictures {
    Path file();

    @Override
    default Collection<Path> files() {
        return List.of(file());
    }

    @Override
    default Bounds bounds() {
        return Bounds.DECODING;
    }
}

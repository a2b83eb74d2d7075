package jalon.server.register;

import jalon.core.run.BatchView;
import jalon.core.stream.RegisterUse;
import jalon.core.stream.StreamDefinition;
import jalon.server.stream.StreamLibrary;
import java.util.List;
import org.springframework.stereotype.Service;

/** Which version of each register the values of filed documents came from. */
@Service
public class FiledVersions {
    private final FiledVersionRows rows;
    private final StreamLibrary library;

    FiledVersions(FiledVersionRows rows, StreamLibrary library) {
        this.rows = rows;
        this.library = library;
    }

    public record Used(String register, int version) {}

    /** Keeps those that a batch is filed with. */
    public void keep(long batchId, StreamDefinition stream, BatchView view) {
        view.documents().stream()
                .map(d -> d.type().type())
                .distinct()
                .flatMap(type -> stream.type(type).stream())
                .forEach(type -> RegisterUse.of(type)
                        .forEach(register -> library.registerVersions(register).stream()
                                .findFirst()
                                .ifPresent(newest -> rows.add(batchId, type.type(), register, newest.version()))));
    }

    /** Those that a filed document of a type was looked up in. */
    public List<Used> of(long batchId, String type) {
        return rows.of(batchId, type);
    }
}

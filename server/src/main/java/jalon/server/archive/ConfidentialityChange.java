package jalon.server.archive;

import jalon.core.stream.StreamDefinition;
import jalon.server.Times;
import jalon.server.stream.StreamLibrary;
import jalon.server.stream.StreamSaved;
import java.util.Map;
import java.util.Set;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Has the documents of a stream taken into the indexes anew, where other fields of it are confidential now. */
@Component
class ConfidentialityChange {
    private final ArchiveRows rows;
    private final StreamLibrary streams;
    private final Times times;

    ConfidentialityChange(ArchiveRows rows, StreamLibrary streams, Times times) {
        this.rows = rows;
        this.streams = streams;
        this.times = times;
    }

    /** In the transaction that saves it: an index never follows one without the other. */
    @EventListener
    void saved(StreamSaved saved) {
        StreamDefinition now = streams.definition(saved.name(), saved.version());
        Map<String, Set<String>> before = saved.version() == 1
                ? Map.of()
                : streams.usable(saved.name(), saved.version() - 1)
                        .map(Confidential::fields)
                        .orElse(Map.of());
        if (!before.equals(Confidential.fields(now))) {
            rows.changedOfStream(saved.name(), times.now());
        }
    }
}

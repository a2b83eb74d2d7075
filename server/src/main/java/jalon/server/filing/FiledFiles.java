package jalon.server.filing;

import jalon.core.output.FilingPlaces;
import jalon.core.output.Fixity;
import jalon.core.run.DeliveryState;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.core.words.Words;
import jalon.server.Problem;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import java.io.IOException;
import org.springframework.core.io.InputStreamResource;
import org.springframework.core.io.Resource;
import org.springframework.stereotype.Service;

/** Filed documents, fetched from where they lie. */
@Service
public class FiledFiles {
    private final DeliveryRows rows;
    private final Batches batches;
    private final FilingPlaces places;

    FiledFiles(DeliveryRows rows, Batches batches, FilingPlaces places) {
        this.rows = rows;
        this.batches = batches;
        this.places = places;
    }

    public record Filed(String name, Resource bytes) {}

    /**
     * @param document number in the batch, from 1
     * @param format as in the stream, such as {@code pdf}
     */
    public Filed find(Batch batch, int document, String format) {
        StreamDefinition stream = batches.stream(batch);
        for (DeliveryRows.DeliveryRow delivery : rows.ofBatch(batch.id())) {
            if (delivery.documentNo() == document && delivery.state() == DeliveryState.DONE) {
                for (DeliveryRows.FileRow file : rows.files(delivery.id())) {
                    Destination destination =
                            stream.destination(delivery.spot().destination()).orElseThrow();
                    boolean keeps = file.checked() != Fixity.NOT_KEPT;
                    if (keeps && file.erased() != null) {
                        throw Problem.DOCUMENT_ERASED.with(document, batch.no());
                    }
                    if (keeps && Words.name(file.format()).equals(format)) {
                        return open(destination, file.path());
                    }
                }
            }
        }
        throw Problem.NOT_FILED_AS.with(document, batch.no(), format);
    }

    private Filed open(Destination destination, String file) {
        try {
            String name = file.substring(file.lastIndexOf('/') + 1);
            return new Filed(
                    name, new InputStreamResource(places.of(destination).open(file)));
        } catch (IOException e) {
            throw Problem.FILED_FILE_GONE.with(file);
        }
    }
}

package jalon.server.filing;

import jalon.core.output.FiledDocument;
import jalon.core.output.FilingList;
import jalon.core.page.Sha256;
import jalon.core.stream.Destination;
import jalon.server.NewId;
import jalon.server.Times;
import jalon.server.batch.Batch;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What stands in the lists of what is filed; {@link ListWork} writes them where they lie. */
@Component
class FilingLists {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final ListRows rows;
    private final Times times;

    FilingLists(ListRows rows, Times times) {
        this.rows = rows;
        this.times = times;
    }

    /** In the transaction in which a delivery ended. @param path where the document lies, below the destination */
    void filed(
            DeliveryRows.DeliveryRow delivery,
            Batch batch,
            Destination destination,
            FiledDocument document,
            String path) {
        if (destination.list() == null) {
            return;
        }
        var day = times.day(batch.course().filedAt());
        String list = FilingList.path(destination.list(), delivery.spot().folder(), day);
        var found = new NewId();
        boolean own = destination.to() == Destination.To.PLACE;
        rows.changing(found, own ? destination.place() : destination.destination(), own, list, Sha256.of(list));
        FilingList.Line line = FilingList.Line.of(list, path, document, day);
        rows.line(found.getId(), Sha256.of(path), delivery.id(), JSON.writeValueAsString(line));
    }

    /** What a delivery brought does not lie there any more: its lines go when the lists are written next. */
    void gone(DeliveryRows.DeliveryRow delivery) {
        rows.empty(delivery.id());
    }

    /** The lists where its lines still are. */
    List<ListRows.Holding> holding(DeliveryRows.DeliveryRow delivery) {
        return rows.holding(delivery.id());
    }

    /** Its lines stay in lists that cannot be written, since a person says so. */
    void leave(DeliveryRows.DeliveryRow delivery) {
        rows.removeLines(delivery.id());
    }

    static FilingList.Line line(String json) {
        return JSON.readValue(json, FilingList.Line.class);
    }
}

package jalon.server.filing;

import jalon.core.output.FiledDocument;
import jalon.core.output.FilingList;
import jalon.core.page.Sha256;
import jalon.core.run.DeliveryState;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.server.NewId;
import jalon.server.Times;
import jalon.server.Trouble;
import jalon.server.batch.Batch;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What stands in the lists of what is filed; {@link ListWork} writes them where they lie. */
@Component
public class FilingLists {
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

    /**
     * A growing list in which documents of a batch stand, or are going to.
     *
     * @param path where it lies, below the destination
     * @param behind whether some of them do not stand in it yet
     * @param reason why it could not be written, or null; @param nextAt when that is tried again, or null
     */
    public record DeskList(String destination, String path, boolean behind, Trouble reason, Instant nextAt) {}

    /** Where documents of a filed batch stand. */
    List<DeskList> of(Batch batch, StreamDefinition stream) {
        List<DeskList> all = new ArrayList<>();
        for (ListRows.OfBatch list : rows.ofBatch(batch.id())) {
            stream.destinations().stream()
                    .filter(d -> d.list() != null && list.place().equals(list.own() ? d.place() : d.destination()))
                    .map(d -> new DeskList(
                            d.destination(),
                            FilingList.numbered(list.path(), list.number()),
                            list.behind(),
                            list.reason(),
                            list.nextAt()))
                    .forEach(all::add);
        }
        return all;
    }

    /** Where they are going to stand. */
    List<DeskList> planned(StreamDefinition stream, List<FilingPlan.DeskDelivery> deliveries) {
        Set<DeskList> all = new LinkedHashSet<>();
        for (FilingPlan.DeskDelivery planned : deliveries) {
            Destination destination = stream.destination(planned.destination()).orElseThrow();
            if (planned.state() == DeliveryState.PLANNED && destination.list() != null) {
                String folder =
                        planned.path().substring(0, Math.max(0, planned.path().lastIndexOf('/')));
                String path = FilingList.path(destination.list(), folder, times.day(times.now()));
                all.add(new DeskList(destination.destination(), path, true, null, null));
            }
        }
        return List.copyOf(all);
    }

    static FilingList.Line line(String json) {
        return JSON.readValue(json, FilingList.Line.class);
    }
}

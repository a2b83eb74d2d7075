package jalon.server.filing;

import jalon.core.index.FieldValue;
import jalon.core.index.Indexer;
import jalon.core.run.BatchView;
import jalon.core.run.DeliveryState;
import jalon.core.stream.Destination;
import jalon.core.stream.Field;
import jalon.core.stream.StreamDefinition;
import jalon.server.NewId;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchFiling;
import jalon.server.batch.Batches;
import jalon.server.batch.WorkQueue;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.stream.StreamLibrary;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Values corrected after their document was filed: a newer version, wherever one can be brought. */
@Service
public class Corrections {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int LONGEST = 1000;
    private static final int LONGEST_WHY = 400;

    private final CorrectionRows rows;
    private final DeliveryRows deliveries;
    private final GoingOn goingOn;
    private final BatchFiling marks;
    private final Batches batches;
    private final StreamLibrary streams;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;
    private final ApplicationEventPublisher told;
    private final Times times;

    Corrections(
            CorrectionRows rows,
            DeliveryRows deliveries,
            GoingOn goingOn,
            BatchFiling marks,
            Batches batches,
            StreamLibrary streams,
            WorkQueue work,
            ActivityLog log,
            Events events,
            ApplicationEventPublisher told,
            Times times) {
        this.rows = rows;
        this.deliveries = deliveries;
        this.goingOn = goingOn;
        this.marks = marks;
        this.batches = batches;
        this.streams = streams;
        this.work = work;
        this.log = log;
        this.events = events;
        this.told = told;
        this.times = times;
    }

    /** Where a correction goes. @param to destinations, @param not those that take no versions */
    public record Corrected(List<String> to, List<String> not) {}

    /**
     * @param document as it was filed first
     * @param values as typed, by field name; null or blank for one that is not on the document
     * @param why as a person says
     * @param sure whether values that do not pass their fields' checks are meant so
     */
    @Transactional
    public Corrected correct(
            Batch.Continued document, Map<String, String> values, String why, boolean sure, String who) {
        String reason = why == null ? "" : why.strip();
        if (reason.isEmpty() || reason.length() > LONGEST_WHY) {
            throw Problem.SAY_WHY_CORRECTED.with();
        }
        Batch batch = marks.lock(Batch.no(document.batch()));
        StreamDefinition stream = batches.stream(batch);
        BatchView.DocumentView filed = batches.view(batch, true).documents().get(document.document() - 1);
        String said =
                JSON.writeValueAsString(tidied(stream.type(filed.type().type()).orElseThrow(), values, sure, who));
        int no = rows.last(document.batch(), document.document()) + 1;
        rows.add(new CorrectionRows.Row(document.batch(), document.document(), no, said, reason, who, times.now()));
        Corrected corrected = plan(stream, document, no);
        log.add(
                who,
                document.batch(),
                Act.CORRECTED.with(document.document(), String.join(", ", values.keySet()), reason));
        events.changed(batch.no());
        told.publishEvent(new ValuesCorrected(batch.id()));
        return corrected;
    }

    private Corrected plan(StreamDefinition stream, Batch.Continued document, int no) {
        var corrected = new Corrected(new ArrayList<>(), new ArrayList<>());
        for (Destination destination : stream.destinations()) {
            String name = destination.destination();
            GoingOn.There there = goingOn.there(document, destination).orElse(null);
            if (there == null) {
                continue;
            }
            if (there.newest().state() != DeliveryState.DONE) {
                throw Problem.STILL_BEING_FILED.with(name);
            }
            if (destination.taken() == Destination.Taken.REFUSE) {
                corrected.not().add(name);
                continue;
            }
            var made = new NewId();
            deliveries.planCorrection(
                    made,
                    there.first().id(),
                    no,
                    there.folder(),
                    there.name(),
                    there.newest().id());
            deliveries.passName(there.newest().id(), made.getId());
            work.deliver(made.getId());
            corrected.to().add(name);
        }
        if (corrected.to().isEmpty()) {
            throw Problem.NOWHERE_A_VERSION.with();
        }
        return corrected;
    }

    /** As they would have been settled at the desk. */
    private Map<String, String> tidied(
            StreamDefinition.DocumentType type, Map<String, String> values, boolean sure, String who) {
        if (values == null || values.isEmpty()) {
            throw Problem.NOTHING_CORRECTED.with();
        }
        Map<String, String> tidied = new LinkedHashMap<>();
        List<String> unlikely = new ArrayList<>();
        values.forEach((name, value) -> {
            Field field = type.field(name).orElseThrow(() -> Problem.NO_SUCH_FIELD.with(name));
            String typed = value == null || value.isBlank() ? null : value.strip();
            if (typed == null && (field.required() || !field.mayBeAbsent())) {
                throw Problem.MUST_BE_THERE.with(field.title());
            }
            if (typed != null && typed.length() > LONGEST) {
                throw Problem.VALUE_TOO_LONG.with(field.title(), LONGEST);
            }
            FieldValue settled = typed == null
                    ? null
                    : Indexer.settle(field, typed, streams.registers(), times.day(times.now()), 0, null, who);
            tidied.put(name, settled == null ? null : settled.value());
            if (settled != null && !settled.reasons().isEmpty()) {
                unlikely.add(field.title());
            }
        });
        if (!sure && !unlikely.isEmpty()) {
            throw Problem.CORRECTION_UNLIKELY.with(String.join(", ", unlikely));
        }
        return tidied;
    }
}

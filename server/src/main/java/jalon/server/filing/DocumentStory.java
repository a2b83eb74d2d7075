package jalon.server.filing;

import jalon.core.index.FieldValue;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import jalon.core.run.DeliveryState;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.server.archive.Archive;
import jalon.server.archive.ArchivePage;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.Receiving;
import jalon.server.batch.Side;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** How a filed document came to be what it is, and where it lies: who or what decided, and on what evidence. */
@Service
public class DocumentStory {
    private final Batches batches;
    private final DeliveryRows deliveries;
    private final CorrectionRows corrections;
    private final GoingOn goingOn;

    DocumentStory(Batches batches, DeliveryRows deliveries, CorrectionRows corrections, GoingOn goingOn) {
        this.batches = batches;
        this.deliveries = deliveries;
        this.corrections = corrections;
        this.goingOn = goingOn;
    }

    /**
     * @param came what brought its pages, in their order
     * @param stake why it begins where it does, @param type why it is of its type
     * @param values as it was filed first
     */
    public record Story(
            List<Came> came,
            BatchView.StakeView stake,
            BatchView.TypeView type,
            List<StoryValue> values,
            List<StoryCorrection> corrections,
            List<Lies> lies) {}

    /** Pages that came in together. @param source in words, @param by who brought them, by name, or what did */
    public record Came(String batch, String source, Instant at, String by, List<CamePage> pages) {}

    /** @param no in the document, from 1, @param sheet and @param side of a page scanned here, or null */
    public record CamePage(int no, String file, int filePage, Integer sheet, Side side) {}

    /** @param page in the document, from 1, or null where it was found on none of its pages */
    public record StoryValue(String title, Integer page, FieldValue value) {}

    /** @param values by field name, null for one that is gone, @param by who corrected it, by name */
    public record StoryCorrection(Map<String, String> values, String why, String by, Instant at) {}

    /** A delivery of it. @param checked what was found there last, or null where that is not looked at */
    public record Lies(String destination, String path, DeliveryState state, FilingPlan.Checked checked) {}

    public Story of(Archive.CameFrom from) {
        Batch.Continued document = from.document();
        List<ArchivePage> pages = from.pages();
        Batch batch = batches.get(Batch.no(document.batch()));
        StreamDefinition stream = batches.stream(batch);
        BatchView.DocumentView filed = batches.view(batch, true).documents().get(document.document() - 1);
        return new Story(
                came(pages),
                filed.stake(),
                filed.type(),
                values(stream, batch.id(), filed, pages),
                corrections(document),
                lies(stream, document));
    }

    /** Batch by batch, in the order in which their first pages stand. */
    private List<Came> came(List<ArchivePage> pages) {
        Map<Long, List<Integer>> numbers = new LinkedHashMap<>();
        for (int i = 0; i < pages.size(); i++) {
            numbers.computeIfAbsent(pages.get(i).batch(), b -> new ArrayList<>())
                    .add(i + 1);
        }
        List<Came> came = new ArrayList<>();
        numbers.forEach((id, its) -> {
            Batch batch = batches.get(id);
            Map<Integer, PageFacts> facts = batches.facts(batch);
            Map<Integer, Receiving.Sheet> sheets = batches.sheets(batch);
            Batch.Origin origin = batch.origin();
            came.add(new Came(
                    batch.no(),
                    origin.source(),
                    origin.madeAt(),
                    batches.nameOf(origin.madeBy()),
                    its.stream()
                            .map(no -> {
                                int inBatch = pages.get(no - 1).no();
                                return page(no, facts.get(inBatch), sheets.get(inBatch));
                            })
                            .toList()));
        });
        return came;
    }

    private static CamePage page(int no, PageFacts facts, Receiving.Sheet sheet) {
        return new CamePage(
                no,
                facts.file(),
                facts.filePage(),
                sheet == null ? null : sheet.no(),
                sheet == null ? null : sheet.side());
    }

    private static List<StoryValue> values(
            StreamDefinition stream, long batch, BatchView.DocumentView filed, List<ArchivePage> pages) {
        List<StoryValue> values = new ArrayList<>();
        filed.fields().forEach((name, value) -> {
            String title = stream.type(filed.type().type())
                    .flatMap(type -> type.field(name))
                    .map(field -> field.title())
                    .orElse(name);
            int at = value.source() == null
                    ? -1
                    : pages.indexOf(new ArchivePage(batch, value.source().page()));
            values.add(new StoryValue(title, at < 0 ? null : at + 1, value));
        });
        return values;
    }

    private List<StoryCorrection> corrections(Batch.Continued document) {
        return corrections.ofDocument(document.batch(), document.document()).stream()
                .map(row ->
                        new StoryCorrection(CorrectedValues.read(row), row.why(), batches.nameOf(row.who()), row.at()))
                .toList();
    }

    /** At each destination one after the other, the first one first. */
    private List<Lies> lies(StreamDefinition stream, Batch.Continued document) {
        List<Lies> lies = new ArrayList<>();
        for (Destination destination : stream.destinations()) {
            Optional<DeliveryRows.DeliveryRow> next =
                    deliveries.at(document.batch(), document.document(), destination.destination());
            while (next.isPresent()) {
                DeliveryRows.DeliveryRow delivery = next.get();
                List<DeliveryRows.FileRow> files = deliveries.files(delivery.id());
                lies.add(new Lies(
                        destination.destination(),
                        files.size() == 1 && files.get(0).path() != null
                                ? files.get(0).path()
                                : goingOn.path(delivery),
                        delivery.state(),
                        FilingPlan.Checked.of(files)));
                next = deliveries.after(delivery.id());
            }
        }
        return lies;
    }
}

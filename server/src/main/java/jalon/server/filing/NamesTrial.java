package jalon.server.filing;

import jalon.core.run.BatchView;
import jalon.core.run.Filing;
import jalon.core.stream.StreamDefinition;
import jalon.server.Problem;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.stream.StreamLibrary;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Names that a definition not saved yet gives the documents of a batch; no number is taken by it. */
@Service
public class NamesTrial {
    private static final String NUMBERED = " \\(\\d+\\)$";

    private final StreamLibrary library;
    private final Batches batches;
    private final FilingPlan plans;
    private final DeliveryRows rows;

    NamesTrial(StreamLibrary library, Batches batches, FilingPlan plans, DeliveryRows rows) {
        this.library = library;
        this.batches = batches;
        this.plans = plans;
        this.rows = rows;
    }

    /**
     * A document's name at a destination.
     *
     * @param twice whether another document of the batch would have it, @param taken whether one of another batch has it, also where
     *     they differ in case or accents alone
     * @param unsafe titles of values that were changed, since they cannot stand in a name as they are
     */
    public record TriedName(
            String destination, int document, String path, boolean twice, boolean taken, List<String> unsafe) {}

    public List<TriedName> of(String json, String no) {
        StreamDefinition stream = library.parsed(json);
        Batch batch = batches.get(no);
        if (!batch.stream().name().equals(stream.stream())) {
            throw Problem.BATCH_OF_ANOTHER_STREAM.with(no, stream.title());
        }
        BatchView view = batches.view(batch, true);
        Filing.NamedBy by = plans.shownNames(batch);
        List<Filing.Planned> planned = Filing.plan(stream, by, view, List.of());
        Map<String, Long> times =
                planned.stream().collect(Collectors.groupingBy(NamesTrial::name, Collectors.counting()));
        return planned.stream()
                .map(p -> new TriedName(
                        p.destination().destination(),
                        p.document(),
                        p.path(),
                        times.get(name(p)) > 1,
                        rows.isFiledElsewhere(
                                batch.id(), p.destination().destination(), String.join("/", p.folders()), p.name()),
                        Filing.unsafe(stream, by, view, p.destination(), p.document()).stream()
                                .map(titles(stream, view.documents().get(p.document() - 1)))
                                .toList()))
                .toList();
    }

    private static String name(Filing.Planned planned) {
        return planned.destination().destination() + "/"
                + planned.path().replaceFirst(NUMBERED, "").toLowerCase(Locale.ROOT);
    }

    private static Function<String, String> titles(StreamDefinition stream, BatchView.DocumentView document) {
        return name -> stream.type(document.type().type())
                .flatMap(type -> type.field(name))
                .map(field -> field.title())
                .orElse(name);
    }
}

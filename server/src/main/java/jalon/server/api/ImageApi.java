package jalon.server.api;

import jalon.core.image.Measure;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import jalon.core.run.ImageFigures;
import jalon.core.run.ImageReport;
import jalon.core.stream.PageRules;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.Rescans;
import jalon.server.rights.Rights;
import java.io.IOException;
import java.security.Principal;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The image check: figures, limits, reports, and what is to be scanned again. */
@RestController
@RequestMapping("/api")
class ImageApi {
    private final Batches batches;
    private final Rescans rescans;
    private final Rights rights;

    ImageApi(Batches batches, Rescans rescans, Rights rights) {
        this.rights = rights;
        this.batches = batches;
        this.rescans = rescans;
    }

    /** @param usual the limit where a stream sets none, or null for none */
    record MeasureInfo(String measure, String unit, boolean tooMuch, Double usual) {}

    @GetMapping("/measures")
    List<MeasureInfo> measures() {
        return Arrays.stream(Measure.values())
                .map(m -> new MeasureInfo(m.json(), m.unit(), m.tooMuch(), finite(m.usualLimit())))
                .toList();
    }

    static Double finite(double limit) {
        return Double.isInfinite(limit) ? null : limit;
    }

    /** All figures of a batch's pages against the limits of its stream. */
    @GetMapping("/batches/{no}/figures")
    List<ImageFigures> imageFigures(@PathVariable String no) {
        Batch batch = batches.get(no);
        return ImageFigures.of(rules(batch), batches.view(batch, false), batches.facts(batch));
    }

    @GetMapping(value = "/batches/{no}/image-report.csv", produces = "text/csv;charset=UTF-8")
    ResponseEntity<String> imageReportCsv(@PathVariable String no) {
        Batch batch = batches.get(no);
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + batch.no() + "-images.csv\"")
                .body(ImageReport.csv(rules(batch), view(batch), facts(batch)));
    }

    @GetMapping(value = "/batches/{no}/image-report.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> imageReportPdf(@PathVariable String no) throws IOException {
        Batch batch = batches.get(no);
        String title = batch.no() + ", " + batches.stream(batch).title();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + batch.no() + "-images.pdf\"")
                .body(ImageReport.pdf(title, rules(batch), view(batch), facts(batch)));
    }

    @GetMapping("/rescans")
    List<Rescans.Rescan> rescans(Principal who) {
        return rescans.all(stream -> rights.worksOn(who.getName(), stream));
    }

    private PageRules rules(Batch batch) {
        return batches.stream(batch).pages();
    }

    private BatchView view(Batch batch) {
        return batches.view(batch, false);
    }

    private Map<Integer, PageFacts> facts(Batch batch) {
        return batches.facts(batch);
    }
}

package jalon.core.run;

import jalon.core.image.Finding;
import jalon.core.image.Measure;
import jalon.core.image.Measured;
import jalon.core.image.Repair;
import jalon.core.output.ImageReportPdf;
import jalon.core.output.Spreadsheet;
import jalon.core.read.PageFacts;
import jalon.core.stream.PageRules;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** The image check of one batch for others: figures of each page, what was repaired, and what was accepted by whom. */
public final class ImageReport {
    private static final List<String> FIRST = List.of("page", "file", "file page", "standing");
    private static final List<String> LAST =
            List.of("beyond its limit", "repairs", "repaired by", "accepted by", "asked again");

    /** What fits on a printed line. */
    private static final List<Measure> PRINTED = List.of(
            Measure.SKEW,
            Measure.BLUR,
            Measure.CONTRAST,
            Measure.DARKNESS,
            Measure.UNEVEN,
            Measure.SPECKS,
            Measure.EDGE,
            Measure.CORNER,
            Measure.CUT_OFF,
            Measure.RESOLUTION);

    private ImageReport() {}

    /** One page's line, every cell as text; columns as {@link #columns()}. */
    public static List<List<String>> rows(PageRules rules, BatchView view, Map<Integer, PageFacts> facts) {
        ImageFindings fitness = new ImageFindings(rules, List.copyOf(facts.values()));
        List<List<String>> rows = new ArrayList<>();
        for (BatchView.PageView page : view.pages()) {
            PageFacts seen = facts.get(page.no());
            Map<Measure, Double> figures = new LinkedHashMap<>();
            for (Measured m : fitness.figures(seen)) {
                figures.put(m.what(), m.figure());
            }
            List<String> row = new ArrayList<>(List.of(
                    Integer.toString(page.no()), seen.file(), Integer.toString(seen.filePage()), standing(page)));
            for (Measure measure : Measure.values()) {
                Double figure = figures.get(measure);
                row.add(figure == null ? "" : String.format(Locale.ROOT, "%.3f", figure));
            }
            BatchView.ImageView image = page.image();
            row.add(String.join(
                    "; ", image.findings().stream().map(ImageReport::said).toList()));
            row.add(String.join(
                    "; ", image.repairs().stream().map(Repair::named).toList()));
            row.add(orEmpty(image.repairedBy()));
            row.add(image.acceptedBy() == null ? "" : image.acceptedBy() + ", " + image.acceptedAt());
            row.add(image.askedBecause() == null ? "" : image.askedBy() + ": " + image.askedBecause());
            rows.add(row);
        }
        return rows;
    }

    public static List<String> columns() {
        List<String> columns = new ArrayList<>(FIRST);
        for (Measure m : Measure.values()) {
            columns.add(column(m));
        }
        columns.addAll(LAST);
        return columns;
    }

    /** The same with a line of names above, as RFC 4180 has it. */
    public static String csv(PageRules rules, BatchView view, Map<Integer, PageFacts> facts) {
        var out = new StringWriter();
        try (var csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            csv.printRecord(columns());
            for (List<String> row : rows(rules, view, facts)) {
                csv.printRecord(row.stream().map(Spreadsheet::plain).toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /**
     * The same to print, with the figures that are looked at most.
     *
     * @param title such as the batch's number and stream
     */
    public static byte[] pdf(String title, PageRules rules, BatchView view, Map<Integer, PageFacts> facts)
            throws IOException {
        ImageFindings findings = new ImageFindings(rules, List.copyOf(facts.values()));
        List<ImageReportPdf.Row> rows = view.pages().stream()
                .map(page -> new ImageReportPdf.Row(
                        page.no(), standing(page), cells(rules, findings.figures(facts.get(page.no()))), done(page)))
                .toList();
        return ImageReportPdf.of(
                title, PRINTED.stream().map(ImageReport::column).toList(), rows);
    }

    private static List<ImageReportPdf.Cell> cells(PageRules rules, List<Measured> figures) {
        return PRINTED.stream()
                .map(measure -> figures.stream()
                        .filter(m -> m.what() == measure)
                        .findFirst()
                        .map(m -> new ImageReportPdf.Cell(
                                String.format(Locale.ROOT, "%.2f", m.figure()),
                                measure.breaks(m.figure(), rules.limit(measure))))
                        .orElse(ImageReportPdf.Cell.EMPTY))
                .toList();
    }

    private static List<String> done(BatchView.PageView page) {
        BatchView.ImageView image = page.image();
        List<String> done = new ArrayList<>();
        if (!image.repairs().isEmpty()) {
            done.add(String.join(
                    ", ", image.repairs().stream().map(Repair::named).toList()));
        }
        if (image.acceptedBy() != null) {
            done.add("accepted by " + image.acceptedBy());
        }
        if (image.askedBecause() != null) {
            done.add("asked again: " + image.askedBecause());
        }
        return done;
    }

    private static String column(Measure m) {
        return m.unit().isEmpty() ? m.json() : m.json() + " " + m.unit();
    }

    private static String said(Finding f) {
        return f.kind().json() + " " + f.kind().format(f.figure()) + (f.kind().tooMuch() ? " over " : " under ")
                + f.kind().format(f.limit());
    }

    private static String standing(BatchView.PageView page) {
        return switch (page.role()) {
            case CONTENT -> "document " + page.document();
            case SEPARATOR -> "separator";
            case BLANK -> "blank";
            case SET_ASIDE -> "set aside by " + page.by();
        };
    }

    private static String orEmpty(String text) {
        return text == null ? "" : text;
    }
}

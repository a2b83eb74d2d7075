package jalon.server.filing;

import jakarta.mail.MessagingException;
import jalon.core.page.Sha256;
import jalon.core.run.BatchView;
import jalon.core.run.DeliveryState;
import jalon.core.run.Filing;
import jalon.core.run.Ledger;
import jalon.core.run.Report;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.core.words.Words;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.mail.Letters;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Tells by mail what became of a batch when all of its deliveries have ended: what went where, what was left out and why, the page
 * ledger, and what was found about its images. Whom it tells the stream says; an address out of a document's field is told
 * of the documents that have it.
 */
@Service
public class FilingReports {
    private static final Logger LOG = LoggerFactory.getLogger(FilingReports.class);
    private static final int LENGTH_OF_ID = 24;

    private final Batches batches;
    private final FilingPlan plans;
    private final ReportRows rows;
    private final Letters letters;
    private final ActivityLog log;
    private final Times times;

    FilingReports(Batches batches, FilingPlan plans, ReportRows rows, Letters letters, ActivityLog log, Times times) {
        this.batches = batches;
        this.plans = plans;
        this.rows = rows;
        this.letters = letters;
        this.log = log;
        this.times = times;
    }

    /**
     * Sends what was not sent yet. An address that is none, or that the mail server does not know, is told in the batch's
     * log. One that could not be written to now keeps no other waiting.
     *
     * @throws IllegalStateException when a mail could not be sent now
     */
    public void send(long batchId) {
        Batch batch = batches.get(Batch.no(batchId));
        StreamDefinition stream = batches.stream(batch);
        if (!letters.possible()) {
            LOG.warn("no mail server is set (jalon.mail.host): nobody is told that {} is filed", batch.no());
            return;
        }
        Map<String, List<Told>> receivers = new LinkedHashMap<>();
        collect(batch, receivers);
        send(receivers, batch.no() + "/" + batch.id(), "Filed: " + batch.no() + " " + stream.title());
    }

    /**
     * The same of all batches that a stream filed on a day, in one mail for each address.
     *
     * @throws IllegalStateException when a mail could not be sent now
     */
    void sendDay(LocalDate day, List<Batch> filed) {
        Map<String, List<Told>> receivers = new LinkedHashMap<>();
        filed.forEach(batch -> collect(batch, receivers));
        StreamDefinition stream = batches.stream(filed.get(0));
        send(receivers, stream.stream() + "/" + day, "Filed on " + day + ": " + stream.title());
    }

    /** What one address is told of one batch. */
    private record Told(Batch batch, String text) {}

    /** Adds those who were not told yet. */
    private void collect(Batch batch, Map<String, List<Told>> receivers) {
        StreamDefinition stream = batches.stream(batch);
        BatchView view = batches.view(batch, true);
        String sender = batch.origin().mail().sender();
        List<String> sent = rows.sent(batch.id());
        Filing.receivers(stream, batch.no(), view, times.day(batch.course().filedAt()), sender)
                .forEach((address, documents) -> {
                    if (!sent.contains(address)) {
                        receivers
                                .computeIfAbsent(address, a -> new ArrayList<>())
                                .add(new Told(batch, text(batch, stream, view, address, documents)));
                    }
                });
    }

    private void send(Map<String, List<Told>> receivers, String about, String subject) {
        Map<String, MessagingException> later = new LinkedHashMap<>();
        receivers.forEach((address, told) -> {
            try {
                send(address, told, about, subject);
            } catch (MessagingException e) {
                later.put(address, e);
            }
        });
        if (!later.isEmpty()) {
            throw new IllegalStateException("the report of " + about + " could not be sent: " + later);
        }
    }

    private void send(String address, List<Told> told, String about, String subject) throws MessagingException {
        String id = Sha256.of(about + "/" + address).substring(0, LENGTH_OF_ID);
        String text = told.stream().map(Told::text).collect(Collectors.joining("\n"));
        boolean arrived = Letters.isAddress(address) && letters.sendOnce(address, subject, text, "report-" + id);
        for (Told one : told) {
            log.add(ActivityLog.JALON, one.batch().id(), (arrived ? Act.REPORTED : Act.REPORT_NOT_SENT).with(address));
            rows.add(one.batch().id(), address, times.now());
        }
    }

    /** An address out of a field is not, even where the batch has no other document: what came beside it is not its own. */
    private static boolean isToldOfAll(StreamDefinition stream, String address, String sender) {
        return stream.filing().report().stream()
                .anyMatch(to -> to.equals(address) || to.equals("{sender}") && address.equals(sender));
    }

    private String text(Batch batch, StreamDefinition stream, BatchView view, String address, List<Integer> documents) {
        FilingPlan.Plan plan = plans.plan(batch.no());
        List<String> lines = new ArrayList<>();
        boolean all = isToldOfAll(stream, address, batch.origin().mail().sender());
        lines.add("Batch " + batch.no() + " (" + stream.title() + ") is filed.");
        lines.add("");
        if (all) {
            lines.add(words(plan.ledger()));
            lines.add("");
        }
        for (int no : documents) {
            BatchView.DocumentView document = view.documents().get(no - 1);
            lines.add("Document " + no + ": "
                    + stream.type(document.type().type()).orElseThrow().title() + ", "
                    + document.pages().size() + (document.pages().size() == 1 ? " page" : " pages"));
            plan.deliveries().stream().filter(d -> d.document() == no).forEach(d -> lines.add("  " + words(d)));
        }
        if (all) {
            aboutPages(plans.report(batch.no()), lines);
        }
        return String.join("\n", lines) + "\n";
    }

    private static String words(Ledger l) {
        List<String> parts = new ArrayList<>(List.of(l.filed() + " filed"));
        add(parts, l.erased(), "erased");
        add(parts, l.blank(), "blank");
        add(parts, l.separator(), "separators");
        add(parts, l.setAside(), "set aside");
        add(parts, l.unreadable(), "not readable");
        add(parts, l.withdrawn(), "withdrawn");
        add(parts, l.open(), "open");
        return "Pages: " + l.received() + " received = " + String.join(" + ", parts);
    }

    private static void add(List<String> parts, int count, String what) {
        if (count > 0) {
            parts.add(count + " " + what);
        }
    }

    private static String words(FilingPlan.DeskDelivery d) {
        FilingPlan.Tries history = d.history();
        return switch (d.state()) {
            case DONE ->
                d.destination() + ": " + d.path() + " ("
                        + String.join(
                                ", ",
                                d.formats().stream().map(FilingReports::words).toList()) + ")";
            case LEFT_OUT, HELD_BACK ->
                d.destination()
                        + (d.state() == DeliveryState.LEFT_OUT ? ": left out by " : ": held back by ")
                        + history.saidBy()
                        + (history.saidWhy() == null ? "" : ", " + history.saidWhy());
            case PLANNED, RUNNING, RETRYING, REFUSED -> d.destination() + ": " + Words.name(d.state());
        };
    }

    private static String words(Destination.Format format) {
        return switch (format) {
            case PDF_WITH_DATA -> "pdf with data";
            case PDF_COMPACT -> "compact pdf";
            default -> Words.name(format);
        };
    }

    private static void aboutPages(Report report, List<String> lines) {
        report.rejected()
                .forEach(r -> lines.add("Not read: " + r.file() + (r.filePage() == null ? "" : ", page " + r.filePage())
                        + ": " + r.reason()));
        report.pages().stream()
                .filter(p -> !p.image().findings().isEmpty())
                .forEach(p -> lines.add("Image of page " + p.no() + ": "
                        + String.join(
                                ", ",
                                p.image().findings().stream()
                                        .map(f -> f.kind() + " " + f.value() + " (limit " + f.limit() + ")")
                                        .toList())));
    }
}

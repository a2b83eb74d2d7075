package jalon.server.filing;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.toList;

import jalon.server.Times;
import jalon.server.batch.Batches;
import jalon.server.live.RecurringWork;
import jalon.server.mail.Letters;
import java.time.Duration;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Sends the reports of days that are over, a stream and a day in one. */
@Component
class DailyReports implements RecurringWork {
    private static final Logger LOG = LoggerFactory.getLogger(DailyReports.class);
    private static final Duration PAUSE = Duration.ofMinutes(15);

    private final ReportRows rows;
    private final FilingReports reports;
    private final Batches batches;
    private final Letters letters;
    private final Times times;

    DailyReports(ReportRows rows, FilingReports reports, Batches batches, Letters letters, Times times) {
        this.rows = rows;
        this.reports = reports;
        this.batches = batches;
        this.letters = letters;
        this.times = times;
    }

    @Override
    public String name() {
        return "daily-reports";
    }

    @Override
    public Duration pause() {
        return PAUSE;
    }

    @Override
    public void run() {
        if (letters.possible()) {
            send(times.day(times.now()));
        }
    }

    private record StreamAndDay(String stream, LocalDate day) {}

    /** Of the days before this one. What cannot be sent now is sent the next time, and keeps nothing else waiting. */
    void send(LocalDate today) {
        rows.ofDaysBefore(today).stream()
                .collect(groupingBy(b -> new StreamAndDay(b.stream(), b.reportDay()), LinkedHashMap::new, toList()))
                .forEach(this::send);
    }

    private void send(StreamAndDay of, List<ReportRows.OfDay> filed) {
        try {
            reports.sendDay(
                    of.day(), filed.stream().map(b -> batches.get(b.id())).toList());
            filed.forEach(b -> rows.tellOn(b.id(), null));
        } catch (RuntimeException e) {
            LOG.warn("the report of {} on {} is sent later: {}", of.stream(), of.day(), e.toString());
        }
    }
}

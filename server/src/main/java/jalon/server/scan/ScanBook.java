package jalon.server.scan;

import jalon.server.Problem;
import jalon.server.Trouble;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.PageInsertion;
import jalon.server.batch.Receiving;
import jalon.server.live.Events;
import jalon.server.live.Node;
import jalon.server.live.RecurringWork;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Stacks written down, so that one whose server stops is not forgotten: the sides of the sheet that was not complete are set
 * aside, people are told, and any server can go on with it.
 */
@Component
class ScanBook implements RecurringWork, DisposableBean {
    static final Scan.State NOTHING =
            new Scan.State("", "", Scan.Standing.scanning, new Scan.Stored(0, 0), null, null, false);

    private static final Logger LOG = LoggerFactory.getLogger(ScanBook.class);
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int SIGN_SECONDS = 4;

    private final ScanRows rows;
    private final Batches batches;
    private final PageInsertion insertion;
    private final ActivityLog log;
    private final Events events;
    private final Node node;
    private final ScheduledExecutorService signs = Executors.newSingleThreadScheduledExecutor(r -> {
        Thread t = new Thread(r, "scan-signs");
        t.setDaemon(true);
        return t;
    });

    ScanBook(ScanRows rows, Batches batches, PageInsertion insertion, ActivityLog log, Events events, Node node) {
        this.rows = rows;
        this.batches = batches;
        this.insertion = insertion;
        this.log = log;
        this.events = events;
        this.node = node;
        signs.scheduleWithFixedDelay(this::giveSign, SIGN_SECONDS, SIGN_SECONDS, TimeUnit.SECONDS);
    }

    /**
     * A stack as it is written down.
     *
     * @param ours whether this server had it last
     * @param stored what of it lies in the batch
     */
    record Kept(ScanRows.ScanRow row, boolean ours, Scan.Stored stored) {
        Scan.Standing standing() {
            return row.standing();
        }

        long scanner() {
            return row.scannerId();
        }

        /** @param scanner its name */
        Scan.Order order(String scanner) {
            PageInsertion.Place place =
                    row.place() == null ? null : JSON.readValue(row.place(), PageInsertion.Place.class);
            return new Scan.Order(Batch.no(row.batchId()), scanner, settings(), row.who(), place);
        }

        private ScanSettings settings() {
            return JSON.readValue(row.settings(), ScanSettings.class);
        }

        Scan.State state(String scanner) {
            return new Scan.State(
                    Batch.no(row.batchId()),
                    scanner,
                    row.standing(),
                    stored,
                    row.trouble(),
                    settings(),
                    row.place() != null);
        }
    }

    void begin(Scan.Order order, long scanner, int firstSheet) {
        rows.keep(new ScanRows.ScanRow(
                batches.get(order.no()).id(),
                scanner,
                order.who(),
                JSON.writeValueAsString(order.settings()),
                order.place() == null ? null : JSON.writeValueAsString(order.place()),
                firstSheet,
                Scan.Standing.scanning,
                null,
                node.id(),
                false));
    }

    /** Where this server writes down how it stands with a stack. */
    Scan.Book of(String no) {
        long batch = batches.get(no).id();
        return new Scan.Book() {
            @Override
            public void write(Scan.Standing now, Trouble because) {
                if (rows.stands(batch, now, because, node.id()) == 0) {
                    throw Problem.SCANNING_ALREADY.with(no);
                }
            }

            @Override
            public boolean isOurs() {
                return rows.sign(batch, node.id()) > 0;
            }
        };
    }

    Optional<Kept> find(String no) {
        Batch batch = batches.get(no);
        return rows.find(batch.id()).map(row -> kept(batch, row.gone() ? ended(batch, row) : row));
    }

    private Kept kept(Batch batch, ScanRows.ScanRow row) {
        Collection<List<Receiving.Sheet>> sheets = sheets(batch, row).values();
        int sides = JSON.readValue(row.settings(), ScanSettings.class).sides();
        int complete = (int) sheets.stream().filter(s -> s.size() >= sides).count();
        int pages = sheets.stream().mapToInt(List::size).sum();
        return new Kept(row, node.id().equals(row.node()), new Scan.Stored(pages, complete));
    }

    /** Its sheets in the batch, by number. */
    private Map<Integer, List<Receiving.Sheet>> sheets(Batch batch, ScanRows.ScanRow row) {
        return batches.sheets(batch).values().stream()
                .filter(s -> s.no() >= row.firstSheet())
                .collect(Collectors.groupingBy(Receiving.Sheet::no, TreeMap::new, Collectors.toList()));
    }

    /** Its server has stopped in the middle of it. */
    private ScanRows.ScanRow ended(Batch batch, ScanRows.ScanRow row) {
        int sides = JSON.readValue(row.settings(), ScanSettings.class).sides();
        sheets(batch, row).forEach((sheet, its) -> {
            if (its.size() < sides) {
                insertion.setHalfAside(batch.no(), sheet);
            }
        });
        int sheets = kept(batch, row).stored().sheets();
        if (rows.stands(
                        batch.id(),
                        Scan.Standing.fault,
                        Problem.SCAN_SERVER_STOPPED.with(sheets).trouble(),
                        node.id())
                > 0) {
            log.add(ActivityLog.JALON, batch.id(), Act.SCAN_BROKEN_OFF.with(sheets));
            events.changed(batch.no());
        }
        return rows.find(batch.id()).orElseThrow();
    }

    private void giveSign() {
        try {
            rows.seen(node.id());
        } catch (RuntimeException e) {
            LOG.warn("the database was not told that stacks are still fed: {}", e.toString());
        }
    }

    @Override
    public String name() {
        return "broken-off-scans";
    }

    @Override
    public Duration pause() {
        return Duration.ofSeconds(10);
    }

    @Override
    public void run() {
        for (ScanRows.ScanRow row : rows.gone()) {
            ended(batches.get(row.batchId()), row);
        }
    }

    @Override
    public void destroy() {
        signs.shutdownNow();
    }
}

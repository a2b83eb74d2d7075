package jalon.server.batch;

import jalon.core.apart.CountPages;
import jalon.core.apart.PageWorkers;
import jalon.core.apart.WorkFailed;
import jalon.core.page.Unread;
import jalon.core.page.UnreadableFile;
import jalon.core.stream.IntakeRules;
import jalon.server.NewId;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.store.FileStore;
import jalon.server.stream.StreamLibrary;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.springframework.core.io.InputStreamSource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes files in: stored first, then recorded, then acknowledged, then read. */
@Service
public class Receiving {
    private final BatchRows rows;
    private final FileStore store;
    private final StreamLibrary streams;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;
    private final PageWorkers openingWork;
    private final TransactionTemplate transaction;
    private final Times times;

    Receiving(
            BatchRows rows,
            FileStore store,
            StreamLibrary streams,
            WorkQueue work,
            ActivityLog log,
            Events events,
            PageWorkers openingWork,
            TransactionTemplate transaction,
            Times times) {
        this.times = times;
        this.rows = rows;
        this.store = store;
        this.streams = streams;
        this.work = work;
        this.log = log;
        this.events = events;
        this.openingWork = openingWork;
        this.transaction = transaction;
    }

    /** Opens a batch that files can be added to. */
    @Transactional
    public String open(NewBatch wanted) {
        Instant now = times.now();
        var made = new NewId();
        int version = streams.newest(wanted.stream());
        IntakeRules rules = streams.definition(wanted.stream(), version).intake();
        Instant due = now.plus(Duration.ofMinutes(rules.dueMinutes()));
        rows.add(made, wanted, version, rules.priority(), now, due);
        log.add(wanted.by(), made.getId(), Act.OPENED.with(wanted.source()));
        String no = Batch.no(made.getId());
        events.changed(no);
        return no;
    }

    /**
     * Where a scanned page was: its sheet, counted from 1 in its batch, and the side of it.
     */
    public record Sheet(int no, Side side) {}

    /**
     * @param sha256 of what was stored
     * @param rejected why nothing of the file can be read, or null
     */
    public record Received(String name, String sha256, int pages, Unread rejected) {}

    /**
     * Stores a file and puts its pages to work.
     *
     * @param origin where a channel had it, or null; what was recorded under it once is not recorded again
     */
    public Received add(String no, String name, InputStream in, String origin) {
        return add(no, name, in, origin, null);
    }

    /** @param sheet where the page was when it was scanned, or null for a file */
    public Received add(String no, String name, InputStream in, String origin, Sheet sheet) {
        Kept kept = keep(name, in);
        return transaction.execute(t -> {
            Batch batch = lock(no);
            refuseWithdrawn(batch);
            if (batch.course().arrived()) {
                throw Problem.BATCH_COMPLETE.with(no);
            }
            return record(batch, name, kept, origin, sheet).received();
        });
    }

    private static void refuseWithdrawn(Batch batch) {
        if (batch.withdrawn()) {
            throw Problem.WITHDRAWN_TAKES_NOTHING.with(batch.no());
        }
    }

    Batch lock(String no) {
        return rows.lock(Batch.id(no)).orElseThrow(() -> Problem.NO_SUCH_BATCH.with(no));
    }

    record Kept(FileStore.Stored stored, int pages, Unread rejected) {}

    /** Stores a file and looks at how many pages it has. */
    Kept keep(String name, InputStream in) {
        FileStore.Stored stored;
        try {
            stored = store.keep(in);
        } catch (FileStore.SourceFailed e) {
            throw Problem.SOURCE_BROKE.with(printable(name), e.getMessage());
        } catch (IOException e) {
            throw Problem.NOT_STORED.with(printable(name), e.getMessage());
        }
        Opened opened = opened(stored.sha256());
        return new Kept(stored, opened.pages(), opened.rejected());
    }

    /** @param rejected why nothing of the file can be read, or null */
    record Opened(int pages, Unread rejected) {}

    Opened opened(String sha256) {
        try {
            return new Opened(
                    openingWork.insist(new CountPages(store.path(sha256))).pages(), null);
        } catch (UnreadableFile e) {
            return new Opened(0, e.why());
        } catch (WorkFailed e) {
            if (!e.counts()) {
                throw Problem.CANNOT_OPEN_NOW.with(e.getMessage());
            }
            return new Opened(0, e.reason().after(PageWorkers.MOST_ATTEMPTS));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw Problem.STOPPING.with();
        }
    }

    /** @param pages numbers of the pages it added */
    record Recorded(Received received, List<Integer> pages) {}

    /** Writes down a stored file of a batch that the caller has locked, and puts its pages to work. */
    Recorded record(Batch batch, String name, Kept kept, String origin, Sheet sheet) {
        String shown = printable(name);
        if (origin != null) {
            var before = rows.byOrigin(batch.id(), origin);
            if (before.isPresent()) {
                var f = before.get();
                return new Recorded(new Received(f.name(), f.sha256(), f.pages(), f.rejected()), List.of());
            }
        }
        var made = new NewId();
        FileStore.Stored stored = kept.stored();
        rows.addFile(
                made,
                batch.id(),
                shown,
                stored.sha256(),
                stored.bytes(),
                kept.pages(),
                kept.rejected(),
                times.now(),
                origin);
        return new Recorded(
                new Received(shown, stored.sha256(), kept.pages(), kept.rejected()),
                addPages(batch, made.getId(), kept.pages(), sheet));
    }

    /** Gives the pages of a file their numbers in its batch, and puts them to work. */
    List<Integer> addPages(Batch batch, long fileId, int pages, Sheet sheet) {
        int next = rows.lastPageNo(batch.id()) + 1;
        List<Integer> added = new ArrayList<>();
        for (int i = 1; i <= pages; i++) {
            rows.addPage(
                    batch.id(),
                    next,
                    fileId,
                    i,
                    sheet == null ? null : sheet.no(),
                    sheet == null ? null : sheet.side());
            added.add(next++);
        }
        work.readFile(fileId, pages);
        events.changed(batch.no());
        return added;
    }

    /** The number the next scanned sheet of a batch gets. */
    public int nextSheet(String no) {
        return rows.lastSheet(Batch.id(no)) + 1;
    }

    /** A sender's file name, fit to be shown: the last part of a path, without what cannot be seen. */
    static String printable(String name) {
        String last = name.substring(Math.max(name.lastIndexOf('/'), name.lastIndexOf('\\')) + 1);
        String seen = last.replaceAll("\\p{Cntrl}|\\p{Cf}", "").strip();
        return seen.isEmpty() ? "unnamed" : seen;
    }

    /** All files are here. */
    @Transactional
    public void complete(String no, String who) {
        Batch batch = lock(no);
        refuseWithdrawn(batch);
        if (!batch.course().arrived()) {
            rows.arrived(batch.id());
            log.add(who, batch.id(), Act.ARRIVED.with(rows.lastPageNo(batch.id())));
            work.advance(batch.id());
            events.changed(no);
        }
    }

    /** Pages received and not read yet, in all batches. */
    public int pagesInLine() {
        return rows.pagesInLine();
    }

    /** Whether a channel's file was recorded before. */
    public boolean takenBefore(String origin) {
        return contentOf(origin).isPresent();
    }

    /** SHA-256 of what a channel had at a place, when it was recorded before. */
    public Optional<String> contentOf(String origin) {
        return rows.contentOf(origin);
    }

    /** A file on its way in; its bytes are asked for once. */
    public record Incoming(String name, InputStreamSource bytes) {}

    /** @param no null when not one of the files could be read; then there is no batch */
    public record Batched(String no, List<Received> files) {}

    /**
     * Files as a batch of their own, all of them or, after a crash, none.
     *
     * @param origin where a channel had them; {@link #takenBefore} knows it afterwards. Null when there is no such place
     * @param also what else is to be written down in the same transaction, given the batch
     */
    public Batched wholeBatch(NewBatch wanted, List<Incoming> files, String origin, Consumer<Long> also) {
        List<Kept> kept = new ArrayList<>();
        for (Incoming file : files) {
            try (InputStream in = file.bytes().getInputStream()) {
                kept.add(keep(file.name(), in));
            } catch (IOException e) {
                throw Problem.NOT_FETCHED.with(printable(file.name()), e.getMessage());
            }
        }
        if (kept.stream().allMatch(k -> k.rejected() != null)) {
            List<Received> all = new ArrayList<>();
            for (int i = 0; i < kept.size(); i++) {
                Kept k = kept.get(i);
                all.add(new Received(printable(files.get(i).name()), k.stored().sha256(), 0, k.rejected()));
            }
            return new Batched(null, all);
        }
        return transaction.execute(t -> {
            String no = open(wanted);
            Batch batch = lock(no);
            List<Received> all = new ArrayList<>();
            for (int i = 0; i < kept.size(); i++) {
                String place = origin == null ? null : i == 0 ? origin : origin + "/" + (i + 1);
                all.add(record(batch, files.get(i).name(), kept.get(i), place, null)
                        .received());
            }
            complete(no, wanted.by());
            also.accept(batch.id());
            return new Batched(no, all);
        });
    }

    /** One file as a batch of its own; a file that cannot be read makes no batch. */
    public Received wholeBatch(NewBatch wanted, String name, InputStream in, String origin) {
        return wholeBatch(wanted, List.of(new Incoming(name, () -> in)), origin, id -> {})
                .files()
                .get(0);
    }
}

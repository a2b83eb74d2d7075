package jalon.server.batch;

import jalon.core.page.Unread;
import jalon.server.Problem;
import java.io.IOException;
import java.io.InputStream;
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
    private final KeptFiles files;
    private final BatchOpening opening;
    private final BatchPages pages;
    private final TransactionTemplate transaction;

    Receiving(
            BatchRows rows, KeptFiles files, BatchOpening opening, BatchPages pages, TransactionTemplate transaction) {
        this.rows = rows;
        this.files = files;
        this.opening = opening;
        this.pages = pages;
        this.transaction = transaction;
    }

    /** Opens a batch that files can be added to. */
    public String open(NewBatch wanted) {
        return opening.open(wanted);
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
        KeptFiles.Kept kept = files.keep(name, in);
        return transaction.execute(t -> {
            Batch batch = rows.locked(no);
            refuseWithdrawn(batch);
            if (batch.course().arrived()) {
                throw Problem.BATCH_COMPLETE.with(no);
            }
            return pages.record(batch, kept, origin, sheet).received();
        });
    }

    private static void refuseWithdrawn(Batch batch) {
        if (batch.withdrawn()) {
            throw Problem.WITHDRAWN_TAKES_NOTHING.with(batch.no());
        }
    }

    /** The number the next scanned sheet of a batch gets. */
    public int nextSheet(String no) {
        return rows.lastSheet(Batch.id(no)) + 1;
    }

    /** All files are here. */
    @Transactional
    public void complete(String no, String who) {
        Batch batch = rows.locked(no);
        refuseWithdrawn(batch);
        if (rows.scanning(batch.id())) {
            throw Problem.SCANNING_ALREADY.with(no);
        }
        pages.complete(batch, who);
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
    public Batched wholeBatch(NewBatch wanted, List<Incoming> incoming, String origin, Consumer<Long> also) {
        List<KeptFiles.Kept> kept = new ArrayList<>();
        for (Incoming file : incoming) {
            try (InputStream in = file.bytes().getInputStream()) {
                kept.add(files.keep(file.name(), in));
            } catch (IOException e) {
                throw Problem.NOT_FETCHED.with(KeptFiles.printable(file.name()), e.getMessage());
            }
        }
        if (kept.stream().allMatch(k -> k.opened().rejected() != null)) {
            return new Batched(null, kept.stream().map(KeptFiles.Kept::received).toList());
        }
        return transaction.execute(t -> {
            String no = open(wanted);
            Batch batch = rows.locked(no);
            List<Received> all = new ArrayList<>();
            for (KeptFiles.Kept file : kept) {
                String place = origin == null || all.isEmpty() ? origin : origin + "/" + (all.size() + 1);
                all.add(pages.record(batch, file, place, null).received());
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

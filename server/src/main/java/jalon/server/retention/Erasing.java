package jalon.server.retention;

import jalon.server.NotPossible;
import jalon.server.Problem;
import jalon.server.SaidWhy;
import jalon.server.Times;
import jalon.server.archive.ArchivedDocuments;
import jalon.server.batch.Batch;
import jalon.server.batch.WorkQueue;
import jalon.server.filing.ErasedFiles;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.rights.Right;
import jalon.server.rights.Rights;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A supervisor's word that documents whose time is over are to be erased. All of those named, or none. */
@Service
public class Erasing {
    static final int MOST = 1000;

    private final KeptRows rows;
    private final HoldRows holds;
    private final ErasedFiles files;
    private final ArchivedDocuments archive;
    private final Rights rights;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;
    private final Times times;

    Erasing(
            KeptRows rows,
            HoldRows holds,
            ErasedFiles files,
            ArchivedDocuments archive,
            Rights rights,
            WorkQueue work,
            ActivityLog log,
            Events events,
            Times times) {
        this.rows = rows;
        this.holds = holds;
        this.files = files;
        this.archive = archive;
        this.rights = rights;
        this.work = work;
        this.log = log;
        this.events = events;
        this.times = times;
    }

    /**
     * Has documents erased, each with all that lies in one file with it. Nobody finds them from now on; their files and what was
     * received go as soon as their places let them.
     *
     * @throws NotPossible where one of them, or what lies together with it, is to be kept longer, is held, or is still on its way
     */
    @Transactional
    public void erase(List<Batch.Continued> documents, String why, String who) {
        String reason = SaidWhy.of(why);
        if (documents.size() > MOST) {
            throw Problem.TOO_MANY_AT_ONCE.with(MOST);
        }
        LocalDate today = times.day(times.now());
        for (Batch.Continued document : documents) {
            KeptRows.Row row = lock(document);
            if (row.course().askedAt() == null) {
                check(row, today, who);
                ask(row, others(row, today, who), reason, who);
            }
        }
    }

    private KeptRows.Row lock(Batch.Continued document) {
        return rows.lock(document.batch(), document.document())
                .orElseThrow(() -> Problem.NOT_FILED_YET.with(Batch.no(document.batch())));
    }

    private void check(KeptRows.Row row, LocalDate today, String who) {
        String batch = Batch.no(row.batchId());
        rights.require(who, Right.ERASE, row.stream(), row.type());
        if (row.kept().last() == null || !row.kept().isOver(today) || !rows.isCounted(row.batchId())) {
            throw Problem.TIME_NOT_OVER.with(row.documentNo(), batch);
        }
        checkMore(row);
    }

    /** Whatever its time. */
    private void checkMore(KeptRows.Row row) {
        String batch = Batch.no(row.batchId());
        List<HoldRows.Row> holding = holds.holdingNow(row.batchId(), row.documentNo());
        if (!holding.isEmpty()) {
            throw Problem.DOCUMENT_HELD.with(
                    row.documentNo(), batch, holding.get(0).name());
        }
        if (files.onItsWay(row.document())) {
            throw Problem.NOT_ALL_FILED.with(row.documentNo(), batch);
        }
        Optional<Long> more = rows.moreOnItsWay(row.batchId(), row.documentNo());
        if (more.isPresent()) {
            throw Problem.MORE_ON_ITS_WAY.with(row.documentNo(), batch, Batch.no(more.get()));
        }
    }

    /** What lies in one file with it; pages that were added to it have no time of their own. */
    private List<KeptRows.Row> others(KeptRows.Row row, LocalDate today, String who) {
        List<KeptRows.Row> others = new ArrayList<>();
        for (Batch.Continued one : files.together(row.document())) {
            if (!one.equals(row.document())) {
                KeptRows.Row other = lock(one);
                boolean added = other.kept().last() == null && rows.addsTo(one.batch());
                try {
                    if (added) {
                        checkMore(other);
                    } else {
                        check(other, today, who);
                    }
                } catch (NotPossible e) {
                    throw Problem.LIES_TOGETHER.with(
                            row.documentNo(), Batch.no(row.batchId()), one.document(), Batch.no(one.batch()));
                }
                others.add(other);
            }
        }
        return others;
    }

    private void ask(KeptRows.Row first, List<KeptRows.Row> others, String why, String who) {
        Instant now = times.now();
        List<KeptRows.Row> all = new ArrayList<>(others);
        all.add(first);
        for (KeptRows.Row row : all) {
            rows.ask(row.id(), who, why, now, first.id());
            archive.remove(row.batchId(), row.documentNo());
            files.freeNames(row.document());
            log.add(who, row.batchId(), Act.ASKED_TO_ERASE.with(row.documentNo(), why));
            events.changed(Batch.no(row.batchId()));
        }
        work.erase(first.id());
    }

    /** Has what could not be erased tried again now. */
    @Transactional
    public void again(Batch.Continued document, String who) {
        work.erase(waiting(document, who).course().with());
    }

    /** Leaves what cannot be erased where it lies; the rest of the document goes. */
    @Transactional
    public void leave(Batch.Continued document, String why, String who) {
        String reason = SaidWhy.of(why);
        KeptRows.Row row = waiting(document, who);
        if (row.course().trouble() == null) {
            // Nothing is left where it lies that was not tried yet.
            throw Problem.DOCUMENT_ERASED.with(row.documentNo(), Batch.no(row.batchId()));
        }
        List<KeptRows.Row> together = rows.together(row.course().with());
        files.leave(together.stream().map(KeptRows.Row::document).toList());
        log.add(who, row.batchId(), Act.LEFT_UNERASED.with(row.documentNo(), reason));
        work.erase(row.course().with());
    }

    private KeptRows.Row waiting(Batch.Continued document, String who) {
        KeptRows.Row row = lock(document);
        rights.require(who, Right.ERASE, row.stream(), row.type());
        if (row.course().askedAt() == null || row.isErased()) {
            throw Problem.DOCUMENT_ERASED.with(row.documentNo(), Batch.no(row.batchId()));
        }
        return row;
    }
}

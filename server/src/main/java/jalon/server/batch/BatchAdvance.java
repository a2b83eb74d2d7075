package jalon.server.batch;

import jalon.core.run.BatchView;
import jalon.core.stream.FilingRules;
import jalon.core.stream.Stage;
import jalon.core.words.Words;
import jalon.server.Times;
import jalon.server.learning.Lessons;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What follows for a batch when its last page is read. */
@Service
public class BatchAdvance {
    private final BatchRows rows;
    private final Batches batches;
    private final Lessons lessons;
    private final BatchSplitting splitting;
    private final NotReadList notRead;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;
    private final Times times;

    BatchAdvance(
            BatchRows rows,
            Batches batches,
            Lessons lessons,
            BatchSplitting splitting,
            NotReadList notRead,
            WorkQueue work,
            ActivityLog log,
            Events events,
            Times times) {
        this.work = work;
        this.rows = rows;
        this.batches = batches;
        this.lessons = lessons;
        this.splitting = splitting;
        this.notRead = notRead;
        this.log = log;
        this.events = events;
        this.times = times;
    }

    /** When all pages are read: to the first stage that needs a person, and if none does, to filing. */
    @Transactional
    public void advance(long id) {
        Batch batch = rows.lock(id).orElseThrow();
        if (batch.withdrawn()
                || batch.stage() != Stage.INTAKE
                || !batch.course().arrived()
                || rows.waiting(id) > 0) {
            return;
        }
        rows.pinLesson(id, lessons.newest(batch.stream().name()));
        batch = rows.lock(id).orElseThrow();
        BatchView view = batches.view(batch, true);
        if (splitting.split(batch, view)) {
            view = batches.view(batch, true);
        }
        boolean lost = !notRead.of(batch).isEmpty();
        Stage to = view.cutDoubts() > 0 || view.documents().isEmpty() || lost
                ? Stage.PAGES
                : view.fieldDoubts() > 0 ? Stage.INDEX : Stage.FILING;
        rows.moveTo(id, to, times.now());
        rows.counted(id, view.documents().size(), view.cutDoubts() + view.fieldDoubts());
        long fields =
                view.documents().stream().mapToLong(d -> d.fields().size()).sum();
        rows.firstRead(id, fields, view.fieldDoubts());
        log.add(
                ActivityLog.JALON,
                id,
                Act.ADVANCED.with(Words.name(to), view.documents().size()));
        if (to == Stage.FILING && batches.stream(batch).filing().by() == FilingRules.By.ITSELF) {
            work.file(id);
        }
        events.changed(batch.no());
    }

    /** A batch that is read and cannot be worked out: it goes on being tried, and whoever looks for it is told why. */
    public void tellStuck(long id, String why) {
        log.add(ActivityLog.JALON, id, Act.STUCK.with(why));
        events.changed(Batch.no(id));
    }
}

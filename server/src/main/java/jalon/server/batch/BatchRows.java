package jalon.server.batch;

import jalon.core.page.Unread;
import jalon.core.stream.IntakeRules;
import jalon.core.stream.Stage;
import jalon.server.NewId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface BatchRows {
    String COLUMNS =
            "id, stream, stream_version, source, made_by, made_at, due_at, stage, stage_since, arrived, filed_at,"
                    + " with_person, documents, doubts, channel, channel_id, priority, expected_pages, expected_documents,"
                    + " held_since, on_hold, withdrawn_by, withdrawn_because, sender, subject, sent_at";

    /** A batch as its row lies. */
    record BatchRow(
            long id,
            String stream,
            int streamVersion,
            String source,
            String madeBy,
            Instant madeAt,
            Instant dueAt,
            Stage stage,
            Instant stageSince,
            boolean arrived,
            Instant filedAt,
            String withPerson,
            int documents,
            int doubts,
            CameBy channel,
            Long channelId,
            IntakeRules.Priority priority,
            Integer expectedPages,
            Integer expectedDocuments,
            Instant heldSince,
            String onHold,
            String withdrawnBy,
            String withdrawnBecause,
            String sender,
            String subject,
            Instant sentAt) {
        Batch batch() {
            return new Batch(
                    id,
                    new Batch.StreamVersion(stream, streamVersion),
                    new Batch.Origin(
                            source, madeBy, madeAt, channel, channelId, new Batch.Mail(sender, subject, sentAt)),
                    new Batch.Course(stage, stageSince, arrived, filedAt, withdrawnBy, withdrawnBecause),
                    new Batch.Urgency(dueAt, priority),
                    new Batch.Holder(withPerson, heldSince, onHold),
                    new Batch.Counted(documents, doubts, expectedPages, expectedDocuments));
        }
    }

    private static List<Batch> batches(List<BatchRow> rows) {
        return rows.stream().map(BatchRow::batch).toList();
    }

    record FileRow(
            long id, long batchId, String name, String sha256, long bytes, int pages, Unread rejected, String origin) {}

    /** @param factsVersion how often the page was read */
    record PageRow(
            long id,
            long batchId,
            int no,
            long fileId,
            int filePage,
            int factsVersion,
            Unread rejected,
            Integer sheet,
            Side side) {
        boolean done() {
            return factsVersion > 0 || rejected != null;
        }
    }

    record FactsRow(long id, int factsVersion, byte[] facts) {}

    /** A record, since the mapper takes a bare array for many rows. */
    record FiledView(byte[] body) {}

    /** @param act the first of those decided together, which is this one itself when it stands alone */
    record DecisionRow(long id, String body, String decidedBy, Instant decidedAt, DecisionState state, long act) {}

    /** @param pages received, @param waiting not read yet */
    /**
     * @param sheets of scanned paper; 0 when none of it was scanned here
     * @param notRead pages that could not be read, @param refused deliveries that a person has to say something about
     */
    record BoardRow(long id, int pages, int sheets, int waiting, int notRead, int refused) {}

    @Insert("insert into batch (stream, stream_version, source, made_by, made_at, due_at, stage, stage_since, channel,"
            + " channel_id, priority, sender, subject, sent_at) values (#{b.stream}, #{version}, #{b.source}, #{b.by},"
            + " #{now}, #{due}, 'intake', #{now}, #{b.channel}, #{b.channelId}, #{priority}, left(#{b.mail.sender}, 400),"
            + " left(#{b.mail.subject}, 400), #{b.mail.sentAt})")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void add(NewId made, NewBatch b, int version, IntakeRules.Priority priority, Instant now, Instant due);

    @Select("select " + COLUMNS + " from batch where id = #{id}")
    Optional<BatchRow> findRow(long id);

    default Optional<Batch> find(long id) {
        return findRow(id).map(BatchRow::batch);
    }

    /** For as long as the transaction lasts nobody else changes this batch. */
    @Select("select " + COLUMNS + " from batch where id = #{id} for update")
    Optional<BatchRow> lockRow(long id);

    default Optional<Batch> lock(long id) {
        return lockRow(id).map(BatchRow::batch);
    }

    @Select("select " + COLUMNS + " from batch where stage <> 'done' or stage_since > #{doneAfter}"
            + " order by stage = 'done', priority = 'URGENT' desc, priority = 'HIGH' desc, due_at, id limit 1000")
    List<BatchRow> boardRows(Instant doneAfter);

    default List<Batch> board(Instant doneAfter) {
        return batches(boardRows(doneAfter));
    }

    /** Batches at work in which somebody asked for a page again; whether it has come is for the decisions to say. */
    @Select("select " + COLUMNS + " from batch where filed_at is null and withdrawn_by is null and stage <> 'intake'"
            + " and exists (select 1 from decision d where d.batch_id = batch.id and d.state = 'active'"
            + " and d.kind = 'askAgain') order by id")
    List<BatchRow> withRescansRows();

    default List<Batch> withRescans() {
        return batches(withRescansRows());
    }

    @Select(
            "select b.id, count(p.id) as pages, count(distinct p.sheet) as sheets, coalesce(sum(p.facts is null and p.rejected is null), 0) as waiting,"
                    + " coalesce(sum(p.rejected is not null), 0) as not_read,"
                    + " (select count(*) from delivery d where d.batch_id = b.id and d.state = 'refused') as refused"
                    + " from batch b left join page p on p.batch_id = b.id"
                    + " where b.stage <> 'done' or b.stage_since > #{doneAfter} group by b.id")
    List<BoardRow> boardPages(Instant doneAfter);

    @Update("update batch set stage = #{stage}, stage_since = #{now}, told_late = false where id = #{id}")
    void moveTo(long id, Stage stage, Instant now);

    @Update("update batch set arrived = true where id = #{id}")
    void arrived(long id);

    @Update("update batch set documents = #{documents}, doubts = #{doubts} where id = #{id}")
    void counted(long id, int documents, long doubts);

    @Update("update batch set with_person = #{who}, held_since = #{now} where id = #{id}")
    void takenBy(long id, String who, Instant now);

    @Update("update batch set on_hold = left(#{why}, 400) where id = #{id}")
    void hold(long id, String why);

    @Update("update batch set priority = #{priority} where id = #{id}")
    void prioritise(long id, IntakeRules.Priority priority);

    @Update("update batch set due_at = #{due}, told_late = false where id = #{id}")
    void due(long id, Instant due);

    @Update("update batch set expected_pages = #{pages}, expected_documents = #{documents} where id = #{id}")
    void expect(long id, Integer pages, Integer documents);

    @Update("update batch set withdrawn_by = #{who}, withdrawn_because = left(#{why}, 400), stage = 'done',"
            + " stage_since = #{now}, with_person = null where id = #{id}")
    void withdraw(long id, String who, String why, Instant now);

    @Update("update batch set fields = #{fields}, field_doubts = #{doubts} where id = #{id}")
    void firstRead(long id, long fields, long doubts);

    @Update("update batch set untouched = #{untouched}, filed_pages = #{pages} where id = #{id}")
    void outcome(long id, long untouched, long pages);

    @Select("select " + COLUMNS + " from batch where channel_id = #{channelId} and not arrived"
            + " and withdrawn_by is null order by id")
    List<BatchRow> gatheringRows(long channelId);

    default List<Batch> gathering(long channelId) {
        return batches(gatheringRows(channelId));
    }

    /** Batches that a channel gathered which is no more, or is paused. */
    @Select("select " + COLUMNS + " from batch where channel_id is not null and not arrived and withdrawn_by is null"
            + " and not exists (select 1 from channel c where c.id = batch.channel_id and not c.paused)")
    List<BatchRow> leftRows();

    default List<Batch> left() {
        return batches(leftRows());
    }

    @Select("select max(received_at) from received_file where batch_id = #{batchId}")
    Instant lastReceived(long batchId);

    @Select("select count(*) from page where facts_version = 0 and rejected is null")
    int pagesInLine();

    @Select("select " + COLUMNS + " from batch where stage <> 'done' and not told_late and on_hold is null")
    List<BatchRow> notToldLateRows();

    default List<Batch> notToldLate() {
        return batches(notToldLateRows());
    }

    @Update("update batch set told_late = true where id = #{id}")
    void toldLate(long id);

    @Select("select " + COLUMNS + " from batch where stage <> 'done' and not raised")
    List<BatchRow> notRaisedRows();

    default List<Batch> notRaised() {
        return batches(notRaisedRows());
    }

    @Update("update batch set priority = #{priority}, raised = true where id = #{id}")
    void raise(long id, IntakeRules.Priority priority);

    @Update("update batch set filed_at = #{now} where id = #{id}")
    void filed(long id, Instant now);

    @Insert("insert into filed_view (batch_id, body) values (#{id}, #{body})")
    void keepFiledView(long id, byte[] body);

    @Select("select body from filed_view where batch_id = #{id}")
    FiledView filedView(long id);

    @Insert("insert into received_file (batch_id, name, sha256, bytes, pages, rejected, received_at, origin)"
            + " values (#{batchId}, left(#{name}, 400), #{sha256}, #{bytes}, #{pages}, #{rejected}, #{now}, #{origin})")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void addFile(
            NewId made,
            long batchId,
            String name,
            String sha256,
            long bytes,
            int pages,
            Unread rejected,
            Instant now,
            String origin);

    @Select("select id, batch_id, name, sha256, bytes, pages, rejected, origin from received_file"
            + " where batch_id = #{batchId} order by id")
    List<FileRow> files(long batchId);

    @Select("select id, batch_id, name, sha256, bytes, pages, rejected, origin from received_file where id = #{id}")
    FileRow file(long id);

    @Select("select id, batch_id, name, sha256, bytes, pages, rejected, origin from received_file"
            + " where batch_id = #{batchId} and origin = #{origin} limit 1")
    Optional<FileRow> byOrigin(long batchId, String origin);

    @Select("select sha256 from received_file where origin = #{origin} limit 1")
    Optional<String> contentOf(String origin);

    @Select("select coalesce(max(no), 0) from page where batch_id = #{batchId}")
    int lastPageNo(long batchId);

    @Insert("insert into page (batch_id, no, file_id, file_page, sheet, side)"
            + " values (#{batchId}, #{no}, #{fileId}, #{filePage}, #{sheet}, #{side})")
    void addPage(long batchId, int no, long fileId, int filePage, Integer sheet, Side side);

    /** The sheet's number is free for the one that is scanned again. */
    @Update("update page set sheet = null, side = null where batch_id = #{batchId} and sheet = #{sheet}")
    void forgetSheet(long batchId, int sheet);

    @Select("select coalesce(max(sheet), 0) from page where batch_id = #{batchId}")
    int lastSheet(long batchId);

    @Select(
            "select id, batch_id, no, file_id, file_page, facts_version, rejected, sheet, side from page where batch_id = #{batchId} order by no")
    List<PageRow> pages(long batchId);

    @Select("select id, batch_id, no, file_id, file_page, facts_version, rejected, sheet, side from page"
            + " where file_id = #{fileId} and file_page between #{from} and #{to} order by file_page")
    List<PageRow> filePages(long fileId, int from, int to);

    @Select("select id, batch_id, no, file_id, file_page, facts_version, rejected, sheet, side from page"
            + " where batch_id = #{batchId} and no = #{no}")
    Optional<PageRow> page(long batchId, int no);

    @Select("<script>select id, facts_version, facts from page where id in"
            + " <foreach collection='ids' item='id' open='(' separator=',' close=')'>#{id}</foreach></script>")
    List<FactsRow> facts(List<Long> ids);

    @Update("update page set facts = #{facts}, facts_version = facts_version + 1, attempts = 0, failures = 0,"
            + " rejected = null where id = #{id}")
    void read(long id, byte[] facts);

    @Update("update page set attempts = attempts + 1 where id = #{id}")
    void attempt(long id);

    /** The attempt was broken off by somebody else's doing. */
    @Update("update page set attempts = greatest(attempts - 1, 0) where id = #{id}")
    void noAttempt(long id);

    @Update("update page set failures = failures + 1 where id = #{id}")
    void attemptFailed(long id);

    record Attempts(int attempts, int failures) {}

    @Select("select attempts, failures from page where id = #{id}")
    Attempts attempts(long id);

    @Update("update page set rejected = null, attempts = 0, failures = 0 where id = #{id}")
    void wantAgain(long id);

    @Update("update received_file set pages = #{pages}, rejected = null where id = #{id}")
    void opened(long id, int pages);

    @Update("update page set rejected = #{reason} where id = #{id}")
    void rejected(long id, Unread reason);

    @Select("select count(*) from page where batch_id = #{batchId} and facts is null and rejected is null")
    int waiting(long batchId);

    @Insert("insert into decision (batch_id, kind, body, decided_by, decided_at, act)"
            + " values (#{batchId}, #{kind}, #{body}, #{by}, #{now}, #{act})")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void decide(NewId made, long batchId, String kind, String body, String by, Instant now, Long act);

    @Select("select id, body, decided_by, decided_at, state, coalesce(act, id) as act from decision"
            + " where batch_id = #{batchId} order by id")
    List<DecisionRow> decisions(long batchId);

    @Update("update decision set state = #{state} where id = #{id}")
    void mark(long id, DecisionState state);

    @Update("update decision set state = 'dropped' where batch_id = #{batchId} and state = 'undone'")
    void dropUndone(long batchId);
}

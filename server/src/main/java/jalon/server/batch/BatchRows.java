package jalon.server.batch;

import jalon.core.page.Unread;
import jalon.core.stream.IntakeRules;
import jalon.core.stream.Stage;
import jalon.server.NewId;
import jalon.server.Problem;
import jalon.server.store.FileStore;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.ResultMap;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface BatchRows {
    /** As {@code BatchRows.xml} groups them. */
    String COLUMNS =
            "id, stream as stream_name, stream_version, lesson as stream_lesson, source as origin_source, made_by as origin_made_by,"
                    + " made_at as origin_made_at, channel as origin_channel, channel_id as origin_channel_id,"
                    + " sender as origin_mail_sender, subject as origin_mail_subject, sent_at as origin_mail_sent_at,"
                    + " continues_batch as origin_continues_batch, continues_document as origin_continues_document,"
                    + " stage as course_stage, stage_since as course_since, arrived as course_arrived,"
                    + " filed_at as course_filed_at, filed_by as course_filed_by, withdrawn_by as course_withdrawn_by,"
                    + " withdrawn_because as course_withdrawn_because, revision as course_revision,"
                    + " cut_revision as course_cut_revision, due_at as urgency_due_at,"
                    + " priority as urgency_priority, with_person as holder_person, held_since as holder_since,"
                    + " on_hold as holder_on_hold, documents as counted_documents, doubts as counted_doubts,"
                    + " expected_pages as counted_expected_pages, expected_documents as counted_expected_documents";

    /** Not the samples of streams. */
    String PAPER = " channel <> 'samples'";

    String FILE_COLUMNS = "id, batch_id, name, sha256 as stored_sha256, bytes as stored_bytes, pages, rejected, origin";

    String PAGE_COLUMNS = "id, batch_id, no, file_id as in_file_id, file_page as in_page, facts_version, rejected,"
            + " asked, sheet as sheet_no, side as sheet_side";

    /**
     * @param rejected why nothing of it can be read, or null
     * @param origin where a channel had it, or null
     */
    record FileRow(
            long id, long batchId, String name, FileStore.Stored stored, int pages, Unread rejected, String origin) {}

    /**
     * @param factsVersion how often the page was read
     * @param asked how often people changed how it is to be read
     * @param sheet null when it was not scanned here
     */
    record PageRow(
            long id,
            long batchId,
            int no,
            InFile in,
            int factsVersion,
            Unread rejected,
            int asked,
            Receiving.Sheet sheet) {
        boolean done() {
            return factsVersion > 0 || rejected != null;
        }
    }

    /** @param page counted from 1 */
    record InFile(long fileId, int page) {}

    record FactsRow(long id, int factsVersion, byte[] facts) {}

    /** A record, since the mapper takes a bare array for many rows. */
    record FiledView(byte[] body) {}

    /** @param act the first of those decided together, which is this one itself when it stands alone */
    record DecisionRow(long id, String body, String decidedBy, Instant decidedAt, DecisionState state, long act) {}

    /**
     * @param pages received, @param waiting not read yet
     * @param sheets of scanned paper; 0 when none of it was scanned here
     * @param notRead pages that could not be read, @param openToPeople deliveries that a person has to say something about
     */
    record BoardRow(long id, int pages, int sheets, int waiting, int notRead, int openToPeople) {}

    @Insert("insert into batch (stream, stream_version, source, made_by, made_at, due_at, stage, stage_since, channel,"
            + " channel_id, priority, sender, subject, sent_at, continues_batch, continues_document) values (#{b.stream}, #{version}, #{b.source}, #{b.by},"
            + " #{now}, #{due}, 'intake', #{now}, #{b.channel}, #{b.channelId}, #{priority}, left(#{b.mail.sender}, 400),"
            + " left(#{b.mail.subject}, 400), #{b.mail.sentAt}, #{b.continues.batch}, #{b.continues.document})")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void add(NewId made, NewBatch b, int version, IntakeRules.Priority priority, Instant now, Instant due);

    /** Another that came in with it and is at the beginning of its way, all of its files there. */
    @Insert(
            "insert into batch (stream, stream_version, source, made_by, made_at, due_at, stage, stage_since, arrived,"
                    + " channel, priority, sender, subject, sent_at) select stream, stream_version, source, made_by, made_at,"
                    + " due_at, 'intake', #{now}, true, channel, priority, sender, subject, sent_at from batch where id = #{id}")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void addLike(NewId made, long id, Instant now);

    @Insert("insert into received_file (batch_id, name, sha256, bytes, pages, rejected, received_at) select #{batchId},"
            + " name, sha256, bytes, #{pages}, rejected, received_at from received_file where id = #{id}")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void addFileLike(NewId made, long id, long batchId, int pages);

    /** A file of another batch as one of the samples, of which one page is one. @param origin where that page is */
    @Insert(
            "insert into received_file (batch_id, name, sha256, bytes, pages, rejected, received_at, origin)"
                    + " select #{batchId}, name, sha256, bytes, 1, rejected, received_at, #{origin} from received_file where id = #{id}")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void addSampleFile(NewId made, long id, long batchId, String origin);

    @Insert("insert into page (batch_id, no, file_id, file_page, facts, facts_version) values"
            + " (#{batchId}, #{no}, #{in.fileId}, #{in.page}, #{facts}, 1)")
    void addReadPage(long batchId, int no, InFile in, byte[] facts);

    @Update("update received_file set pages = pages - #{pages} where id = #{id}")
    void fewerPages(long id, int pages);

    /** @param facts with its new number, or null when it could not be read */
    @Update("update page set batch_id = #{batchId}, no = #{no}, file_id = #{fileId}, facts = #{facts},"
            + " facts_version = if(facts_version = 0, 0, facts_version + 1) where id = #{id}")
    void movePage(long id, long batchId, int no, long fileId, byte[] facts);

    @Select("select " + COLUMNS + " from batch where id = #{id}")
    @ResultMap("batch")
    Optional<Batch> find(long id);

    /** For as long as the transaction lasts nobody else changes this batch. */
    @Select("select " + COLUMNS + " from batch where id = #{id} for update")
    @ResultMap("batch")
    Optional<Batch> lock(long id);

    /** The same; refused when there is no such batch. */
    default Batch locked(String no) {
        return lock(Batch.id(no)).orElseThrow(() -> Problem.NO_SUCH_BATCH.with(no));
    }

    @Select("select " + COLUMNS + " from batch where" + PAPER + " and (stage <> 'done' or stage_since > #{doneAfter})"
            + " order by stage = 'done', priority = 'URGENT' desc, priority = 'HIGH' desc, due_at, id limit 1000")
    @ResultMap("batch")
    List<Batch> board(Instant doneAfter);

    /** Those of a stream that were filed since then. */
    String FILED =
            PAPER + " and stream = #{stream} and filed_at >= #{since} and stage = 'done' and withdrawn_by is null"
                    + " and continues_batch is null and ";

    String ERASED = "exists (select 1 from page p where p.batch_id = batch.id and p.erased)";

    /** The last that were filed and of which nothing is erased, the newest first. */
    @Select("select " + COLUMNS + " from batch where" + FILED + "not " + ERASED
            + " order by filed_at desc limit #{most}")
    @ResultMap("batch")
    List<Batch> confirmed(String stream, Instant since, int most);

    /** How many more there would be if nothing had been erased. */
    @Select("select count(*) from batch where" + FILED + ERASED)
    int partlyErased(String stream, Instant since);

    /** Batches at work in which somebody asked for a page again; whether it has come is for the decisions to say. */
    @Select("select " + COLUMNS + " from batch where filed_at is null and withdrawn_by is null and stage <> 'intake'"
            + " and exists (select 1 from decision d where d.batch_id = batch.id and d.state = 'active'"
            + " and d.kind = 'askAgain') order by id")
    @ResultMap("batch")
    List<Batch> withRescans();

    @Select(
            "select b.id, count(p.id) as pages, count(distinct p.sheet) as sheets, coalesce(sum(p.facts is null and p.rejected is null), 0) as waiting,"
                    + " coalesce(sum(p.rejected is not null), 0) as not_read,"
                    + " (select count(*) from delivery d where d.batch_id = b.id and d.state in ('refused', 'heldBack')) as open_to_people"
                    + " from batch b left join page p on p.batch_id = b.id"
                    + " where b.stage <> 'done' or b.stage_since > #{doneAfter} group by b.id")
    List<BoardRow> boardPages(Instant doneAfter);

    @Update("update batch set stage = #{stage}, stage_since = #{now}, told_late = false where id = #{id}")
    void moveTo(long id, Stage stage, Instant now);

    /** What its pages are recognised by from now on, whatever is learned meanwhile. */
    @Update("update batch set lesson = #{lesson} where id = #{id} and lesson is null")
    void pinLesson(long id, int lesson);

    @Update("update batch set lesson = #{lesson} where id = #{id}")
    void useLesson(long id, int lesson);

    @Update("update batch set stream_version = #{version} where id = #{id}")
    void useStream(long id, int version);

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
    @ResultMap("batch")
    List<Batch> gathering(long channelId);

    /** Batches that a channel gathered which is no more, or is paused. */
    @Select("select " + COLUMNS + " from batch where channel_id is not null and not arrived and withdrawn_by is null"
            + " and not exists (select 1 from channel c where c.id = batch.channel_id and not c.paused)")
    @ResultMap("batch")
    List<Batch> left();

    @Select("select max(received_at) from received_file where batch_id = #{batchId}")
    Instant lastReceived(long batchId);

    @Select("select count(*) from page where facts_version = 0 and rejected is null")
    int pagesInLine();

    @Select("select " + COLUMNS + " from batch where" + PAPER
            + " and stage <> 'done' and not told_late and on_hold is null")
    @ResultMap("batch")
    List<Batch> notToldLate();

    /** @return 0 when another server is telling it, or told it */
    @Update("update batch set telling_late_since = utc_timestamp(6) where id = #{id} and not told_late and"
            + " coalesce(telling_late_since < utc_timestamp(6) - interval 10 minute, true)")
    int tellsLate(long id);

    @Update("update batch set told_late = #{told}, telling_late_since = null where id = #{id}")
    void toldLate(long id, boolean told);

    @Select("select " + COLUMNS + " from batch where" + PAPER + " and stage <> 'done' and not raised")
    @ResultMap("batch")
    List<Batch> notRaised();

    @Update("update batch set priority = #{priority}, raised = true where id = #{id}")
    void raise(long id, IntakeRules.Priority priority);

    @Update("update batch set filed_at = #{now}, filed_by = #{who} where id = #{id}")
    void filed(long id, String who, Instant now);

    @Update("update batch set filed_at = null, filed_by = null, untouched = 0, filed_pages = 0,"
            + " keeping_counted = false where id = #{id}")
    void notFiled(long id);

    @Delete("delete from filed_view where batch_id = #{id}")
    void forgetFiledView(long id);

    @Insert("insert into filed_view (batch_id, body) values (#{id}, #{body})")
    void keepFiledView(long id, byte[] body);

    @Select("select body from filed_view where batch_id = #{id}")
    FiledView filedView(long id);

    @Insert("insert into received_file (batch_id, name, sha256, bytes, pages, rejected, received_at, origin) values"
            + " (#{f.batchId}, left(#{f.name}, 400), #{f.stored.sha256}, #{f.stored.bytes}, #{f.pages}, #{f.rejected},"
            + " #{now}, #{f.origin})")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void addFile(NewId made, FileRow f, Instant now);

    @Select("select " + FILE_COLUMNS + " from received_file" + " where batch_id = #{batchId} order by id")
    @ResultMap("file")
    List<FileRow> files(long batchId);

    @Select("select " + FILE_COLUMNS + " from received_file where id = #{id}")
    @ResultMap("file")
    FileRow file(long id);

    @Select("select " + FILE_COLUMNS + " from received_file"
            + " where batch_id = #{batchId} and origin = #{origin} limit 1")
    @ResultMap("file")
    Optional<FileRow> byOrigin(long batchId, String origin);

    @Select("select sha256 from received_file where origin = #{origin} limit 1")
    Optional<String> contentOf(String origin);

    @Select("select coalesce(max(no), 0) from page where batch_id = #{batchId}")
    int lastPageNo(long batchId);

    @Insert("insert into page (batch_id, no, file_id, file_page, sheet, side) values"
            + " (#{batchId}, #{no}, #{in.fileId}, #{in.page}, #{sheet.no}, #{sheet.side})")
    void addPage(long batchId, int no, InFile in, Receiving.Sheet sheet);

    @Select("select exists (select 1 from scan where batch_id = #{batchId} and standing = 'scanning')")
    boolean scanning(long batchId);

    /** The sheet's number is free for the one that is scanned again. */
    @Update("update page set sheet = null, side = null where batch_id = #{batchId} and sheet = #{sheet}")
    void forgetSheet(long batchId, int sheet);

    @Select("select coalesce(max(sheet), 0) from page where batch_id = #{batchId}")
    int lastSheet(long batchId);

    @Select("select " + PAGE_COLUMNS + " from page where batch_id = #{batchId} order by no")
    @ResultMap("page")
    List<PageRow> pages(long batchId);

    /** Which reading of a page is the last one. */
    record ReadPage(long id, int no, int factsVersion) {}

    @Select("select id, no, facts_version from page where batch_id = #{batchId} and facts_version > 0 order by no")
    List<ReadPage> readPages(long batchId);

    @Select("select " + PAGE_COLUMNS + " from page where batch_id = #{batchId} and sheet is not null order by no")
    @ResultMap("page")
    List<PageRow> scannedPages(long batchId);

    @Select("select " + PAGE_COLUMNS + " from page where batch_id = #{batchId} and rejected is not null order by no")
    @ResultMap("page")
    List<PageRow> rejectedPages(long batchId);

    @Select("select " + PAGE_COLUMNS + " from page"
            + " where file_id = #{fileId} and file_page between #{from} and #{to} order by file_page")
    @ResultMap("page")
    List<PageRow> filePages(long fileId, int from, int to);

    @Select("select " + PAGE_COLUMNS + " from page" + " where batch_id = #{batchId} and no = #{no}")
    @ResultMap("page")
    Optional<PageRow> page(long batchId, int no);

    @Select("<script>select id, facts_version, facts from page where id in"
            + " <foreach collection='ids' item='id' open='(' separator=',' close=')'>#{id}</foreach></script>")
    List<FactsRow> facts(List<Long> ids);

    /**
     * Nothing is written when it was asked anew meanwhile, for that reading is on its way, or when its batch is filed: what
     * was filed stays what it was.
     */
    @Update("update page p join batch b on b.id = p.batch_id set p.facts = #{facts},"
            + " p.facts_version = p.facts_version + 1, p.attempts = 0, p.failures = 0, p.rejected = null,"
            + " p.answered = p.asked where p.id = #{page.id} and p.asked = #{page.asked} and b.filed_at is null")
    int read(PageRow page, byte[] facts);

    /** How it is to be read has changed. */
    @Update("update page set asked = asked + 1 where id = #{id}")
    void ask(long id);

    /** It stays as it was read before. */
    @Update("update page set answered = asked, attempts = 0, failures = 0 where id = #{id}")
    void leaveAsRead(long id);

    /** Pages that were read and are being read again. */
    @Select("select count(*) from page where batch_id = #{batchId} and facts is not null and answered < asked")
    int readAgain(long batchId);

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

    @Select("select exists (select 1 from decision where batch_id = #{batchId} and state = #{state})")
    boolean hasDecision(long batchId, DecisionState state);

    @Update("update batch set revision = revision + 1, cut_revision = revision where id = #{id}")
    void acted(long id);

    /** Only values were settled. */
    @Update("update batch set revision = revision + 1 where id = #{id}")
    void settled(long id);

    @Select("select count(*) from batch_request where batch_id = #{batchId} and request = #{request}")
    boolean requested(long batchId, String request);

    @Insert("insert into batch_request (batch_id, request) values (#{batchId}, #{request})")
    void request(long batchId, String request);

    @Update("update decision set state = #{state} where id = #{id}")
    void mark(long id, DecisionState state);

    @Update("update decision set state = 'dropped' where batch_id = #{batchId} and state = 'undone'")
    void dropUndone(long batchId);
}

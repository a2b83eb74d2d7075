package jalon.server.retention;

import jalon.core.stream.Retention;
import jalon.server.batch.Batch;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.ResultMap;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface KeptRows {
    /** @param kept its parts are null where nothing says for how long, @param settled whether a person settled that date */
    record Row(
            long id,
            long batchId,
            int documentNo,
            String stream,
            String type,
            Retention.Kept kept,
            boolean settled,
            Course course) {
        public Row {
            // A group whose columns are all null comes as null.
            kept = kept == null ? FOR_GOOD : kept;
            course = course == null ? NOT_ASKED : course;
        }

        Batch.Continued document() {
            return new Batch.Continued(batchId, documentNo);
        }

        boolean isErased() {
            return course.erasedAt() != null;
        }
    }

    Retention.Kept FOR_GOOD = new Retention.Kept(null, null, null);
    Course NOT_ASKED = new Course(null, null, null, null, null, null);

    /**
     * @param askedAt when a supervisor had it erased, or null
     * @param with the document that it is erased together with
     * @param trouble why not all of it is gone yet, or null
     */
    record Course(String by, String why, Instant askedAt, Long with, String trouble, Instant erasedAt) {}

    /** As {@code KeptRows.xml} groups them. */
    String COLUMNS = "k.id, k.batch_id, k.document_no, k.stream, k.type, k.counted_field as kept_field,"
            + " k.counted_from as kept_counted, k.last_day as kept_last, k.settled, k.erase_by as course_by,"
            + " k.erase_why as course_why, k.erase_asked_at as course_asked_at, k.erase_with as course_with,"
            + " k.trouble as course_trouble, k.erased_at as course_erased_at";

    String HELD = "exists (select 1 from held_document h join retention_hold r on r.id = h.hold_id"
            + " where h.batch_id = k.batch_id and h.document_no = k.document_no and r.ended_at is null)";

    /** Nothing is due while it is not counted by what its stream says now. */
    String DUE = "k.last_day < #{today} and k.erase_asked_at is null"
            + " and exists (select 1 from batch b where b.id = k.batch_id and b.keeping_counted)";

    @Select("select id from batch where filed_at is not null and not keeping_counted order by id limit #{most}")
    List<Long> uncounted(int most);

    /** @return 0 when its stream was saved anew meanwhile, or it was counted */
    @Update("update batch set keeping_counted = true where id = #{batchId}")
    int counted(long batchId);

    /** Until the transaction ends its stream is not saved anew. */
    @Select("select keeping_counted from batch where id = #{batchId} lock in share mode")
    boolean isCounted(long batchId);

    @Update("update kept_document set counted_field = null, counted_from = null, last_day = null, settled = false"
            + " where batch_id = #{batchId} and erase_asked_at is null")
    void keepAll(long batchId);

    @Update("update batch set keeping_counted = false where id = #{batchId}")
    void countAgain(long batchId);

    @Update("update batch set keeping_counted = false where stream = #{stream} and keeping_counted")
    void countAllAgain(String stream);

    @Insert(
            "insert into kept_document (batch_id, document_no, stream, type, counted_field, counted_from, last_day, settled)"
                    + " values (#{batchId}, #{documentNo}, #{stream}, #{type}, #{kept.field}, #{kept.counted}, #{kept.last},"
                    + " #{settled}) on duplicate key update"
                    + " counted_field = if(erase_asked_at is null, values(counted_field), counted_field),"
                    + " counted_from = if(erase_asked_at is null, values(counted_from), counted_from),"
                    + " settled = if(erase_asked_at is null, values(settled), settled),"
                    + " last_day = if(erase_asked_at is null, values(last_day), last_day)")
    void keep(Row row);

    /** Documents of one type whose time is over. @param oldest the earliest last day among them */
    record Kind(String stream, String type, int documents, int held, LocalDate oldest) {}

    @Select("select k.stream, k.type, count(*) as documents, sum(" + HELD + ") as held, min(k.last_day) as oldest"
            + " from kept_document k where " + DUE + " group by k.stream, k.type order by k.stream, k.type")
    List<Kind> dueKinds(LocalDate today);

    @Select("select " + COLUMNS + " from kept_document k where " + DUE
            + " and k.stream = #{stream} and k.type = #{type} order by k.last_day, k.batch_id, k.document_no"
            + " limit #{most} offset #{from}")
    @ResultMap("row")
    List<Row> due(LocalDate today, String stream, String type, int from, int most);

    @Select("select " + COLUMNS + " from kept_document k where k.erase_asked_at is not null"
            + " order by k.erased_at is not null, k.erase_asked_at desc, k.id desc limit #{most}")
    @ResultMap("row")
    List<Row> asked(int most);

    @Select("select " + COLUMNS + " from kept_document k where k.id = #{id}")
    @ResultMap("row")
    Optional<Row> find(long id);

    @Select("select " + COLUMNS + " from kept_document k where k.batch_id = #{batchId} and k.document_no = #{document}")
    @ResultMap("row")
    Optional<Row> of(long batchId, int document);

    @Select("select " + COLUMNS + " from kept_document k where k.batch_id = #{batchId} order by k.document_no")
    @ResultMap("row")
    List<Row> ofBatch(long batchId);

    @Select("select " + COLUMNS + " from kept_document k where k.erase_with = #{id} order by k.id")
    @ResultMap("row")
    List<Row> together(long id);

    /** Until the transaction ends nobody else holds it, has it erased or brings more of it. */
    @Select("select " + COLUMNS + " from kept_document k where k.batch_id = #{batchId} and k.document_no = #{document}"
            + " for update")
    @ResultMap("row")
    Optional<Row> lock(long batchId, int document);

    @Update("update kept_document set erase_by = #{who}, erase_why = #{why}, erase_asked_at = #{now},"
            + " erase_with = #{with} where id = #{id}")
    void ask(long id, String who, String why, Instant now, long with);

    @Update("update kept_document set trouble = #{trouble} where erase_with = #{with}")
    void trouble(long with, String trouble);

    @Update("update kept_document set erased_at = #{now}, trouble = null where id = #{id}")
    void erased(long id, Instant now);

    @Select(
            "select exists (select 1 from kept_document k where k.batch_id = #{batchId} and (k.erase_asked_at is not null"
                    + " or " + HELD + "))")
    boolean heldOrAsked(long batchId);

    @Delete("delete from kept_document where batch_id = #{batchId}")
    void forget(long batchId);

    /** Whether a batch brought pages for the document of another. */
    @Select("select continues_batch is not null from batch where id = #{batchId}")
    boolean addsTo(long batchId);

    /** A batch that is to bring more pages for a document and is not filed yet. */
    @Select("select id from batch where continues_batch = #{batchId} and continues_document = #{document}"
            + " and stage <> 'done' limit 1")
    Optional<Long> moreOnItsWay(long batchId, int document);
}

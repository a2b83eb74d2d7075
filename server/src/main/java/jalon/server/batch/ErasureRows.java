package jalon.server.batch;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What goes of a batch when its documents are erased. */
@Mapper
interface ErasureRows {
    record PageRow(long id, int no, byte[] facts, boolean erased) {}

    @Select("select id, no, facts, erased from page where batch_id = #{batchId} order by no")
    List<PageRow> pages(long batchId);

    /** @param facts without what stood on it, or null where it was never read */
    @Update("update page set facts = #{facts}, facts_version = if(facts is null, facts_version, facts_version + 1),"
            + " erased = true where id = #{id}")
    void erasePage(long id, byte[] facts);

    @Select("select erased from page where batch_id = #{batchId} and no = #{no}")
    Boolean isErased(long batchId, int no);

    @Delete("delete from decision where id = #{id}")
    void eraseDecision(long id);

    @Update("update filed_view set body = #{body} where batch_id = #{batchId}")
    void replaceFiledView(long batchId, byte[] body);

    /** What is kept of the batch in memory anywhere is no longer right. */
    @Update("update batch set revision = revision + 1 where id = #{batchId}")
    void newRevision(long batchId);

    /** Where it came from may say of whom: that it came, and how, stays. */
    @Update("update batch set source = channel, sender = null, subject = null where id = #{batchId}")
    void eraseOrigin(long batchId);

    record SampleRow(long id, long batchId, int no, long fileId) {}

    /** Sample pages that were taken from a page of a batch. @param origin as {@link SamplePages#origin} has it */
    @Select("select p.id, p.batch_id, p.no, p.file_id from received_file f join page p on p.file_id = f.id"
            + " where f.origin = #{origin}")
    List<SampleRow> samples(String origin);

    @Delete("delete from page where id = #{id}")
    void removePage(long id);

    /** What somebody said is right on the sample that begins with a page. */
    @Delete("delete from sample_answer where batch_id = #{batchId} and first_page = #{page}")
    void eraseAnswer(long batchId, int page);

    /** What drafts were seen to do with it: that tells values. */
    @Delete("delete from stream_replay where batch_id = #{batchId}")
    void eraseReplays(long batchId);

    record FileRow(long id, String sha256) {}

    /**
     * Files of a batch whose bytes are still there and of whose pages none is needed any more.
     *
     * @param unreadToo whether also those that could not be read, so that nobody knows what is in them
     */
    @Select("select f.id, f.sha256 from received_file f where f.batch_id = #{batchId} and f.erased_at is null"
            + " and not exists (select 1 from page p where p.file_id = f.id and not p.erased)"
            + " and (#{unreadToo} or exists (select 1 from page p where p.file_id = f.id))")
    List<FileRow> erasable(long batchId, boolean unreadToo);

    @Update("update received_file set erased_at = #{now}, name = '', origin = null where id = #{id}")
    void fileErased(long id, Instant now);

    /**
     * Received files that need these bytes. Until the transaction ends nobody can write down that the same bytes came in: the
     * gap in the index is locked too.
     */
    @Select("select id from received_file where sha256 = #{sha256} and erased_at is null for update")
    List<Long> needing(String sha256);
}

package jalon.server.batch;

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
                    + " with_person, documents, doubts";

    record FileRow(
            long id, long batchId, String name, String sha256, long bytes, int pages, String rejected, String origin) {}

    /** @param factsVersion how often the page was read */
    record PageRow(long id, long batchId, int no, long fileId, int filePage, int factsVersion, String rejected) {
        boolean done() {
            return factsVersion > 0 || rejected != null;
        }
    }

    record FactsRow(long id, int factsVersion, byte[] facts) {}

    /** A record, since the mapper takes a bare array for many rows. */
    record FiledView(byte[] body) {}

    record DecisionRow(long id, String body, String decidedBy, Instant decidedAt, String state) {}

    /** @param pages received, @param waiting not read yet */
    record BoardRow(long id, int pages, int waiting) {}

    @Insert("insert into batch (stream, stream_version, source, made_by, made_at, due_at, stage, stage_since)"
            + " values (#{stream}, #{version}, #{source}, #{by}, #{now}, #{due}, 'intake', #{now})")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void add(NewId made, String stream, int version, String source, String by, Instant now, Instant due);

    @Select("select " + COLUMNS + " from batch where id = #{id}")
    Optional<Batch> find(long id);

    /** For as long as the transaction lasts nobody else changes this batch. */
    @Select("select " + COLUMNS + " from batch where id = #{id} for update")
    Optional<Batch> lock(long id);

    @Select("select " + COLUMNS + " from batch where stage <> 'done' or stage_since > #{doneAfter}"
            + " order by stage = 'done', due_at, id limit 1000")
    List<Batch> board(Instant doneAfter);

    @Select("select b.id, count(p.id) as pages, coalesce(sum(p.facts is null and p.rejected is null), 0) as waiting"
            + " from batch b left join page p on p.batch_id = b.id"
            + " where b.stage <> 'done' or b.stage_since > #{doneAfter} group by b.id")
    List<BoardRow> boardPages(Instant doneAfter);

    @Update("update batch set stage = #{stage}, stage_since = #{now} where id = #{id}")
    void moveTo(long id, Stage stage, Instant now);

    @Update("update batch set arrived = true where id = #{id}")
    void arrived(long id);

    @Update("update batch set documents = #{documents}, doubts = #{doubts} where id = #{id}")
    void counted(long id, int documents, long doubts);

    @Update("update batch set with_person = #{who} where id = #{id}")
    void takenBy(long id, String who);

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
            String rejected,
            Instant now,
            String origin);

    @Select("select id, batch_id, name, sha256, bytes, pages, rejected, origin from received_file"
            + " where batch_id = #{batchId} order by id")
    List<FileRow> files(long batchId);

    @Select("select id, batch_id, name, sha256, bytes, pages, rejected, origin from received_file where id = #{id}")
    FileRow file(long id);

    @Select("select count(*) from received_file where origin = #{origin}")
    int timesTaken(String origin);

    @Select("select coalesce(max(no), 0) from page where batch_id = #{batchId}")
    int lastPageNo(long batchId);

    @Insert("insert into page (batch_id, no, file_id, file_page) values (#{batchId}, #{no}, #{fileId}, #{filePage})")
    void addPage(long batchId, int no, long fileId, int filePage);

    @Select(
            "select id, batch_id, no, file_id, file_page, facts_version, rejected from page where batch_id = #{batchId} order by no")
    List<PageRow> pages(long batchId);

    @Select("select id, batch_id, no, file_id, file_page, facts_version, rejected from page"
            + " where file_id = #{fileId} and file_page between #{from} and #{to} order by file_page")
    List<PageRow> filePages(long fileId, int from, int to);

    @Select("select id, batch_id, no, file_id, file_page, facts_version, rejected from page"
            + " where batch_id = #{batchId} and no = #{no}")
    Optional<PageRow> page(long batchId, int no);

    @Select("<script>select id, facts_version, facts from page where id in"
            + " <foreach collection='ids' item='id' open='(' separator=',' close=')'>#{id}</foreach></script>")
    List<FactsRow> facts(List<Long> ids);

    @Update("update page set facts = #{facts}, facts_version = facts_version + 1 where id = #{id}")
    void read(long id, byte[] facts);

    @Update("update page set rejected = left(#{reason}, 1000) where id = #{id}")
    void rejected(long id, String reason);

    @Select("select count(*) from page where batch_id = #{batchId} and facts is null and rejected is null")
    int waiting(long batchId);

    @Insert("insert into decision (batch_id, body, decided_by, decided_at) values (#{batchId}, #{body}, #{by}, #{now})")
    void decide(long batchId, String body, String by, Instant now);

    @Select("select id, body, decided_by, decided_at, state from decision where batch_id = #{batchId} order by id")
    List<DecisionRow> decisions(long batchId);

    @Update("update decision set state = #{state} where id = #{id}")
    void mark(long id, String state);

    @Update("update decision set state = 'dropped' where batch_id = #{batchId} and state = 'undone'")
    void dropUndone(long batchId);
}

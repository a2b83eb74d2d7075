package jalon.server.workbench;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface WorkbenchRows {
    @Select("select answer from sample_answer where batch_id = #{batchId} order by first_page")
    List<String> answers(long batchId);

    @Insert("insert into sample_answer (batch_id, first_page, answer, said_by, said_at)"
            + " values (#{batchId}, #{firstPage}, #{answer}, #{by}, #{at})")
    void answer(long batchId, int firstPage, String answer, String by, Instant at);

    @Delete("delete from sample_answer where batch_id = #{batchId} and first_page = #{firstPage}")
    void forget(long batchId, int firstPage);

    @Insert("insert into stream_replay (stream, draft_hash, batch_id, better, worse, replayed_by, replayed_at)"
            + " values (#{stream}, #{draft}, #{batchId}, #{better}, #{worse}, #{by}, #{at})"
            + " on duplicate key update better = values(better), worse = values(worse),"
            + " replayed_by = values(replayed_by), replayed_at = values(replayed_at)")
    void replayed(String stream, String draft, long batchId, long better, long worse, String by, Instant at);

    @Select("select coalesce(sum(worse), 0) from stream_replay where stream = #{stream} and draft_hash = #{draft}")
    int worse(String stream, String draft);

    @Delete("delete from stream_replay where stream = #{stream}")
    void forgetReplays(String stream);
}

package jalon.server.workbench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface WorkbenchRows {
    @Select("select answer from sample_answer where batch_id = #{batchId} order by first_page")
    List<String> answers(long batchId);

    @Insert("insert into sample_answer (batch_id, first_page, answer, said_by, said_at)"
            + " values (#{batchId}, #{firstPage}, #{answer}, #{by}, #{at})")
    void answer(long batchId, int firstPage, String answer, String by, Instant at);

    @Delete("delete from sample_answer where batch_id = #{batchId} and first_page = #{firstPage}")
    void forget(long batchId, int firstPage);

    /** @param result as it is told, as JSON */
    @Insert("insert into stream_replay (stream, draft_hash, batch_id, better, worse, result, replayed_by, replayed_at)"
            + " select stream, draft_hash, #{batchId}, #{better}, #{worse}, #{result}, asked_by, #{at} from replay_run"
            + " where stream = #{stream} and draft_hash = #{draft}"
            + " on duplicate key update better = values(better), worse = values(worse), result = values(result),"
            + " replayed_by = values(replayed_by), replayed_at = values(replayed_at)")
    void replayed(String stream, String draft, long batchId, long better, long worse, String result, Instant at);

    @Select("select result from stream_replay where stream = #{stream} and draft_hash = #{draft} order by replayed_at")
    List<String> results(String stream, String draft);

    @Select("select batch_id from stream_replay where stream = #{stream} and draft_hash = #{draft}")
    List<Long> replayedBatches(String stream, String draft);

    @Select("select stream, no, definition, draft_hash, batches, erased, trouble, ended_at from replay_run"
            + " where stream = #{stream}")
    Optional<ReplayRuns.Row> run(String stream);

    @Insert("insert into replay_run (stream, no, definition, draft_hash, batches, erased, asked_by, asked_at)"
            + " values (#{stream}, #{no}, #{json}, #{draft}, #{batches}, #{erased}, #{by}, #{at})")
    void addRun(String stream, int no, String json, String draft, String batches, int erased, String by, Instant at);

    @Delete("delete from replay_run where stream = #{stream}")
    void forgetRun(String stream);

    @Update("update replay_run set ended_at = #{at}, trouble = left(#{trouble}, 1000)"
            + " where stream = #{stream} and no = #{no} and ended_at is null")
    void endRun(String stream, int no, String trouble, Instant at);

    @Insert(
            "insert into draft_trial (stream, draft_hash, pages, tried_at) values (#{stream}, #{draft}, #{pages}, #{at})"
                    + " on duplicate key update pages = values(pages), tried_at = values(tried_at)")
    void tried(String stream, String draft, int pages, Instant at);

    @Select("select count(*) from draft_trial where stream = #{stream} and draft_hash = #{draft} and pages > 0")
    boolean isTried(String stream, String draft);

    @Delete("delete from draft_trial where stream = #{stream}")
    void forgetTrials(String stream);

    @Select("select coalesce(sum(worse), 0) from stream_replay where stream = #{stream} and draft_hash = #{draft}")
    int worse(String stream, String draft);

    @Delete("delete from stream_replay where stream = #{stream} and draft_hash = #{draft}")
    void forgetReplays(String stream, String draft);

    @Delete("delete from stream_replay where stream = #{stream}")
    void forgetAllReplays(String stream);
}

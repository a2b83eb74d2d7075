package jalon.server.retention;

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
interface HoldRows {
    /** @param endedAt null while it holds, and likewise by whom and why */
    record Row(
            long id,
            String name,
            String why,
            String who,
            Instant since,
            int documents,
            String endedBy,
            String endedWhy,
            Instant endedAt) {}

    String COLUMNS = "r.id, r.name, r.why, r.who, r.since,"
            + " (select count(*) from held_document h where h.hold_id = r.id) as documents,"
            + " r.ended_by, r.ended_why, r.ended_at";

    @Insert("insert into retention_hold (name, why, who, since) values (#{name}, #{why}, #{who}, #{now})")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void add(NewId made, String name, String why, String who, Instant now);

    @Insert(
            "insert ignore into held_document (hold_id, batch_id, document_no) values (#{hold}, #{batchId}, #{document})")
    void hold(long hold, long batchId, int document);

    @Select("select " + COLUMNS + " from retention_hold r order by r.ended_at is not null, r.id desc limit 500")
    List<Row> all();

    @Select("select " + COLUMNS + " from retention_hold r where r.id = #{id} for update")
    Optional<Row> lock(long id);

    String HOLDING = "select " + COLUMNS + " from retention_hold r join held_document d on d.hold_id = r.id"
            + " where d.batch_id = #{batchId} and d.document_no = #{document} and r.ended_at is null order by r.id";

    /** As it is at this moment, whatever the transaction saw before. */
    @Select(HOLDING + " lock in share mode")
    List<Row> holdingNow(long batchId, int document);

    @Select(HOLDING)
    List<Row> holding(long batchId, int document);

    @Update("update retention_hold set ended_by = #{who}, ended_why = #{why}, ended_at = #{now} where id = #{id}")
    void end(long id, String who, String why, Instant now);
}

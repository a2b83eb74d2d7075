package jalon.server.filing;

import jalon.core.run.DeliveryState;
import jalon.core.stream.Destination;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface DeliveryRows {
    /**
     * @param tries that failed, one after another
     * @param nextAt when it is tried again, or null
     * @param taken what is done when its name is taken, as a person said; null: as the stream says
     */
    record DeliveryRow(
            long id,
            long batchId,
            int documentNo,
            String destination,
            String folder,
            String name,
            DeliveryState state,
            List<String> files,
            String reason,
            Instant doneAt,
            int tries,
            Instant nextAt,
            Destination.Taken taken,
            String leftOutBy) {}

    String COLUMNS =
            "id, batch_id, document_no, destination, folder, name, state, files, reason, done_at, tries, next_at,"
                    + " taken, left_out_by";

    @Insert("insert into delivery (batch_id, document_no, destination, folder, name)"
            + " values (#{batchId}, #{documentNo}, #{destination}, #{folder}, #{name})")
    void plan(long batchId, int documentNo, String destination, String folder, String name);

    @Select("select " + COLUMNS + " from delivery where batch_id = #{batchId} order by destination, document_no")
    List<DeliveryRow> ofBatch(long batchId);

    @Select("select " + COLUMNS + " from delivery where id = #{id}")
    Optional<DeliveryRow> find(long id);

    @Update(
            "update delivery set state = 'done', files = #{files,javaType=java.util.List}, reason = null, next_at = null, done_at = #{now}"
                    + " where id = #{id}")
    void done(long id, List<String> files, Instant now);

    @Update("update delivery set state = 'running' where id = #{id}")
    void running(long id);

    @Update("update delivery set state = 'retrying', reason = #{reason}, tries = tries + 1,"
            + " next_at = #{next} where id = #{id}")
    void retrying(long id, String reason, Instant next);

    @Update("update delivery set state = 'refused', reason = #{reason}, tries = tries + 1, next_at = null"
            + " where id = #{id}")
    void refused(long id, String reason);

    /** It is to be tried anew, perhaps under another name. */
    @Update("update delivery set state = 'planned', reason = null, tries = 0, next_at = null, name = #{name},"
            + " taken = #{taken} where id = #{id}")
    void anew(long id, String name, Destination.Taken taken);

    @Update("update delivery set state = 'leftOut', next_at = null, left_out_by = #{who} where id = #{id}")
    void leaveOut(long id, String who);

    @Select("select count(*) from delivery where batch_id = #{batchId} and state not in ('done', 'leftOut')")
    int open(long batchId);
}

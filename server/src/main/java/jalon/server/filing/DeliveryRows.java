package jalon.server.filing;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface DeliveryRows {
    record DeliveryRow(
            long id,
            long batchId,
            int documentNo,
            String destination,
            String folder,
            String name,
            String state,
            String path,
            String reason,
            Instant doneAt) {}

    String COLUMNS = "id, batch_id, document_no, destination, folder, name, state, path, reason, done_at";

    @Insert("insert into delivery (batch_id, document_no, destination, folder, name)"
            + " values (#{batchId}, #{documentNo}, #{destination}, #{folder}, #{name})")
    void plan(long batchId, int documentNo, String destination, String folder, String name);

    @Select("select " + COLUMNS + " from delivery where batch_id = #{batchId} order by destination, document_no")
    List<DeliveryRow> ofBatch(long batchId);

    @Select("select " + COLUMNS + " from delivery where id = #{id}")
    DeliveryRow find(long id);

    @Update("update delivery set state = 'done', path = #{path}, reason = null, done_at = #{now} where id = #{id}")
    void done(long id, String path, Instant now);

    @Update("update delivery set state = 'failed', reason = left(#{reason}, 1000) where id = #{id}")
    void failed(long id, String reason);

    @Select("select count(*) from delivery where batch_id = #{batchId} and state <> 'done'")
    int open(long batchId);
}

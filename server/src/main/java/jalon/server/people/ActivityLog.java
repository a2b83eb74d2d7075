package jalon.server.people;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Who did what, when. */
@Mapper
public interface ActivityLog {
    record Entry(Instant at, String who, String act, String detail) {}

    @Insert("insert into log_entry (at, who, batch_id, act, detail)"
            + " values (#{at}, #{who}, #{batchId}, left(#{act}, 400), left(#{detail}, 2000))")
    void add(Instant at, String who, Long batchId, String act, String detail);

    @Select("select at, who, act, detail from log_entry where batch_id = #{batchId} order by id desc limit 500")
    List<Entry> ofBatch(long batchId);
}

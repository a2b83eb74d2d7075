package jalon.server.filing;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Reports of filing that were sent. */
@Mapper
interface ReportRows {
    @Select("select address from filing_report where batch_id = #{batchId}")
    List<String> sent(long batchId);

    @Delete("delete from filing_report where batch_id = #{batchId}")
    void erase(long batchId);

    @Insert("insert ignore into filing_report (batch_id, address, sent_at) values (#{batchId}, #{address}, #{now})")
    void add(long batchId, String address, Instant now);
}

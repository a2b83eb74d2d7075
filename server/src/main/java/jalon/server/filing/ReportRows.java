package jalon.server.filing;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Reports of filing that were sent. */
@Mapper
interface ReportRows {
    @Select("select address from filing_report where batch_id = #{batchId}")
    List<String> sent(long batchId);

    @Update("update batch set report_day = #{day} where id = #{batchId}")
    void tellOn(long batchId, LocalDate day);

    /** A batch that is to be told of with the others of its stream and day. */
    record OfDay(long id, String stream, LocalDate reportDay) {}

    @Select(
            "select id, stream, report_day from batch where report_day < #{today} order by report_day, stream, id limit 2000")
    List<OfDay> ofDaysBefore(LocalDate today);

    @Delete("delete from filing_report where batch_id = #{batchId}")
    void erase(long batchId);

    @Insert("insert ignore into filing_report (batch_id, address, sent_at) values (#{batchId}, #{address}, #{now})")
    void add(long batchId, String address, Instant now);
}

package jalon.server.filing;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What people want of documents at destinations before a batch is filed; see {@link jalon.core.run.FilingWish}. */
@Mapper
interface WishRows {
    /** @param who sign-in */
    record Row(int page, String destination, String path, String leftOut, String who) {}

    @Select("select page, destination, path, left_out, who from filing_wish where batch_id = #{batchId}")
    List<Row> ofBatch(long batchId);

    @Insert(
            "insert into filing_wish (batch_id, page, destination, path, left_out, who) values (#{batchId}, #{wish.page},"
                    + " #{wish.destination}, #{wish.path}, #{wish.leftOut}, #{wish.who}) on duplicate key update"
                    + " path = values(path), left_out = values(left_out), who = values(who)")
    void save(long batchId, Row wish);

    @Delete("delete from filing_wish where batch_id = #{batchId} and page = #{page}")
    void erase(long batchId, int page);

    @Delete("delete from filing_wish where batch_id = #{batchId} and page = #{page} and destination = #{destination}")
    void remove(long batchId, int page, String destination);
}

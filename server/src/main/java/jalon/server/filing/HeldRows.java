package jalon.server.filing;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Documents that people hold back when their batch is filed. */
@Mapper
interface HeldRows {
    /** @param page first of the document, @param who sign-in */
    record Row(int page, String why, String who) {}

    @Select("select page, why, who from held_back where batch_id = #{batchId}")
    List<Row> ofBatch(long batchId);

    @Insert("insert into held_back (batch_id, page, why, who) values (#{batchId}, #{held.page}, #{held.why},"
            + " #{held.who}) on duplicate key update why = values(why), who = values(who)")
    void save(long batchId, Row held);

    /** @return how many */
    @Delete("delete from held_back where batch_id = #{batchId} and page = #{page}")
    int remove(long batchId, int page);
}

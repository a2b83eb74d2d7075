package jalon.server.live;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What changed, for the other servers; the times are the database's. */
@Mapper
interface NewsRows {
    record NewsRow(long id, String batchNo) {}

    @Insert("insert into news (batch_no, node, told_at) values (#{batchNo}, #{node}, utc_timestamp(6))")
    void add(String batchNo, String node);

    /** Of the last while, since numbers are given before transactions end: a smaller one may be seen after a greater. */
    @Select("select id, batch_no from news where told_at > utc_timestamp(6) - interval 15 second and node <> #{node}"
            + " order by id")
    List<NewsRow> ofOthers(String node);

    @Delete("delete from news where told_at < utc_timestamp(6) - interval 60 second limit 1000")
    void forget();
}

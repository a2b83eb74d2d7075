package jalon.server.archive;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SeenRows {
    @Insert({
        "<script>",
        "insert into archive_seen (document_id, who, day, what, page, first_at, last_at) values",
        "<foreach collection='ids' item='id' separator=','>",
        "(#{id}, #{s.who}, #{s.day}, #{s.what}, #{s.page}, #{s.at}, #{s.at})</foreach>",
        "on duplicate key update last_at = values(last_at), times = times + 1",
        "</script>"
    })
    void add(@Param("ids") List<Long> ids, @Param("s") Sighting sighting);

    /** @param page 0 where it was no single page */
    record Sighting(String who, LocalDate day, DocumentLog.What what, int page, Instant at) {}

    record Row(
            String who, LocalDate day, DocumentLog.What what, int page, Instant firstAt, Instant lastAt, int times) {}

    @Select("select who, day, what, page, first_at, last_at, times from archive_seen where document_id = #{id}"
            + " order by last_at desc, what, page limit #{most}")
    List<Row> of(long id, int most);
}

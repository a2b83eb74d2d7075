package jalon.server.filing;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface PlaceRows {
    record Row(String name, String settings, String savedBy, Instant savedAt) {}

    @Select("select name, settings, saved_by, saved_at from filing_place order by name")
    List<Row> all();

    @Select("select name, settings, saved_by, saved_at from filing_place where name = #{name}")
    Optional<Row> find(String name);

    @Insert("insert into filing_place (name, settings, saved_by, saved_at) values (#{name}, #{settings}, #{savedBy},"
            + " #{savedAt}) on duplicate key update settings = values(settings), saved_by = values(saved_by),"
            + " saved_at = values(saved_at)")
    void save(Row place);

    @Delete("delete from filing_place where name = #{name}")
    int remove(String name);
}

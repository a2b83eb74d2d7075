package jalon.server.register;

import jalon.server.Trouble;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SourceRows {
    String COLUMNS = "name, settings, next_at, looked_at, good_at, sha256, failures, problem, problem_at";

    /**
     * @param goodAt when the register was last found to be what the source has, or null
     * @param sha256 of the text that was taken last, or null
     * @param failures looks that failed, one after another
     */
    record Row(
            String name,
            String settings,
            Instant nextAt,
            Instant lookedAt,
            Instant goodAt,
            String sha256,
            int failures,
            Trouble problem,
            Instant problemAt) {}

    @Select("select " + COLUMNS + " from register_source order by name")
    List<Row> all();

    @Select("select " + COLUMNS + " from register_source where name = #{name}")
    Optional<Row> find(String name);

    @Select("select " + COLUMNS + " from register_source where next_at <= #{now} order by next_at")
    List<Row> due(Instant now);

    @Insert("insert into register_source (name, settings, saved_by, saved_at, next_at)"
            + " values (#{name}, #{settings}, #{by}, #{now}, #{now})"
            + " on duplicate key update settings = values(settings), saved_by = values(saved_by),"
            + " saved_at = values(saved_at), next_at = values(next_at), failures = 0, problem = null, problem_at = null,"
            + " sha256 = null")
    void save(String name, String settings, String by, Instant now);

    @Update("update register_source set looked_at = #{now}, good_at = #{now}, next_at = #{next}, sha256 = #{sha256},"
            + " failures = 0, problem = null, problem_at = null where name = #{name}")
    void good(String name, String sha256, Instant now, Instant next);

    @Update("update register_source set looked_at = #{now}, next_at = #{next}, failures = failures + 1,"
            + " problem_at = if(problem is null, #{now}, problem_at), problem = #{problem} where name = #{name}")
    void failed(String name, Trouble problem, Instant now, Instant next);

    @Delete("delete from register_source where name = #{name}")
    int remove(String name);
}

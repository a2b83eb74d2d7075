package jalon.server.intake;

import jalon.server.Trouble;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.ResultMap;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ChannelRows {
    /** As {@code ChannelRows.xml} groups them. */
    String COLUMNS = "id, kind, name, stream, settings, paused, looked_at as looks_looked_at, next_at as looks_next_at,"
            + " failures as looks_failures, problem as looks_problem, problem_at as looks_problem_at,"
            + " taken as looks_taken, rejected as looks_rejected";

    record Row(long id, ChannelKind kind, String name, String stream, String settings, boolean paused, Looks looks) {}

    /**
     * @param failures looks that failed, one after another
     * @param problem what is wrong and what to do, or null
     * @param taken files or mails in all, and likewise those rejected
     */
    record Looks(
            Instant lookedAt,
            Instant nextAt,
            int failures,
            Trouble problem,
            Instant problemAt,
            int taken,
            int rejected) {}

    @Select("select " + COLUMNS + " from channel order by kind, name")
    @ResultMap("row")
    List<Row> all();

    @Select("select " + COLUMNS + " from channel where id = #{id}")
    @ResultMap("row")
    Optional<Row> find(long id);

    @Select("select " + COLUMNS + " from channel where name = #{name}")
    @ResultMap("row")
    Optional<Row> named(String name);

    @Insert("insert into channel (kind, name, stream, settings, saved_by, saved_at, next_at)"
            + " values (#{kind}, #{name}, #{stream}, #{settings}, #{by}, #{now}, #{now})")
    void add(ChannelKind kind, String name, String stream, String settings, String by, Instant now);

    @Update("update channel set name = #{name}, stream = #{stream}, settings = #{settings}, saved_by = #{by},"
            + " saved_at = #{now}, next_at = #{now}, failures = 0, problem = null, problem_at = null where id = #{id}")
    void save(long id, String name, String stream, String settings, String by, Instant now);

    @Delete("delete from channel where id = #{id}")
    void remove(long id);

    @Update("update channel set paused = #{paused}, next_at = #{now} where id = #{id}")
    void pause(long id, boolean paused, Instant now);

    @Update("update channel set next_at = #{now}, failures = 0 where id = #{id}")
    void soon(long id, Instant now);

    @Select("select " + COLUMNS + " from channel where not paused and kind <> 'scanner' and next_at <= #{now}"
            + " and (claimed_until is null or claimed_until < #{now}) order by next_at")
    @ResultMap("row")
    List<Row> due(Instant now);

    /** @return 1 when this worker has it now, 0 when another was quicker */
    @Update("update channel set claimed_until = #{until} where id = #{id} and not paused"
            + " and (claimed_until is null or claimed_until < #{now})")
    int claim(long id, Instant now, Instant until);

    @Update("update channel set claimed_until = #{until} where id = #{id} and claimed_until is not null")
    void keepClaim(long id, Instant until);

    @Update("update channel set claimed_until = null, looked_at = #{now}, next_at = #{next}, failures = #{failures},"
            + " problem = #{problem},"
            + " problem_at = case when #{problem} is null then null when problem = #{problem} then problem_at"
            + " else #{now} end, taken = taken + #{taken}, rejected = rejected + #{rejected} where id = #{id}")
    void looked(long id, Instant now, Instant next, int failures, Trouble problem, int taken, int rejected);
}

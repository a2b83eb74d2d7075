package jalon.server.people;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SignInRows {
    String COLUMNS = "kind, who, failures, last_at, until";

    /** Takes the row's lock even where it is there already: two that share it first and then both want it would be stuck. */
    @Insert("insert into sign_in_wait (kind, who, failures, last_at, until)"
            + " values (#{kind}, #{who}, 0, #{now}, #{now}) on duplicate key update failures = failures")
    void begin(SignInGuard.Kind kind, String who, Instant now);

    @Select("select " + COLUMNS + " from sign_in_wait where kind = #{kind} and who = #{who} for update")
    SignInGuard.Wait lock(SignInGuard.Kind kind, String who);

    @Update("update sign_in_wait set failures = #{failures}, last_at = #{now}, until = #{until}"
            + " where kind = #{kind} and who = #{who}")
    void count(SignInGuard.Kind kind, String who, int failures, Instant now, Instant until);

    @Update("update sign_in_wait set failures = greatest(failures - 1, 0), until = last_at"
            + " where kind = #{kind} and who = #{who}")
    void forgive(SignInGuard.Kind kind, String who);

    @Delete("delete from sign_in_wait where kind = #{kind} and who = #{who}")
    void lift(SignInGuard.Kind kind, String who);

    @Select("select " + COLUMNS + " from sign_in_wait where last_at > #{after} and failures > 1 order by until desc"
            + " limit 200")
    List<SignInGuard.Wait> since(Instant after);

    @Delete("delete from sign_in_wait where last_at < #{before}")
    void forget(Instant before);
}

package jalon.server.people;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface TokenRows {
    String COLUMNS = "id, name, streams, made_by, made_at, used_at, revoked_at";

    record Row(
            long id,
            String name,
            List<String> streams,
            String madeBy,
            Instant madeAt,
            Instant usedAt,
            Instant revokedAt) {}

    @Select("select " + COLUMNS + " from token order by revoked_at is not null, name, id")
    List<Row> all();

    @Select("select " + COLUMNS + " from token where hash = #{hash}")
    Optional<Row> find(String hash);

    @Insert("insert into token (name, hash, streams, made_by, made_at)"
            + " values (left(#{name}, 80), #{hash}, #{streams,javaType=java.util.List}, #{by}, #{now})")
    void add(String name, String hash, List<String> streams, String by, Instant now);

    @Update("update token set revoked_at = #{now} where id = #{id} and revoked_at is null")
    int revoke(long id, Instant now);

    @Update("update token set used_at = #{now} where id = #{id}")
    void used(long id, Instant now);
}

package jalon.server.picture;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What was read in zones, by the SHA-256 of all that a reading depends on. */
@Mapper
interface ZoneRows {
    @Select("select words from zone_reading where id = #{id}")
    String find(String id);

    @Insert("insert ignore into zone_reading (id, words, read_at) values (#{id}, #{words}, #{now})")
    void put(String id, String words, Instant now);

    @Delete("delete from zone_reading where read_at < #{before} limit 10000")
    int forget(Instant before);
}

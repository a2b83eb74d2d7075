package jalon.server.intake;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** How often a file or mail of a channel could not be taken. Each is its own try; after three it is set aside. */
@Mapper
interface ChannelTries {
    int MOST = 3;

    @Insert("insert into channel_try (channel_id, item, tries, reason, last_at)"
            + " values (#{channelId}, #{item}, 1, left(#{reason}, 1000), #{now})"
            + " on duplicate key update tries = tries + 1, reason = values(reason), last_at = values(last_at)")
    void count(long channelId, String item, String reason, Instant now);

    @Select("select tries from channel_try where channel_id = #{channelId} and item = #{item}")
    int tries(long channelId, String item);

    @Delete("delete from channel_try where channel_id = #{channelId} and item = #{item}")
    void forget(long channelId, String item);

    @Delete("delete from channel_try where channel_id = #{channelId}")
    void forgetAll(long channelId);

    /** @return whether it was tried often enough */
    default boolean failed(long channelId, String item, String reason, Instant now) {
        count(channelId, item, reason, now);
        return tries(channelId, item) >= MOST;
    }
}

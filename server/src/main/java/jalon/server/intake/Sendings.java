package jalon.server.intake;

import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What programs sent, under the keys they gave it. */
@Mapper
public interface Sendings {
    @Select("select batch_id from sending where token_id = #{tokenId} and sending_key = #{key}")
    Optional<Long> find(long tokenId, String key);

    @Select("select count(*) from sending where token_id = #{tokenId} and batch_id = #{batchId}")
    int mine(long tokenId, long batchId);

    @Insert("insert into sending (token_id, sending_key, batch_id) values (#{tokenId}, #{key}, #{batchId})")
    void add(long tokenId, String key, long batchId);
}

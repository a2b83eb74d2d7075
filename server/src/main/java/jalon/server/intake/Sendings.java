package jalon.server.intake;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What programs sent, under the keys they gave it. */
@Mapper
public interface Sendings {
    /** @param content SHA-256 of what was sent; null for what came before it was kept */
    record Sending(long batchId, String content) {}

    @Select("select batch_id, content from sending where token_id = #{tokenId} and sending_key = #{key}")
    Optional<Sending> find(long tokenId, String key);

    @Select("select count(*) from sending where token_id = #{tokenId} and batch_id = #{batchId}")
    int mine(long tokenId, long batchId);

    /** Batches that a token sent, newest first. */
    @Select("select batch_id from sending where token_id = #{tokenId} and batch_id < #{before}"
            + " order by batch_id desc limit #{most}")
    List<Long> page(long tokenId, long before, int most);

    @Insert("insert into sending (token_id, sending_key, content, batch_id)"
            + " values (#{tokenId}, #{key}, #{content}, #{batchId})")
    void add(long tokenId, String key, String content, long batchId);
}

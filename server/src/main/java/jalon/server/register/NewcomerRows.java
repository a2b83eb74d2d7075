package jalon.server.register;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface NewcomerRows {
    record Row(
            long batchId, int document, String field, String title, String value, String settledBy, Instant filedAt) {}

    @Insert(
            "insert ignore into register_newcomer (register, batch_id, document, field, title, value, settled_by, filed_at)"
                    + " values (#{register}, #{r.batchId}, #{r.document}, #{r.field}, #{r.title}, #{r.value}, #{r.settledBy},"
                    + " #{r.filedAt})")
    void add(@Param("register") String register, @Param("r") Row row);

    @Delete("delete from register_newcomer where batch_id = #{batchId} and document = #{document}")
    void erase(long batchId, int document);

    @Delete("delete from register_newcomer where batch_id = #{batchId}")
    void forget(long batchId);

    @Select("select batch_id, document, field, title, value, settled_by, filed_at from register_newcomer"
            + " where register = #{register} order by filed_at desc limit #{most}")
    List<Row> all(String register, int most);
}
